/** How strong a layer over a ground that varies has to be so that texts on it can be read (WCAG 2.2, 1.4.3). */
import { contrastRatio, paintOver, relativeLuminance } from "./contrast";
import type { Color } from "./types";

/** A ratio at the worst point of a ground that takes every lightness between its ends. @param ends - opaque */
export function worstBetween(ink: Color, ends: readonly Color[]): number {
  const inks = ends.map((end) => paintOver(ink, end));
  const [light, grounds] = [inks.map(relativeLuminance), ends.map(relativeLuminance)];
  // Somewhere between the ends ink and ground are the same.
  if (Math.max(...light) >= Math.min(...grounds) && Math.min(...light) <= Math.max(...grounds)) return 1;
  return Math.min(...ends.map((end, at) => contrastRatio(inks[at]!, end)));
}

/** Opacities are tried in hundredths: less is not seen. */
const steps = 100;

/** A text under a veil. */
export interface Veiled {
  ink: Color;
  needs: number;
  /** The darkest and the lightest of the ground under it, opaque. */
  ends: readonly Color[];
}

/**
 * A layer of one colour with the least opacity with which all inks are enough everywhere; 0 where they are without one,
 * null where none is enough.
 */
export function leastVeil(layer: Color, inks: readonly Veiled[]): Color | null {
  for (let step = 0; step <= steps; step += 1) {
    const color: Color = { ...layer, alpha: step / steps };
    const isRead = ({ ink, needs, ends }: Veiled) =>
      worstBetween(
        ink,
        ends.map((end) => paintOver(color, end)),
      ) >= needs;
    if (inks.every(isRead)) return color;
  }
  return null;
}
