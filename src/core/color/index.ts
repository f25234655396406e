import { ColorError, isAbsolute, readColorValue, resolveColor, type ColorContext } from "./value";
import type { Color } from "./types";

const anywhere: ColorContext = {
  current: { color: { space: "srgb", channels: [0, 0, 0], alpha: 1 }, legacy: true },
  scheme: "light",
};

/** A colour from any notation of CSS Color 4 and 5 that does not depend on where it stands; null when it is not one. */
export function parseColor(text: string): Color | null {
  try {
    const value = readColorValue(text);
    return value.kind === "system" || isAbsolute(value) ? resolveColor(value, anywhere).color : null;
  } catch (error) {
    if (error instanceof ColorError) return null;
    throw error;
  }
}

export { contrastRatio, neededRatio, paintOver, relativeLuminance, showRatio, toSrgb } from "./contrast";
export { formatColor, nearestName, type FormatOptions } from "./format";
export {
  atLightness,
  isEnough,
  ladder,
  leastRatio,
  nearestPassingGround,
  nearestPassingInk,
  oklch,
  ratioOn,
  ratioOver,
  type InkOver,
  type Need,
  type Passing,
  type Rung,
} from "./ladder";
export { seenWith, visions, type Vision } from "./simulate";
export { ColorError, readColorValue } from "./value";
export { notationOf, notations, spelledLike, type WrittenNotation } from "./written";
export { differenceOk, inGamut, toGamut } from "./gamut";
export { gamutOf, handChannels, takesCommas, type HandChannel } from "./spaces";
export { convertColor } from "./conversion";
export type { Color, Notation, Space } from "./types";
