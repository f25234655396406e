"use client";

import { offsetAt } from "@/core";
import { goTo, usePlace } from "../shared/place";
import { useWorkspace, useWorkspaceStore } from "./context";

/** Steps to a place in the source, in the Page view. */
export function useSeeSource(): (path: string, line: number, column: number) => void {
  const store = useWorkspaceStore();
  const showSource = useWorkspace((state) => state.showSource);
  const there = usePlace().path.endsWith("/page");
  return (path, line, column) => {
    const { files, record } = store.getState();
    const file = files.get(path)?.file;
    if (!file || file.kind === "other") return;
    showSource({ path, offset: offsetAt(file.text, line, column) });
    if (!there) goTo(`/site/${record!.id}/page`);
  };
}
