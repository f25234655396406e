/**
 * What is behind a text and what the text comes out as (WCAG 2.2, 1.4.3), from styles alone or,
 * where the page was laid out, from what lies under the text's own box.
 */
import { contrastRatio, neededRatio, relativeLuminance } from "../color/contrast";
import type { Color } from "../color/types";
import { fontSizeOf, valueOf, type Style } from "../cascade/style";
import { made } from "../source/memo";
import { inkOf } from "./backgrounds";
import type { Painted, PlaceLayout } from "./layout";
import { groundFromStyles, groundFromStylesWith } from "./layers";
import { agrees, groundFromPaint, type PaintedGround } from "./painted";
import { groundUnder } from "./under";
import { dense } from "./range";
import type { Found, Legibility } from "./types";
import { exemption, unseenReason } from "./unseen";

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
  const found = layout ? groundUnder(style, ink ?? inkOf(style), layout, styles) : fromStylesAlone(style, ink);
  // As large as it is shown.
  const needs = neededRatio(fontSizeOf(style) * style.shared.zoom, valueOf(style, "font-weight"));
  const unjudged = exemption(style) ?? unseenReason(style) ?? layout?.unseen ?? null;
  const painted = layout?.painted && ink === null ? layout.painted : null;
  const seen = painted && groundFromPaint(painted);
  let legibility: Legibility;
  if (!layout) legibility = fromStyles(found, needs);
  else if (painted && seen) legibility = fromPaint(found, layout, painted, seen, needs);
  else {
    const unseen = ink || painted ? null : unpainted(layout);
    legibility = fromLayers(found, needs, painted ? covered(layout, painted) : null, unseen);
  }
  const hidden = painted && !seen ? layout!.hides : null;
  return unjudged || hidden
    ? { ...legibility, passes: false, verdict: "unjudged", unjudged: unjudged ?? hidden }
    : legibility;
}

const fromStylesAlone = (style: Style, ink: Color | null): Found =>
  ink ? groundFromStylesWith(style, ink) : groundFromStyles(style);

const reckoned = new WeakMap<Found, Legibility>();
/** By the list of colours that their ink comes out as, which is one for all that stand on like layers in like ink. */
const alike = new WeakMap<Found["inked"], Map<string, Legibility>>();

/** The very same for texts that stand on the same in the same ink. */
function fromStyles(found: Found, needs: 3 | 4.5): Legibility {
  return made(reckoned, found, () => {
    const likely = made(alike, found.inked, () => new Map<string, Legibility>());
    const { kind, open, doubt } = found;
    const like = made(likely, `${needs} ${kind} ${open} ${doubt}`, () => fromLayers(found, needs, null, null));
    return like.ground.from === found.from ? like : { ...like, ground: { ...like.ground, from: found.from } };
  });
}

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
  if (!open && ratio >= needs) return { passes: true, verdict: "passes" };
  const fails = !open && (!doubtful || best < needs);
  return { passes: false, verdict: fails ? "fails" : "doubtful" };
}
