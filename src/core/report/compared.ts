/** What differs between two sites, or two pages: files, text styles, colours, and what was found. */
import type { Conditions } from "../cascade/conditions";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { findingKeys, findingSteps, type Finding } from "../findings";
import { paletteOf, type PaletteValue } from "../palette/palette";
import { pagesOf, sameContents, type Site } from "../source/site";
import { textStyleTable, type StyleRow } from "../tables/styleTable";
import type { ElementRef } from "../text/refs";

/** A site as a whole, or one page of it. */
export interface Side {
  site: Site;
  /** Null for all pages. */
  page: string | null;
}

export interface FileDifference {
  path: string;
  kind: "changed" | "new" | "gone";
}

export interface Compared {
  files: FileDifference[];
  /** Text styles of one side alone; those of the same text are told together. */
  styles: { changed: { before: StyleRow; after: StyleRow }[]; gone: StyleRow[]; come: StyleRow[]; kept: number };
  /** Colour values as they are written. */
  colors: { gone: PaletteValue[]; come: PaletteValue[]; kept: number };
  findings: { gone: Finding[]; come: Finding[]; kept: number };
}

/** As the styles say, in steps. Files are compared where whole sites are. */
export function* comparedSteps(before: Side, after: Side, conditions: Conditions): Generator<void, Compared> {
  const files = before.page === after.page ? filesBetween(before.site, after.site) : [];
  yield;
  const styles = stylesBetween(stylesOn(before, conditions), stylesOn(after, conditions));
  yield;
  const colors = between(colorsOn(before, conditions), colorsOn(after, conditions), ({ value }) => value.toLowerCase());
  yield;
  const was = yield* findingsOn(before, conditions);
  const is = yield* findingsOn(after, conditions);
  return { files, styles, colors, findings: findingsBetween(was, is) };
}

function filesBetween(before: Site, after: Site): FileDifference[] {
  const paths = [...new Set([...before.files.keys(), ...after.files.keys()])].sort();
  return paths.flatMap((path): FileDifference[] => {
    const [was, is] = [before.files.get(path), after.files.get(path)];
    if (!was || !is) return [{ path, kind: was ? "gone" : "new" }];
    return sameContents(was, is) ? [] : [{ path, kind: "changed" }];
  });
}

const isOn = (page: string | null) => (ref: ElementRef) => page === null || ref.page === page;

const onPage = <Row extends { places: ElementRef[] }>(rows: readonly Row[], page: string | null): Row[] =>
  rows.flatMap((row) => {
    const places = row.places.filter(isOn(page));
    return places.length > 0 ? [{ ...row, places }] : [];
  });

const stylesOn = ({ site, page }: Side, conditions: Conditions) => onPage(textStyleTable(site, conditions), page);

function colorsOn({ site, page }: Side, conditions: Conditions): PaletteValue[] {
  const { values } = paletteOf(site, conditions);
  return page === null ? values : values.filter(({ uses }) => uses.some(({ places }) => places.some(isOn(page))));
}

/** What one side alone has. */
function between<Item>(before: readonly Item[], after: readonly Item[], keyOf: (item: Item) => string) {
  const [was, is] = [new Set(before.map(keyOf)), new Set(after.map(keyOf))];
  const gone = before.filter((item) => !is.has(keyOf(item)));
  return { gone, come: after.filter((item) => !was.has(keyOf(item))), kept: before.length - gone.length };
}

function stylesBetween(before: readonly StyleRow[], after: readonly StyleRow[]): Compared["styles"] {
  const { gone, come, kept } = between(before, after, ({ key }) => key);
  const textOf = ({ role, text }: StyleRow) => JSON.stringify([role, text]);
  const changed = gone.flatMap((row) => {
    const now = come.find((other) => textOf(other) === textOf(row));
    return now ? [{ before: row, after: now }] : [];
  });
  const paired = new Set(changed.flatMap(({ before: was, after: is }) => [was, is]));
  const alone = (rows: readonly StyleRow[]) => rows.filter((row) => !paired.has(row));
  return { changed, gone: alone(gone), come: alone(come), kept };
}

function* findingsOn({ site, page }: Side, conditions: Conditions): Generator<void, Finding[]> {
  const pages: KnownPage[] = [];
  for (const file of pagesOf(site)) {
    pages.push(styledPage(site, file, conditions));
    yield;
  }
  const found = yield* findingSteps({ site, pages, conditions, layouts: {} });
  return found.filter(({ path, places }) => page === null || path === page || places.some(isOn(page)));
}

function findingsBetween(before: readonly Finding[], after: readonly Finding[]): Compared["findings"] {
  const keyed = (findings: readonly Finding[]) => {
    const keys = findingKeys(findings);
    return findings.map((finding, at) => ({ finding, key: keys[at]! }));
  };
  const { gone, come, kept } = between(keyed(before), keyed(after), ({ key }) => key);
  return { gone: gone.map(({ finding }) => finding), come: come.map(({ finding }) => finding), kept };
}
