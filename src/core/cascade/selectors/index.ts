import type { ElementNode, HtmlDocument } from "../../source/html/document";
import { mayMatch, mayMatchIn } from "./named";
import { matches } from "./match";
import { tryParseSelectorList } from "./parse";
import type { Selector } from "./types";

/** Indexes of the elements a selector list matches, in document order; null when it is not valid. */
export function matchingElements(document: HtmlDocument, selectors: string): number[] | null {
  const list = tryParseSelectorList(selectors);
  return list && elementsMatching(document, list);
}

/** Indexes of the elements that any of the selectors matches, in document order. */
export function elementsMatching(document: HtmlDocument, list: readonly Selector[]): number[] {
  const found = list.flatMap((selector) => [...matchesIn(document, selector)]);
  const indexes = found.map(({ index }) => index);
  return list.length === 1 ? indexes : [...new Set(indexes)].sort((a, b) => a - b);
}

/** Whether a selector matches an element of the document. */
export function matchesAnything(document: HtmlDocument, selector: Selector): boolean {
  return !matchesIn(document, selector).next().done;
}

/** In document order. */
function* matchesIn(document: HtmlDocument, selector: Selector): Generator<ElementNode> {
  if (selector.pseudoElement !== null || !mayMatchIn(document, selector)) return;
  const context = { quirks: document.mode === "quirks", scope: null, forced: null };
  for (const element of mayMatch(document, selector)) if (matches(selector, element, context)) yield element;
}
