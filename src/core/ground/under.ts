/** The ground of a text on the laid-out page: what is painted at points of its box, one point at a time. */
import { valueOf, type Style } from "../cascade/style";
import { paintOver } from "../color/contrast";
import type { Color } from "../color/types";
import {
  backgroundColor,
  backgroundImages,
  blendDoubt,
  canvasColor,
  clear,
  colorClip,
  colorsOf,
  hasBackground,
  isCanvasOwner,
} from "./backgrounds";
import { gradientIn, type ColorAt } from "./gradient";
import type { Found, GroundKind } from "./types";
import { gridPoints, type Box, type ImageLayout, type PlaceLayout, type UnderLayer } from "./layout";

/** What a layer paints at a point; two colours where a picture has a darkest and a lightest pixel around it. */
interface Paint {
  at(point: number, x: number, y: number): readonly Color[];
  opacity: number;
  kind: GroundKind;
  doubt: string | null;
  /** Whether it may come out as anything, for all that is known. */
  open: boolean;
  index: number;
  /** Opens a group that all later layers are in. */
  group: number | null;
  /** Cut out by the text: it paints the ink, not the ground. */
  inText: boolean;
}

const differsAt = "What lies there cannot be told.";

/**
 * What lies under a text on the laid-out page, point by point, and the ink as it comes out on it (Compositing 1, 5).
 * @param ink before compositing
 * @param styles of the page, by index
 */
export function groundUnder(style: Style, ink: Color, layout: PlaceLayout, styles: readonly Style[]): Found {
  const root = styles[0]!;
  const paints = layout.under.flatMap((layer) => paintsOf(layer, styles, style));
  const flat =
    !layout.afloat &&
    paints.every(({ kind }) => kind === "color") &&
    layout.under.every(({ box }) => holds(box, layout.text));
  const points = flat
    ? [[layout.text.left + layout.text.width / 2, layout.text.top + layout.text.height / 2] as [number, number]]
    : gridPoints(layout.text);
  const varies = layout.afloat !== null || paints.some(({ kind }) => kind === "picture");
  const bare: Color[] = [];
  const inked: Color[] = [];
  let doubt: string | null = null;
  let open = false;
  let from: number | null = null;
  let kind: GroundKind = "canvas";
  points.forEach(([x, y], point) => {
    // Darkest and lightest pixels go up through all the layers side by side.
    for (const extreme of varies ? [0, 1] : [0]) {
      const groups: { color: Color; opacity: number }[] = [
        { color: layout.afloat ? opaqueEnds[extreme]! : canvasColor(root), opacity: 1 },
      ];
      let fill = ink;
      let under: string | null = layout.afloat;
      let opened = false;
      for (const paint of paints) {
        if (paint.group !== null) groups.push({ color: clear, opacity: paint.group });
        const colors = paint.at(point, x, y);
        const color = colors[Math.min(extreme, colors.length - 1)]!;
        const alpha = (color.alpha ?? 0) * paint.opacity;
        if (paint.inText) {
          fill = paintOver(ink, { ...color, alpha });
          continue;
        }
        if (alpha === 0 && !paint.doubt) continue;
        const top = groups[groups.length - 1]!;
        top.color = paintOver({ ...color, alpha }, top.color);
        if (alpha >= 1) {
          [under, from, kind] = [paint.doubt, paint.index, paint.kind];
          opened = paint.open && paint.doubt !== null;
        } else {
          under ??= paint.doubt;
          opened ||= paint.open && paint.doubt !== null;
        }
        if (paint.kind === "picture") kind = "picture";
      }
      doubt ??= under;
      open ||= opened;
      bare.push(unwind(groups, null));
      inked.push(unwind(groups, fill));
    }
  });
  if (layout.over.length) {
    doubt ??= "Another part of the page lies over it.";
    open = true;
  }
  return { bare, inked, doubt, open, from, kind };
}

/**
 * The layout of a text after a change that moves no boxes: elements around it that paint or fade now and did not before
 * come in. They are taken to lie under all of the text.
 * @param before the text's style when it was laid out @param after the style it has now, of the same element
 */
export function layoutAfter(layout: PlaceLayout, before: Style, after: Style): PlaceLayout {
  const under = [...layout.under];
  for (const [old, now] of pairsOf(before, after)) {
    const { index } = now.element;
    const at = under.findIndex((layer) => layer.index === index);
    const known = under[at];
    const fades = valueOf(now, "opacity") < 1;
    const doubt = picturesOf(now) > picturesOf(old) ? "The picture or gradient is looked at once it is written." : null;
    if (known) under[at] = { ...known, group: known.group || fades, doubt: known.doubt ?? doubt };
    else if ((fades && valueOf(old, "opacity") >= 1) || (hasBackground(now) && !hasBackground(old))) {
      const inside = under.findIndex((layer) => isWithin(after, layer.index, index));
      under.splice(inside < 0 ? under.length : inside, 0, {
        index,
        box: layout.text,
        images: [],
        picture: null,
        opacity: 1,
        group: fades,
        doubt,
      });
    }
  }
  return { ...layout, under, painted: null };
}

/** The text's element and those around it, outermost first, as they were and as they are. */
function pairsOf(before: Style, after: Style): [Style, Style][] {
  const pairs: [Style, Style][] = [];
  for (let [old, now]: (Style | null)[] = [before, after]; old && now; [old, now] = [old.parent, now.parent])
    pairs.unshift([old, now]);
  return pairs;
}

