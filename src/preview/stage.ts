/** What a picture of the page has to be told of the page as it is laid out. */
import type { PictureStage } from "@/core";
import { isClear } from "./clear";
import type { ShownPage } from "./frame";

const unpainted = new Set(["video", "audio", "iframe", "object", "embed", "canvas", "frame"]);
const backgroundProperties = [
  "background-color",
  "background-image",
  "background-position",
  "background-size",
  "background-repeat",
  "background-blend-mode",
] as const;
const rootProperties = ["font-size", "font-family", "font-weight", "font-style", "line-height"] as const;

export interface ReadStage {
  stage: PictureStage;
  /** Why what a picture shows of an element's text may not be what the screen shows, by index, in plain words. */
  doubts: ReadonlyMap<number, string>;
  /** Boxes of the page in which a picture may show something else than the screen. */
  zones: readonly Zone[];
  /** Why a picture may be laid out otherwise than the screen, in plain words; null where it is not. */
  apart: string | null;
}

/** In CSS px of the page. */
export interface Zone {
  left: number;
  top: number;
  right: number;
  bottom: number;
  words: string;
}

export function readStage({ document, nodes }: ShownPage): ReadStage {
  const view = document.defaultView!;
  const root = document.documentElement;
  const body = document.body as HTMLElement | null;
  const indexOf = new Map(nodes.map((node, index) => [node, index]));
  const rootStyle = view.getComputedStyle(root);
  const bodyStyle = body && view.getComputedStyle(body);
  const shows = (style: CSSStyleDeclaration) => !isClear(style.backgroundColor) || style.backgroundImage !== "none";
  const hands = (style: CSSStyleDeclaration) => style.display !== "none" && style.display !== "contents";
  const owner = shows(rootStyle)
    ? root
    : body && bodyStyle && shows(bodyStyle) && hands(bodyStyle) && !contains(rootStyle) && !contains(bodyStyle)
      ? body
      : null;
  const width = Math.max(root.scrollWidth, body?.scrollWidth ?? 0, view.innerWidth);
  const height = Math.max(root.scrollHeight, body?.scrollHeight ?? 0, view.innerHeight);
  const scrolls = height > view.innerHeight + 1;
  const fixed: number[] = [];
  const cutOut: number[] = [];
  const sticking: number[] = [];
  const unknown: number[] = [];
  const doubts = new Map<number, string>();
  const zones: Zone[] = [];
  const filtered = new Set<Element>();
  const styles = nodes.map((node) => view.getComputedStyle(node));
  const blends = styles.some(({ mixBlendMode }) => mixBlendMode !== "normal");
  nodes.forEach((node, index) => {
    const style = styles[index]!;
    const around = node.parentElement;
    if (style.filter !== "none" || (around && filtered.has(around))) filtered.add(node);
    const turned = (around && doubts.get(indexOf.get(around) ?? -1)) ?? (isTurned(style) ? turnedWords : null);
    if (turned) doubts.set(index, turned);
    const overlaid = overlaidWords(style, filtered.has(node), blends);
    const words = overlaid ?? standingWords(style, node !== owner || scrolls);
    if (words) zones.push({ ...edgesOf(node, view), words });
    if (backdropOf(style) !== "none") zones.push(...standingOut(node, view, overlaid));
    if (scrolls && style.position === "fixed") fixed.push(index);
    if (style.position === "sticky") sticking.push(index);
    if (style.backgroundClip.includes("text")) cutOut.push(index);
    if (unpainted.has(node.localName) || (node.localName === "img" && !isLoaded(node as HTMLImageElement)))
      unknown.push(index);
  });
  const moving = document.getAnimations().flatMap((animation) => {
    const { effect } = animation;
    const target = effect instanceof view.KeyframeEffect ? effect.target : null;
    const ends = effect?.getComputedTiming().endTime !== Infinity;
    return target && !ends ? [indexOf.get(target) ?? -1] : [];
  });
  // What is blended with a canvas that is see-through comes out in ways of its own.
  if (blends && owner && isSeeThrough(view.getComputedStyle(owner).backgroundColor))
    nodes.forEach((_, index) => doubts.set(index, "It is blended with a page that is see-through."));
  const stage: PictureStage = {
    width,
    height,
    room: root.clientWidth || view.innerWidth,
    bars: takesRoom(document),
    window: { width: view.innerWidth, height: view.innerHeight },
    paper: paperOf(document),
    backed: !blends && styles.some((style) => backdropOf(style) !== "none"),
    canvas: owner ? canvasOf(owner, indexOf.get(owner)!, root, view) : null,
    root: rootProperties.map((name) => `${name}:${rootStyle.getPropertyValue(name)}`).join(";"),
    spilling: [
      root,
      ...(body && rootStyle.overflowX === "visible" && rootStyle.overflowY === "visible" ? [body] : []),
    ].map((node) => indexOf.get(node)!),
    moving: [...new Set(moving)].filter((index) => index >= 0),
    fixed,
    sticky: atRest(sticking, nodes, view),
    cutOut,
    unknown,
    remote: [...document.querySelectorAll("style, [style]")].some(
      (node) => node.textContent.includes('url("")') || node.getAttribute("style")?.includes('url("")'),
    ),
  };
  const apart = document.compatMode === "BackCompat" ? quirksWords : null;
  return { stage, doubts, zones, apart };
}

