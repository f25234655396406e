/** What is known of what is behind a text, and whether the text can be read on it (WCAG 2.2, 1.4.3). */
import type { Color } from "../color/types";

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
