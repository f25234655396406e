/** Selectors as they are with no reader about (Selectors 4, 9). */
import { tryParseSelectorList } from "./parse";
import type { Selector } from "./types";

const stateful =
  /:{1,2}(?:hover|focus(?:-visible|-within)?|active|visited|target|before|after|first-line|first-letter|marker|placeholder|selection|backdrop|-[\w-]+)/gi;

/** A state or pseudo-element of nothing in particular. */
const alone = /(^|[\s>+~])(:)/g;

/** A selector without what only a reader brings about, and without its pseudo-element. */
export function atRest(text: string): string {
  return text
    .split(",")
    .map((one) => one.trim().replace(alone, "$1*$2").replace(stateful, "").trim() || "*")
    .join(",");
}

/** The selectors of a rule at rest, whatever it stands in; none where they cannot be read. */
export const selectorsAtRest = (prelude: string): readonly Selector[] =>
  tryParseSelectorList(atRest(prelude.replaceAll("&", "*"))) ?? [];