const isSeeThrough = (color: string) => /^rgba\(|\/\s*0?\.\d/.test(color) && !isClear(color);

function edgesOf(node: Element, view: Window): Omit<Zone, "words"> {
  const { left, top, right, bottom } = node.getBoundingClientRect();
  const [x, y] = [view.scrollX, view.scrollY];
  return { left: left + x, top: top + y, right: right + x, bottom: bottom + y };
}

/**
 * Where pictures filter more or less than the screen does of what lies under a box: where what is in it stands out of it,
 * and around a box in several pieces.
 */
function standingOut(node: Element, view: Window, overlaid: string | null): Zone[] {
  const words = overlaid ?? backdropWords;
  const box = edgesOf(node, view);
  const all = [...node.getElementsByTagName("*")].map((inner) => paintedEdges(inner, view));
  const out = all.filter(
    ({ left, top, right, bottom }) =>
      right > left &&
      bottom > top &&
      (left < box.left - 1 || top < box.top - 1 || right > box.right + 1 || bottom > box.bottom + 1),
  );
  if (overlaid) out.push(paintedEdges(node, view));
  const isInPieces = view.getComputedStyle(node).display === "inline";
  if (isInPieces && node.parentElement) out.push(paintedEdges(node.parentElement, view));
  return out.map((edges) => ({ ...edges, words }));
}

/** A box with its shadows and outline, at the most. */
function paintedEdges(node: Element, view: Window): Omit<Zone, "words"> {
  const { boxShadow, outlineWidth, outlineOffset, outlineStyle } = view.getComputedStyle(node);
  const lengths = boxShadow === "none" ? [] : (boxShadow.match(/-?[\d.]+px/g) ?? []);
  const outline = outlineStyle === "none" ? [] : [outlineWidth, outlineOffset];
  const most = [...lengths, ...outline].reduce((sum, length) => sum + Math.abs(Number.parseFloat(length)), 0);
  const { left, top, right, bottom } = edgesOf(node, view);
  return { left: left - most, top: top - most, right: right + most, bottom: bottom + most };
}

/** A background that is placed by the window, not by its box (CSS Backgrounds 3, 2.5). */
function standingWords({ backgroundAttachment, backgroundImage }: CSSStyleDeclaration, moves: boolean): string | null {
  return moves && backgroundImage !== "none" && backgroundAttachment.includes("fixed")
    ? "A background lies there that stays in its place while the page scrolls over it."
    : null;
}

const backdropOf = (style: CSSStyleDeclaration) => (style as { backdropFilter?: string }).backdropFilter ?? "none";

/** Effects that pictures lay upon each other otherwise than the screen does; null where there are none. */
function overlaidWords(style: CSSStyleDeclaration, filtered: boolean, blends: boolean): string | null {
  const masked = (style.maskImage ?? "none") !== "none";
  const behind = backdropOf(style);
  if (behind !== "none" && (Number(style.opacity) < 1 || masked || blends || filtered))
    return "Filters of what lies under it and blends are laid upon each other.";
  if (masked && filtered) return "A mask and a filter are laid upon each other.";
  return null;
}

const backdropWords = "It stands out of a box that filters what lies under it.";
const quirksWords = "The page is in quirks mode: its lines may stand elsewhere than they were painted.";
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

/** Whether scroll bars take room in this browser. */
function takesRoom(document: Document): boolean {
  const probe = document.createElement("div");
  probe.style.cssText =
    "all: initial; position: absolute; overflow: scroll; width: 50px; height: 50px; visibility: hidden";
  document.documentElement.append(probe);
  const { clientWidth } = probe;
  probe.remove();
  return clientWidth < 50;
}

/** Where sticking elements stand while nothing is scrolled, as shifts from where the flow puts them (CSS Position 3, 6.3). */
function atRest(sticking: readonly number[], nodes: readonly Element[], view: Window): PictureStage["sticky"] {
  if (sticking.length === 0) return [];
  const { scrollX: left, scrollY: top } = view;
  view.scrollTo({ left: 0, top: 0, behavior: "instant" });
  const shifts = sticking.map((index) => {
    const node = nodes[index] as HTMLElement;
    const { style } = node;
    const before = style.cssText;
    const stuck = node.getBoundingClientRect();
    style.setProperty("position", "relative", "important");
    style.setProperty("inset", "auto", "important");
    const own = node.getBoundingClientRect();
    style.cssText = before;
    const shift = `top:${stuck.top - own.top}px!important;left:${stuck.left - own.left}px!important`;
    return [index, `position:relative!important;inset:auto!important;${shift}`] as const;
  });
  view.scrollTo({ left, top, behavior: "instant" });
  return shifts;
}

/** Contained elements hand nothing to the canvas (CSS Contain 2, 3). */
const contains = (style: CSSStyleDeclaration) =>
  style.contain !== "none" || (style.containerType ?? "normal") !== "normal" || style.contentVisibility === "hidden";

function isLoaded(image: HTMLImageElement): boolean {
  return image.hasAttribute("src") && image.complete && image.naturalWidth > 0;
}

function canvasOf(owner: Element, index: number, root: Element, view: Window): PictureStage["canvas"] {
  const style = view.getComputedStyle(owner);
  const rootStyle = view.getComputedStyle(root);
  const { left, top, width, height } = root.getBoundingClientRect();
  const px = (value: string) => Number.parseFloat(value) || 0;
  const edge = style.backgroundOrigin.split(",")[0]!.trim();
  const inset = (side: "Left" | "Right" | "Top" | "Bottom") =>
    (edge === "border-box" ? 0 : px(rootStyle[`border${side}Width`])) +
    (edge === "content-box" ? px(rootStyle[`padding${side}`]) : 0);
  const still = style.backgroundAttachment.split(",").every((one) => one.trim() === "fixed");
  const box = still
    ? { left: 0, top: 0, width: root.clientWidth, height: view.innerHeight }
    : {
        left: left + view.scrollX + inset("Left"),
        top: top + view.scrollY + inset("Top"),
        width: width - inset("Left") - inset("Right"),
        height: height - inset("Top") - inset("Bottom"),
      };
  return {
    index,
    declarations: backgroundProperties.map((name) => `${name}:${style.getPropertyValue(name)}`).join(";"),
    box,
  };
}

/** The canvas before anything is painted on it. */
function paperOf(document: Document): string {
  const probe = document.createElement("div");
  probe.style.cssText = "all: initial; position: absolute; color: Canvas; color-scheme: inherit";
  document.documentElement.append(probe);
  const { color } = document.defaultView!.getComputedStyle(probe);
  probe.remove();
  return color;
}
