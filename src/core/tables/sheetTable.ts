/** The sheets of a site against its pages: which page reads which, as which number. */
import { attachedDeclarations, sheetTexts, styleRules } from "../source/declarations";
import { sheetLinks } from "../edits/links";
import { documentOf, writtenElements, type ElementNode } from "../source/html/document";
import { sheetsOfPage, type PageSheets } from "../source/html/sheets";
import { positionAt } from "../source/lines";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";

export interface SheetCell {
  /** As which number the page reads it, from 1; null for what is not numbered. */
  order: number | null;
  /** How many rules or attributes there are, where that is what is counted; null for a sheet. */
  count: number | null;
  /** Whether it comes by a link of the page itself, which can be taken off. */
  linked: boolean;
  /** Line of the page where it is asked for, from 1; null where that is in another sheet. */
  line: number | null;
  /** The condition its link sets; null for everybody. */
  media: string | null;
  /** The name under which readers can choose it; null where it is not an alternative. Such a one is not numbered. */
  alternative: string | null;
}

export interface SheetTableRow {
  /** "sheet": among the files; "missing": asked for and not there; "head": style elements; "elements": style attributes. */
  kind: "sheet" | "missing" | "head" | "elements";
  /** Path of a sheet, or the address that is asked for; "" for the two others. */
  path: string;
  rules: number;
  /** Length of its text in characters. */
  size: number;
  /** Of a missing one, the file that is meant most likely. */
  near: string | null;
  /** One a page, in the order of the table's pages; null where the page has none of it. */
  cells: (SheetCell | null)[];
}

export interface SheetTable {
  pages: string[];
  rows: SheetTableRow[];
}

/** Sheets in the order in which most pages read them, then those that are missing, then what pages hold themselves. */
export function sheetTable(site: Site): SheetTable {
  const files = pagesOf(site);
  const pages = files.map((file) => ({ file, sheets: sheetsOfPage(site, file), links: sheetLinks(file) }));
  const rows = sheetsOf(site).map((sheet) => sheetRow(sheet, pages, site));
  const rank = ({ cells }: SheetTableRow) => {
    const orders = cells.flatMap((cell) => cell?.order ?? []);
    return orders.length ? orders.reduce((sum, order) => sum + order, 0) / orders.length : Infinity;
  };
  rows.sort((a, b) => rank(a) - rank(b) || (a.path < b.path ? -1 : 1));
  const own = [headRow(site, files), elementRow(files)].filter(({ cells }) => cells.some((cell) => cell !== null));
  return { pages: files.map(({ path }) => path), rows: [...rows, ...missingRows(pages), ...own] };
}

interface PageWithSheets {
  file: TextFile;
  sheets: PageSheets;
  links: ReturnType<typeof sheetLinks>;
}

const rulesIn = (site: Site, file: TextFile): number =>
  sheetTexts(site, file).reduce((sum, { items }) => sum + [...styleRules(items)].length, 0);

function sheetRow(sheet: TextFile, pages: readonly PageWithSheets[], site: Site): SheetTableRow {
  return {
    kind: "sheet",
    path: sheet.path,
    rules: rulesIn(site, sheet),
    size: sheet.text.length,
    near: null,
    cells: pages.map((page) => cellFor(sheet.path, page)),
  };
}

function cellFor(path: string, { file: page, sheets: { owners }, links }: PageWithSheets): SheetCell | null {
  const all = owners.flatMap(({ element, sheets }) => sheets.map((sheet) => ({ element, sheet })));
  const at = all.findIndex(({ sheet }) => sheet.path === path && sheet.kind !== "embedded");
  // What is linked and not among those that are read is there to be chosen (HTML, 4.6.7.4).
  const chosen = at < 0 && links.find(({ sheet }) => sheet === path);
  if (at < 0) return chosen ? linkCell(page, chosen.element, null) : null;
  const { element, sheet } = all[at]!;
  const link = documentOf(page).elements[element];
  if (sheet.kind === "linked" && link) return linkCell(page, link, at + 1);
  return { ...plain, order: at + 1 };
}

const plain: SheetCell = { order: null, count: null, linked: false, line: null, media: null, alternative: null };

function linkCell(page: TextFile, { attributes, source }: ElementNode, order: number | null): SheetCell {
  const isAlternative = /\balternate\b/i.test(attributes.get("rel") ?? "");
  return {
    order,
    count: null,
    linked: true,
    line: source ? positionAt(page.text, source.startTag.start).line : null,
    media: attributes.get("media")?.trim() || null,
    alternative: isAlternative ? (attributes.get("title") ?? "") : null,
  };
}

function missingRows(pages: readonly PageWithSheets[]): SheetTableRow[] {
  const rows = new Map<string, SheetTableRow>();
  pages.forEach(({ file, sheets }, at) => {
    for (const { address, target, nearest, path, offset } of sheets.missing) {
      const key = target ?? address;
      let row = rows.get(key);
      if (!row) {
        const cells = pages.map(() => null);
        rows.set(key, (row = { kind: "missing", path: key, rules: 0, size: 0, near: nearest, cells }));
      }
      const line = path === file.path ? positionAt(file.text, offset).line : null;
      row.cells[at] = { ...plain, linked: line !== null, line };
    }
  });
  return [...rows.values()];
}

const counted = (count: number): SheetCell | null => (count ? { ...plain, count } : null);

function headRow(site: Site, files: readonly TextFile[]): SheetTableRow {
  const counts = files.map((file) => rulesIn(site, file));
  return { ...pageRow(counts), kind: "head" };
}

function elementRow(files: readonly TextFile[]): SheetTableRow {
  const counts = files.map(
    (file) => writtenElements(documentOf(file)).filter((element) => attachedDeclarations(element).length > 0).length,
  );
  return { ...pageRow(counts), kind: "elements" };
}

const pageRow = (counts: readonly number[]): Omit<SheetTableRow, "kind"> => ({
  path: "",
  rules: counts.reduce((sum, count) => sum + count, 0),
  size: 0,
  near: null,
  cells: counts.map(counted),
});
