import { notFound } from "next/navigation";
import { viewPaths } from "@/ui/desk/viewPaths";
import { Application } from "../../../Application";

export default async function ViewPage({ params }: { params: Promise<{ view: string }> }) {
  const { view } = await params;
  if (!viewPaths.some((path) => path === view)) notFound();
  return <Application />;
}
