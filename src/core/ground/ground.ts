/**
 * What is behind a text and what the text comes out as (WCAG 2.2, 1.4.3), from styles alone or,
 * where the page was laid out, from what lies under the text's own box.
 */
import { contrastRatio, neededRatio, relativeLuminance } from "../color/contrast";
import { interpolateColors } from "../color/mix";
import type { Color } from "../color/types";
import { fontSizeOf, valueOf, type Style } from "../cascade/style";
import { inkOf } from "./backgrounds";
import type { Painted, PlaceLayout } from "./layout";
import { groundFromStyles, groundFromStylesWith } from "./layers";
import { agrees, groundFromPaint, type PaintedGround } from "./painted";
import { groundUnder } from "./under";
import { exemption, unseenReason } from "./unseen";

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
  /** Whether it was seen in the pixels the browser made, not only reasoned from styles. */
  painted: boolean;
}

/** "painted": something that is no background, or is changed on its way to the screen. */
export type GroundKind = "color" | "gradient" | "picture" | "canvas" | "painted";

export interface Legibility {
  ground: Ground;
  /** The ink as it comes out on the ground, alpha and opacity included. */
  ink: Color;
  /** Contrast ratio, unrounded; of several grounds the worst, where it was painted that of the worst twentieth. */
  ratio: number;
  /** Ratio at the worst single point. */
  least: number;
  /** Ratio on the best of several grounds. */
  best: number;
  needs: 3 | 4.5;
  passes: boolean;
  verdict: Verdict;
  /** Why the text is not judged, in plain words; null where it is. */
  unjudged: string | null;
}

/**
 * "doubtful" where the ground is not certain and it would be enough on some of what may lie there, or nothing is known of
 * it; "unjudged" where nobody can see the text, or the standard exempts it.
 */
export type Verdict = "passes" | "fails" | "doubtful" | "unjudged";

/** What a way to look behind a text finds: colours that may lie there, and the ink as it comes out on each. */
export interface Found {
  bare: readonly Color[];
  inked: readonly Color[];
  doubt: string | null;
  /** Whether something else than these colours may lie there, for all that is known. */
  open: boolean;
  from: number | null;
  kind: GroundKind;
}

/**
 * @param layout of the text on the laid-out page
 * @param styles of the page, by index
 * @param ink before compositing, instead of the text's own
 */
export function legibilityOf(
  style: Style,
  layout: PlaceLayout | null = null,
  styles: readonly Style[] = [],
  ink: Color | null = null,
): Legibility {
  const found = layout
    ? groundUnder(style, ink ?? inkOf(style), layout, styles)
    : ink
      ? groundFromStylesWith(style, ink)
      : groundFromStyles(style);
  // As large as it is shown.
  const needs = neededRatio(fontSizeOf(style) * style.shared.zoom, valueOf(style, "font-weight"));
  const unjudged = exemption(style) ?? unseenReason(style) ?? layout?.unseen ?? null;
  const painted = layout?.painted && ink === null ? layout.painted : null;
  const seen = painted && groundFromPaint(painted);
  const legibility =
    painted && seen
      ? fromPaint(found, layout!, painted, seen, needs)
      : layout
        ? fromLayers(found, needs, painted ? covered(layout, painted) : null, ink || painted ? null : unpainted(layout))
        : fromStyles(found, needs);
  const hidden = painted && !seen ? layout!.hides : null;
  return unjudged || hidden
    ? { ...legibility, passes: false, verdict: "unjudged", unjudged: unjudged ?? hidden }
    : legibility;
}

const reckoned = new WeakMap<Found, Legibility>();

/** The very same for texts that stand on the same in the same ink. */
function fromStyles(found: Found, needs: 3 | 4.5): Legibility {
  let legibility = reckoned.get(found);
  if (!legibility) reckoned.set(found, (legibility = fromLayers(found, needs, null, null)));
  return legibility;
}

/** Colours looked at from one that is known to lie under a text to the next. */
const between = 8;

