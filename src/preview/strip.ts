/** The part of a page that a text is judged in: the text, with what follows it or stands before it. */
import type { ShownPage } from "./frame";

export interface Strip {
  /** CSS px from the top of the document. */
  top: number;
  bottom: number;
}

/** Lines shown of what stands next to a text. */
const beside = 2;
/** A text of more lines than this is judged by itself. */
const shortText = 3;

/**
 * A paragraph whole; a link with its sentence; a heading with the first lines of what follows. Null where the text is not
 * shown. @param side where the lines beside it are taken from
 */
export function stripOf({ document, nodes }: ShownPage, index: number, side: "before" | "after"): Strip | null {
  const view = document.defaultView;
  const node = nodes[index];
  const block = node && view && blockOf(view, node);
  if (!block) return null;
  const own = linesIn(document, block);
  const box = block.getBoundingClientRect();
  if (own.length === 0 && box.height === 0) return null;
  // A link is judged in its sentence, a paragraph as it is.
  const isAlone = block !== node || own.length > shortText;
  const other = side === "before" || !isAlone ? linesBeside(document, block, side) : [];
  const parts = [box, ...own, ...(side === "before" ? other.slice(-beside) : other.slice(0, beside))];
  return {
    top: Math.min(...parts.map(({ top }) => top)) + view.scrollY,
    bottom: Math.max(...parts.map(({ bottom }) => bottom)) + view.scrollY,
  };
}

/** The box that makes the lines an element stands in. */
function blockOf(view: Window, node: Element): Element | null {
  for (let one: Element | null = node; one; one = one.parentElement) {
    const { display } = view.getComputedStyle(one);
    if (display !== "inline" && display !== "contents") return one;
  }
  return null;
}

interface Line {
  top: number;
  bottom: number;
}

/** The lines of text in an element, from the top down. */
function linesIn(document: Document, element: Element): Line[] {
  const range = document.createRange();
  range.selectNodeContents(element);
  const lines: Line[] = [];
  for (const { top, bottom, width, height } of range.getClientRects()) {
    if (width === 0 || height === 0) continue;
    const last = lines.at(-1);
    // What overlaps by half stands in the same line.
    if (last && top < last.bottom - height / 2 && bottom > last.top + height / 2) {
      last.top = Math.min(last.top, top);
      last.bottom = Math.max(last.bottom, bottom);
    } else lines.push({ top, bottom });
  }
  return lines;
}

/** The lines of the text that comes next in the order of the page, or before. */
function linesBeside(document: Document, block: Element, side: "before" | "after"): Line[] {
  const view = document.defaultView!;
  const walker = document.createTreeWalker(document.body ?? document.documentElement, NodeFilter.SHOW_TEXT);
  walker.currentNode = side === "before" ? block : lastInside(block);
  const next = () => (side === "before" ? walker.previousNode() : walker.nextNode());
  for (let text = next(); text; text = next()) {
    const holder = text.parentElement;
    if (!holder || text.textContent!.trim() === "" || holder.getClientRects().length === 0) continue;
    const lines = linesIn(document, blockOf(view, holder) ?? holder);
    if (lines.length > 0) return lines;
  }
  return [];
}

function lastInside(node: Node): Node {
  let last = node;
  while (last.lastChild) last = last.lastChild;
  return last;
}
