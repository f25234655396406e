/** Interpolation of colours (CSS Color 4, section 12), to the digits browsers give. */
import { definitionOf, hueOf } from "./spaces";
import { convertAsBrowser, degrees, solid } from "./conversion";
import type { Channels, Color, Space, Triple } from "./types";

export type HueWay = "shorter" | "longer" | "increasing" | "decreasing";

function prepared(color: Color, space: Space): Color {
  const converted = convertAsBrowser(color, space);
  const channels = [...converted.channels] as Channels;
  if (color.space !== space) {
    // What means the same in both is carried over when it is `none` (CSS Color 4, 12.2).
    for (const [at, channel] of color.channels.entries()) {
      const { means } = definitionOf(color.space).channels[at]!;
      const carried =
        channel === null && means ? definitionOf(space).channels.findIndex((one) => one.means === means) : -1;
      if (carried >= 0) channels[carried] = null;
    }
  }
  return { ...converted, channels };
}

/** The colour a share of the way (0 to 1) from one to the other, alpha premultiplied (12.3). */
export function interpolateColors(from: Color, to: Color, share: number, space: Space, way: HueWay): Color {
  const a = prepared(from, space);
  const b = prepared(to, space);
  const first = a.channels.map((channel, at) => channel ?? b.channels[at]!) as Channels;
  const second = b.channels.map((channel, at) => channel ?? a.channels[at]!) as Channels;
  const alphaA = a.alpha ?? b.alpha;
  const alphaB = b.alpha ?? a.alpha;
  const hue = hueOf(space);
  const alpha = alphaA === null || alphaB === null ? null : alphaA + (alphaB - alphaA) * share;
  const one = solid(first);
  const two = solid(second);
  if (hue >= 0) [one[hue], two[hue]] = fixHues(one[hue]!, two[hue]!, way);
  const channels = one.map((value, at) => {
    if (first[at] === null && second[at] === null) return null;
    if (at === hue) return degrees(value + (two[at]! - value) * share);
    const mixed = value * (alphaA ?? 1) * (1 - share) + two[at]! * (alphaB ?? 1) * share;
    if (alpha === null) return mixed;
    return alpha === 0 ? 0 : mixed / alpha;
  }) as Channels;
  if (alpha === 0) {
    const plain = one.map((value, at) =>
      channels[at] === null || at === hue ? channels[at]! : value + (two[at]! - value) * share,
    );
    return { space, channels: plain as Triple, alpha };
  }
  return { space, channels, alpha };
}

/** CSS Color 4, 12.4. */
function fixHues(from: number, to: number, way: HueWay): [number, number] {
  let a = degrees(from);
  let b = degrees(to);
  const difference = b - a;
  if (way === "shorter") {
    if (difference > 180) a += 360;
    else if (difference < -180) b += 360;
  } else if (way === "longer") {
    if (difference > 0 && difference < 180) a += 360;
    else if (difference > -180 && difference <= 0) b += 360;
  } else if (way === "increasing") {
    if (b < a) b += 360;
  } else if (a < b) {
    a += 360;
  }
  return [a, b];
}
