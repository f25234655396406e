"use client";

import { useRouter } from "next/navigation";
import type { ElementRef } from "@/core";
import { useWorkspace } from "./context";
import { unwaited } from "../shared/unwaited";

/** Steps to a place on its page. */
export function usePick(): (ref: ElementRef) => void {
  const router = useRouter();
  const record = useWorkspace((state) => state.record);
  const pick = useWorkspace((state) => state.pick);
  return (ref) => {
    unwaited(pick(ref));
    router.push(`/site/${record!.id}/page?file=${encodeURIComponent(ref.page)}`);
  };
}
