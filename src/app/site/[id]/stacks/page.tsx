import { Stacks } from "@/ui/stacks/Stacks";

export default function StacksRoute() {
  return <Stacks />;
}
