"use client";

/** What the engine tells of the site, asked anew whenever the site or what is asked for changes. */
import { useEffect, useState } from "react";
import type { Palette, StackUse, StyleRow } from "@/core";
import type { Engine } from "@/engine/protocol";
import type { Question } from "./asking";
import { useWorkspace } from "./context";

/**
 * Null until the first answer; the answer before stays until the next is there, with what it was asked with.
 * @param args nothing is asked while they are null
 */
export function useAnswered<Name extends Question>(
  name: Name,
  args: Parameters<Engine[Name]> | null,
): { args: Parameters<Engine[Name]>; answer: Awaited<ReturnType<Engine[Name]>> } | null {
  type Answered = { args: Parameters<Engine[Name]>; answer: Awaited<ReturnType<Engine[Name]>> };
  const asking = useWorkspace((state) => state.asking);
  const failed = useWorkspace((state) => state.failed);
  const edition = useWorkspace((state) => state.edition);
  const key = JSON.stringify(args);
  const [answered, setAnswered] = useState<Answered | null>(null);
  useEffect(() => {
    const asked = JSON.parse(key) as Parameters<Engine[Name]> | null;
    if (!asked) return;
    let current = true;
    asking
      .shared(name, asked, edition)
      .then((answer) => current && setAnswered({ args: asked, answer }))
      .catch(failed);
    return () => {
      current = false;
    };
  }, [asking, name, key, edition, failed]);
  return answered;
}

export function useAnswer<Name extends Question>(
  name: Name,
  ...args: Parameters<Engine[Name]>
): Awaited<ReturnType<Engine[Name]>> | null {
  return useAnswered(name, args)?.answer ?? null;
}

export function usePalette(): Palette | null {
  return useAnswer(
    "palette",
    useWorkspace((state) => state.conditions),
  );
}

export function useStyleTable(): readonly StyleRow[] | null {
  return useAnswer(
    "styleTable",
    useWorkspace((state) => state.conditions),
  );
}

export function useStacks(): readonly StackUse[] | null {
  return useAnswer(
    "stacks",
    useWorkspace((state) => state.conditions),
  );
}
