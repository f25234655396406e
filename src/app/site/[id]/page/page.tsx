import { PageDesk } from "@/ui/page/PageDesk";

export default function PageRoute() {
  return <PageDesk />;
}
