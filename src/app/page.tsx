import { Application } from "./Application";

export default function ShelfPage() {
  return <Application />;
}
