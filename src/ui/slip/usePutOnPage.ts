"use client";

import { useEffect, useRef } from "react";
import { useBench, type TrialSet } from "../workspace/bench";

/** Keeps what stands on the page in step with the rows, for as long as it stands there. */
export function usePutOnPage(onPage: boolean, set: TrialSet): void {
  const { put } = useBench();
  const latest = useRef(set);
  useEffect(() => {
    latest.current = set;
  });
  const key = JSON.stringify([set.candidates, set.chosen, set.written, set.contrasts, set.subject]);
  useEffect(() => {
    if (!onPage) return;
    put({
      ...latest.current,
      figures: (text) => latest.current.figures(text),
      choose: (text) => latest.current.choose(text),
      onKey: (event, at) => latest.current.onKey(event, at),
      leave: () => latest.current.leave(),
    });
  }, [onPage, key, put]);
  useEffect(() => (onPage ? () => put(null) : undefined), [onPage, put]);
}
