/** What lies under the texts of a page as it is laid out, for the core to judge. */
import type { Box, ImageLayout, PageLayout, PlaceLayout, UnderLayer } from "@/core";
import type { ShownPage } from "./frame";
import { hiddenBy } from "./hidden";
import { longestLineOf } from "./measure";
import { isClear } from "./clear";
import { inset, listParts, resolve, tileSize } from "./tiles";
import { inSlices } from "./slices";
import { comparePaths, groundPath, textPath, type PaintPath, type PaintedNode } from "./paintOrder";
import { loadPicture, pixelsUnder } from "./pictures";
import { textBox } from "./textBox";

interface Painter extends PaintedNode {
  parent: Painter | null;
  node: Element;
  box: Box;
  path: PaintPath;
  paints: boolean;
  /** Whether it covers what is painted before it. */
  covers: boolean;
  /** The element that stays in the window while the page scrolls, if it is in one: the next around it, or itself. */
  held: Painter | null;
  /** The index of the last that is in it. */
  last: number;
}

const replaced = new Set(["img", "svg", "canvas", "video", "picture", "iframe", "object", "embed"]);

/** What styles and boxes tell of places; the page must have been laid out. Null when it changed meanwhile. */
export async function layersOf(
  page: ShownPage,
  places: readonly number[],
  stillThere: () => boolean,
): Promise<PageLayout | null> {
  const painters = await paintersOf(page, stillThere);
  if (!painters) return null;
  const known = painters.filter((painter): painter is Painter => painter !== null);
  const pictures = new Map<string, HTMLImageElement | null>();
  for (const address of new Set(known.flatMap(addressesOf))) pictures.set(address, await loadPicture(address));
  if (!stillThere()) return null;
  const grounds = known.filter(({ paints }) => paints);
  const layouts: Record<number, PlaceLayout> = {};
  const look = (index: number) => {
    const painter = painters[index];
    const text = painter && textBox(page, index);
    if (text) layouts[index] = placeLayout(page, painter, text, longestLineOf(page, index), grounds, pictures);
  };
  return (await inSlices(places, look, stillThere)) ? layouts : null;
}

async function paintersOf(
  { document, nodes }: ShownPage,
  stillThere: () => boolean,
): Promise<(Painter | null)[] | null> {
  const view = document.defaultView!;
  const painters: (Painter | null)[] = [];
  const byNode = new Map<Element, Painter>();
  const look = ([index, node]: [number, Element]) => {
    const parent = node.parentElement ? (byNode.get(node.parentElement) ?? null) : null;
    const style = view.getComputedStyle(node);
    if ((node.parentElement && !parent && index > 0) || style.display === "none") {
      painters[index] = null;
      return;
    }
    const { left, top, width, height } = node.getBoundingClientRect();
    const box = { left: left + view.scrollX, top: top + view.scrollY, width, height };
    const [paints, covers] = [paintsGround(node, style), coversOthers(node, style)];
    const held = parent?.held ?? null;
    const painter: Painter = { index, node, parent, style, box, path: [], paints, covers, held, last: index };
    if (/fixed|sticky/.test(style.position)) painter.held = painter;
    painter.path = groundPath(painter);
    byNode.set(node, painter);
    painters[index] = painter;
    for (let around = parent; around; around = around.parent) around.last = index;
  };
  return (await inSlices(nodes.entries(), look, stillThere)) ? painters : null;
}

const coversOthers = (node: Element, style: CSSStyleDeclaration) =>
  !isClear(style.backgroundColor) || style.backgroundImage !== "none" || replaced.has(node.localName);

function paintsGround(node: Element, style: CSSStyleDeclaration): boolean {
  if (style.visibility !== "visible") return false;
  return coversOthers(node, style) || Number(style.opacity) < 1;
}

function overlaps(a: Box, b: Box): boolean {
  return (
    a.left < b.left + b.width - 0.5 &&
    b.left < a.left + a.width - 0.5 &&
    a.top < b.top + b.height - 0.5 &&
    b.top < a.top + a.height - 0.5
  );
}

/** Elements are numbered in the order of the document: those in another follow it. */
const isWithin = ({ index }: Painter, ancestor: Painter) => index >= ancestor.index && index <= ancestor.last;

function placeLayout(
  page: ShownPage,
  place: Painter,
  text: Box,
  longest: number | null,
  grounds: readonly Painter[],
  pictures: ReadonlyMap<string, HTMLImageElement | null>,
): PlaceLayout {
  const own = textPath(place);
  const { held } = place;
  const under: Painter[] = [];
  const over: number[] = [];
  for (const painter of grounds) {
    const around = isWithin(place, painter);
    // A canvas is painted by the root or the body, however large they are.
    const isCanvas = painter.index === 0 || painter.node.localName === "body";
    if (!around && !isCanvas && !overlaps(painter.box, text)) continue;
    if (!around && isWithin(painter, place)) continue;
    if (painter.held && painter.held !== held) continue;
    if (comparePaths(painter.path, own) < 0) {
      if (!held || isWithin(painter, held)) under.push(painter);
    } else if (painter.covers) over.push(painter.index);
  }
  under.sort((a, b) => comparePaths(a.path, b.path));
  const afloat = held ? "It stays in its place while the page scrolls under it." : null;
  return {
    text,
    longest,
    afloat,
    under: under.map((painter) => underLayer(painter, place, text, pictures)),
    over,
    ...hiddenBy(page, place.node, text),
    painted: null,
  };
}

