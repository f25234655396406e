"use client";

import { useSyncExternalStore } from "react";

/** What the style sheets of the interface are written for, CSS px. */
const usual = 16;

let known: number | null = null;

/** The size of the root element, CSS px: what the reader set as the size of text. */
function rootSize(): number {
  known ??= Number.parseFloat(getComputedStyle(document.documentElement).fontSize) || usual;
  return known;
}

/** So many rem in CSS px. */
export const inRem = (count: number): number => count * rootSize();

const never = () => () => {};

/** So many rem in CSS px, for what is drawn by figures rather than by a sheet; known anew when the window is. */
export function useRem(): (count: number) => number {
  const size = useSyncExternalStore(never, rootSize, () => usual);
  return (count) => count * size;
}
