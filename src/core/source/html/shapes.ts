/** Which elements of pages the names in sheets can tell apart. */
import { Numbers } from "../memo";
import type { HtmlDocument } from "./document";
import type { PageSheets, SheetSource } from "./sheets";

const names = new WeakMap<object, ReadonlySet<string>>();

/** Classes and ids that a sheet's text names, with their dot or hash, as they are written. */
function namesOf(sheet: SheetSource): ReadonlySet<string> {
  let own = names.get(sheet.items);
  if (!own) names.set(sheet.items, (own = new Set(sheet.text.match(/[.#][\p{L}_-][\p{L}\p{N}_-]*/gu))));
  return own;
}

const numbers = new Map<string, number>();
/** More shapes than this are not numbered at a time: numbers then begin anew, higher. */
const most = 200_000;
let last = 0;

function numberOf(key: string): number {
  let number = numbers.get(key);
  if (number === undefined) {
    if (numbers.size > most) numbers.clear();
    numbers.set(key, (number = last += 1));
  }
  return number;
}

const itemNumbers = new Numbers<SheetSource["items"]>();

/** Equal for pages that read the same sheets in the same order under the same conditions; those of imports stand in the sheets. */
const readingKey = ({ owners }: PageSheets): string =>
  JSON.stringify(owners.flatMap(({ sheets }) => sheets.map(({ items, media }) => [itemNumbers.of(items), media])));

const known = new WeakMap<HtmlDocument, { sheets: PageSheets; shapes: readonly number[] }>();

/**
 * A number for each element, by index: equal, on all pages with the same sheets, for elements whose tags and names that
 * these ask for are the same, with all around them. Where they stand among others and what else they are given is left out.
 */
export function pageShapes(document: HtmlDocument, sheets: PageSheets): readonly number[] {
  let kept = known.get(document);
  if (kept?.sheets !== sheets) {
    kept = { sheets, shapes: shapesIn(document, sheets) };
    known.set(document, kept);
  }
  return kept.shapes;
}

function shapesIn({ elements, mode }: HtmlDocument, page: PageSheets): number[] {
  const sets = [...new Set(page.owners.flatMap(({ sheets }) => sheets.map(namesOf)))];
  const isAsked = (name: string) => sets.some((set) => set.has(name));
  const shapes: number[] = [];
  const canvas = numberOf(`${mode} ${readingKey(page)}`);
  for (const { tag, classes, id, parent } of elements) {
    const own = [...classes].filter((name) => isAsked(`.${name}`)).sort();
    const around = parent ? shapes[parent.index]! : canvas;
    const key = `${around} ${tag} ${own.join(".")} ${id !== null && isAsked(`#${id}`) ? id : ""}`;
    shapes.push(numberOf(key));
  }
  return shapes;
}

/** Pages with an element that is shaped as none on those before, so many at the most. */
export function newlyShaped<Page extends { document: HtmlDocument; sheets: PageSheets }>(
  pages: readonly Page[],
  atMost: number,
): Page[] {
  const seen = new Set<number>();
  return pages
    .filter(({ document, sheets }) => {
      const before = seen.size;
      for (const shape of pageShapes(document, sheets)) seen.add(shape);
      return seen.size > before;
    })
    .slice(0, atMost);
}
