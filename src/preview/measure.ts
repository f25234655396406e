/** What only the laid-out page can tell. Lengths in CSS px of the frame's window. */
import { fontKeyOf, type FontMeasure } from "@/core";
import { measureFontUnits } from "./fontUnits";
import type { ShownPage } from "./frame";
import { sizeless } from "./sizeless";

export interface Box {
  left: number;
  top: number;
  width: number;
  height: number;
}

/** The box around an element as it stands in the window; null when it makes none. */
export function boxOf({ nodes }: ShownPage, index: number): Box | null {
  const node = nodes[index];
  if (!node) return null;
  const { left, top, width, height } = node.getBoundingClientRect();
  return width > 0 || height > 0 ? { left, top, width, height } : null;
}

/** The innermost place (one of `places`) at a point of the window; null when there is none. */
export function placeAt(
  { document, nodes }: ShownPage,
  x: number,
  y: number,
  places: ReadonlySet<number>,
): number | null {
  const indexes = indexesOf(nodes);
  const untouchable = untouchableOf({ document, nodes }, places).findLast((index) =>
    isOnText(document, nodes[index]!, x, y),
  );
  if (untouchable !== undefined) return untouchable;
  for (let node = document.elementFromPoint(x, y); node; node = node.parentElement) {
    const index = indexes.get(node);
    if (index !== undefined && places.has(index)) return index;
  }
  return null;
}

const indexed = new WeakMap<ShownPage["nodes"], ReadonlyMap<Element, number>>();

/** Where elements stand among those of the page; looked up once for each page, whatever the pointer does. */
function indexesOf(nodes: ShownPage["nodes"]): ReadonlyMap<Element, number> {
  let indexes = indexed.get(nodes);
  if (!indexes) indexed.set(nodes, (indexes = new Map(nodes.map((node, index) => [node, index]))));
  return indexes;
}

const untouchables = new WeakMap<ReadonlySet<number>, number[]>();

/** Places that the browser looks through for what is under the pointer; looked up once for each set of places. */
function untouchableOf(
  { document, nodes }: Pick<ShownPage, "document" | "nodes">,
  places: ReadonlySet<number>,
): number[] {
  let list = untouchables.get(places);
  if (!list) {
    list = [...places].filter((index) => {
      const node = nodes[index];
      return node && document.defaultView?.getComputedStyle(node).pointerEvents === "none";
    });
    untouchables.set(places, list);
  }
  return list;
}

/** Whether a point of the window lies on the lines of an element's own text. */
function isOnText(document: Document, node: Element, x: number, y: number): boolean {
  const range = document.createRange();
  return [...node.childNodes].some((child) => {
    if (child.nodeType !== 3) return false;
    range.selectNodeContents(child);
    return [...range.getClientRects()].some(
      ({ left, right, top, bottom }) => x >= left && x <= right && y >= top && y <= bottom,
    );
  });
}

/** More than this many characters of one text are not measured. */
const mostCharacters = 5000;

export interface Lines {
  lines: number;
  /** Characters of the longest line, blanks at its end left out. */
  longest: number;
  /** Characters of a usual line: the mean of all but the last. */
  usual: number;
  /** Usual width of a character. */
  character: number;
  /** Where the longest line starts. */
  left: number;
}

