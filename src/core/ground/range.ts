/** All that may lie under a text where it is more than one colour. */
import { interpolateColors } from "../color/mix";
import type { Color } from "../color/types";
import type { Ground } from "./types";

/** Colours looked at from one that is known to lie under a text to the next. */
const between = 8;

/** Colours with those between each and the next: gradients and pictures have all of them. */
export function dense(colors: readonly Color[]): readonly Color[] {
  return colors.flatMap((color, at) => {
    const next = colors[at + 1];
    if (!next) return [color];
    return Array.from({ length: between }, (_, step) =>
      interpolateColors(color, next, step / between, "srgb", "shorter"),
    );
  });
}

/** All that may lie under a text, as far as it has to be read on it. */
export const groundsOf = ({ color, range }: Pick<Ground, "color" | "range">): readonly Color[] =>
  range ? dense(range) : [color];
