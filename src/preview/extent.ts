/** How much room a page takes: what a change of its fonts shifts. */
import { append } from "@/core";
import type { ShownPage } from "./frame";
import { inSlices } from "./slices";

export interface Extent {
  /** Of the whole page, CSS px. */
  height: number;
  /** Lines of all the texts counted. */
  lines: number;
  /** Of all these lines one after the other, CSS px. */
  width: number;
}

/** Null when the page changed meanwhile. @param places indexes of the elements whose own words are counted */
export async function extentOf(
  { document, nodes }: ShownPage,
  places: readonly number[],
  stillThere: () => boolean,
): Promise<Extent | null> {
  const range = document.createRange();
  const height = Math.round(document.documentElement?.getBoundingClientRect().height ?? 0);
  let [lines, all] = [0, 0];
  const count = (index: number) => {
    let last = Number.NEGATIVE_INFINITY;
    for (const { top, height: own, width } of rectsIn(nodes[index], range)) {
      const middle = top + own / 2;
      if (Math.abs(middle - last) > own / 2) lines += 1;
      last = middle;
      all += width;
    }
  };
  return (await inSlices(places, count, stillThere)) ? { height, lines, width: all } : null;
}

/** Boxes of an element's own words, line by line. */
function rectsIn(node: Element | undefined, range: Range): DOMRect[] {
  const rects: DOMRect[] = [];
  for (const child of node?.childNodes ?? []) {
    if (child.nodeType !== Node.TEXT_NODE || child.textContent!.trim() === "") continue;
    range.selectNodeContents(child);
    append(
      rects,
      [...range.getClientRects()].filter(({ width }) => width > 0),
    );
  }
  return rects;
}

/** How much more room one takes than the other; null where it is as high, in as many lines, or the other is not known. */
export function differenceOf(now: Extent, usual: Extent | undefined): Extent | null {
  if (!usual || (now.height === usual.height && now.lines === usual.lines)) return null;
  return { height: now.height - usual.height, lines: now.lines - usual.lines, width: now.width - usual.width };
}