/** How a text breaks into lines; null when it is not shown. */
export function linesOf(page: ShownPage, index: number): Lines | null {
  const { document, nodes } = page;
  const node = nodes[index];
  if (!node || !boxOf(page, index)) return null;
  const walker = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
  const range = document.createRange();
  let lineTop: number | null = null;
  let lines = 0;
  let count = 0;
  let longest = 0;
  let full = 0;
  let read = 0;
  let blank = true;
  let lineLeft = 0;
  let left = 0;
  let width = 0;
  for (let text = walker.nextNode() as Text | null; text; text = walker.nextNode() as Text | null) {
    for (let at = 0; at < text.data.length && read < mostCharacters; at += 1, read += 1) {
      const isBlank = /\s/.test(text.data[at]!);
      if (isBlank && blank) continue;
      range.setStart(text, at);
      range.setEnd(text, at + 1);
      const rect = range.getClientRects()[0];
      blank = isBlank;
      if (!rect || rect.width === 0) continue;
      const middle = rect.top + rect.height / 2;
      if (lineTop === null || Math.abs(middle - lineTop) > rect.height * 0.6) {
        lines += 1;
        if (lines > 1) full += count;
        count = 0;
        lineTop = middle;
        lineLeft = rect.left;
      }
      count += 1;
      if (!isBlank && count > longest) {
        longest = count;
        left = lineLeft;
        width = rect.right - lineLeft;
      }
    }
  }
  return lines
    ? { lines, longest, usual: lines > 1 ? Math.round(full / (lines - 1)) : longest, character: width / longest, left }
    : null;
}

/** Characters of a text's longest line, blanks at its ends left out; null when it is not shown. */
export function longestLineOf({ document, nodes }: ShownPage, index: number): number | null {
  const node = nodes[index];
  if (!node) return null;
  const walker = document.createTreeWalker(node, NodeFilter.SHOW_TEXT);
  const range = document.createRange();
  let longest: number | null = null;
  let words = "";
  let last: { middle: number; height: number } | null = null;
  const end = () => {
    if (last) longest = Math.max(longest ?? 0, words.replace(/\s+/g, " ").trim().length);
    words = "";
  };
  for (let text = walker.nextNode() as Text | null; text; text = walker.nextNode() as Text | null) {
    const length = Math.min(text.data.length, mostCharacters);
    for (let start = 0; start < length;) {
      const stop = lineEnd(range, text, start, length);
      const rect = visibleRects(range, text, start, stop)[0];
      if (rect) {
        const middle = rect.top + rect.height / 2;
        if (last && Math.abs(middle - last.middle) > Math.max(rect.height, last.height) * 0.6) end();
        last = { middle, height: rect.height };
      }
      words += text.data.slice(start, stop);
      start = stop;
    }
  }
  end();
  return longest;
}

/** The end of the line that a character of a text node stands in: halved until it is found. */
function lineEnd(range: Range, text: Text, start: number, length: number): number {
  const isOneLine = (stop: number) => {
    const rects = visibleRects(range, text, start, stop);
    return rects.every(({ top, height }) => Math.abs(top - rects[0]!.top) <= height * 0.6);
  };
  if (isOneLine(length)) return length;
  let [fits, breaks] = [start + 1, length];
  while (breaks - fits > 1) {
    const middle = (fits + breaks) >> 1;
    if (isOneLine(middle)) fits = middle;
    else breaks = middle;
  }
  return fits;
}

function visibleRects(range: Range, text: Text, start: number, stop: number): DOMRect[] {
  range.setStart(text, start);
  range.setEnd(text, stop);
  return [...range.getClientRects()].filter(({ width }) => width > 0);
}

/** Sizes of the content boxes of all query containers, by element index. */
export function containerSizes({ document, nodes }: ShownPage): Record<number, { width: number; height: number }> {
  const view = document.defaultView!;
  const sizes: Record<number, { width: number; height: number }> = {};
  nodes.forEach((node, index) => {
    const style = view.getComputedStyle(node);
    if (style.containerType === "normal" || sizeless.test(style.display)) return;
    const px = (...values: string[]) => values.reduce((sum, value) => sum + (Number.parseFloat(value) || 0), 0);
    const around = style.boxSizing === "border-box";
    sizes[index] = {
      width:
        px(style.width) -
        (around ? px(style.paddingLeft, style.paddingRight, style.borderLeftWidth, style.borderRightWidth) : 0),
      height:
        px(style.height) -
        (around ? px(style.paddingTop, style.paddingBottom, style.borderTopWidth, style.borderBottomWidth) : 0),
    };
  });
  return sizes;
}