function underLayer(
  painter: Painter,
  place: Painter,
  text: Box,
  pictures: ReadonlyMap<string, HTMLImageElement | null>,
): UnderLayer {
  const { index, style, node } = painter;
  const group = isWithin(place, painter) && Number(style.opacity) < 1;
  let opacity = 1;
  for (let current: Painter | null = painter; current && !isWithin(place, current); current = current.parent)
    opacity *= Number(current.style.opacity);
  const backdrop = (style as { backdropFilter?: string }).backdropFilter;
  const under = backdrop && backdrop !== "none" ? "A filter changes what lies under it." : null;
  const filtered = style.filter === "none" ? under : "A filter changes what it looks like.";
  return {
    index,
    box: clipped(painter, style.backgroundClip.split(",").at(-1)!.trim()),
    images: style.backgroundImage === "none" ? [] : backgroundLayers(painter, text, pictures),
    picture: replaced.has(node.localName) ? pictureLayout(painter, text, pictures) : null,
    opacity,
    group,
    doubt: filtered,
  };
}

const px = (value: string) => Number.parseFloat(value) || 0;

function clipped({ style, box }: Painter, to: string): Box {
  const borders = [
    px(style.borderTopWidth),
    px(style.borderRightWidth),
    px(style.borderBottomWidth),
    px(style.borderLeftWidth),
  ] as const;
  if (to === "border-box" || to === "text") return box;
  const padding = inset(box, borders);
  if (to === "padding-box") return padding;
  return inset(padding, [px(style.paddingTop), px(style.paddingRight), px(style.paddingBottom), px(style.paddingLeft)]);
}

const addressIn = (layer: string) => /^url\("?([^")]*)"?\)$/.exec(layer)?.[1] ?? null;

function addressesOf({ style, node }: Painter): string[] {
  const backgrounds =
    style.backgroundImage === "none" ? [] : listParts(style.backgroundImage).flatMap((layer) => addressIn(layer) ?? []);
  return node.localName === "img" ? [...backgrounds, (node as HTMLImageElement).currentSrc] : backgrounds;
}

function backgroundLayers(
  painter: Painter,
  text: Box,
  pictures: ReadonlyMap<string, HTMLImageElement | null>,
): ImageLayout[] {
  const { style } = painter;
  const at = (list: string, index: number) => {
    const parts = listParts(list);
    return parts[index % parts.length]!;
  };
  return listParts(style.backgroundImage).map((layer, index): ImageLayout => {
    const address = addressIn(layer);
    const picture = address ? (pictures.get(address) ?? null) : null;
    const origin = clipped(painter, at(style.backgroundOrigin, index));
    const size = tileSize(at(style.backgroundSize, index), origin, picture);
    const [x = "0%", y = "0%"] = [at(style.backgroundPositionX, index), at(style.backgroundPositionY, index)];
    const [repeatX = "repeat", repeatY = repeatX] = at(style.backgroundRepeat, index).split(" ");
    const layout = {
      tile: {
        left: origin.left + resolve(x, origin.width - size.width),
        top: origin.top + resolve(y, origin.height - size.height),
        ...size,
      },
      repeatX: repeatX !== "no-repeat" && repeatX !== "repeat-y",
      repeatY: repeatY !== "no-repeat" && repeatX !== "repeat-x",
      clip: clipped(painter, at(style.backgroundClip, index)),
    };
    return { ...layout, pixels: picture ? pixelsUnder(text, layout, picture) : null };
  });
}

function pictureLayout(
  painter: Painter,
  text: Box,
  pictures: ReadonlyMap<string, HTMLImageElement | null>,
): ImageLayout {
  const clip = clipped(painter, "content-box");
  const picture =
    painter.node.localName === "img" ? (pictures.get((painter.node as HTMLImageElement).currentSrc) ?? null) : null;
  const fit = painter.style.objectFit;
  const size =
    picture && (fit === "cover" || fit === "contain")
      ? tileSize(fit, clip, picture)
      : { width: clip.width, height: clip.height };
  const layout = {
    tile: { left: clip.left + (clip.width - size.width) / 2, top: clip.top + (clip.height - size.height) / 2, ...size },
    repeatX: false,
    repeatY: false,
    clip,
  };
  return { ...layout, pixels: picture ? pixelsUnder(text, layout, picture) : null };
}
