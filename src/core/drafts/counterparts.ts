/** Counterparts of colours by their luminance: the hue stays, the contrast with what they stand with is kept. */
import { parseColor } from "../color";
import { relativeLuminance } from "../color/contrast";
import { atLightness, oklch } from "../color/ladder";
import type { Color } from "../color/types";
import type { Tone, TonedText } from "./types";

/**
 * Luminance as contrast ratios have it (WCAG 2.2): the ratio of two colours is that of their levels. From 0.05 for
 * black to 1.05 for white.
 */
export type Level = number;
export const darkest: Level = 0.05;
export const lightest: Level = 1.05;

/** The level of a colour, its alpha aside. */
export const levelOf = (color: Color): Level => relativeLuminance({ ...color, alpha: 1 }) + 0.05;

/**
 * The 8-bit sRGB colour nearest to a level with a colour's hue and alpha, on one side of it: `above`, one that is at
 * least as light; `below`, one that is no lighter.
 */
export function atLevel(color: Color, level: Level, side: "above" | "below"): Color {
  let [low, high] = [0, 1];
  // The lightness of OKLab and luminance rise together at one hue as far as chroma gives way.
  while (high - low > 1e-4) {
    const middle = (low + high) / 2;
    if (levelOf(atLightness(color, middle)) < level) low = middle;
    else high = middle;
  }
  const [under, over] = [atLightness(color, low), atLightness(color, high)];
  if (side === "above") return levelOf(over) >= level ? over : atLightness(color, 1);
  return [over, under].find((one) => levelOf(one) <= level) ?? atLightness(color, 0);
}

/** What becomes of a colour. */
export interface Counterpart {
  tone: Tone;
  /** As the site has it. */
  from: Color;
  color: Color;
  /** Whether it may be moved to keep a contrast. */
  isFree: boolean;
}

/** A ground lighter than this is no dark one, whatever stands on it (OKLab). */
const darkGround = 0.62;
/** What no text stands on is a dark ground below this. */
const darkShape = 0.35;
/** An ink that is light as it is stays so. */
const lightInk = 0.75;

/** What is known of a ground from the texts on it. */
interface Bearing {
  /** Whether one is darker than what it stands on. */
  hasDarker: boolean;
  /** The highest ratio of any. */
  ratio: number;
}

const lightnessOf = (color: Color) => oklch(color)[0];

/**
 * A dark counterpart for every colour. Light grounds become dark ones, in the same order; those that are dark under
 * light texts stay. No ground becomes lighter than that all its texts keep their ratio on it, at most in white; each
 * ink becomes as light as it takes on all its grounds.
 * @param lift how light grounds become, from 0 (the lightest becomes black) to 1 (the darkest ink becomes white)
 */
export function darkCounterparts(
  tones: readonly Tone[],
  texts: readonly TonedText[],
  lift: number,
): Map<string, Counterpart> {
  const bearings = bearingsOf(texts);
  const made = new Map<string, Counterpart>();
  const put = (tone: Tone, color: Color, isFree: boolean) =>
    made.set(tone.id, { tone, from: parseColor(tone.css)!, color, isFree });
  const turned: Tone[] = [];
  for (const tone of tones) {
    const from = parseColor(tone.css)!;
    const isKept = tone.part === "shadow" || (tone.part === "ground" && stays(from, bearings.get(tone.id)));
    if (isKept) put(tone, from, false);
    else if (tone.part === "ground") turned.push(tone);
  }
  const scale = scaleFor(turned, texts, lift);
  for (const tone of turned) {
    const from = parseColor(tone.css)!;
    const most = (from.alpha ?? 1) < 1 ? lightest : lightest / (bearings.get(tone.id)?.ratio ?? 1);
    put(tone, atLevel(from, Math.max(darkest, Math.min(scale / levelOf(from), most)), "below"), true);
  }
  const needed = neededLevels(texts, made);
  for (const tone of tones) {
    if (made.has(tone.id)) continue;
    const from = parseColor(tone.css)!;
    const own = needed.get(tone.id) ?? [];
    if (own.length > 0 && own.every(({ stands }) => stands)) put(tone, from, false);
    else {
      const isLight = tone.part === "ink" && lightnessOf(from) >= lightInk;
      const levels = own.map(({ level, stands }) => (stands ? levelOf(from) : level));
      const level = Math.max(isLight ? levelOf(from) : scale / levelOf(from), ...levels);
      const isSame = level === levelOf(from);
      put(tone, isSame ? from : atLevel(from, Math.min(lightest, Math.max(darkest, level)), "above"), true);
    }
  }
  return made;
}

function bearingsOf(texts: readonly TonedText[]): Map<string, Bearing> {
  const bearings = new Map<string, Bearing>();
  for (const { groundTones, ground, ink, ratio } of texts)
    for (const id of groundTones) {
      const known = bearings.get(id) ?? { hasDarker: false, ratio: 1 };
      bearings.set(id, known);
      known.hasDarker ||= levelOf(ink) <= levelOf(ground);
      known.ratio = Math.max(known.ratio, ratio);
    }
  return bearings;
}

function stays(color: Color, bearing: Bearing | undefined): boolean {
  if (!bearing) return lightnessOf(color) < darkShape;
  return !bearing.hasDarker && lightnessOf(color) < darkGround;
}

/** What the level of a ground and that of its counterpart come to, multiplied. */
function scaleFor(turned: readonly Tone[], texts: readonly TonedText[], lift: number): number {
  const ids = new Set(turned.map(({ id }) => id));
  const solid = turned.map(({ css }) => parseColor(css)!).filter(({ alpha }) => (alpha ?? 1) >= 1);
  const lightestGround = Math.max(darkest, ...solid.map(levelOf));
  const standsOnTurned = (grounds: readonly string[]) => grounds.length > 0 && grounds.every((id) => ids.has(id));
  const inks = texts
    .filter(({ groundTones, ink, ground }) => levelOf(ink) < levelOf(ground) && standsOnTurned(groundTones))
    .map(({ ink }) => levelOf(ink));
  const least = darkest * (solid.length ? lightestGround : lightest);
  const most = Math.max(least, lightest * Math.min(lightest, ...inks));
  return least ** (1 - lift) * most ** lift;
}

/** How light an ink has to be in each of its texts; `stands` where its ground stays as it is. */
function neededLevels(texts: readonly TonedText[], made: ReadonlyMap<string, Counterpart>) {
  const needed = new Map<string, { level: Level; stands: boolean }[]>();
  for (const { inkTones, groundTones, ratio, onPicture } of texts) {
    const grounds = groundTones.map((id) => made.get(id));
    const stands = grounds.length ? grounds.every((one) => one?.isFree === false) : onPicture;
    const [only] = grounds;
    const level = only && grounds.length === 1 && (only.color.alpha ?? 1) >= 1 ? ratio * levelOf(only.color) : darkest;
    for (const id of inkTones) {
      const own = needed.get(id) ?? [];
      needed.set(id, own);
      own.push({ level, stands });
    }
  }
  return needed;
}
