/** How the page is looked at, beside the conditions it is under. */
export interface Look {
  /** CSS px; null to fit the room. */
  width: number | null;
  /** At its true size, though it is wider than the room. */
  trueSize: boolean;
  /** Further widths that the page is seen at beside, CSS px; two at most. */
  beside: readonly number[];
  /** Whether a glass is over the picked text. */
  glass: boolean;
}

export const plainLook: Look = { width: null, trueSize: false, beside: [], glass: false };

/** How many widths are seen at once at most. */
export const mostWidths = 3;

/** As widths are asked for: what is held in a hand, on a desk, and between. */
const asAsked = [360, 1024, 800, 1280, 600, 1600];

/** The same, narrowest first. */
export const usualWidths: readonly number[] = asAsked.toSorted((a, b) => a - b);

/** The width to show beside others: the first that is not much like one of them. @param seen - CSS px */
export function nextWidth(seen: readonly number[]): number {
  return asAsked.find((width) => seen.every((one) => Math.abs(Math.log(one / width)) > 0.15)) ?? asAsked[0]!;
}
