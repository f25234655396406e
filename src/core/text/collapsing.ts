/** Margins that meet and are one: which of them counts, and which is swallowed (CSS 2.2, 8.3.1). */
import { isText, type ElementNode } from "../source/html/document";
import { computedValue, valueOf, type Style } from "../cascade/style";
import { generatedStyler, type StyledPage } from "../cascade/styles";
import { isRendered } from "./textStyles";

export type MarginSide = "top" | "bottom";

export interface MeetingMargin {
  index: number;
  tag: string;
  side: MarginSide;
  /** Computed, CSS px. */
  px: number;
  /** What becomes of it: the largest counts, the least of those below nothing is taken off, the others are swallowed. */
  part: "counts" | "taken off" | "swallowed";
}

export interface MeetingMargins {
  /** All that meet there, in the order of the page; the one that was asked for among them. */
  margins: MeetingMargin[];
  /** What they come to together: the largest, and the least of those below nothing added (CSS px). */
  px: number;
}

/** Something that the styles alone do not tell: percentages, clearance, blocks in lines. */
class Untold extends Error {}

/**
 * The margins that meet with one of an element; null where it meets none, has none, or that cannot be told from styles.
 */
export function meetingMargins(page: StyledPage, index: number, side: MarginSide): MeetingMargins | null {
  const style = page.styles[index];
  if (!style || page.document.mode === "quirks") return null;
  try {
    const boxes = new Boxes(page);
    if (!boxes.takesPart(style)) return null;
    const found = boxes.meeting(style, side);
    const met = found
      .map(([one, at]) => ({ index: one.element.index, tag: one.element.tag, side: at, px: marginOf(one, at) }))
      .sort((a, b) => a.index - b.index);
    const amounts = met.map(({ px }) => px);
    const [most, least] = [Math.max(0, ...amounts), Math.min(0, ...amounts)];
    const counting = met.find(({ px }) => px > 0 && px === most);
    const taken = met.find(({ px }) => px < 0 && px === least);
    const partOf = (one: (typeof met)[number]) => {
      if (one === counting) return "counts";
      return one === taken ? "taken off" : "swallowed";
    };
    return { margins: met.map((one) => ({ ...one, part: partOf(one) })), px: most + least };
  } catch (error) {
    if (error instanceof Untold) return null;
    throw error;
  }
}

type Margin = readonly [style: Style, side: MarginSide];

const replaced = new Set([
  "img",
  "video",
  "canvas",
  "iframe",
  "embed",
  "object",
  "audio",
  "input",
  "textarea",
  "select",
  "button",
  "meter",
  "progress",
  "svg",
  "math",
  "br",
  "hr",
]);

/** What stands in a block in its order: lines of text, or blocks. */
type Part = "line" | Style;

/** How the boxes of a page stand in each other. */
class Boxes {
  private readonly styler: ReturnType<typeof generatedStyler>;
  private readonly parts = new Map<Style, Part[]>();

  constructor(private readonly page: StyledPage) {
    this.styler = generatedStyler(page);
  }

  /** Whether a box is a block among blocks, whose margins may meet others. */
  takesPart(style: Style): boolean {
    const { parent } = style;
    if (!parent || !isBlock(style) || !isInFlow(style) || !isRendered(style)) return false;
    return holdsBlocks(parent);
  }

  meeting(style: Style, side: MarginSide): Margin[] {
    const found: Margin[] = [[style, side]];
    for (const [one, at] of found)
      for (const next of this.beside(one, at))
        if (!found.some(([known, where]) => known === next[0] && where === next[1])) found.push(next);
    return found;
  }

  /** Margins that a margin touches, with nothing between. */
  private beside(style: Style, side: MarginSide): Margin[] {
    const list: Margin[] = [];
    const { parent } = style;
    if (parent && this.takesPart(style)) {
      const around = this.partsOf(parent);
      const at = around.indexOf(style);
      // A marker that stands higher than the first line pushes down what that line is in.
      if (side === "top" && hasMarker(parent) && !around.slice(0, at).some((part) => this.hasLineIn(part)))
        throw new Untold();
      const next = around[side === "top" ? at - 1 : at + 1];
      if (next === undefined) {
        if (this.isOpen(parent, side)) list.push([parent, side]);
      } else if (next !== "line") {
        const below = side === "top" ? style : next;
        if (computedValue(below, "clear") !== "none") throw new Untold();
        list.push([next, side === "top" ? "bottom" : "top"]);
      }
    }
    const inside = this.partsOf(style);
    const child = side === "top" ? inside[0] : inside.at(-1);
    if (child && child !== "line" && this.isOpen(style, side)) {
      if (computedValue(child, "clear") !== "none") throw new Untold();
      list.push([child, side]);
    }
    if (this.isThrough(style)) list.push([style, side === "top" ? "bottom" : "top"]);
    return list;
  }

  /** Whether nothing of a box keeps the margins of what is in it from its own. */
  private isOpen(style: Style, side: MarginSide): boolean {
    if (!isPlainBlock(style) || this.isRoot(style) || hasEdge(style, side)) return false;
    if (side === "top") {
      if (hasMarker(style) && this.partsOf(style)[0] !== "line") throw new Untold();
      return true;
    }
    if (computedValue(style, "height") !== "auto") return false;
    // Whether it is as low as it may be, only the layout tells.
    if (hasLeast(style)) throw new Untold();
    return true;
  }

  /** Whether a box is nothing but its margins. */
  private isThrough(style: Style): boolean {
    if (!isPlainBlock(style) || this.isRoot(style) || replaced.has(style.element.tag)) return false;
    if (hasEdge(style, "top") || hasEdge(style, "bottom") || hasLeast(style)) return false;
    const height = computedValue(style, "height");
    if (height !== "auto" && height !== "0px") {
      if (height.includes("%")) throw new Untold();
      return false;
    }
    return this.partsOf(style).every((part) => part !== "line" && this.isThrough(part));
  }

