/** Places by what stands there and where: "Foot passengers, fares.html line 38". */
import { documentOf } from "../source/html/document";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import type { ElementRef } from "./refs";
import { shownWords } from "./textStyles";

/** Characters of the words that are named. */
const most = 40;

/** One name for each place; a place that is gone has that of its page. */
export function placeNames(site: Site, refs: readonly ElementRef[]): string[] {
  return refs.map(({ page, index, pseudo }) => {
    const file = textFile(site, page);
    const element = file && documentOf(file).elements[index];
    if (!element) return page;
    const words = shownWords(element);
    const named = words.length > most ? `${words.slice(0, most).trimEnd()}…` : words;
    const what = `${pseudo ? `${pseudo} ` : ""}${named || element.tag}`;
    const line = element.source ? ` line ${positionAt(file.text, element.source.whole.start).line}` : "";
    return `${what}, ${page}${line}`;
  });
}
