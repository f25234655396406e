"use client";

import { useSyncExternalStore } from "react";

/** Where two panels no longer stand beside each other: the style sheets of the views turn at the same width. */
const narrow = "(max-width: 56em)";

function subscribe(listener: () => void): () => void {
  const list = matchMedia(narrow);
  list.addEventListener("change", listener);
  return () => list.removeEventListener("change", listener);
}

/** See `useNarrow`. */
export const isNarrow = (): boolean => matchMedia(narrow).matches;

/** Whether the window is so narrow, or its text so large, that panels stand under each other (WCAG 2.2, 1.4.10). */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, isNarrow, () => false);
}
