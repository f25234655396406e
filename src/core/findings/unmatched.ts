import { sheetTexts, type SheetText } from "../source/declarations";
import { isEntry, rulesOf } from "../cascade/rules";
import { elementsMatching, matchesAnything } from "../cascade/selectors";
import { asksOnlyFor, namesIn } from "../cascade/selectors/named";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import type { Selector } from "../cascade/selectors/types";
import { documentOf, type HtmlDocument } from "../source/html/document";
import { pagesOf, sheetsOf, type TextFile } from "../source/site";
import { at, type Check, type Finding } from "./types";

/** Rules whose selector matches nothing though a very near one would: letter case, or a blank too many or too few. */
export const unmatchedSelectors: Check = {
  name: "unmatched-selector",
  *onSite({ site }) {
    const documents = pagesOf(site).map(documentOf);
    const named: Named = { documents, spellings: spellingsOn(documents), names: namesIn(documents) };
    yield;
    const findings: Finding[] = [];
    for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
      let kept = inFiles.get(file);
      if (!kept || !areSame(kept.documents, documents)) {
        kept = { documents, findings: [] };
        for (const sheet of sheetTexts(site, file)) kept.findings.push(...(yield* unmatchedIn(sheet, named)));
        inFiles.set(file, kept);
      }
      findings.push(...kept.findings);
    }
    return findings;
  },
};

/** What was found in files, with the documents it was looked for in. */
const inFiles = new WeakMap<TextFile, { documents: readonly HtmlDocument[]; findings: Finding[] }>();

const areSame = (a: readonly HtmlDocument[], b: readonly HtmlDocument[]) =>
  a.length === b.length && a.every((document, at) => document === b[at]);

/** Selectors looked at between two steps. */
const inOneStep = 200;

interface Named {
  documents: readonly HtmlDocument[];
  spellings: Spellings;
  names: ReadonlySet<string>;
}

function* unmatchedIn({ file, offset, items }: SheetText, named: Named): Generator<void, Finding[]> {
  const { documents, spellings, names } = named;
  const findings: Finding[] = [];
  let looked = 0;
  for (const step of rulesOf(items).steps) {
    if (!isEntry(step)) continue;
    for (const selector of step.selectors) {
      looked += 1;
      if (looked % inOneStep === 0) yield;
      const { text, pseudoElement } = selector;
      const near = pseudoElement === null && text.length < 200 ? nearSelector(text, spellings) : null;
      if (!near || (asksOnlyFor(selector, names) && isUsed(selector, documents))) continue;
      const meant = (tryParseSelectorList(near.selector) ?? []).filter((one) => asksOnlyFor(one, names));
      const places = documents.reduce((sum, document) => sum + elementsMatching(document, meant).length, 0);
      if (places === 0) continue;
      findings.push({
        check: "unmatched-selector",
        level: "warning",
        message: `\`${text}\` matches nothing. ${near.why} \`${near.selector}\` would match ${places} ${places === 1 ? "element" : "elements"}.`,
        ...at(file, offset + step.rule.start),
        places: [],
      });
    }
  }
  return findings;
}

/** Classes and ids, by their sign and name in small letters: those that are written so or otherwise. */
type Spellings = ReadonlyMap<string, ReadonlySet<string>>;

function spellingsOn(documents: readonly HtmlDocument[]): Spellings {
  const names = new Map<string, Set<string>>();
  const add = (sign: string, name: string) => {
    const key = sign + name.toLowerCase();
    const known = names.get(key);
    if (known) known.add(name);
    else names.set(key, new Set([name]));
  };
  for (const { elements } of documents) {
    for (const { classes, id } of elements) {
      for (const name of classes) add(".", name);
      if (id) add("#", id);
    }
  }
  return names;
}

/** Where a selector was seen to match, and where it was looked for. */
interface Use {
  in: WeakRef<HtmlDocument> | null;
  lookedAt: WeakSet<HtmlDocument>;
}

const uses = new WeakMap<Selector, Use>();

/** Whether a selector matches on any of the documents; those that it was looked for in before are not looked at again. */
function isUsed(selector: Selector, documents: readonly HtmlDocument[]): boolean {
  const known = uses.get(selector);
  const seen = known?.in?.deref();
  if (seen && documents.includes(seen)) return true;
  const lookedAt = known?.lookedAt ?? new WeakSet<HtmlDocument>();
  const found = documents.find((document) => {
    if (lookedAt.has(document)) return false;
    lookedAt.add(document);
    return matchesAnything(document, selector);
  });
  uses.set(selector, { in: found ? new WeakRef(found) : null, lookedAt });
  return found !== undefined;
}

/** A selector that may have been meant, and what is different about it. */
function nearSelector(text: string, spellings: Spellings): { selector: string; why: string } | null {
  let changed = false;
  const recased = text.replace(/([.#])(-?[_a-z][-\w]*)/gi, (whole, sign: string, name: string) => {
    const known = spellings.get(sign + name.toLowerCase());
    if (!known || known.has(name)) return whole;
    changed = true;
    return sign + [...known][0]!;
  });
  if (changed) return { selector: recased, why: "The letter case of classes and ids counts:" };
  const joined = text.replace(/([\w-])\s+([.#])/g, "$1$2");
  if (joined !== text) return { selector: joined, why: "With a blank it asks for something inside; without it," };
  const parted = text.replace(/([\w-])([.#])/g, "$1 $2");
  if (parted !== text)
    return { selector: parted, why: "Without a blank it asks for one element that is both; with it," };
  return null;
}
