/** Words inside the texts of the page that is shown. */
import type { ShownPage } from "./frame";
import type { Box } from "./measure";
import { firstWord, stepped, wholeWords } from "./wordEdges";

export interface WordSpan {
  /** Index of the element whose own text they stand in. */
  index: number;
  /** Counts the element's own text nodes. */
  node: number;
  start: number;
  end: number;
  text: string;
}

function ownTexts(element: Element): Text[] {
  return [...element.childNodes].filter((child): child is Text => child.nodeType === 3);
}

function caretAt({ document }: ShownPage, x: number, y: number): { node: Text; offset: number } | null {
  const caret = document.caretPositionFromPoint?.(x, y);
  const node = caret?.offsetNode;
  return node?.nodeType === 3 ? { node: node as Text, offset: caret!.offset } : null;
}

function spanOf(page: ShownPage, node: Text, from: number, to: number): WordSpan | null {
  const element = node.parentElement;
  const index = element ? page.nodes.indexOf(element) : -1;
  const [start, end] = wholeWords(node.data, from, to);
  if (!element || index < 0 || start >= end) return null;
  return { index, node: ownTexts(element).indexOf(node), start, end, text: node.data.slice(start, end) };
}

/** The whole words between two points of the window, in the text the first lies in; null when there are none. */
export function wordsBetween(
  page: ShownPage,
  from: { x: number; y: number },
  to: { x: number; y: number },
): WordSpan | null {
  const first = caretAt(page, from.x, from.y);
  const last = caretAt(page, to.x, to.y);
  if (!first || !last) return null;
  return spanOf(page, first.node, first.offset, last.node === first.node ? last.offset : first.node.data.length);
}

/** One word more or less at the end, or at the start; the first word of the element when nothing is picked yet. */
export function stepWords(
  page: ShownPage,
  index: number,
  words: WordSpan | null,
  end: "start" | "end",
  by: 1 | -1,
): WordSpan | null {
  const element = page.nodes[index];
  const texts = element ? ownTexts(element) : [];
  const node = words && words.index === index ? texts[words.node] : texts.find(({ data }) => data.trim() !== "");
  if (!node) return null;
  const bounds = words && words.index === index ? stepped(node.data, words, end, by) : firstWord(node.data);
  return bounds && spanOf(page, node, ...bounds);
}

/** Boxes around words, line by line, as they stand in the window. */
export function boxesOfWords(page: ShownPage, { index, node, start, end }: WordSpan): Box[] {
  const element = page.nodes[index];
  const text = element ? ownTexts(element)[node] : undefined;
  if (!text || end > text.data.length) return [];
  const range = page.document.createRange();
  range.setStart(text, start);
  range.setEnd(text, end);
  return [...range.getClientRects()].map(({ left, top, width, height }) => ({ left, top, width, height }));
}

/** The index that a span around words will have. */
export function indexOfSpan(page: ShownPage, { index, node }: WordSpan): number {
  const element = page.nodes[index]!;
  let count = 1;
  for (let before: Node | null = ownTexts(element)[node]!.previousSibling; before; before = before.previousSibling) {
    if (before.nodeType === 1) count += 1 + (before as Element).querySelectorAll("*").length;
  }
  return index + count;
}