/** Colours with those between each and the next: gradients and pictures have all of them. */
export function dense(colors: readonly Color[]): readonly Color[] {
  return colors.flatMap((color, at) => {
    const next = colors[at + 1];
    if (!next) return [color];
    return Array.from({ length: between }, (_, step) =>
      interpolateColors(color, next, step / between, "srgb", "shorter"),
    );
  });
}

/** All that may lie under a text, as far as it has to be read on it. */
export const groundsOf = ({ color, range }: Pick<Ground, "color" | "range">): readonly Color[] =>
  range ? dense(range) : [color];

/** @param covering why nothing of it is seen @param unseen why layers alone tell of it */
function fromLayers(found: Found, needs: 3 | 4.5, covering: string | null, unseen: string | null): Legibility {
  const { from, kind } = found;
  const isContinuous = kind === "gradient" || kind === "picture";
  const bare = isContinuous ? dense(found.bare) : found.bare;
  const inked = isContinuous ? dense(found.inked) : found.inked;
  const doubt = covering ?? found.doubt ?? unseen;
  const ratios = bare.map((color, at) => contrastRatio(inked[at]!, color));
  const ratio = Math.min(...ratios);
  const worst = ratios.indexOf(ratio);
  const luminances = bare.map(relativeLuminance);
  const [low, high] = [Math.min(...luminances), Math.max(...luminances)];
  const best = Math.max(...ratios);
  const range: [Color, Color] | null =
    high - low > 1e-9 ? [bare[luminances.indexOf(low)]!, bare[luminances.indexOf(high)]!] : null;
  return {
    ground: { color: bare[worst]!, range, certain: doubt === null, doubt, from, kind, painted: false },
    ink: inked[worst]!,
    ratio,
    least: ratio,
    best,
    needs,
    ...judged(ratio, best, needs, doubt !== null, found.open || covering !== null),
    unjudged: null,
  };
}

/** A text is judged where it is seen, if it is seen nearly everywhere, or cut off where it ends. */
const mostlySeen = 0.95;
const partlyCovered = "Another part of the page lies over some of it.";

function fromPaint(
  found: Found,
  { hides, away }: PlaceLayout,
  painted: Painted,
  seen: PaintedGround,
  needs: 3 | 4.5,
): Legibility {
  const { color, ink, range, ratio, least, best } = seen;
  const explained = agrees(found, seen);
  const doubt =
    painted.doubt ??
    (explained ? null : painted.apart) ??
    (painted.seen < mostlySeen && !hides && !away ? (painted.apart ?? partlyCovered) : null);
  return {
    ground: {
      color,
      range,
      certain: doubt === null,
      doubt,
      from: explained ? found.from : null,
      kind: explained ? found.kind : "painted",
      painted: true,
    },
    ink,
    ratio,
    least,
    best,
    needs,
    ...judged(ratio, best, needs, doubt !== null, painted.seen < mostlySeen && doubt !== null),
    unjudged: null,
  };
}

export const notPainted = "It is not painted yet: this is reckoned from styles.";

/** On a page that is laid out, only what was seen is certain. */
function unpainted({ hides, away }: PlaceLayout): string {
  return hides ?? away ?? notPainted;
}

/** Nothing of the text was seen, though nothing hides it that is known. */
function covered({ hides, away }: PlaceLayout, { apart }: Painted): string {
  return hides ?? away ?? apart ?? "Another part of the page lies over it.";
}

/** Where nothing is known for sure, there is no verdict; where all that may lie there is known, the ends decide. */
function judged(
  ratio: number,
  best: number,
  needs: number,
  doubtful: boolean,
  open: boolean,
): Pick<Legibility, "passes" | "verdict"> {
  const verdict = open ? "doubtful" : ratio >= needs ? "passes" : !doubtful || best < needs ? "fails" : "doubtful";
  return { passes: verdict === "passes", verdict };
}

/** Below this ratio a text cannot be seen at all. */
export const invisibleBelow = 1.2;
