/** The ground of a text from styles alone: all layers of its ancestors, from the canvas up (Compositing 1, section 5). */
import { declaredText } from "../cascade/declared";
import { valueOf, type Style } from "../cascade/style";
import { paintOver } from "../color/contrast";
import { solid } from "../color/conversion";
import type { Color, Triple } from "../color/types";
import { made, PairMap } from "../source/memo";
import {
  backgroundColor,
  backgroundImages,
  black,
  blendDoubt,
  canvasColor,
  clear,
  colorClip,
  colorsOf,
  inkOf,
  isCanvasOwner,
  white,
} from "./backgrounds";
import { filterDoubt, isMoved } from "./moved";
import { stopColors } from "./gradient";
import type { Found, GroundKind } from "./types";

interface Layer {
  /** The colours this layer may have under the text. */
  colors: readonly Color[];
  /** Opacity of the group this layer opens; the layers after it are inside. */
  opacity: number;
}

/** What lies under a text, wherever on a page, or on which, its elements stand. */
interface Layers {
  layers: readonly Layer[];
  doubt: string | null;
  open: boolean;
  kind: GroundKind;
  /** Whether the element that paints the last of them covers all that lies below. */
  covers: boolean;
}

/** The layers up to an element, and which lays the ground by its index; null for the canvas. */
interface Laid {
  layers: Layers;
  from: number | null;
}

/** More colours than this under one text are thinned. */
const mostCandidates = 12;

const found = new PairMap<Layers, Style["shared"], Map<number | null, Found>>();

/** The very same for texts with the same values on the same layers of one element; with the same colours on others. */
export function groundFromStyles(style: Style): Found {
  const laid = layersUpTo(style);
  const make = () => groundWithInk(laid, style, inkOf(style));
  if (!style.shared.isCommon) return make();
  const alike = found.of(laid.layers, style.shared, () => new Map());
  return made(alike, laid.from, () => {
    const [like] = alike.values();
    return like ? { ...like, from: laid.from } : make();
  });
}

/** @param ink instead of the text's own */
export function groundFromStylesWith(style: Style, ink: Color): Found {
  return groundWithInk(layersUpTo(style), style, ink);
}

/** What a text comes out as, without its ink and by that; texts of many styles are in one ink on the same layers. */
const composites = new WeakMap<readonly Layer[], Map<string, readonly Color[]>>();

const colorKey = ({ space, channels, alpha }: Color): string => `${space} ${channels.join()} ${alpha}`;

const compositeOnce = (layers: readonly Layer[], ink: Color | null) =>
  made(
    made(composites, layers, () => new Map()),
    ink ? colorKey(ink) : "",
    () => composite(layers, ink),
  );

function groundWithInk({ layers: { layers, doubt, open, kind }, from }: Laid, style: Style, ink: Color): Found {
  const cutOut = colorClip(style) === "text" || backgroundImages(style).some(({ clip }) => clip === "text");
  return {
    bare: compositeOnce(layers, null),
    inked: compositeOnce(layers, ink),
    doubt: cutOut ? "The text is filled with its background." : doubt,
    open: cutOut || open,
    from,
    kind,
  };
}

/** What lies over a ground, as one colour painted over that: without the text, and with it. */
export interface OverGround {
  veil: Color;
  ink: Color;
}

const over = new WeakMap<readonly Layer[], Map<string, OverGround[]>>();

/**
 * What lies between a text and a ground below it, or would lie there, whatever colour that ground is given (Compositing
 * 1, 5.1); one for each colour of gradients and pictures between.
 * @param holder whose background colour the ground is: the text's element or one around it; null for the canvas
 */
export function overGround(style: Style, holder: Style | null): readonly OverGround[] {
  const { layers } = layersUpTo(style).layers;
  const ink = inkOf(style);
  const at = holder ? colorPlace(holder) : 0;
  const isThere = holder === null || paintsColor(holder);
  const key = `${at} ${isThere} ${colorKey(ink)}`;
  return made(
    made(over, layers, () => new Map<string, OverGround[]>()),
    key,
    () => {
      // What comes out over black and over white tells what is painted over either.
      const [dark, light] = [black, white].map((color) => {
        const laid = [...layers];
        laid.splice(at, isThere ? 1 : 0, { colors: [color], opacity: 1 });
        return { bare: composite(laid, null), inked: composite(laid, ink) };
      }) as [Pick<Found, "bare" | "inked">, Pick<Found, "bare" | "inked">];
      return dark.bare.map((bare, one) => ({
        veil: between(bare, light.bare[one]!),
        ink: between(dark.inked[one]!, light.inked[one]!),
      }));
    },
  );
}

/** Where among the layers up to an element its background colour lies, or would. */
function colorPlace(holder: Style): number {
  const below = holder.parent ? layersUpTo(holder.parent).layers.layers.length : 1;
  return below + (valueOf(holder, "opacity") < 1 && !isCanvasOwner(holder) ? 1 : 0);
}

/** The colour that comes out as one colour over black and as another over white. */
function between(dark: Color, light: Color): Color {
  const [lower, upper] = [solid(dark.channels), solid(light.channels)];
  const alpha = Math.min(1, Math.max(0, 1 - (upper[0] - lower[0])));
  if (alpha < 1e-6) return clear;
  return { space: "srgb", channels: lower.map((value) => value / alpha) as Triple, alpha };
}

const known = new WeakMap<Style, Laid>();

