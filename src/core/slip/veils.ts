/** The weakest layers over a ground with which all that stands on it can be read. */
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { paintOver } from "../color/contrast";
import { differenceOk } from "../color/gamut";
import { nearestPassingInk } from "../color/ladder";
import { leastVeil, worstBetween } from "../color/veil";
import type { Color } from "../color/types";
import { refKey, type ElementRef } from "../text/refs";
import type { InkThere } from "./stands";

export interface Veils {
  /** How many texts stand on the ground. */
  texts: number;
  /** A veil of each colour, the weakest first; those that are never enough last. */
  veils: {
    name: string;
    /** Opacity, 0 to 1; 0 where none is needed, null where none is enough. */
    alpha: number | null;
    /** As a layer of the ground is written; null where none is enough. */
    layer: string | null;
    /** How far it takes the ground from what it is, ΔE OK; null where none is enough. */
    distance: number | null;
  }[];
  /** Instead of a veil: the nearest ink with which the picked text can be read; null where none is enough, or none needed. */
  ink: { css: string; distance: number } | null;
}

const colors: readonly { name: string; color: Color }[] = [
  { name: "black", color: { space: "srgb", channels: [0, 0, 0], alpha: 1 } },
  { name: "white", color: { space: "srgb", channels: [1, 1, 1], alpha: 1 } },
];

/**
 * @param inks those on the ground, each with what lies under it
 * @param picked the text whose ink may be another instead
 * @param other a colour to veil with, besides black and white
 */
export function veilsOver(
  inks: readonly InkThere[],
  picked: ElementRef | null = null,
  other: string | null = null,
): Veils {
  const asked = other === null ? null : parseColor(other);
  const all = asked ? [...colors, { name: other!, color: { ...asked, alpha: 1 } }] : colors;
  const under = inks.map(({ css, needs, ends }) => ({
    ink: parseColor(css)!,
    needs,
    ends: ends.map((end) => parseColor(end)!),
  }));
  const veils = all.map(({ name, color }) => {
    const veil = leastVeil(color, under);
    const text = veil && formatColor(veil, "rgb");
    const ends = under.flatMap((one) => one.ends);
    const distance = veil && Math.max(0, ...ends.map((end) => differenceOk(end, paintOver(veil, end))));
    return { name, alpha: veil?.alpha ?? null, layer: text && `linear-gradient(${text}, ${text})`, distance };
  });
  return {
    texts: inks.reduce((sum, { places }) => sum + places.length, 0),
    ink: inkInstead(inks, picked),
    veils: veils.sort((a, b) => (a.alpha ?? 2) - (b.alpha ?? 2)),
  };
}

/** The nearest ink that is enough on all that a text stands on, in all its places. */
function inkInstead(inks: readonly InkThere[], picked: ElementRef | null): Veils["ink"] {
  const first = picked && inks.find(({ places }) => places.some((place) => refKey(place) === refKey(picked)));
  if (!first) return null;
  const own = inks.filter(({ css }) => css === first.css);
  const ink = parseColor(first.css)!;
  const needs = own.flatMap(({ ends, needs: ratio }) => ends.map((end) => ({ color: parseColor(end)!, needs: ratio })));
  const nearest = nearestPassingInk(ink, needs);
  const isRead = own.every(
    ({ ends, needs: ratio }) =>
      worstBetween(
        nearest.color,
        ends.map((end) => parseColor(end)!),
      ) >= ratio,
  );
  const distance = differenceOk(ink, nearest.color);
  return isRead && distance > 0 ? { css: formatColor(nearest.color, "hex"), distance } : null;
}
