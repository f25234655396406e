/** What a picture of the page has to be told of the page as it is laid out. */
import type { PictureStage } from "@/core";
import { isClear } from "./clear";
import { isBoxless, isJoined, keptAs } from "./kept";
import type { ShownPage } from "./frame";
import { inSlices } from "./slices";
import { backdropOf, PartingsFinder, type Partings } from "./zones";

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

export interface ReadStage extends Partings {
  stage: PictureStage;
  /** Why a picture may be laid out otherwise than the screen, in plain words; null where it is not. */
  apart: string | null;
  /** Elements whose own words carry no line in a picture. */
  unlined: ReadonlySet<number>;
}

/** The element whose ground is that of the canvas; null where none has one (CSS Backgrounds 3, 2.11.2). */
function canvasOwner(document: Document, view: Window): HTMLElement | null {
  const root = document.documentElement;
  const body = document.body as HTMLElement | null;
  const rootStyle = view.getComputedStyle(root);
  const shows = (style: CSSStyleDeclaration) => !isClear(style.backgroundColor) || style.backgroundImage !== "none";
  if (shows(rootStyle)) return root;
  const style = body && view.getComputedStyle(body);
  const hands = style && style.display !== "none" && style.display !== "contents";
  return hands && shows(style) && !contains(rootStyle) && !contains(style) ? body : null;
}

/** Elements, by index, that a picture has to be told of. */
interface Apart {
  fixed: number[];
  cutOut: number[];
  sticking: number[];
  unknown: number[];
}

function putApart(apart: Apart, node: Element, index: number, style: CSSStyleDeclaration, scrolls: boolean): void {
  if (scrolls && style.position === "fixed") apart.fixed.push(index);
  if (style.position === "sticky") apart.sticking.push(index);
  if (style.backgroundClip.includes("text")) apart.cutOut.push(index);
  if (unpainted.has(node.localName) || (node.localName === "img" && !isLoaded(node as HTMLImageElement)))
    apart.unknown.push(index);
}

/** Elements, by index, that never come to rest. */
function movingIn(
  document: Document,
  view: Window & typeof globalThis,
  indexOf: ReadonlyMap<Element, number>,
): number[] {
  const moving = document.getAnimations().flatMap(({ effect }) => {
    const target = effect instanceof view.KeyframeEffect ? effect.target : null;
    const ends = effect?.getComputedTiming().endTime !== Infinity;
    return target && !ends ? [indexOf.get(target) ?? -1] : [];
  });
  return [...new Set(moving)].filter((index) => index >= 0);
}

/** What the styles of all elements tell. */
interface Told extends Apart {
  styles: CSSStyleDeclaration[];
  /** Whether anything is blended with what lies under it. */
  blends: boolean;
  /** Whether anything filters what lies under it. */
  filters: boolean;
}

async function toldBy(page: ShownPage, scrolls: boolean, stillThere: () => boolean): Promise<Told | null> {
  const view = page.document.defaultView!;
  const told: Told = { styles: [], blends: false, filters: false, fixed: [], cutOut: [], sticking: [], unknown: [] };
  const look = ([index, node]: [number, Element]) => {
    const style = view.getComputedStyle(node);
    told.styles[index] = style;
    told.blends ||= style.mixBlendMode !== "normal";
    told.filters ||= backdropOf(style) !== "none";
    putApart(told, node, index, style, scrolls);
  };
  return (await inSlices(page.nodes.entries(), look, stillThere)) ? told : null;
}

/** Null where the page changed meanwhile. */
export async function readStage(page: ShownPage, stillThere: () => boolean): Promise<ReadStage | null> {
  const { document, mode, nodes, textOf } = page;
  const view = document.defaultView!;
  const root = document.documentElement;
  const body = document.body as HTMLElement | null;
  const rootStyle = view.getComputedStyle(root);
  const owner = canvasOwner(document, view);
  const width = Math.max(root.scrollWidth, body?.scrollWidth ?? 0, view.innerWidth);
  const height = Math.max(root.scrollHeight, body?.scrollHeight ?? 0, view.innerHeight);
  const scrolls = height > view.innerHeight + 1;
  const told = await toldBy(page, scrolls, stillThere);
  if (!told) return null;
  const { styles, blends, filters, fixed, cutOut, sticking, unknown } = told;
  const partings = new PartingsFinder(view, styles, blends, scrolls ? null : owner);
  const kept: (readonly [index: number, declarations: string])[] = [];
  const unlined = new Set<number>();
  const look = ([index, node]: [number, Element]) => {
    partings.look(node, index);
    const style = styles[index]!;
    const boxless = isBoxless(node, style);
    const joined = boxless && isJoined(node, (one, pseudo) => view.getComputedStyle(one, pseudo));
    if (joined) unlined.add(index);
    const declarations = keptAs(node, style, mode, boxless && !joined);
    if (declarations !== null) kept.push([index, declarations]);
  };
  if (!(await inSlices(nodes.entries(), look, stillThere))) return null;
  const { doubts, zones } = partings;
  const indexOf = new Map<Element, number>(nodes.map((node, index) => [node, index]));
  // What is blended with a canvas that is see-through comes out in ways of its own.
  const isUnclear = blends && owner && isSeeThrough(view.getComputedStyle(owner).backgroundColor);
  const spills = body && rootStyle.overflowX === "visible" && rootStyle.overflowY === "visible";
  const stage: PictureStage = {
    width,
    height,
    room: root.clientWidth || view.innerWidth,
    bars: takesRoom(document),
    window: { width: view.innerWidth, height: view.innerHeight },
    paper: paperOf(document),
    backed: !blends && filters,
    canvas: owner ? canvasOf(owner, indexOf.get(owner)!, root, view) : null,
    root: rootProperties.map((name) => `${name}:${rootStyle.getPropertyValue(name)}`).join(";"),
    spilling: [root, ...(spills ? [body] : [])].map((node) => indexOf.get(node)!),
    moving: movingIn(document, view, indexOf),
    fixed,
    sticky: atRest(sticking, nodes, view),
    kept,
    cutOut,
    unknown,
    remote: [...document.querySelectorAll("style, [style]")].some(
      (node) => textOf(node).includes('url("")') || node.getAttribute("style")?.includes('url("")'),
    ),
  };
  return {
    stage,
    doubts: isUnclear ? new Map(nodes.map((_, index) => [index, seeThroughWords])) : doubts,
    zones,
    apart: mode === "no-quirks" ? null : quirksWords,
    unlined,
  };
}

const quirksWords = "The page is in quirks mode: its lines may stand elsewhere than they were painted.";

const seeThroughWords = "It is blended with a page that is see-through.";

const isSeeThrough = (color: string) => /^rgba\(|\/\s*0?\.\d/.test(color) && !isClear(color);

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
    // What sticks holds all that is in it together, whatever its z-index (CSS Position 3, 2.1).
    return [index, `position:relative!important;isolation:isolate!important;inset:auto!important;${shift}`] as const;
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