const picturesOf = (style: Style) => backgroundImages(style).filter(({ image }) => image).length;

/** Whether a layer is of an element around the text and inside of another. */
function isWithin(text: Style, index: number, outer: number): boolean {
  return index > outer && chainHas(text, index) && chainHas(text, outer);
}

function chainHas(text: Style, index: number): boolean {
  for (let style: Style | null = text; style; style = style.parent) if (style.element.index === index) return true;
  return false;
}

function unwind(groups: readonly { color: Color; opacity: number }[], ink: Color | null): Color {
  let color = groups[groups.length - 1]!.color;
  if (ink) color = paintOver(ink, color);
  for (let at = groups.length - 1; at > 0; at -= 1) {
    color = paintOver({ ...color, alpha: (color.alpha ?? 0) * groups[at]!.opacity }, groups[at - 1]!.color);
  }
  return color;
}

function paintsOf(layer: UnderLayer, styles: readonly Style[], text: Style): Paint[] {
  const style = styles[layer.index];
  if (!style) return [];
  const blend = blendDoubt(style) ?? layer.doubt;
  const base = {
    opacity: layer.opacity,
    doubt: blend,
    open: blend !== null,
    index: layer.index,
    group: null,
    inText: false,
  };
  const paints: Paint[] = [];
  const toCanvas = isCanvasOwner(style);
  const group: Paint | null = layer.group
    ? { ...base, at: () => [clear], kind: "color", doubt: null, group: valueOf(style, "opacity") }
    : null;
  if (group && !toCanvas) paints.push(group);
  const color = backgroundColor(style);
  const ownText = (clip: string) => clip === "text" && style === text;
  const clip = colorClip(style);
  if ((color.alpha ?? 0) > 0 && (clip !== "text" || ownText(clip))) {
    const within = toCanvas ? everywhere : layer.box;
    paints.push({
      ...base,
      at: (_, x, y) => [isIn(within, x, y) ? color : clear],
      kind: "color",
      inText: ownText(clip),
    });
  }
  const images = backgroundImages(style);
  for (let at = images.length - 1; at >= 0; at -= 1) {
    const { image, clip: own } = images[at]!;
    const geometry = layer.images[at];
    // Not laid out yet: it may be anything.
    if (image && !geometry && layer.doubt) paints.push({ ...base, at: () => opaqueEnds, kind: "picture" });
    if (!image || !geometry || (own === "text" && style !== text)) continue;
    const { tile } = geometry;
    const gradient = gradientIn(image, tile, colorsOf(style), style.shared.context.unit);
    const where = toCanvas ? { ...geometry, clip: everywhere } : geometry;
    const unread = !gradient && !geometry.pixels;
    paints.push({
      ...base,
      at: gradient ? tiled(where, gradient) : pixelsOf(where),
      kind: gradient ? "gradient" : "picture",
      doubt: blend ?? (unread ? "A picture lies under the text that cannot be read." : null),
      open: blend !== null,
      inText: ownText(own),
    });
  }
  if (layer.picture)
    paints.push({
      ...base,
      at: pixelsOf(layer.picture),
      kind: "picture",
      doubt: blend ?? (layer.picture.pixels ? null : differsAt),
    });
  if (group && toCanvas) paints.push(group);
  return paints;
}

const everywhere: Box = { left: -1e9, top: -1e9, width: 2e9, height: 2e9 };

/** Half a pixel of tolerance: boxes and lines are measured apart. */
function isIn({ left, top, width, height }: Box, x: number, y: number): boolean {
  return x >= left - 0.5 && x <= left + width + 0.5 && y >= top - 0.5 && y <= top + height + 0.5;
}

function holds(outer: Box, inner: Box): boolean {
  return isIn(outer, inner.left, inner.top) && isIn(outer, inner.left + inner.width, inner.top + inner.height);
}

function inTile(value: number, start: number, size: number, repeats: boolean): number | null {
  const at = value - start;
  if (repeats && size > 0) return at - Math.floor(at / size) * size;
  return at < -0.5 || at > size + 0.5 ? null : at;
}

function tiled({ tile, clip, repeatX, repeatY }: ImageLayout, color: ColorAt): Paint["at"] {
  return (_, x, y) => {
    if (!isIn(clip, x, y)) return [clear];
    const inX = inTile(x, tile.left, tile.width, repeatX);
    const inY = inTile(y, tile.top, tile.height, repeatY);
    return [inX === null || inY === null ? clear : color(inX, inY)];
  };
}

const opaqueEnds: readonly Color[] = [
  { space: "srgb", channels: [0, 0, 0], alpha: 1 },
  { space: "srgb", channels: [1, 1, 1], alpha: 1 },
];

/** Pixels were read with tiles and clipping in mind: transparent where the picture is not. */
function pixelsOf({ pixels, clip }: ImageLayout): Paint["at"] {
  return (point, x, y) => {
    if (!pixels) return isIn(clip, x, y) ? opaqueEnds : [clear];
    const color = (from: number): Color => ({
      space: "srgb",
      channels: [pixels[from]! / 255, pixels[from + 1]! / 255, pixels[from + 2]! / 255],
      alpha: pixels[from + 3]! / 255,
    });
    return [color(point * 8), color(point * 8 + 4)];
  };
}
