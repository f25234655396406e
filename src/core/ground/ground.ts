/**
 * What is behind a text and what the text comes out as: all layers from the canvas up, composited
 * (Compositing 1, section 5; CSS Backgrounds 3, 2.11.2 on the canvas).
 */
import { colorFromComponent, resolveColor } from "../color/value";
import { contrastRatio, neededRatio, paintOver, relativeLuminance } from "../color/contrast";
import { convertColor } from "../color/spaces";
import type { Color } from "../color/types";
import { fontSizeOf, valueOf, type Style } from "../cascade/styles";
import type { Image } from "../cascade/properties/color";
import type { ColorValue, PlainColor } from "../color/value";
import type { Component } from "../source/css/components";

export interface Ground {
  /** The colour behind the text; of several, the one with the least contrast to the ink. Opaque. */
  color: Color;
  /** Darkest and lightest, where there is more than one. */
  range: [Color, Color] | null;
  certain: boolean;
  /** Why it is not certain, in plain words. */
  doubt: string | null;
  /** Index of the element that gives the topmost opaque layer; null for the browser's canvas. */
  from: number | null;
  kind: "color" | "gradient" | "picture" | "canvas";
}

export interface Legibility {
  ground: Ground;
  /** The ink as it comes out on the ground, alpha and opacity included. */
  ink: Color;
  /** Contrast ratio, unrounded; of several grounds the worst. */
  ratio: number;
  needs: 3 | 4.5;
  passes: boolean;
}

const white: Color = { space: "srgb", channels: [1, 1, 1], alpha: 1 };
const black: Color = { space: "srgb", channels: [0, 0, 0], alpha: 1 };
const clear: Color = { space: "srgb", channels: [0, 0, 0], alpha: 0 };
/** The canvas where a page asks for the dark scheme (Chromium). */
const darkCanvas: Color = { space: "srgb", channels: [18 / 255, 18 / 255, 18 / 255], alpha: 1 };

/** More colours than this under one text are thinned to the darkest and lightest. */
const mostCandidates = 12;

export function legibilityOf(style: Style): Legibility {
  const ground = groundLayers(style);
  const inkColor = inkOf(style);
  const withInk = composite(ground.layers, inkColor);
  const bare = composite(ground.layers, null);
  const ratios = bare.map((color, at) => contrastRatio(withInk[at] ?? withInk[0]!, color));
  const worst = ratios.indexOf(Math.min(...ratios));
  const sorted = [...bare].sort((a, b) => relativeLuminance(a) - relativeLuminance(b));
  const several = sorted.length > 1 && relativeLuminance(sorted[sorted.length - 1]!) - relativeLuminance(sorted[0]!) > 1e-9;
  const needs = neededRatio(fontSizeOf(style), valueOf<number>(style, "font-weight"));
  const ratio = ratios[worst]!;
  return {
    ground: {
      color: bare[worst]!,
      range: several ? [sorted[0]!, sorted[sorted.length - 1]!] : null,
      certain: ground.doubt === null,
      doubt: ground.doubt,
      from: ground.from,
      kind: ground.kind,
    },
    ink: withInk[worst] ?? withInk[0]!,
    ratio,
    needs,
    passes: ratio >= needs,
  };
}

/** The colour text is filled with, before compositing. */
export function inkOf(style: Style): Color {
  const fill = valueOf<ColorValue>(style, "-webkit-text-fill-color");
  return resolveColor(fill, contextOf(style)).color;
}

interface Layer {
  /** The colours this layer may have under the text. */
  colors: Color[];
  /** Opacity of the group this layer opens; the layers after it are inside. */
  opacity: number;
}

interface Layers {
  layers: Layer[];
  doubt: string | null;
  from: number | null;
  kind: Ground["kind"];
}

function groundLayers(style: Style): Layers {
  const chain: Style[] = [];
  for (let current: Style | null = style; current; current = current.parent) chain.unshift(current);
  const root = chain[0]!;
  const result: Layers = {
    layers: [{ colors: [root.shared.scheme === "dark" ? darkCanvas : white], opacity: 1 }],
    doubt: null,
    from: null,
    kind: "canvas",
  };
  const canvasFrom = canvasOwner(chain);
  for (const current of chain) {
    const opacity = valueOf<number>(current, "opacity");
    const toCanvas = canvasFrom === current;
    // What is carried to the canvas lies behind the root, outside of any group.
    if (toCanvas) pushBackground(result, current, 1);
    if (toCanvas && opacity < 1) result.layers.push({ colors: [clear], opacity });
    if (!toCanvas) pushBackground(result, current, opacity);
    const position = valueOf<string>(current, "position");
    if (position === "absolute" || position === "fixed") {
      result.doubt ??= "It is placed over or under other parts of the page.";
    }
  }
  return result;
}

