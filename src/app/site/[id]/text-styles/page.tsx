import { TextStyles } from "@/ui/textstyles/TextStyles";

export default function TextStylesRoute() {
  return <TextStyles />;
}
