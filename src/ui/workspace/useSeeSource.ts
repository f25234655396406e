"use client";

import { usePathname, useRouter } from "next/navigation";
import { offsetAt } from "@/core";
import { useWorkspace, useWorkspaceStore } from "./context";

/** Steps to a place in the source, in the Page view. */
export function useSeeSource(): (path: string, line: number, column: number) => void {
  const store = useWorkspaceStore();
  const showSource = useWorkspace((state) => state.showSource);
  const router = useRouter();
  const there = usePathname().endsWith("/page");
  return (path, line, column) => {
    const { files, record } = store.getState();
    const file = files.get(path)?.file;
    if (!file || file.kind === "other") return;
    showSource({ path, offset: offsetAt(file.text, line, column) });
    if (!there) router.push(`/site/${record!.id}/page`);
  };
}
