import type { HtmlDocument } from "../../source/html/document";
import { matches } from "./match";
import { tryParseSelectorList } from "./parse";

/** Indexes of the elements a selector list matches, in document order; null when it is not valid. */
export function matchingElements(document: HtmlDocument, selectors: string): number[] | null {
  const list = tryParseSelectorList(selectors);
  if (!list) return null;
  const context = { quirks: document.mode === "quirks", scope: null, forced: null };
  return document.elements
    .filter((element) =>
      list.some((selector) => selector.pseudoElement === null && matches(selector, element, context)),
    )
    .map(({ index }) => index);
}
