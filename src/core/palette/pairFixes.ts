/** How a pair of ink and ground is brought to pass: by another ink, or by another ground. */
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { nearestPassingGround, nearestPassingInk, type InkOver, type Need, type Passing } from "../color/ladder";
import type { Color } from "../color/types";
import { groundsOf } from "../ground/range";
import type { TextChange } from "../source/changes";
import { refKey } from "../text/refs";
import type { Palette, PalettePair, PaletteUse } from "./palette";
import { joinColors } from "./rewrite";

export interface PairFixes {
  /** The values in the sheets that give the pair its ink; none where it comes from elsewhere. */
  spots: PaletteUse[];
  /** What the ink has to be enough on: all grounds under the places that these values colour. */
  needs: Need[];
  /** The ink nearest to it that is enough on all of them, or the best there is at its hue. */
  ink: Passing;
  /** Where no ink is: the nearest ground on which all its inks can be read; null where there is none. */
  ground: { value: string; changes: TextChange[] } | null;
}

/** What brings a pair to pass: where its ink is written, what that has to be enough on, and the nearest that is. */
export function pairFixes(pair: PalettePair, palette: Palette): PairFixes {
  const spots = spotsOf(pair, palette);
  const needs = needsOf(spots, pair, palette);
  const ink = nearestPassingInk(parseColor(pair.ink)!, needs);
  return { spots, needs, ink, ground: ink.passes ? null : otherGround(pair, palette) };
}

function needsOf(spots: readonly PaletteUse[], pair: PalettePair, { pairs }: Palette): Need[] {
  const touched = new Set(spots.flatMap(({ places }) => places.map(refKey)));
  return pairs
    .filter(
      ({ ink, places }) => ink === pair.ink && (touched.size === 0 || places.some((one) => touched.has(refKey(one)))),
    )
    .flatMap((one) =>
      groundsOf({ color: parseColor(one.ground)!, range: rangeOf(one) }).map((color): Need => ({
        color,
        needs: one.needs,
      })),
    );
}

const rangeOf = ({ range }: PalettePair): [Color, Color] | null =>
  range && [parseColor(range[0])!, parseColor(range[1])!];

function otherGround(pair: PalettePair, { values, pairs }: Palette): PairFixes["ground"] {
  if (pair.range) return null;
  const there = new Set(pair.places.map(refKey));
  const spots = values
    .filter(({ css }) => css === pair.ground)
    .flatMap(({ uses }) =>
      uses.filter(({ role, places }) => role === "ground" && places.some((one) => there.has(refKey(one)))),
    );
  const inks = pairs
    .filter(({ ground, range }) => range === null && ground === pair.ground)
    .map(({ ink, needs }): InkOver => ({ ink: parseColor(ink)!, needs }));
  const found = nearestPassingGround(parseColor(pair.ground)!, inks);
  if (spots.length === 0 || !found.passes) return null;
  const value = formatColor(found.color, "hex");
  return { value, changes: joinColors(spots, value) };
}

function spotsOf(pair: PalettePair, { values }: Palette): PaletteUse[] {
  const there = new Set(pair.places.map(refKey));
  return values
    .filter(({ css }) => css === pair.ink)
    .flatMap(({ uses }) =>
      uses.filter(
        ({ role, places }) => (role === "ink" || role === "named") && places.some((one) => there.has(refKey(one))),
      ),
    );
}
