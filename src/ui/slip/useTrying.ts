"use client";

import { useCallback, useEffect, useRef, type RefObject } from "react";
import type { Edit } from "@/core";
import { useWorkspace } from "../workspace/context";
import type { WorkspaceActions } from "../workspace/state";

export interface Trying {
  rehearse: WorkspaceActions["rehearse"];
  /** What it tried last; null where nothing is left of it. */
  tried: RefObject<Edit | null>;
}

/** What a part of the slip tries on the page. It is taken off when the part goes: nothing is left to tell of it then. */
export function useTrying(): Trying {
  const rehearse = useWorkspace((state) => state.rehearse);
  const letGo = useWorkspace((state) => state.letGo);
  const tried = useRef<Edit | null>(null);
  const isThere = useRef(false);
  useEffect(() => {
    isThere.current = true;
    return () => {
      isThere.current = false;
      if (tried.current) letGo(tried.current);
    };
  }, [letGo]);
  const whileThere = useCallback<Trying["rehearse"]>(
    async (edit, told) => {
      // What was still being read when the part went is not tried any more.
      if (!isThere.current) return { plan: null, judged: null, problem: null };
      tried.current = edit;
      return rehearse(edit, told);
    },
    [rehearse],
  );
  return { rehearse: whileThere, tried };
}

/** Tries it once more when something else was written meanwhile: it may stand elsewhere by then. */
export function useTryingAgain(tried: Trying["tried"], again: () => void): void {
  const untried = useWorkspace((state) => state.untried);
  const handled = useRef(untried);
  useEffect(() => {
    if (handled.current === untried) return;
    handled.current = untried;
    if (untried && untried.edit === tried.current) again();
  });
}
