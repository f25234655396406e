import type { ReactNode } from "react";
import { Desk } from "@/ui/desk/Desk";

export default async function SiteLayout({
  children,
  params,
}: {
  children: ReactNode;
  params: Promise<{ id: string }>;
}) {
  const { id } = await params;
  return <Desk id={id}>{children}</Desk>;
}
