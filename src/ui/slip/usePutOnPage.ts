"use client";

import { useEffect, useId, useRef } from "react";
import { useBench, type TrialSet } from "../workspace/bench";

/**
 * Keeps what stands on the page in step with the rows, for as long as it stands there.
 * @param onTaken told when something else was put in its place
 * @returns whether it stands there now
 */
export function usePutOnPage(onPage: boolean, set: TrialSet, onTaken: () => void): boolean {
  const { put, owner } = useBench();
  const own = useId();
  const latest = useRef({ set, onTaken });
  useEffect(() => {
    latest.current = { set, onTaken };
  });
  const key = JSON.stringify([set.candidates, set.chosen, set.written, set.contrasts, set.subject]);
  useEffect(() => {
    if (!onPage) return;
    put(own, {
      ...latest.current.set,
      figures: (text) => latest.current.set.figures(text),
      choose: (text) => latest.current.set.choose(text),
      onKey: (event, at) => latest.current.set.onKey(event, at),
      leave: () => latest.current.set.leave(),
    });
  }, [onPage, key, put, own]);
  useEffect(() => (onPage ? () => put(own, null) : undefined), [onPage, put, own]);
  useEffect(() => {
    if (owner !== null && owner !== own) latest.current.onTaken();
  }, [owner, own]);
  return owner === own;
}

const steps: Readonly<Record<string, number>> = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1 };

/** Where an arrow key leads from a candidate, round at the ends; null for other keys. */
export function walkedTo(key: string, at: number, count: number): number | null {
  const by = steps[key];
  return by === undefined ? null : (at + by + count) % count;
}
