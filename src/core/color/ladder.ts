/** Which lightness is enough: at one hue and chroma, from black to white (OKLCh, CSS Color 4, section 9.4). */
import { contrastRatio, paintOver, toSrgb } from "./contrast";
import { differenceOk, inGamut } from "./gamut";
import { convertChannels, solid } from "./conversion";
import type { Color, Triple } from "./types";

/** The point nearest to the ground, on one side of it, at which a ratio is reached. */
export interface Rung {
  ratio: number;
  side: "darker" | "lighter";
  /** OKLCh lightness, 0 to 1. */
  lightness: number;
  color: Color;
}

/** A colour something has to be read against, and the ratio that takes. */
export interface Need {
  color: Color;
  needs: number;
  /** Opacity of the ink as it comes out there, beyond its own alpha; 1 by default. */
  opacity?: number;
  /** What the ink is painted over, where that is not the ground as it is seen: inside a group that is translucent as a whole. */
  under?: Color;
}

/** An ink that has to be read on a ground, as it comes out there. */
export interface InkOver {
  /** With all that lies between it and the ground, as one colour painted over that. */
  ink: Color;
  /** What lies between them, in the same way; nothing by default. */
  veil?: Color;
  needs: number;
}

export interface Passing {
  color: Color;
  /** False when no lightness passes everywhere: the colour is then the one that comes closest. */
  passes: boolean;
}

/** OKLCh lightness, chroma and hue. */
export function oklch(color: Color): Triple {
  return convertChannels(solid(color.channels), color.space, "oklch");
}

const byte = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 255) / 255;

/**
 * The 8-bit sRGB colour with a colour's hue and alpha at another lightness, with its chroma or the most that sRGB
 * has there. Chroma gives way and nothing else, so that the hue stays along the ladder.
 */
export function atLightness(color: Color, lightness: number): Color {
  const [, chroma, hue] = oklch(color);
  const at = (c: number): Color => ({ space: "oklch", channels: [lightness, c, hue], alpha: 1 });
  let [low, high] = [0, chroma];
  if (inGamut(at(chroma), "srgb", 0)) low = chroma;
  else {
    while (high - low > 0.0002) {
      const middle = (low + high) / 2;
      if (inGamut(at(middle), "srgb", 0)) low = middle;
      else high = middle;
    }
  }
  return { space: "srgb", channels: toSrgb(at(low)).map(byte) as Triple, alpha: color.alpha };
}

/** The least ratio of an ink on several grounds. */
export const leastRatio = (ink: Color, needs: readonly Need[]): number =>
  Math.min(...needs.map((need) => ratioOn(ink, need)));

/** Whether an ink is enough on all of several grounds. */
export const isEnough = (ink: Color, needs: readonly Need[]): boolean =>
  needs.every((need) => ratioOn(ink, need) >= need.needs);

/**
 * The rungs of a colour's ladder on a ground: for each ratio, darker and lighter, where there is one.
 * Every colour given reaches its ratio; 8-bit exact: the next lightness towards the ground gives another colour that does not.
 */
export function ladder(color: Color, ground: Omit<Need, "needs">, ratios: readonly number[] = [3, 4.5, 7]): Rung[] {
  const [level] = oklch({ ...ground.color, alpha: 1 });
  const rungs: Rung[] = [];
  for (const ratio of ratios) {
    for (const [side, end] of [
      ["darker", 0],
      ["lighter", 1],
    ] as const) {
      const reaches = (lightness: number) => ratioOn(atLightness(color, lightness), ground) >= ratio;
      if (!reaches(end)) continue;
      const lightness = reaches(level) ? level : boundary(end, level, reaches);
      rungs.push({ ratio, side, lightness, color: atLightness(color, lightness) });
    }
  }
  return rungs;
}

/** The last lightness from `inside` towards `outside` that holds. */
function boundary(inside: number, outside: number, holds: (lightness: number) => boolean): number {
  let [near, far] = [inside, outside];
  while (Math.abs(far - near) > 1e-5) {
    const middle = (near + far) / 2;
    if (holds(middle)) near = middle;
    else far = middle;
  }
  return near;
}

/** The contrast of an ink on a ground as it comes out there (WCAG 2.2), unrounded. */
export function ratioOn(ink: Color, { color: ground, opacity = 1, under = ground }: Omit<Need, "needs">): number {
  return contrastRatio(paintOver({ ...ink, alpha: (ink.alpha ?? 0) * opacity }, under), ground);
}

/** The contrast of an ink on an opaque ground, with what lies between them (WCAG 2.2), unrounded. */
export function ratioOver(ground: Color, { ink, veil }: Omit<InkOver, "needs">): number {
  return veil ? contrastRatio(paintOver(ink, ground), paintOver(veil, ground)) : contrastRatio(ink, ground);
}

const steps = 512;

/** The colour nearest to an ink, at its hue, that reaches what is needed on all its grounds at once. */
export function nearestPassingInk(ink: Color, grounds: readonly Need[]): Passing {
  return nearest(ink, (lightness) => {
    const at = atLightness(ink, lightness);
    return Math.min(...grounds.map((ground) => ratioOn(at, ground) / ground.needs));
  });
}

/** The colour nearest to a ground, at its hue, on which all its inks reach what they need. */
export function nearestPassingGround(ground: Color, inks: readonly InkOver[]): Passing {
  return nearest(ground, (lightness) => {
    const at = atLightness(ground, lightness);
    return Math.min(...inks.map((one) => ratioOver(at, one) / one.needs));
  });
}

/** @param share how much of what is needed is reached at a lightness; 1 is enough */
function nearest(color: Color, share: (lightness: number) => number): Passing {
  if (share(oklch(color)[0]) >= 1 && isEightBit(color)) return { color, passes: true };
  const enough = (lightness: number) => share(lightness) >= 1;
  const found: number[] = [];
  let best = { lightness: 0, share: -Infinity };
  let before = false;
  for (let step = 0; step <= steps; step += 1) {
    const lightness = step / steps;
    const reached = share(lightness);
    if (reached > best.share) best = { lightness, share: reached };
    const passes = reached >= 1;
    if (passes) found.push(lightness);
    // The ends of a stretch that passes lie between two steps.
    if (step > 0 && passes !== before)
      found.push(
        passes
          ? boundary(lightness, lightness - 1 / steps, enough)
          : boundary(lightness - 1 / steps, lightness, enough),
      );
    before = passes;
  }
  if (found.length === 0) return { color: atLightness(color, best.lightness), passes: false };
  const colors = found.map((lightness) => atLightness(color, lightness));
  const distances = colors.map((one) => differenceOk(one, color));
  return { color: colors[distances.indexOf(Math.min(...distances))]!, passes: true };
}

function isEightBit(color: Color): boolean {
  return color.space === "srgb" && solid(color.channels).every((value) => Math.abs(value - byte(value)) < 1e-9);
}