/** The element whose background fills the canvas: the root, or the body when the root has none. */
function canvasOwner(chain: readonly Style[]): Style | null {
  const root = chain[0]!;
  if (hasBackground(root)) return root;
  const body = chain[1];
  return body && body.element.tag === "body" && body.element.namespace === "html" && hasBackground(body) ? body : null;
}

function hasBackground(style: Style): boolean {
  return backgroundColor(style).alpha !== 0 || valueOf<Image[]>(style, "background-image").some((image) => image !== null);
}

function contextOf(style: Style) {
  return { current: valueOf<PlainColor>(style, "color"), scheme: style.shared.scheme };
}

function backgroundColor(style: Style): Color {
  return resolveColor(valueOf<ColorValue>(style, "background-color"), contextOf(style)).color;
}

function pushBackground(result: Layers, style: Style, opacity: number): void {
  const boxless = valueOf<string>(style, "display") === "contents";
  const color = boxless ? clear : backgroundColor(style);
  if ((color.alpha ?? 0) > 0 || opacity < 1) result.layers.push({ colors: [color], opacity });
  if ((color.alpha ?? 0) >= 1) {
    result.from = style.element.index;
    result.kind = "color";
    result.doubt = null;
  }
  if (boxless) return;
  const clips = valueOf<string[]>(style, "background-clip");
  const images = valueOf<Image[]>(style, "background-image").filter((image, at) => image && clips[at % clips.length] !== "text") as Component[];
  for (const image of images.reverse()) {
    const colors = gradientColors(image, style);
    if (colors) {
      result.layers.push({ colors, opacity: 1 });
      result.doubt = "It is a gradient: which part lies under the text depends on the layout.";
      if (colors.every((one) => (one.alpha ?? 0) >= 1)) {
        result.from = style.element.index;
        result.kind = "gradient";
      }
    } else {
      result.layers.push({ colors: [clear, black, white], opacity: 1 });
      result.doubt = "A picture lies under the text.";
      result.from = style.element.index;
      result.kind = "picture";
    }
  }
}

/** The colours of a gradient's stops; null for anything that is not a gradient. */
function gradientColors(image: Component, style: Style): Color[] | null {
  if (image.type !== "function" || !image.name.includes("gradient")) return null;
  const colors: Color[] = [];
  const visit = (parts: readonly Component[]) => {
    for (const part of parts) {
      const value = colorFromComponent(part);
      if (value) colors.push(convertColor(resolveColor(value, contextOf(style)).color, "srgb"));
      else if (part.type === "function") visit(part.args);
    }
  };
  visit(image.args);
  return colors.length ? colors : null;
}

/** Every colour that may come out, with the ink on top or without. */
function composite(layers: readonly Layer[], ink: Color | null): Color[] {
  const first = layers.findIndex(({ opacity }) => opacity < 1);
  if (first < 0) {
    let results = layers[0]!.colors;
    for (const layer of layers.slice(1)) results = thin(results.flatMap((below) => layer.colors.map((above) => paintOver(above, below))));
    return ink ? results.map((below) => paintOver(ink, below)) : results;
  }
  const behind = first === 0 ? [clear] : composite(layers.slice(0, first), null);
  const group = layers[first]!;
  const inside = composite([{ ...group, opacity: 1 }, ...layers.slice(first + 1)], ink);
  return thin(
    behind.flatMap((below) => inside.map((above) => paintOver({ ...above, alpha: (above.alpha ?? 0) * group.opacity }, below))),
  );
}

/** Keeps the ends of too long a list. Lists with and without ink are thinned alike, so they stay in step. */
function thin(colors: Color[]): Color[] {
  if (colors.length <= mostCandidates) return colors;
  const step = (colors.length - 1) / (mostCandidates - 1);
  return Array.from({ length: mostCandidates }, (_, at) => colors[Math.round(at * step)]!);
}
