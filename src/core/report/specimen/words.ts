/** How the sheet says things. */
import type { ElementRef } from "../../text/refs";
import { showRatio } from "../../color";
import { counted } from "../words";
import type { Verdict } from "../../ground/types";

/** Up to two decimals, a true minus sign. */
export const showNumber = (value: number): string => String(Number(value.toFixed(2))).replace("-", "\u2212");

/** Pages that are named; more are counted. */
const mostPages = 4;

/** "12 places on 3 pages: index.html, fares.html, map.html". */
export function placesIn(places: readonly ElementRef[]): string {
  const pages = [...new Set(places.map(({ page }) => page))];
  const named = pages.slice(0, mostPages).join(", ");
  const more = pages.length > mostPages ? ` and ${pages.length - mostPages} more` : "";
  return `${counted(places.length, "place")} on ${counted(pages.length, "page")}: ${named}${more}`;
}

const verdicts: Readonly<Record<Verdict, (ratio: string, needs: number) => string>> = {
  passes: (ratio) => `${ratio} to 1`,
  fails: (ratio, needs) => `▲ ${ratio} to 1, needs ${needs}`,
  doubtful: (ratio, needs) => `◆ perhaps ${ratio} to 1, needs ${needs}`,
  unjudged: () => "not judged",
};

/** A verdict on contrast, in words. @param needs the ratio that is needed (WCAG 2.2, 1.4.3) */
export const verdictWords = (ratio: number, needs: number, verdict: Verdict): string =>
  verdicts[verdict](showRatio(ratio), needs);
