/** Pairs of ink and ground that can be read, and cannot with other eyes. */
import { parseColor } from "../color";
import { ratioSeen, type Eyes } from "../color/eyes";
import type { PalettePair } from "./palette";

export interface LostPair {
  pair: PalettePair;
  /** As those eyes see it, at the worst end of its ground. */
  ratio: number;
}

/** Pairs that are enough, and are not for other eyes, with the ratio that these see: the least on a ground that varies. */
export function pairsLostTo(pairs: readonly PalettePair[], other: Eyes): LostPair[] {
  return pairs.flatMap((pair) => {
    if (!pair.passes) return [];
    const ink = parseColor(pair.ink)!;
    const grounds = (pair.range ?? [pair.ground]).map((css) => parseColor(css)!);
    const ratio = Math.min(...grounds.map((ground) => ratioSeen(ink, ground, other)));
    return ratio < pair.needs ? [{ pair, ratio }] : [];
  });
}
