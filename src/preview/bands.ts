/** Where the lines of texts lie on the page, as narrow bands through the middle of their letters. */
import { textId } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { ShownPage } from "./frame";

/** In CSS px of the page. */
export interface Band {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export const idOf = ({ index, pseudo }: PlaceView) => textId(index, pseudo);

export const meets = (a: Band, b: Band) => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

/** The middle of letters, and half of the band around it, to the height of a line's letters with ascenders and descenders. */
const middle = 0.53;
const half = 0.12;
/** No more lines of one text are looked at. */
const mostLines = 60;

/** None where the text is not shown, or no element holds it. */
export function bandsOf(page: ShownPage, { index, pseudo }: PlaceView): Band[] {
  const node = page.nodes[index];
  if (!node) return [];
  if (pseudo === "value" || pseudo === "placeholder") return controlBands(page, node);
  if (pseudo !== null && pseudo !== "first-line" && pseudo !== "first-letter") return [];
  const view = page.document.defaultView!;
  const range = page.document.createRange();
  const bands: Band[] = [];
  const { dx, dy } = scrolled(page, node);
  const upright = view.getComputedStyle(node).writingMode === "horizontal-tb";
  for (const child of node.childNodes) {
    if (child.nodeType !== 3 || !child.nodeValue!.trim()) continue;
    range.selectNodeContents(child);
    if (pseudo === "first-letter") {
      const at = child.nodeValue!.search(/\S/);
      range.setStart(child, at);
      range.setEnd(child, at + 1);
    }
    for (const { left, top, right, bottom } of range.getClientRects()) {
      if (right - left < 0.5 || bottom - top < 0.5) continue;
      bands.push(bandIn({ left: left + dx, top: top + dy, right: right + dx, bottom: bottom + dy }, upright));
      if (bands.length >= mostLines) return bands;
    }
    if (pseudo !== null) break;
  }
  return pseudo === "first-line" ? bands.slice(0, 1) : bands;
}

/** @param upright whether the line runs from left to right */
function bandIn({ left, top, right, bottom }: Band, upright: boolean): Band {
  if (upright) {
    const height = bottom - top;
    const center = top + height * middle;
    const around = Math.max(0.5, height * half);
    return { ...inset(left, right), top: center - around, bottom: center + around };
  }
  const width = right - left;
  const center = left + width / 2;
  const around = Math.max(0.5, width * half);
  const along = inset(top, bottom);
  return { top: along.left, bottom: along.right, left: center - around, right: center + around };
}

/** Without the ends of a line, where its edges are half way between two pixels. */
function inset(left: number, right: number): { left: number; right: number } {
  const by = Math.min(3, (right - left) / 4);
  return { left: left + by, right: right - by };
}

/** How far what holds an element was scrolled: pictures show everything unscrolled. */
function scrolled({ document }: ShownPage, node: Element): { dx: number; dy: number } {
  const view = document.defaultView!;
  let [dx, dy] = [view.scrollX, view.scrollY];
  for (let above = node.parentElement; above && above !== document.documentElement; above = above.parentElement) {
    if (above === document.body && document.scrollingElement === document.body) break;
    dx += above.scrollLeft;
    dy += above.scrollTop;
  }
  return { dx, dy };
}

/** The first line in a field: in the middle of a field of one line, at the top of others. */
function controlBands(page: ShownPage, node: Element): Band[] {
  const view = page.document.defaultView!;
  const style = view.getComputedStyle(node);
  const { left, top, right, bottom } = node.getBoundingClientRect();
  if (right - left < 2 || bottom - top < 2) return [];
  const { dx, dy } = scrolled(page, node);
  const px = (value: string) => Number.parseFloat(value) || 0;
  const inside = {
    left: left + dx + px(style.borderLeftWidth) + px(style.paddingLeft),
    right: right + dx - px(style.borderRightWidth) - px(style.paddingRight),
    top: top + dy + px(style.borderTopWidth) + px(style.paddingTop),
    bottom: bottom + dy - px(style.borderBottomWidth) - px(style.paddingBottom),
  };
  const line = px(style.lineHeight) || px(style.fontSize) * 1.2;
  if (node.localName === "textarea" || (node.localName === "select" && (node as HTMLSelectElement).size > 1))
    inside.bottom = inside.top + line;
  return [bandIn(inside, true)];
}
