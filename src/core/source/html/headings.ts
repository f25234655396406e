/** Headings of a page (HTML, 4.3.6). */
import { ownWords, type ElementNode } from "./document";

/** From 1 to 6; 0 for what is no heading. */
export const headingLevel = ({ tag }: ElementNode): number => Number(/^h([1-6])$/.exec(tag)?.[1] ?? 0);

/** The words of an element, or of what is in it. */
export function wordsIn(element: ElementNode): string {
  const own = ownWords(element);
  return own || element.children.map(wordsIn).join(" ").trim();
}
