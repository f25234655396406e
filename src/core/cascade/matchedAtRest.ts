/** Which elements rules match on the pages that read their sheet, whatever state those are in. */
import type { Declaration, Item } from "../source/css/syntax";
import type { SheetText } from "../source/declarations";
import { documentOf, type HtmlDocument } from "../source/html/document";
import { sheetsOfPage, type SheetSource } from "../source/html/sheets";
import { made } from "../source/memo";
import { pagesOf, type Site, type TextFile } from "../source/site";
import { matchInScope, scopeRootOf } from "./pageRules";
import { isEntry, rulesOf, type RuleEntry } from "./rules";
import { atRest } from "./selectors/atRest";
import { mayMatch, mayMatchIn } from "./selectors/named";
import { tryParseSelectorList } from "./selectors/parse";

/** A page that reads a sheet, once for each time it does. */
export interface SheetReader {
  file: TextFile;
  document: HtmlDocument;
  sheet: SheetSource;
}

/** The pages that read a sheet: those that link or import it, or the one that embeds it. */
export function readersOf(site: Site, { file, offset }: SheetText): SheetReader[] {
  const pages = file.kind === "html" ? [file] : pagesOf(site);
  return pages.flatMap((page) =>
    sheetsOfPage(site, page)
      .owners.flatMap(({ sheets }) => sheets)
      .filter((sheet) => sheet.path === file.path && sheet.offset === offset)
      .map((sheet) => ({ file: page, document: documentOf(page), sheet })),
  );
}

/** A rule's selectors at rest, what it is nested in unfolded, and the scopes it stands in. */
export interface RestingRule {
  selectors: RuleEntry["selectors"];
  scopes: RuleEntry["conditions"]["scopes"];
}

const known = new WeakMap<readonly Item[], ReadonlyMap<number, RestingRule>>();

/** The rules of a sheet as they match at rest, by where they start; none that cannot be read. */
export const restingRules = (items: readonly Item[]): ReadonlyMap<number, RestingRule> =>
  made(known, items, () => {
    const entries = rulesOf(resting(items)).steps.filter(isEntry);
    return new Map(
      entries.map(({ rule, selectors, conditions: { scopes } }) => [rule.start, { selectors, scopes }] as const),
    );
  });

/** Whatever a rule sets, it matches by one declaration, and none of it counts here. */
const nowhere = { start: 0, end: 0 };
const any: Declaration = {
  kind: "declaration",
  property: "--at-rest",
  name: nowhere,
  value: nowhere,
  valueText: "",
  important: false,
  semicolon: null,
  ...nowhere,
};

const resting = (items: readonly Item[]): Item[] =>
  items.flatMap((item): Item[] => {
    if (item.kind === "at") return [{ ...item, items: resting(item.items) }];
    if (item.kind !== "style") return [];
    const preludeText = atRest(item.preludeText);
    const isRead = tryParseSelectorList(preludeText, { parent: null, nested: true }) !== null;
    return [{ ...item, ...(isRead && { preludeText }), items: [any, ...resting(item.items)] }];
  });

/** Indexes of the elements that a rule can match on a page, or parts of them, in document order. */
export function elementsAtRest({ selectors, scopes }: RestingRule, { document, sheet }: SheetReader): number[] {
  const context = { quirks: document.mode === "quirks", scope: null, forced: null };
  const root = scopes.length ? scopeRootOf(sheet, document) : null;
  const found = new Set<number>();
  for (const selector of selectors) {
    if (!mayMatchIn(document, selector)) continue;
    for (const element of mayMatch(document, selector))
      if (matchInScope(scopes, root, selector, element, context) !== null) found.add(element.index);
  }
  return [...found].sort((a, b) => a - b);
}
