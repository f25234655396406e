"use client";

import { useCallback, useEffect, useRef } from "react";
import type { Edit } from "@/core";
import { useWorkspace } from "../workspace/context";
import type { WorkspaceActions } from "../workspace/state";

/** What a part of the slip tries on the page. It is taken off when the part goes: nothing is left to tell of it then. */
export function useTrying(): WorkspaceActions["rehearse"] {
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
  return useCallback(
    async (edit, told) => {
      // What was still being read when the part went is not tried any more.
      if (!isThere.current) return { plan: null, judged: null, problem: null };
      tried.current = edit;
      return rehearse(edit, told);
    },
    [rehearse],
  );
}
