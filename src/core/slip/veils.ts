/** The weakest layers over a ground with which all that stands on it can be read. */
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { leastVeil } from "../color/veil";
import type { Color } from "../color/types";
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
  }[];
}

const colors: readonly { name: string; color: Color }[] = [
  { name: "black", color: { space: "srgb", channels: [0, 0, 0], alpha: 1 } },
  { name: "white", color: { space: "srgb", channels: [1, 1, 1], alpha: 1 } },
];

/** @param inks those on the ground, each with what lies under it */
export function veilsOver(inks: readonly InkThere[]): Veils {
  const under = inks.map(({ css, needs, ends }) => ({
    ink: parseColor(css)!,
    needs,
    ends: ends.map((end) => parseColor(end)!),
  }));
  const veils = colors.map(({ name, color }) => {
    const veil = leastVeil(color, under);
    const text = veil && formatColor(veil, "rgb");
    return { name, alpha: veil?.alpha ?? null, layer: text && `linear-gradient(${text}, ${text})` };
  });
  return {
    texts: inks.reduce((sum, { places }) => sum + places.length, 0),
    veils: veils.sort((a, b) => (a.alpha ?? 2) - (b.alpha ?? 2)),
  };
}