function layersUpTo(style: Style): Laid {
  const above: Style[] = [];
  let current: Style | null = style;
  while (current && !known.has(current)) {
    above.push(current);
    current = current.parent;
  }
  let laid = current ? known.get(current)! : null;
  for (const one of above.reverse()) {
    const below = laid ?? { layers: canvasLayers(canvasColor(one)), from: null };
    const layers = one.shared.isCommon ? sameWithOwn(below.layers, one) : withOwn(below.layers, one);
    if (layers !== below.layers) laid = { layers, from: layers.covers ? one.element.index : below.from };
    else laid = below;
    known.set(one, laid);
  }
  return laid!;
}

const canvases = new Map<Color, Layers>();

function canvasLayers(color: Color): Layers {
  let layers = canvases.get(color);
  if (!layers) {
    layers = { layers: [{ colors: [color], opacity: 1 }], doubt: null, open: false, kind: "canvas", covers: false };
    canvases.set(color, layers);
  }
  return layers;
}

/** What elements with the same values made of what lies below, by how they stand to the canvas. */
const own = new PairMap<Layers, Style["shared"], Map<string, Layers>>();

function sameWithOwn(below: Layers, style: Style): Layers {
  const known = own.of(below, style.shared, () => new Map());
  return made(known, `${style.parent === null} ${isCanvasOwner(style)}`, () => withOwn(below, style));
}

/** The same object when the element paints nothing. */
function withOwn(below: Layers, style: Style): Layers {
  const opacity = valueOf(style, "opacity");
  const color = backgroundColor(style);
  const images = backgroundImages(style).filter(({ image, clip }) => image && clip !== "text");
  const moved = movedWords(style);
  const blend = blendDoubt(style) ?? filterDoubt(style);
  const paints = paintsColor(style);
  if (!paints && images.length === 0 && opacity >= 1 && !moved && !blend) return below;
  const layers = [...below.layers];
  let { doubt, open, kind } = below;
  let covers = false;
  if (moved) [doubt, open] = [doubt ?? moved, true];
  // What is carried to the canvas lies behind the root, outside of any group.
  const toCanvas = isCanvasOwner(style);
  if (opacity < 1 && !toCanvas) layers.push({ colors: [clear], opacity });
  if (paints) {
    layers.push({ colors: [color], opacity: 1 });
    if ((color.alpha ?? 0) >= 1) {
      const fixedHeight = toCanvas ? null : heightDoubt(style);
      [doubt, open, kind, covers] = [fixedHeight, fixedHeight !== null, "color", true];
    }
  }
  for (const { image } of images.reverse()) {
    const colors = stopColors(image!, colorsOf(style));
    layers.push({ colors: colors ?? [clear, black, white], opacity: 1 });
    doubt = colors
      ? "It is a gradient: which part lies under the text depends on the layout."
      : "A picture lies under the text.";
    if (!colors || colors.every((one) => (one.alpha ?? 0) >= 1))
      [kind, covers] = [colors ? "gradient" : "picture", true];
  }
  if (opacity < 1 && toCanvas) layers.push({ colors: [clear], opacity });
  return { layers, doubt: blend ?? doubt, open: open || blend !== null, kind, covers };
}

const paintsColor = (style: Style): boolean => colorClip(style) !== "text" && (backgroundColor(style).alpha ?? 0) > 0;

/** Why a box may stand elsewhere than on what is around it; null where it stands there. */
function movedWords(style: Style): string | null {
  if (!style.parent) return null;
  const position = valueOf(style, "position");
  if (position === "absolute" || position === "fixed" || position === "sticky")
    return "It is placed over or under other parts of the page.";
  if (isMoved(style)) return "It is moved from where it would stand.";
  if (valueOf(style, "float") !== "none") return "It floats, and may hang out of what is around it.";
  return null;
}

const fixedHeightWords = "Its ground has a height of its own, and the text may stand out of it.";

function heightDoubt(style: Style): string | null {
  const lengths = ["height", "max-height", "block-size", "max-block-size"].map((name) => declaredText(style, name));
  return lengths.some((value) => value !== null && /^[\d.]+(?!%)[a-z]|^(?:calc|min|max|clamp|var)\(/.test(value))
    ? fixedHeightWords
    : null;
}

/** Every colour that may come out, with the ink on top or without. */
function composite(layers: readonly Layer[], ink: Color | null): readonly Color[] {
  const first = layers.findIndex(({ opacity }) => opacity < 1);
  if (first < 0) {
    let results = layers[0]!.colors;
    for (const layer of layers.slice(1))
      results = thin(results.flatMap((below) => layer.colors.map((above) => paintOver(above, below))));
    return ink ? results.map((below) => paintOver(ink, below)) : results;
  }
  const behind = first === 0 ? [clear] : composite(layers.slice(0, first), null);
  const group = layers[first]!;
  const inside = composite([{ ...group, opacity: 1 }, ...layers.slice(first + 1)], ink);
  return thin(
    behind.flatMap((below) =>
      inside.map((above) => paintOver({ ...above, alpha: (above.alpha ?? 0) * group.opacity }, below)),
    ),
  );
}

/** Keeps the ends of too long a list. Lists with and without ink are thinned alike, so they stay in step. */
function thin(colors: readonly Color[]): readonly Color[] {
  if (colors.length <= mostCandidates) return colors;
  const step = (colors.length - 1) / (mostCandidates - 1);
  return Array.from({ length: mostCandidates }, (_, at) => colors[Math.round(at * step)]!);
}
