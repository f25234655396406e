/**
 * The elements of a document by what they are called, so that a selector is tried only on those it can match, and on
 * none where a name it asks for is not there. Letter case is left aside: it may let through, never turn away wrongly.
 */
import type { ElementNode, HtmlDocument } from "../../source/html/document";
import type { Compound, Selector } from "./types";

const known = new WeakMap<HtmlDocument, ReadonlyMap<string, readonly ElementNode[]>>();

/** By `.class`, `#id` and tag, in small letters; each list in document order. */
function elementsByName(document: HtmlDocument): ReadonlyMap<string, readonly ElementNode[]> {
  let byName = known.get(document);
  if (!byName) {
    const lists = new Map<string, ElementNode[]>();
    for (const element of document.elements) {
      for (const name of namesOf(element)) {
        const list = lists.get(name);
        if (list) list.push(element);
        else lists.set(name, [element]);
      }
    }
    byName = lists;
    known.set(document, byName);
  }
  return byName;
}

/** How many elements have each name, as it is written: tags, `.class` and `#id`; those on most elements first. */
export function nameCounts(documents: readonly HtmlDocument[]): [name: string, count: number][] {
  const counts = new Map<string, number>();
  for (const document of documents)
    for (const { tag, id, classes } of document.elements)
      for (const name of new Set([tag, ...classes.map((one) => `.${one}`), ...(id === null ? [] : [`#${id}`])]))
        counts.set(name, (counts.get(name) ?? 0) + 1);
  return [...counts].sort(([a, many], [b, few]) => few - many || (a < b ? -1 : 1));
}

/** What elements of documents are called: `.class`, `#id` and tag, in small letters. */
export function namesIn(documents: readonly HtmlDocument[]): ReadonlySet<string> {
  return new Set(documents.flatMap((document) => [...elementsByName(document).keys()]));
}

function namesOf({ tag, id, classes }: ElementNode): string[] {
  const names = [tag.toLowerCase()];
  for (const name of classes) {
    const lower = `.${name.toLowerCase()}`;
    if (!names.includes(lower)) names.push(lower);
  }
  if (id !== null) names.push(`#${id.toLowerCase()}`);
  return names;
}

const wanted = new WeakMap<Compound, readonly string[]>();

function wantedBy(compound: Compound): readonly string[] {
  let names = wanted.get(compound);
  if (!names) {
    names = compound.simples.flatMap((simple) => {
      if (simple.kind === "type") return [simple.lower];
      if (simple.kind === "class") return [`.${simple.name.toLowerCase()}`];
      return simple.kind === "id" ? [`#${simple.name.toLowerCase()}`] : [];
    });
    wanted.set(compound, names);
  }
  return names;
}

/** Whether all names that a selector asks for are among those of elements: `.class`, `#id` and tag, in small letters. */
export function asksOnlyFor({ compounds }: Selector, names: { has(name: string): boolean }): boolean {
  return compounds.every((compound) => wantedBy(compound).every((name) => names.has(name)));
}

/** The names that a selector asks for and that are not among those of elements, each once. */
export function lackingIn({ compounds }: Selector, names: { has(name: string): boolean }): string[] {
  return [...new Set(compounds.flatMap(wantedBy))].filter((name) => !names.has(name));
}

/** Whether all names that a selector asks for are there. */
export function mayMatchIn(document: HtmlDocument, selector: Selector): boolean {
  return asksOnlyFor(selector, elementsByName(document));
}

/** The elements that have a name the selector asks for. */
export function mayMatch(document: HtmlDocument, { compounds }: Selector): readonly ElementNode[] {
  const byName = elementsByName(document);
  return wantedBy(compounds[compounds.length - 1]!).reduce(
    (fewest, name) => {
      const list = byName.get(name) ?? [];
      return list.length < fewest.length ? list : fewest;
    },
    document.elements as readonly ElementNode[],
  );
}
