/** Selectors: what elements of the pages are called, with how many there are, and states. */
import { nameCounts } from "../cascade/selectors/named";
import { documentOf } from "../source/html/document";
import { pagesOf } from "../source/site";
import type { Here } from "./here";
import { onElements, plain, type Asked, type WritingOption } from "./types";

const pseudos: readonly (readonly [selector: string, what: string])[] = [
  [":hover", "while the pointer is over it"],
  [":focus-visible", "while it has the focus, where that is shown"],
  [":focus", "while it has the focus"],
  [":active", "while it is pressed"],
  [":link", "a link that was not visited"],
  [":visited", "a link that was visited"],
  [":first-child", "first in what it stands in"],
  [":last-child", "last in what it stands in"],
  [":nth-child(", "every so many"],
  [":first-of-type", "first of its kind"],
  [":last-of-type", "last of its kind"],
  [":not(", "all but these"],
  [":is(", "any of these"],
  [":where(", "any of these, without weight"],
  [":has(", "that holds one of these"],
  [":root", "the page's root"],
  [":checked", "a box that is checked"],
  [":disabled", "a control out of use"],
  ["::before", "put before what is in it"],
  ["::after", "put behind what is in it"],
  ["::first-line", "its first line"],
  ["::first-letter", "its first letter"],
  ["::marker", "the marker of a list item"],
  ["::selection", "what is selected"],
  ["::placeholder", "the words of an empty field"],
];

/** What holds nothing that is seen. */
const unseen = new Set(["head", "meta", "link", "title", "script", "style", "base"]);

/** Names of elements of the site, those on most elements first; behind a colon, pseudo-classes and pseudo-elements. */
export function selectorOptions({ site }: Asked, { typed }: Here & { kind: "selector" }): WritingOption[] {
  if (typed.startsWith(":")) return pseudos.map(([text, what]) => plain(text, what));
  return nameCounts(pagesOf(site).map(documentOf))
    .filter(([name]) => !unseen.has(name))
    .map(([name, count]) => plain(name, onElements(count)));
}