/** Works with an element that no rule of the page reaches, and takes it off again. `measure` sets its font and more, and tells what came out. */
function withProbe<Result>(
  document: Document,
  work: (measure: (font: string, declarations: string) => CSSStyleDeclaration) => Result,
): Result {
  const probe = document.createElement("div");
  document.documentElement.append(probe);
  try {
    return work((font, declarations) => {
      probe.style.cssText = `all: initial; position: absolute; font: ${font}; ${declarations}`;
      return document.defaultView!.getComputedStyle(probe);
    });
  } finally {
    probe.remove();
  }
}

/** X-height of the font an element's text is set in, to its size. */
export function xHeightOf(page: ShownPage, index: number): number | null {
  return unitOf(page, index, "ex");
}

/** How wide a zero of the font in use is, CSS px (CSS Values 4, 6.1.1); null where the text is not shown. */
export function zeroWidthOf(page: ShownPage, index: number): number | null {
  const node = page.nodes[index];
  const ratio = unitOf(page, index, "ch");
  return ratio === null ? null : ratio * Number.parseFloat(page.document.defaultView!.getComputedStyle(node!).fontSize);
}

/** What a unit of the font in use comes to, as part of its size. */
function unitOf({ document, nodes }: ShownPage, index: number, unit: "ex" | "ch"): number | null {
  const node = nodes[index];
  const view = document.defaultView;
  if (!node || !view) return null;
  const { fontFamily, fontWeight, fontStyle } = view.getComputedStyle(node);
  const ratio = withProbe(
    document,
    (measure) =>
      Number.parseFloat(measure(`${fontStyle} ${fontWeight} 1000px ${fontFamily}`, `width: 1${unit}`).width) / 1000,
  );
  return Number.isFinite(ratio) ? ratio : null;
}

/** What the font-relative units come to in every font that text of the page is set in, by the core's `fontKey`. */
export function fontMeasures({ document, nodes }: ShownPage): Record<string, FontMeasure> {
  const view = document.defaultView!;
  const fonts = new Map<string, readonly [font: string, size: number]>();
  // Units on the root itself follow the font that is set without any style.
  const bare = document.createElement("div");
  bare.style.all = "initial";
  document.documentElement.append(bare);
  for (const node of [document.documentElement, bare, ...nodes]) {
    if (!node) continue;
    const { fontFamily, fontSize, fontWeight, fontStyle, fontStretch } = view.getComputedStyle(node);
    const size = Number.parseFloat(fontSize) * zoomOf(node);
    const key = fontKeyOf(fontFamily, size, Number(fontWeight), fontStyle !== "normal", fontStretch);
    fonts.set(key, [`${fontStyle} ${fontWeight} ${size}px ${fontFamily}; font-stretch: ${fontStretch}`, size]);
  }
  bare.remove();
  const measured = measureFontUnits([...fonts.values()], document);
  return Object.fromEntries(
    [...fonts.keys()].flatMap((key, at) => {
      const [ex, ch, cap, ic, line] = measured[at]!;
      return ex > 0 ? [[key, { ex, ch, cap, ic, line }] as const] : [];
    }),
  );
}

/** How much larger than its styles say an element is shown; 1 where the browser does not tell (CSSOM View, Element). */
function zoomOf(node: Element): number {
  return (node as Element & { currentCSSZoom?: number }).currentCSSZoom ?? 1;
}

/** Scrolls what lies under a point, as a wheel over the page would. */
export function scrollAt({ document }: ShownPage, x: number, y: number, dx: number, dy: number): void {
  const view = document.defaultView!;
  for (
    let node = document.elementFromPoint(x, y);
    node && node !== document.documentElement && node !== document.body;
    node = node.parentElement
  ) {
    const { overflowY } = view.getComputedStyle(node);
    if ((overflowY === "auto" || overflowY === "scroll") && node.scrollHeight > node.clientHeight) {
      const before = node.scrollTop;
      node.scrollBy(dx, dy);
      if (node.scrollTop !== before) return;
    }
  }
  view.scrollBy(dx, dy);
}
