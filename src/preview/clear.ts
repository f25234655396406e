/**
 * Whether a colour, as `getComputedStyle` writes it, paints nothing. Only the fourth number of `rgba()` and what follows a
 * slash are alphas (CSS Color 4, 15): the last number of `rgb(0, 0, 0)` is its blue.
 */
export function isClear(color: string): boolean {
  return color === "transparent" || /^rgba\((?:[^,]*,){3}\s*0\)$/.test(color) || /\/\s*0%?\s*\)$/.test(color);
}
