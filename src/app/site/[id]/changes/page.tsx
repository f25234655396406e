import { Changes } from "@/ui/changes/Changes";

export default function ChangesRoute() {
  return <Changes />;
}
