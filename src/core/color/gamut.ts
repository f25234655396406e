/** Gamuts and mapping into them (CSS Color 4, section 13). */
import { definitionOf } from "./spaces";
import { convertChannels, convertColor, solid } from "./conversion";
import type { Color, Space, Triple } from "./types";

/** Whether a colour can be shown in a space; every colour can in lab, lch, oklab, oklch and xyz. */
export function inGamut(color: Color, space: Space, tolerance = 0.000075): boolean {
  const { gamut } = definitionOf(space);
  if (!gamut) return true;
  return solid(convertColor(color, gamut).channels).every((value) => value >= -tolerance && value <= 1 + tolerance);
}

/** L, a and b of OKLab, `none` as 0 (CSS Color 4, 9.3). */
export function okLab({ channels, space }: Color): Triple {
  return convertChannels(solid(channels), space, "oklab");
}

/** Euclidean distance in OKLab (CSS Color 4, 14.2); 0.02 is about what the eye can just tell. */
export function differenceOk(a: Color, b: Color): number {
  const [first, second] = [okLab(a), okLab(b)];
  return Math.hypot(...first.map((value, at) => value - second[at]!));
}

const justNoticeable = 0.02;
const epsilon = 0.0001;

/** The colour brought into a space's gamut by chroma reduction in OKLCh with local clipping (CSS Color 4, 13.2). */
export function toGamut(color: Color, space: Space): Color {
  const { gamut } = definitionOf(space);
  if (!gamut || inGamut(color, space, 0)) return convertColor(color, space);
  const [lightness, chroma, hue] = convertChannels(solid(color.channels), color.space, "oklch");
  const result = (channels: Triple): Color => convertColor({ space: gamut, channels, alpha: color.alpha }, space);
  if (lightness >= 1) return result([1, 1, 1]);
  if (lightness <= 0) return result([0, 0, 0]);
  const at = (c: number): Color => ({ space: "oklch", channels: [lightness, c, hue], alpha: 1 });
  const clip = (one: Color): Color => ({
    space: gamut,
    channels: solid(convertColor(one, gamut).channels).map((value) => Math.min(1, Math.max(0, value))) as Triple,
    alpha: 1,
  });
  let clipped = clip(at(chroma));
  if (differenceOk(clipped, at(chroma)) >= justNoticeable) {
    let low = 0;
    let high = chroma;
    let lowInGamut = true;
    while (high - low > epsilon) {
      const middle = (low + high) / 2;
      const current = at(middle);
      if (lowInGamut && inGamut(current, gamut, 0)) {
        low = middle;
        continue;
      }
      clipped = clip(current);
      const difference = differenceOk(clipped, current);
      if (difference < justNoticeable) {
        if (justNoticeable - difference < epsilon) break;
        lowInGamut = false;
        low = middle;
      } else {
        high = middle;
      }
    }
  }
  return result(clipped.channels as Triple);
}
