/** Colours written in another notation, and proof of what that does to what is seen. */
import { formatColor, parseColor, type FormatOptions, type Notation } from "../color";
import { differenceOk, inGamut } from "../color/gamut";
import { nearestName } from "../color/format";
import { toSrgb } from "../color/contrast";
import { notationOf } from "../color/written";
import type { TextChange } from "../source/changes";
import type { ColorSpot } from "./values";

export interface Rewriting {
  changes: TextChange[];
  /** Values that come out as the same colour: the same 8-bit sRGB, or within 0.0005 in OKLab beyond sRGB. */
  same: number;
  /** Values that do not, with how far off they are in OKLab. */
  different: { value: string; written: string; distance: number; path: string; line: number }[];
  /** Values left as they are, with the reason. */
  left: { value: string; reason: string; path: string; line: number }[];
}

/** Two distances that no eye tells apart, as `formatColor` promises them. */
const exact = 0.0005;

/** Notations whose colours gradients mix in sRGB; all others are mixed in OKLab (CSS Color 4, 12.1). */
const older: ReadonlySet<string> = new Set(["hex", "name", "rgb", "hsl", "hwb"]);
const isOlder = (notation: string | undefined) => notation !== undefined && older.has(notation);

/**
 * Colours written in another notation. What cannot be written in it is left, with the reason; what comes out
 * otherwise is told with its difference (ΔE OK).
 */
export function rewriteColors(spots: readonly ColorSpot[], notation: Notation, options: FormatOptions = {}): Rewriting {
  const result: Rewriting = { changes: [], same: 0, different: [], left: [] };
  for (const { value, css, mixed, path, start, end, line } of spots) {
    const color = css === null ? null : parseColor(value);
    const leave = (reason: string) => result.left.push({ value, reason, path, line });
    if (!color) {
      leave("What it comes to depends on where it stands.");
      continue;
    }
    if (mixed && isOlder(notationOf(value)?.notation) !== isOlder(notation)) {
      leave("It stands in a gradient, which would mix its colours another way.");
      continue;
    }
    if (notation === "name" && color.alpha !== 0 && nearestName(color).distance > 0) {
      leave("It has no name.");
      continue;
    }
    if (notation === "name" && color.alpha !== 0 && (color.alpha ?? 0) < 1) {
      leave("A name cannot be translucent.");
      continue;
    }
    const written = formatColor(color, notation, options);
    if (written === value) {
      result.same += 1;
      continue;
    }
    const back = parseColor(written)!;
    const distance = differenceOk(color, back);
    const bytes = (one: typeof color) =>
      toSrgb(one)
        .map((channel) => Math.round(channel * 255))
        .join();
    const alike =
      Math.abs((color.alpha ?? 0) - (back.alpha ?? 0)) < 0.002 &&
      (inGamut(color, "srgb") ? bytes(color) === bytes(back) : distance <= exact);
    if (alike) result.same += 1;
    else result.different.push({ value, written, distance, path, line });
    result.changes.push({ path, start, end, insert: written });
  }
  return result;
}

/** All the spots written as one value; in gradients in a notation that is mixed as before. */
export function joinColors(spots: readonly ColorSpot[], value: string): TextChange[] {
  const color = parseColor(value);
  const olderNow = isOlder(notationOf(value)?.notation);
  return spots.flatMap((spot) => {
    const older = isOlder(notationOf(spot.value)?.notation);
    const insert = spot.mixed && color && older !== olderNow ? formatColor(color, older ? "hex" : "oklch") : value;
    return spot.value === insert ? [] : [{ path: spot.path, start: spot.start, end: spot.end, insert }];
  });
}
