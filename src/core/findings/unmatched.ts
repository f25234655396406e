import { append } from "../source/groups";
import { sheetTexts, type SheetText } from "../source/declarations";
import { readersOf } from "../cascade/matchedAtRest";
import { isEntry, rulesOf } from "../cascade/rules";
import { elementsMatching, matchesAnything } from "../cascade/selectors";
import { atRest } from "../cascade/selectors/atRest";
import { asksOnlyFor, lackingIn, namesIn } from "../cascade/selectors/named";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import type { Selector } from "../cascade/selectors/types";
import { documentOf, type HtmlDocument } from "../source/html/document";
import { made } from "../source/memo";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";
import type { StyleRule } from "../source/css/syntax";
import { meantInstead, type MeantSelector, type NamesOnPages } from "./meant/selectors";
import { changed } from "./texts";
import { at, type Check, type Found } from "./types";

/** Rules whose selector matches nothing: those that a very near one would, each; the others once for a sheet. */
export const unmatchedSelectors: Check = {
  name: "unmatched-selector",
  group: "idle",
  *onSite({ site }) {
    const documents = pagesOf(site).map(documentOf);
    if (documents.length === 0) return [];
    const named = namedIn(documents);
    yield;
    const found: Found[] = [];
    for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
      let kept = inFiles.get(file);
      if (!kept || !areSame(kept.documents, documents) || !kept.asked.every((one) => isAsBefore(site, one))) {
        kept = { documents, found: [], asked: [] };
        for (const sheet of sheetTexts(site, file)) {
          let asked: readonly HtmlDocument[] | null = null;
          const readers = () => (asked ??= readingOn(site, sheet));
          append(kept.found, yield* unmatchedIn(sheet, named, readers));
          if (asked) kept.asked.push({ sheet, documents: asked });
        }
        inFiles.set(file, kept);
      }
      append(found, kept.found);
    }
    return found;
  },
};

/** Kept by the first of its pages as long as all are the same: what was found near a selector hangs on it. */
const namedBefore = new WeakMap<HtmlDocument, Named>();

function namedIn(documents: readonly HtmlDocument[]): Named {
  let named = namedBefore.get(documents[0]!);
  if (!named || !areSame(named.documents, documents)) {
    named = { documents, names: namesIn(documents), onPages: namesOnPages(documents), nearest: new Map() };
    namedBefore.set(documents[0]!, named);
  }
  return named;
}

function namesOnPages(documents: readonly HtmlDocument[]): NamesOnPages {
  const [tags, classes, ids] = [new Set<string>(), new Set<string>(), new Set<string>()];
  for (const { elements } of documents) {
    for (const { tag, classes: own, id } of elements) {
      tags.add(tag);
      for (const name of own) classes.add(name);
      if (id) ids.add(id);
    }
  }
  return { tags, classes, ids };
}

/** The documents of the pages that read a sheet. */
const readingOn = (site: Site, sheet: SheetText): HtmlDocument[] =>
  readersOf(site, sheet).map(({ document }) => document);

/** A sheet, and the documents of the pages that read it, where they had to be known. */
interface Asked {
  sheet: SheetText;
  documents: readonly HtmlDocument[];
}

const isAsBefore = (site: Site, { sheet, documents }: Asked) => areSame(documents, readingOn(site, sheet));

/** What was found in files, with the documents it was looked for in, and the pages that had to be known to read them. */
const inFiles = new WeakMap<TextFile, { documents: readonly HtmlDocument[]; found: Found[]; asked: Asked[] }>();

const areSame = (a: readonly HtmlDocument[], b: readonly HtmlDocument[]) =>
  a.length === b.length && a.every((document, at) => document === b[at]);

/** Selectors looked at between two steps. */
const inOneStep = 200;

interface Named {
  documents: readonly HtmlDocument[];
  /** All that elements are called, in small letters. */
  names: ReadonlySet<string>;
  onPages: NamesOnPages;
  /** What was most likely meant by selectors that match nothing, as far as it was asked for. */
  nearest: Map<string, Near | null>;
}

/** @param readers the documents of the pages that read the sheet */
function* unmatchedIn(
  sheet: SheetText,
  named: Named,
  readers: () => readonly HtmlDocument[],
): Generator<void, Found[]> {
  const { documents } = named;
  const { items } = sheet;
  const found: Found[] = [];
  const unused: StyleRule[] = [];
  let looked = 0;
  for (const step of rulesOf(items).steps) {
    if (!isEntry(step)) continue;
    let hasUse = step.selectors.length === 0;
    for (const selector of step.selectors) {
      looked += 1;
      if (looked % inOneStep === 0) yield;
      if (isReached(selector, named)) {
        hasUse = true;
        continue;
      }
      const { text } = selector;
      const near = text.length < 120 && !/&(?!\s)/.test(text) ? nearest(selector, named) : null;
      if (!near || step.selectors.some((one) => one.text === near.selector) || isAsked(near, sheet)) continue;
      const places = near.places.reduce(
        (sum, { document, count }) => sum + (readers().includes(document) ? count : 0),
        0,
      );
      if (places === 0) continue;
      hasUse = true;
      found.push(unmatched(sheet, step.rule, text, near, places));
    }
    if (!hasUse && step.conditions.supported && unused.at(-1) !== step.rule) unused.push(step.rule);
  }
  if (unused.length) found.push(forNothing(sheet, unused, documents.length));
  return found;
}

