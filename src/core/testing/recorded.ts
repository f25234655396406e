/**
 * Computed values of pages, recorded when a browser had just given the same (`HEVRET_RECORD=1 npx playwright test recorded`):
 * one sum for each longhand of a page. What layout and fonts come to is recorded with them.
 */
import { reportedLonghands } from "../cascade/properties";
import { computedValue } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import type { Conditions } from "../cascade/conditions";
import { pseudoTexts } from "../text/pseudoTexts";

export interface RecordedPage {
  path: string;
  conditions: Pick<Conditions, "scheme" | "fonts" | "containers">;
  /** Five digits for each, in the order of `longhands`. */
  sums: string;
}

export interface Recorded {
  longhands: string[];
  pages: RecordedPage[];
}

/** One sum for each longhand, over the elements of a page and its pseudo-elements that show text. */
export function sumsOf(page: StyledPage): string {
  const styles = [...page.styles, ...pseudoTexts(page).map(({ style }) => style)];
  return [...reportedLonghands]
    .map((longhand) => sumOf(styles.map((style) => computedValue(style, longhand)).join("\n")))
    .join("");
}

const digits = 5;

/** The sum of one longhand, by its place among them. */
export const sumAt = (sums: string, at: number): string => sums.slice(at * digits, (at + 1) * digits);

/** FNV-1a, 32 bits, cut to five digits of base 36. */
function sumOf(text: string): string {
  let sum = 0x811c9dc5;
  for (let at = 0; at < text.length; at += 1) sum = Math.imul(sum ^ text.charCodeAt(at), 0x01000193);
  return (sum >>> 0).toString(36).padStart(digits, "0").slice(-digits);
}
