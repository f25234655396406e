"use client";

import type { ElementRef } from "@/core";
import { useWorkspace } from "./context";
import { addressOf, goTo } from "../shared/place";
import { unwaited } from "../shared/unwaited";

/** Steps to a place on its page. */
export function usePick(): (ref: ElementRef) => void {
  const record = useWorkspace((state) => state.record);
  const pick = useWorkspace((state) => state.pick);
  return (ref) => {
    unwaited(pick(ref));
    goTo(addressOf(`/site/${record!.id}/page`, { file: ref.page }));
  };
}
