"use client";

import { useCallback, useState, type ReactNode } from "react";

/** Rows drawn at first, and more of them each time their end comes into view. */
const step = 200;

/** So that the next rows are there before the end is seen, in a list that scrolls by itself, too (Intersection Observer, 2.2). */
const ahead: IntersectionObserverInit & { scrollMargin: string } = { rootMargin: "600px", scrollMargin: "600px" };

/**
 * The first rows of a list, and what stands at their end while there are more.
 * @param as what the end is, where it has to be a row of its own kind
 */
export function useGradual<Row>(
  rows: readonly Row[],
  as: "li" | "div" = "li",
): { shown: readonly Row[]; end: ReactNode } {
  const [count, setCount] = useState(step);
  const watch = useCallback((node: HTMLElement | null) => {
    if (!node) return undefined;
    const observer = new IntersectionObserver(
      ([entry]) => entry?.isIntersecting && setCount((known) => known + step),
      ahead,
    );
    observer.observe(node);
    return () => observer.disconnect();
  }, []);
  if (rows.length <= count) return { shown: rows, end: null };
  const End = as;
  // The end is another one after each step: what is in view already is seen again.
  const end = (
    <End key={`end ${count}`} ref={watch as never} aria-hidden="true">
      {rows.length - count} more
    </End>
  );
  return { shown: rows.slice(0, count), end };
}
