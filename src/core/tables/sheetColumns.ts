/** The columns of the table of sheets, those that say the same made one where there are many. */
import { append } from "../source/groups";
import { folderOf } from "../source/path";
import type { SheetCell, SheetTable } from "./sheetTable";

export interface SheetColumn {
  /** One at least, in the order of the table. */
  pages: string[];
  /** For people: the page, or the folder all of them are in, or the first. */
  name: string;
  /** One a row; of several pages, that of the first, with counts summed up. */
  cells: (SheetCell | null)[];
}

/** More pages than this do not fit beside each other. */
export const mostColumns = 12;

/** @param wanted what the path of a page has to hold; "" for all */
export function sheetColumns({ pages, rows }: SheetTable, wanted = ""): SheetColumn[] {
  const shown = pages.flatMap((page, at) => (page.toLowerCase().includes(wanted.toLowerCase()) ? [at] : []));
  const columnOf = (at: number): SheetColumn => ({
    pages: [pages[at]!],
    name: pages[at]!,
    cells: rows.map(({ cells }) => cells[at] ?? null),
  });
  if (shown.length <= mostColumns) return shown.map(columnOf);
  const groups = new Map<string, SheetColumn>();
  for (const at of shown) {
    const column = columnOf(at);
    const key = `${folderOf(pages[at]!)}\n${JSON.stringify(column.cells.map(signatureOf))}`;
    const known = groups.get(key);
    if (known) add(known, column);
    else groups.set(key, column);
  }
  const inFolder = (folder: string) => shown.filter((at) => folderOf(pages[at]!) === folder).length;
  return [...groups.values()].map((group) => ({ ...group, name: nameOf(group.pages, inFolder) }));
}

/** What is the same of pages that are dressed alike. */
function signatureOf(cell: SheetCell | null): unknown {
  return cell && [cell.order, cell.linked, cell.count === null];
}

function add(group: SheetColumn, { pages, cells }: SheetColumn): void {
  append(group.pages, pages);
  group.cells = group.cells.map((cell, at) =>
    cell?.count == null ? cell : { ...cell, count: cell.count + (cells[at]?.count ?? 0) },
  );
}

/** A folder's name stands for all of its pages, or else the first page for those that are like it. */
function nameOf(pages: readonly string[], inFolder: (folder: string) => number): string {
  const [first, ...more] = pages as [string, ...string[]];
  const folder = folderOf(first);
  if (more.length === 0) return first;
  return folder && inFolder(folder) === pages.length
    ? `${folder} ${pages.length} pages`
    : `${first} and ${more.length} more`;
}
