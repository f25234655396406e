/** Where a picture of a page and the screen may part: nothing is certain there. */
import { append } from "@/core";

/** In CSS px of the page. */
interface Edges {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

export interface Zone extends Edges {
  words: string;
}

export interface Partings {
  /** Why what a picture shows of an element's text may not be what the screen shows, by index, in plain words. */
  doubts: ReadonlyMap<number, string>;
  /** Boxes of the page in which a picture may show something else than the screen. */
  zones: readonly Zone[];
}

/** Finds where they may part, told of one element after the other in the order of the document. */
export class PartingsFinder implements Partings {
  readonly doubts = new Map<number, string>();
  readonly zones: Zone[] = [];
  private readonly indexOf = new Map<Element, number>();
  private readonly filtered = new Set<Element>();
  private readonly blended = new Set<Element>();

  /**
   * @param styles of all elements by index
   * @param blends whether anything on the page is blended with what lies under it
   * @param ground the element that fills the canvas, unless the page scrolls over what stays in its place
   */
  constructor(
    private readonly view: Window,
    private readonly styles: readonly CSSStyleDeclaration[],
    private readonly blends: boolean,
    private readonly ground: Element | null,
  ) {}

  look(node: Element, index: number): void {
    const { view, zones } = this;
    const style = this.styles[index]!;
    const around = node.parentElement;
    this.indexOf.set(node, index);
    const isFiltered = style.filter !== "none" || (around !== null && this.filtered.has(around));
    const isBlended = style.mixBlendMode !== "normal" || (around !== null && this.blended.has(around));
    if (isFiltered) this.filtered.add(node);
    if (isBlended) this.blended.add(node);
    const isBent = isTurned(style);
    const outside = around ? (this.indexOf.get(around) ?? -1) : -1;
    const doubt =
      this.doubts.get(outside) ?? (isBent ? turnedWords : null) ?? blendedWords(style, this.styles[outside], isBlended);
    if (doubt) this.doubts.set(index, doubt);
    if (isBent) zones.push({ ...paintedEdges(node, view), words: edgesWords });
    if (isMasked(style) && style.display === "inline")
      for (const one of [node, ...node.getElementsByTagName("*")])
        zones.push({ ...paintedEdges(one, view), words: maskedWords });
    const overlaid = overlaidWords(style, isFiltered, this.blends);
    const words = overlaid ?? standingWords(style, node !== this.ground);
    if (words) zones.push({ ...edgesOf(node, view), words });
    if (backdropOf(style) !== "none") append(zones, standingOut(node, view, overlaid));
  }
}

function edgesOf(node: Element, view: Window): Edges {
  const { left, top, right, bottom } = node.getBoundingClientRect();
  const [x, y] = [view.scrollX, view.scrollY];
  return { left: left + x, top: top + y, right: right + x, bottom: bottom + y };
}

/**
 * Where pictures filter more or less than the screen does of what lies under a box: all around what is painted in it where
 * that stands out of it, and around a box in several pieces.
 */
function standingOut(node: Element, view: Window, overlaid: string | null): Zone[] {
  const words = overlaid ?? backdropWords;
  const painted = [...node.getElementsByTagName("*")]
    .filter((inner) => view.getComputedStyle(inner).visibility === "visible")
    .map((inner) => paintedEdges(inner, view))
    .filter(({ left, top, right, bottom }) => right > left && bottom > top);
  const box = edgesOf(node, view);
  const all = aroundAll([paintedEdges(node, view), ...painted], overlaid ? paintedBeyond(node, view) : 0);
  const isInPieces = view.getComputedStyle(node).display === "inline";
  const pieces = isInPieces && node.parentElement ? [paintedEdges(node.parentElement, view)] : [];
  return [...(overlaid ? [all] : beside(box, all)), ...pieces].map((edges) => ({ ...edges, words }));
}

/** What lies around a box within another that holds it, by more than a rounding. */
function beside(box: Edges, around: Edges): Edges[] {
  return [
    { ...around, bottom: box.top - 1 },
    { ...around, top: box.bottom + 1 },
    { ...around, right: box.left - 1 },
    { ...around, left: box.right + 1 },
  ].filter(({ left, top, right, bottom }) => right > left && bottom > top);
}

/** Around several boxes, and so much beyond. */
function aroundAll(boxes: readonly Edges[], beyond: number): Edges {
  return {
    left: Math.min(...boxes.map(({ left }) => left)) - beyond,
    top: Math.min(...boxes.map(({ top }) => top)) - beyond,
    right: Math.max(...boxes.map(({ right }) => right)) + beyond,
    bottom: Math.max(...boxes.map(({ bottom }) => bottom)) + beyond,
  };
}

/** A box with its shadows and outline, at the most. */
function paintedEdges(node: Element, view: Window): Edges {
  return aroundAll([edgesOf(node, view)], paintedBeyond(node, view));
}

/** How far shadows and outlines reach beyond a box at the most, CSS px. */
function paintedBeyond(node: Element, view: Window): number {
  const { boxShadow, outlineWidth, outlineOffset, outlineStyle } = view.getComputedStyle(node);
  const lengths = boxShadow === "none" ? [] : (boxShadow.match(/-?[\d.]+px/g) ?? []);
  const outline = outlineStyle === "none" ? [] : [outlineWidth, outlineOffset];
  return [...lengths, ...outline].reduce((sum, length) => sum + Math.abs(Number.parseFloat(length)), 0);
}

/** A background that is placed by the window, not by its box (CSS Backgrounds 3, 2.5). */
function standingWords({ backgroundAttachment, backgroundImage }: CSSStyleDeclaration, moves: boolean): string | null {
  return moves && backgroundImage !== "none" && backgroundAttachment.includes("fixed")
    ? "A background lies there that stays in its place while the page scrolls over it."
    : null;
}

export const backdropOf = (style: CSSStyleDeclaration) =>
  (style as { backdropFilter?: string }).backdropFilter ?? "none";

/** Effects that pictures lay upon each other otherwise than the screen does; null where there are none. */
function overlaidWords(style: CSSStyleDeclaration, filtered: boolean, blends: boolean): string | null {
  const masked = isMasked(style);
  const behind = backdropOf(style);
  if (behind !== "none" && (Number(style.opacity) < 1 || masked || blends || filtered))
    return "Filters of what lies under it and blends are laid upon each other.";
  if (masked && filtered) return "A mask and a filter are laid upon each other.";
  return null;
}

const isMasked = (style: CSSStyleDeclaration) => (style.maskImage ?? "none") !== "none";

/** Blends of several kinds in one another, whose colours come out a little otherwise in pictures. */
function blendedWords(
  { mixBlendMode, opacity, backgroundBlendMode, backgroundImage }: CSSStyleDeclaration,
  around: CSSStyleDeclaration | undefined,
  inBlend: boolean,
): string | null {
  if (mixBlendMode !== "normal" && (Number(opacity) < 1 || Number(around?.opacity ?? 1) < 1))
    return "It is blended, and faded, with what lies under it.";
  return inBlend &&
    backgroundImage !== "none" &&
    backgroundBlendMode.split(",").some((mode) => mode.trim() !== "normal")
    ? "Layers of its background are blended, and it is blended with what lies under it."
    : null;
}

const edgesWords = "The edge of something turned may run there.";
const maskedWords = "A mask upon lines of text lies there.";
const backdropWords = "A box beside or around it filters what lies under it, and may reach as far as here.";
const turnedWords = "It is turned: where its lines run is known only roughly.";

function isTurned({ transform, rotate, offsetPath }: CSSStyleDeclaration): boolean {
  if ((rotate ?? "none") !== "none" || (offsetPath ?? "none") !== "none" || transform.startsWith("matrix3d"))
    return true;
  const [, b, c] = transform
    .replace(/^matrix\(|\)$/g, "")
    .split(",")
    .map(Number);
  return Math.abs(b ?? 0) > 1e-4 || Math.abs(c ?? 0) > 1e-4;
}
