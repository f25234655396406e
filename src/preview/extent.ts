/** How much room a page takes: what a change of its fonts shifts. */
import type { ShownPage } from "./frame";

export interface Extent {
  /** Of the whole page, CSS px. */
  height: number;
  /** Lines of all the texts counted. */
  lines: number;
}

/** @param places indexes of the elements whose own words are counted */
export function extentOf({ document, nodes }: ShownPage, places: readonly number[]): Extent {
  const range = document.createRange();
  const lines = places.reduce((sum, index) => sum + linesIn(nodes[index], range), 0);
  return { height: Math.round(document.documentElement?.getBoundingClientRect().height ?? 0), lines };
}

/** Lines that an element's own words stand in. */
function linesIn(node: Element | undefined, range: Range): number {
  let count = 0;
  let last = Number.NEGATIVE_INFINITY;
  for (const child of node?.childNodes ?? []) {
    if (child.nodeType !== Node.TEXT_NODE || child.textContent!.trim() === "") continue;
    range.selectNodeContents(child);
    for (const { top, height, width } of range.getClientRects()) {
      if (width === 0) continue;
      const middle = top + height / 2;
      if (Math.abs(middle - last) > height / 2) count += 1;
      last = middle;
    }
  }
  return count;
}

/** How much more room one takes than the other; null where it is the same, or the other is not known. */
export function differenceOf(now: Extent, usual: Extent | undefined): Extent | null {
  if (!usual || (now.height === usual.height && now.lines === usual.lines)) return null;
  return { height: now.height - usual.height, lines: now.lines - usual.lines };
}
