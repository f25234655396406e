"use client";

import type { ElementRef, Setting, Slip } from "@/core";
import { useAnswer } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";

/** How a longhand comes out over the places the rule reaches. */
export function useSetting(
  { ref: { page, index } }: Slip,
  places: readonly ElementRef[],
  property: string,
): Setting | null {
  const conditions = useWorkspace((state) => state.conditions);
  return useAnswer("setting", { page, index }, places, property, conditions);
}
