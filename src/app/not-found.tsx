import { Application } from "./Application";

export default function NotFound() {
  return <Application />;
}
