"use client";

/** What the engine tells of the site, asked anew whenever the site or what is asked for changes. */
import type { Remote } from "comlink";
import { useCallback, useEffect, useState } from "react";
import type { Palette, StackUse, StyleRow } from "@/core";
import type { Engine } from "@/engine/protocol";
import { useEngine, useWorkspace } from "./context";

/** Null until the first answer; the answer before stays until the next is there. @param ask must stay the same while what is asked does */
export function useAnswer<Answer>(ask: (engine: Remote<Engine>) => Promise<Answer>): Answer | null {
  const engine = useEngine();
  const edition = useWorkspace((state) => state.edition);
  const [answer, setAnswer] = useState<Answer | null>(null);
  useEffect(() => {
    let current = true;
    void ask(engine).then((found) => current && setAnswer(() => found));
    return () => {
      current = false;
    };
  }, [engine, ask, edition]);
  return answer;
}

export function usePalette(): Palette | null {
  const conditions = useWorkspace((state) => state.conditions);
  return useAnswer(useCallback((engine) => engine.palette(conditions), [conditions]));
}

export function useStyleTable(): readonly StyleRow[] | null {
  const conditions = useWorkspace((state) => state.conditions);
  return useAnswer(useCallback((engine) => engine.styleTable(conditions), [conditions]));
}

export function useStacks(): readonly StackUse[] | null {
  const conditions = useWorkspace((state) => state.conditions);
  return useAnswer(useCallback((engine) => engine.stacks(conditions), [conditions]));
}
