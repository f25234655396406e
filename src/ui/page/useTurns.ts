import type { Conditions, MediaWidth } from "@/core";
import { useAnswered } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";

const noTurns: readonly MediaWidth[] = [];

/** Where the page's media conditions turn: not asked again when only its width is another, or what was measured on it. */
export function useTurns(): readonly MediaWidth[] {
  const path = useWorkspace((state) => state.page);
  const conditions = useWorkspace((state) => state.conditions);
  const others: Conditions = { ...conditions, width: 0, fonts: {}, containers: {} };
  return useAnswered("mediaWidths", path === null ? null : [path, others])?.answer ?? noTurns;
}
