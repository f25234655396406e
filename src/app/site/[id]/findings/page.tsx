import { Findings } from "@/ui/findings/Findings";

export default function FindingsRoute() {
  return <Findings />;
}
