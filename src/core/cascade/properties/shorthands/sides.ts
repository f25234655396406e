/** Shorthands whose parts are for sides, in their order. */
import type { Shorthand } from "../types";

/** One to four values for the four sides (CSS Box 4, 3.2). */
export function fourSides(name: string, longhands: readonly string[]): Shorthand {
  return {
    name,
    longhands,
    expand: (value) => {
      if (value.length < 1 || value.length > 4) return null;
      const [top, right = top, bottom = top, left = right] = value;
      return Object.fromEntries([top, right, bottom, left].map((one, at) => [longhands[at]!, [one!]]));
    },
  };
}

/** One or two values for start and end. */
export function twoSides(name: string, longhands: readonly [string, string]): Shorthand {
  return {
    name,
    longhands,
    expand: ([start, end = start, more]) =>
      !start || more ? null : { [longhands[0]]: [start], [longhands[1]]: [end!] },
  };
}
