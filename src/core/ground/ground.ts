/**
 * What is behind a text and what the text comes out as (WCAG 2.2, 1.4.3), from styles alone or,
 * where the page was laid out, from what lies under the text's own box.
 */
import { contrastRatio, neededRatio, relativeLuminance } from "../color/contrast";
import type { Color } from "../color/types";
import { resolveColor, type ColorValue } from "../color/value";
import { fontSizeOf, valueOf, type Style } from "../cascade/styles";
import { colorsOf } from "./backgrounds";
import type { PlaceLayout } from "./layout";
import { groundFromStyles } from "./layers";
import { groundUnder } from "./under";

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
  kind: GroundKind;
}

export type GroundKind = "color" | "gradient" | "picture" | "canvas";

export interface Legibility {
  ground: Ground;
  /** The ink as it comes out on the ground, alpha and opacity included. */
  ink: Color;
  /** Contrast ratio, unrounded; of several grounds the worst. */
  ratio: number;
  /** Ratio on the best of several grounds. */
  best: number;
  needs: 3 | 4.5;
  passes: boolean;
  /** "doubtful" where the ground is not certain and it would be enough on some of what may lie there. */
  verdict: Verdict;
}

export type Verdict = "passes" | "fails" | "doubtful";

/** What a way to look behind a text finds: colours that may lie there, and the ink as it comes out on each. */
export interface Found {
  bare: readonly Color[];
  inked: readonly Color[];
  doubt: string | null;
  from: number | null;
  kind: GroundKind;
}

/**
 * @param layout of the text on the laid-out page
 * @param styles of the page, by index
 * @param ink before compositing; the text's own by default
 */
export function legibilityOf(
  style: Style,
  layout: PlaceLayout | null = null,
  styles: readonly Style[] = [],
  ink: Color = inkOf(style),
): Legibility {
  const found = layout ? groundUnder(style, ink, layout, styles) : groundFromStyles(style, ink);
  const { bare, inked } = found;
  const ratios = bare.map((color, at) => contrastRatio(inked[at]!, color));
  const ratio = Math.min(...ratios);
  const worst = ratios.indexOf(ratio);
  const luminances = bare.map(relativeLuminance);
  const [low, high] = [Math.min(...luminances), Math.max(...luminances)];
  const needs = neededRatio(fontSizeOf(style), valueOf<number>(style, "font-weight"));
  const best = Math.max(...ratios);
  const passes = ratio >= needs;
  return {
    ground: {
      color: bare[worst]!,
      range: high - low > 1e-9 ? [bare[luminances.indexOf(low)]!, bare[luminances.indexOf(high)]!] : null,
      certain: found.doubt === null,
      doubt: found.doubt,
      from: found.from,
      kind: found.kind,
    },
    ink: inked[worst]!,
    ratio,
    best,
    needs,
    passes,
    verdict: passes ? "passes" : found.doubt === null || best < needs ? "fails" : "doubtful",
  };
}

/** The colour text is filled with, before compositing. */
export function inkOf(style: Style): Color {
  return resolveColor(valueOf<ColorValue>(style, "-webkit-text-fill-color"), colorsOf(style)).color;
}

/** Below this ratio a text cannot be seen at all. */
export const invisibleBelow = 1.2;
