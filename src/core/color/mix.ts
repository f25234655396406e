/** Interpolation of colours (CSS Color 4, section 12), to the digits browsers give. */
import { definitionOf, hueOf, isMissingWith } from "./spaces";
import { convertToMix, degrees, solid } from "./conversion";
import type { Channels, Color, Space } from "./types";

export type HueWay = "shorter" | "longer" | "increasing" | "decreasing";

function prepared(color: Color, space: Space): Color {
  const converted = convertToMix(color, space);
  if (color.space === space) return converted;
  const own = definitionOf(color.space).channels;
  const missing = new Set(own.flatMap(({ means }, at) => (color.channels[at] === null ? [means] : [])));
  const { channels } = definitionOf(space);
  return {
    ...converted,
    channels: converted.channels.map((value, at) =>
      isMissingWith(missing, channels[at]!, channels) ? null : value,
    ) as Channels,
  };
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
    // Of what cannot be seen, nothing is divided by its alpha again.
    return alpha === null || alpha === 0 ? mixed : mixed / alpha;
  }) as Channels;
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