  /** Whether a box keeps to itself what is in it (CSS Display 3, "block formatting context"). */
  private isRoot(style: Style): boolean {
    const { parent, element } = style;
    if (!parent || element.tag === "fieldset") return true;
    if (!holdsBlocks(parent)) {
      // A table makes a cell around what is none.
      if (/table/.test(computedValue(parent, "display"))) throw new Untold();
      return true;
    }
    if (computedValue(style, "float") !== "none" || !isInFlow(style)) return true;
    if (computedValue(style, "container-type") !== "normal") return true;
    if (computedValue(style, "writing-mode") !== computedValue(parent, "writing-mode")) return true;
    const scrolls = (one: Style) =>
      ["overflow-x", "overflow-y"].some((name) => !["visible", "clip"].includes(computedValue(one, name)));
    // What the body says of overflow goes to the window, where the root says nothing (CSS Overflow 3, 3.3).
    return scrolls(style) && !(element.tag === "body" && !scrolls(parent));
  }

  private partsOf(style: Style): Part[] {
    let parts = this.parts.get(style);
    if (!parts) {
      parts = [];
      this.parts.set(style, parts);
      if (replaced.has(style.element.tag)) parts.push("line");
      else {
        this.generated("before", style, parts);
        this.collect(style.element, style, parts);
        this.generated("after", style, parts);
      }
      // Without a line to stand in a marker makes one of its own, somewhere.
      if (hasMarker(style) && !this.hasLineIn(style)) throw new Untold();
    }
    return parts;
  }

  private hasLineIn(part: Part): boolean {
    return part === "line" || this.partsOf(part).some((inner) => this.hasLineIn(inner));
  }

  private generated(name: "before" | "after", origin: Style, parts: Part[]): void {
    const style = this.styler(name, origin);
    const content = style && valueOf(style, "content");
    if (!style || !content || computedValue(style, "display") === "none" || !isInFlow(style)) return;
    if (computedValue(style, "float") !== "none") return;
    if (isBlock(style) || computedValue(style, "display") !== "inline") throw new Untold();
    if (content.some((part) => part.type !== "string" || part.value !== "")) addLine(parts);
  }

  private collect(element: ElementNode, holder: Style, parts: Part[]): void {
    const keeps = computedValue(holder, "white-space-collapse") !== "collapse";
    for (const node of element.content) {
      if (isText(node)) {
        if (keeps ? node.text !== "" : node.text.trim() !== "") addLine(parts);
        continue;
      }
      const style = this.page.styles[node.index]!;
      const display = computedValue(style, "display");
      if (display === "none" || !isInFlow(style) || computedValue(style, "float") !== "none") continue;
      if (display === "contents") throw new Untold();
      if (isBlock(style)) {
        if (holder.element !== element) throw new Untold();
        parts.push(style);
      } else this.inLine(node, style, display, parts);
    }
  }

  private inLine(node: ElementNode, style: Style, display: string, parts: Part[]): void {
    if (display !== "inline" || replaced.has(node.tag)) return addLine(parts);
    if (node.tag === "wbr") return;
    const before = parts.length;
    const own: Part[] = [];
    this.generated("before", style, own);
    this.collect(node, style, own);
    this.generated("after", style, own);
    if (own.some((part) => part !== "line")) throw new Untold();
    if (own.length > 0) addLine(parts);
    else if (["left", "right"].some((side) => hasRoom(style, side)) && parts.length === before) throw new Untold();
  }
}

function addLine(parts: Part[]): void {
  if (parts.at(-1) !== "line") parts.push("line");
}

const hasMarker = (style: Style) =>
  computedValue(style, "display") === "list-item" &&
  ["list-style-type", "list-style-image"].some((name) => computedValue(style, name) !== "none");

const isInFlow = (style: Style) => !["absolute", "fixed"].includes(computedValue(style, "position"));

function isBlock(style: Style): boolean {
  if (computedValue(style, "float") !== "none") return false;
  return /^(?:block|list-item|table|flex|grid|flow-root|grid-lanes|-webkit-box)(?: |$)/.test(
    computedValue(style, "display"),
  );
}

const isPlainBlock = (style: Style) => ["block", "list-item"].includes(computedValue(style, "display"));

/** Whether what is in a box stands one below the other as blocks do. */
const holdsBlocks = (style: Style) =>
  /^(?:block|list-item|flow-root|inline-block|table-cell|table-caption)$/.test(computedValue(style, "display"));

/** Whether an edge or a padding lies between a box's margin and what is in it. */
function hasEdge(style: Style, side: MarginSide): boolean {
  return (
    lengthOf(computedValue(style, `padding-${side}`)) > 0 || lengthOf(computedValue(style, `border-${side}-width`)) > 0
  );
}

const hasRoom = (style: Style, side: string) =>
  [`padding-${side}`, `border-${side}-width`, `margin-${side}`].some(
    (name) => !/^(?:0px|auto)$/.test(computedValue(style, name)),
  );

function hasLeast(style: Style): boolean {
  const least = computedValue(style, "min-height");
  if (least === "auto" || least === "0px") return false;
  if (!/^[\d.]+px$/.test(least)) throw new Untold();
  return true;
}

function lengthOf(text: string): number {
  if (!/^-?[\d.]+(?:e-?\d+)?px$/.test(text)) throw new Untold();
  return Number.parseFloat(text);
}

/** An automatic margin above or below is none (CSS 2.2, 10.6.3). */
function marginOf(style: Style, side: MarginSide): number {
  const text = computedValue(style, `margin-${side}`);
  return text === "auto" ? 0 : lengthOf(text);
}
