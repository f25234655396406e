/** How a pair of ink and ground is brought to pass: by another ink, or by another ground. */
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { nearestPassingGround, nearestPassingInk, ratioOn, type Need, type Passing } from "../color/ladder";
import type { Color } from "../color/types";
import type { TextChange } from "../source/changes";
import type { ElementRef } from "../text/refs";
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

export function pairFixes(pair: PalettePair, palette: Palette): PairFixes {
  const spots = spotsOf(pair, palette);
  const needs = needsOf(spots, pair, palette);
  const ink = nearestPassingInk(parseColor(pair.ink)!, needs);
  return { spots, needs, ink, ground: ink.passes ? null : otherGround(pair, palette) };
}

/** The least ratio of an ink on several grounds. */
export const leastRatio = (ink: Color, needs: readonly Need[]): number =>
  Math.min(...needs.map((need) => ratioOn(ink, need)));

/** Whether an ink is enough on all of several grounds. */
export const isEnough = (ink: Color, needs: readonly Need[]): boolean =>
  needs.every((need) => ratioOn(ink, need) >= need.needs);

const idOf = ({ page, index, pseudo }: ElementRef) => `${page} ${index} ${pseudo ?? ""}`;

function needsOf(spots: readonly PaletteUse[], pair: PalettePair, { pairs }: Palette): Need[] {
  const touched = new Set(spots.flatMap(({ places }) => places.map(idOf)));
  return pairs
    .filter(
      ({ ink, places }) => ink === pair.ink && (touched.size === 0 || places.some((one) => touched.has(idOf(one)))),
    )
    .flatMap((one) => (one.range ?? [one.ground]).map((css): Need => ({ color: parseColor(css)!, needs: one.needs })));
}

function otherGround(pair: PalettePair, { values, pairs }: Palette): PairFixes["ground"] {
  if (pair.range) return null;
  const there = new Set(pair.places.map(idOf));
  const spots = values
    .filter(({ css }) => css === pair.ground)
    .flatMap(({ uses }) =>
      uses.filter(({ role, places }) => role === "ground" && places.some((one) => there.has(idOf(one)))),
    );
  const inks = pairs
    .filter(({ ground, range }) => range === null && ground === pair.ground)
    .map(({ ink, needs }): Need => ({ color: parseColor(ink)!, needs }));
  const found = nearestPassingGround(parseColor(pair.ground)!, inks);
  if (spots.length === 0 || !found.passes) return null;
  const value = formatColor(found.color, "hex");
  return { value, changes: joinColors(spots, value) };
}

function spotsOf(pair: PalettePair, { values }: Palette): PaletteUse[] {
  const there = new Set(pair.places.map(idOf));
  return values
    .filter(({ css }) => css === pair.ink)
    .flatMap(({ uses }) =>
      uses.filter(
        ({ role, places }) => (role === "ink" || role === "named") && places.some((one) => there.has(idOf(one))),
      ),
    );
}
