import { Colors } from "@/ui/colors/Colors";

export default function ColorsRoute() {
  return <Colors />;
}
