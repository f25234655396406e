/** What gives way on a page when it is laid out as some readers have it. */
import type { PageStress } from "@/core";
import type { PageDress, PageGlance } from "@/engine/protocol";
import { showNextPage, type ShownPage } from "./frame";
import { settle } from "./settle";

/** Widths of the window, CSS px: that of four times the size (WCAG 2.2, 1.4.10), and that at which it is zoomed to twice. */
export const narrow = 320;
const zoomed = (width: number) => Math.max(narrow, Math.round(width / 2));

/** The room that readers may give to text (WCAG 2.2, 1.4.12). */
const roomy =
  "*{line-height:1.5!important;letter-spacing:.12em!important;word-spacing:.16em!important}p{margin-bottom:2em!important}";

/** So many elements are told of for one reason. */
const most = 20;
/** CSS px that may be rounded away. */
const slack = 2;

/**
 * Measures a page in a frame out of sight, at one width after the other; null once it is not wanted any more.
 * @param dressAt what the page wears in a window of another width; null where that is what it wears
 */
export async function stressOf(
  frame: HTMLIFrameElement,
  width: number,
  view: PageGlance,
  dressAt: (width: number) => Promise<PageDress | null>,
  stillWanted: () => boolean,
): Promise<PageStress | null> {
  frame.style.width = `${width}px`;
  const page = await showNextPage(frame, view);
  const rest = async () => {
    // What the page asks for at this width is known once it is styled.
    settle(page.document);
    await page.document.fonts.ready;
    settle(page.document);
    return stillWanted();
  };
  const standsAt = async (size: number) => {
    frame.style.width = `${size}px`;
    const dress = await dressAt(size);
    if (dress && stillWanted()) page.dress({ ...dress, unstyled: false });
    return stillWanted() && (await rest());
  };
  if (!stillWanted() || !(await rest())) return null;
  const before = new Set(cutOff(page));
  const pairsBefore = new Set(overlapping(page).map(String));
  const cutSpaced = withRoom(page, cutOff).filter((index) => !before.has(index));
  if (!(await standsAt(zoomed(width)))) return null;
  const cutLarge = cutOff(page).filter((index) => !before.has(index));
  const overLarge = overlapping(page).filter((pair) => !pairsBefore.has(String(pair)));
  if (!(await standsAt(narrow))) return null;
  return {
    beyond: beyondWindow(page),
    cutLarge: cutLarge.slice(0, most),
    cutSpaced: cutSpaced.slice(0, most),
    overLarge: overLarge.slice(0, most),
  };
}

/** What is found of a page while its text has the room that readers may give it. */
function withRoom<Found>(page: ShownPage, find: (page: ShownPage) => Found): Found {
  const style = page.document.createElement("style");
  style.textContent = roomy;
  page.document.documentElement.append(style);
  const found = find(page);
  style.remove();
  return found;
}

const hides = /hidden|clip/;

/** Texts of which something is cut off by a box that does not scroll. */
function cutOff({ document, nodes }: ShownPage): number[] {
  const view = document.defaultView!;
  const found: number[] = [];
  nodes.forEach((node, index) => {
    const isShort = node.scrollHeight > node.clientHeight + slack;
    const isNarrow = node.scrollWidth > node.clientWidth + slack;
    if ((!isShort && !isNarrow) || node.clientHeight < slack || node.clientWidth < slack) return;
    if (node === document.documentElement || node.localName === "body") return;
    const { overflowX, overflowY } = view.getComputedStyle(node);
    if (((isShort && hides.test(overflowY)) || (isNarrow && hides.test(overflowX))) && node.textContent!.trim())
      found.push(index);
  });
  return found;
}

interface LineBox {
  index: number;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** The middle halves of all lines of text, where letters are whatever the leading, top first. */
function lineBoxes({ document, nodes }: ShownPage): LineBox[] {
  const range = document.createRange();
  const boxes: LineBox[] = [];
  nodes.forEach((node, index) => {
    const texts = [...node.childNodes].filter((child) => child.nodeType === 3 && child.textContent!.trim());
    if (texts.length === 0 || !node.checkVisibility({ opacityProperty: true, visibilityProperty: true })) return;
    const shown = shownPart(document.defaultView!, node);
    for (const text of texts) {
      range.selectNodeContents(text);
      for (const rect of range.getClientRects()) {
        const left = Math.max(rect.left, shown.left);
        const right = Math.min(rect.right, shown.right);
        const top = Math.max(rect.top + rect.height / 4, shown.top);
        const bottom = Math.min(rect.bottom - rect.height / 4, shown.bottom);
        if (right - left > slack && bottom - top > slack) boxes.push({ index, left, right, top, bottom });
      }
    }
  });
  return boxes.sort((a, b) => a.top - b.top);
}

/** What the boxes around a text let be seen of it. */
function shownPart(view: Window, node: Element): Omit<LineBox, "index"> {
  const part = { left: -Infinity, right: Infinity, top: -Infinity, bottom: Infinity };
  for (let box: Element | null = node; box && box.localName !== "body"; box = box.parentElement) {
    if (view.getComputedStyle(box).overflow === "visible") continue;
    const { left, right, top, bottom } = box.getBoundingClientRect();
    part.left = Math.max(part.left, left);
    part.right = Math.min(part.right, right);
    part.top = Math.max(part.top, top);
    part.bottom = Math.min(part.bottom, bottom);
  }
  return part;
}

/** Pairs of elements whose texts lie over each other, each once, the first on the page first. */
function overlapping(page: ShownPage): (readonly [number, number])[] {
  const boxes = lineBoxes(page);
  const pairs = new Map<string, readonly [number, number]>();
  for (const [at, box] of boxes.entries()) {
    for (let next = at + 1; next < boxes.length && boxes[next]!.top < box.bottom - slack; next += 1) {
      const other = boxes[next]!;
      const shared = Math.min(box.right, other.right) - Math.max(box.left, other.left);
      if (other.index === box.index || shared <= slack) continue;
      const pair = [Math.min(box.index, other.index), Math.max(box.index, other.index)] as const;
      pairs.set(String(pair), pair);
    }
  }
  return [...pairs.values()].sort(([a, b], [c, d]) => a - c || b - d);
}

/** The innermost elements that reach beyond the window, where it scrolls for their sake. */
function beyondWindow({ document, nodes }: ShownPage): number[] {
  const view = document.defaultView!;
  const root = document.scrollingElement ?? document.documentElement;
  if (root.scrollWidth <= view.innerWidth + slack) return [];
  const isOut = (node: Element) => {
    const { right, width, height } = node.getBoundingClientRect();
    return width > 0 && height > 0 && right + view.scrollX > view.innerWidth + slack;
  };
  const out = nodes
    .map((node, index) => ({ node, index }))
    .filter(({ node }) => isOut(node) && !isScrolled(view, node));
  return out
    .filter(({ node }) => !out.some((other) => other.node !== node && node.contains(other.node)))
    .map(({ index }) => index)
    .slice(0, most);
}

/** Whether a box around an element scrolls, or cuts it off, by itself. */
function isScrolled(view: Window, node: Element): boolean {
  for (let above = node.parentElement; above && above.localName !== "body"; above = above.parentElement)
    if (view.getComputedStyle(above).overflowX !== "visible") return true;
  return false;
}
