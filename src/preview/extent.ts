/** How much room a page takes: what a change of its fonts shifts. */
import type { ShownPage } from "./frame";

export interface Extent {
  /** Of the whole page, CSS px. */
  height: number;
  /** Lines of all the texts counted. */
  lines: number;
  /** Of all these lines one after the other, CSS px. */
  width: number;
}

/** @param places indexes of the elements whose own words are counted */
export function extentOf({ document, nodes }: ShownPage, places: readonly number[]): Extent {
  const range = document.createRange();
  let [lines, all] = [0, 0];
  for (const index of places) {
    let last = Number.NEGATIVE_INFINITY;
    for (const { top, height, width } of rectsIn(nodes[index], range)) {
      const middle = top + height / 2;
      if (Math.abs(middle - last) > height / 2) lines += 1;
      last = middle;
      all += width;
    }
  }
  return { height: Math.round(document.documentElement?.getBoundingClientRect().height ?? 0), lines, width: all };
}

/** Boxes of an element's own words, line by line. */
function rectsIn(node: Element | undefined, range: Range): DOMRect[] {
  const rects: DOMRect[] = [];
  for (const child of node?.childNodes ?? []) {
    if (child.nodeType !== Node.TEXT_NODE || child.textContent!.trim() === "") continue;
    range.selectNodeContents(child);
    rects.push(...[...range.getClientRects()].filter(({ width }) => width > 0));
  }
  return rects;
}

/** How much more room one takes than the other; null where it is as high, in as many lines, or the other is not known. */
export function differenceOf(now: Extent, usual: Extent | undefined): Extent | null {
  if (!usual || (now.height === usual.height && now.lines === usual.lines)) return null;
  return { height: now.height - usual.height, lines: now.lines - usual.lines, width: now.width - usual.width };
}