interface Near extends MeantSelector {
  /** How many elements of pages it would match, where there are any. */
  places: { document: HtmlDocument; count: number }[];
}

/** Whether the name that would be the right one is asked for elsewhere in the sheet: then there are two names. */
function isAsked({ name }: Near, { text }: SheetText): boolean {
  return name !== undefined && new RegExp(`${name.replace(/[.*+?^${}()|[\]\\]/g, "\\$&")}(?![\\w-])`).test(text);
}

/** @param places how many elements the one that is near would match on pages that read the sheet */
function unmatched(
  sheet: SheetText,
  rule: StyleRule,
  text: string,
  { selector, why }: MeantSelector,
  places: number,
): Found {
  const from = rule.prelude.start + rule.preludeText.indexOf(text);
  return {
    level: "warning",
    message: `\`${text}\` matches nothing. ${why} \`${selector}\` would match ${counted(places, "element")}.`,
    because:
      "A rule counts only for what its selector matches; letters, signs and blanks of it all count (Selectors 4, 3).",
    ...at(sheet.file, sheet.offset + rule.start),
    ways: () => [{ label: `Write \`${selector}\``, changes: [changed(sheet, from, from + text.length, selector)] }],
  };
}

/** All rules of a sheet that match nothing anywhere, said once. */
function forNothing(sheet: SheetText, rules: readonly StyleRule[], pages: number): Found {
  const { file, offset } = sheet;
  const [first] = rules;
  const causes = rules.map((rule) => ({ ...at(file, offset + rule.start), text: rule.preludeText }));
  return {
    level: "note",
    message: `${counted(rules.length, "rule")} of ${file.path} ${rules.length === 1 ? "matches" : "match"} nothing on ${pages === 1 ? "the page" : `any of ${pages} pages`}.`,
    because: "What no page uses is read and kept all the same; it may be meant for pages that are not here.",
    ...at(file, offset + first!.start),
    causes,
    ways: () => [
      {
        label: rules.length === 1 ? "Take the rule out" : `Take ${rules.length} rules out`,
        changes: rules.map((rule) => changed(sheet, rule.start, rule.end, "")),
      },
    ],
  };
}

const counted = (count: number, thing: string) => `${count} ${count === 1 ? thing : `${thing}s`}`;

/** The selector that was most likely meant, with what it matches. */
function nearest(selector: Selector, named: Named): Near | null {
  const { text } = selector;
  let near = named.nearest.get(text);
  if (near === undefined) named.nearest.set(text, (near = findNearest(text, lackingIn(selector, named.names), named)));
  return near;
}

function findNearest(text: string, lacking: readonly string[], { documents, names, onPages }: Named): Near | null {
  for (const { selector, why, name } of meantInstead(text, onPages, lacking)) {
    if (selector === text) continue;
    const list = (tryParseSelectorList(atRest(selector)) ?? []).filter((one) => asksOnlyFor(one, names));
    if (list.length === 0) continue;
    const places = documents
      .map((document) => ({ document, count: elementsMatching(document, list).length }))
      .filter(({ count }) => count > 0);
    if (places.length > 0) return { selector, why, name, places };
  }
  return null;
}

const resting = new WeakMap<Selector, readonly Selector[]>();

/** Whether a selector can match on any of the pages, in any state. */
function isReached(selector: Selector, { documents, names }: Named): boolean {
  if (!asksOnlyFor(selector, names)) return false;
  const { pseudoElement } = selector;
  if (pseudoElement === null && isUsed(selector, documents)) return true;
  let list = resting.get(selector);
  if (!list) {
    const text = atRest(selector.text.replaceAll("&", ""));
    list = text === selector.text ? [] : (tryParseSelectorList(text.startsWith("*") ? text : text.trim()) ?? []);
    // What cannot be told from its text alone counts as used.
    if (/&(?!\s+\w)/.test(selector.text) || selector.leading !== null || selector.text.includes(":host"))
      list = everything;
    resting.set(selector, list);
  }
  return list === everything || list.some((one) => isUsed(one, documents));
}

const everything: readonly Selector[] = [];

/** The documents that a selector was looked for in: those where it matches something, and the others. */
interface Use {
  in: WeakSet<HtmlDocument>;
  notIn: WeakSet<HtmlDocument>;
}

const uses = new WeakMap<Selector, Use>();

/** Whether a selector matches on any of the documents; those that it was looked for in before are not looked at again. */
function isUsed(selector: Selector, documents: readonly HtmlDocument[]): boolean {
  const known = made(uses, selector, () => ({ in: new WeakSet(), notIn: new WeakSet() }));
  if (documents.some((document) => known.in.has(document))) return true;
  return documents.some((document) => {
    if (known.notIn.has(document)) return false;
    const matches = matchesAnything(document, selector);
    (matches ? known.in : known.notIn).add(document);
    return matches;
  });
}
