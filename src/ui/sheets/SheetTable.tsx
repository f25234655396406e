"use client";

import type { SheetCell, SheetEdit, SheetTable as Table, SheetTableRow } from "@/core";
import { plural } from "../shared/numbers";
import { useSeeSource } from "../workspace/useSeeSource";
import styles from "./Sheets.module.css";

interface Props {
  table: Table;
  chosen: string | null;
  onChoose(sheet: string): void;
  onEdit(edit: SheetEdit): void;
}

/** Sheets down, pages across. */
export function SheetTable({ table, chosen, onChoose, onEdit }: Props) {
  const { pages, rows } = table;
  return (
    <div className={styles.scroller} role="region" aria-label="Sheets and pages" tabIndex={0}>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Sheet</th>
            {pages.map((page) => (
              <th key={page} scope="col" title={page}>
                {shortPage(page)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.kind} ${row.path}`} aria-current={row.kind === "sheet" && row.path === chosen}>
              <th scope="row">
                <RowTitle row={row} onChoose={onChoose} />
              </th>
              {row.cells.map((cell, at) => (
                <td key={pages[at]}>
                  <Cell row={row} cell={cell} page={pages[at]!} into={readBy(rows, at)} onEdit={onEdit} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The sheets that a page links to itself, in the order in which it reads them. */
const readBy = (rows: readonly SheetTableRow[], page: number): string[] =>
  rows
    .filter(({ kind, cells }) => kind === "sheet" && cells[page]?.linked)
    .sort((a, b) => a.cells[page]!.order! - b.cells[page]!.order!)
    .map(({ path }) => path);

/** The file's name without what all pages have. */
const shortPage = (page: string) => page.replace(/\.html?$/i, "");

function RowTitle({ row, onChoose }: { row: SheetTableRow; onChoose(sheet: string): void }) {
  const { kind, path, rules, size, near } = row;
  if (kind === "sheet")
    return (
      <>
        <button type="button" className={`text-button mono ${styles.name}`} onClick={() => onChoose(path)}>
          {path}
        </button>
        <small>
          {plural(rules, "rule")}, {size < 1000 ? plural(size, "character") : `${Math.round(size / 1000)} KB`}
        </small>
      </>
    );
  const [title, words] = {
    missing: [path, near ? `not among the files; near: ${near}` : "not among the files"],
    head: ["in the page's head", "style elements"],
    elements: ["on elements", "style attributes"],
  }[kind] as [string, string];
  return (
    <>
      <span className={kind === "missing" ? "mono fails" : "mono"}>{title}</span>
      <small>{words}</small>
    </>
  );
}

interface CellProps {
  row: SheetTableRow;
  cell: SheetCell | null;
  page: string;
  /** The sheets that the page links to, in their order. */
  into: readonly string[];
  onEdit(edit: SheetEdit): void;
}

function Cell({ row, cell, page, into, onEdit }: CellProps) {
  const see = useSeeSource();
  const { kind, path } = row;
  if (kind === "missing")
    return cell ? (
      <button
        type="button"
        className="text-button fails"
        disabled={cell.line === null}
        onClick={() => see(page, cell.line!, 1)}
      >
        ▲ {cell.line === null ? "imported" : `line ${cell.line}`}
      </button>
    ) : null;
  if (kind !== "sheet")
    return cell ? <Own row={row} count={cell.count!} page={page} into={into} onEdit={onEdit} /> : null;
  if (!cell)
    return (
      <button
        type="button"
        className={`text-button ${styles.link}`}
        aria-label={`Link ${page} to ${path}`}
        onClick={() => onEdit({ kind: "link", sheet: path, page })}
      >
        link it
      </button>
    );
  return <Order path={path} cell={cell} page={page} into={into} onEdit={onEdit} />;
}

/** What a page holds itself, with the steps to move it into a sheet that it reads. */
function Own({ row, count, page, into, onEdit }: Omit<CellProps, "cell"> & { count: number }) {
  const kind = row.kind === "head" ? "from-head" : "from-elements";
  const words = row.kind === "head" ? plural(count, "rule") : String(count);
  if (into.length === 0) return <>{words}</>;
  const what = row.kind === "head" ? "rules in its head" : "style attributes";
  return (
    <details className={styles.cell} name="sheet-cell">
      <summary aria-label={`${page}: ${words}, ${what}`}>
        <span className={styles.link}>{words}</span>
      </summary>
      <div className={styles.menu} role="group" aria-label={`The ${what} of ${page}`}>
        {into.map((sheet) => (
          <button key={sheet} type="button" onClick={() => onEdit({ kind, sheet, page })}>
            Move into {sheet}
          </button>
        ))}
      </div>
    </details>
  );
}

/** As which number a page reads a sheet, with the steps to read it earlier, later, or not at all. */
function Order({
  path,
  cell,
  page,
  into,
  onEdit,
}: { path: string; cell: SheetCell } & Omit<CellProps, "row" | "cell">) {
  if (!cell.linked)
    return (
      <span className={styles.order} title="Another sheet imports it">
        {cell.order}
        <small> imported</small>
      </span>
    );
  return (
    <details className={styles.cell} name="sheet-cell">
      <summary aria-label={`${page} reads ${path} as number ${cell.order}`} className={styles.order}>
        {cell.order}
      </summary>
      <div className={styles.menu} role="group" aria-label={`${path} on ${page}`}>
        {into[0] !== path && (
          <button type="button" onClick={() => onEdit({ kind: "move", sheet: path, page, by: -1 })}>
            Read it earlier
          </button>
        )}
        {into.at(-1) !== path && (
          <button type="button" onClick={() => onEdit({ kind: "move", sheet: path, page, by: 1 })}>
            Read it later
          </button>
        )}
        <button type="button" onClick={() => onEdit({ kind: "unlink", sheet: path, page })}>
          Take it off this page
        </button>
      </div>
    </details>
  );
}
