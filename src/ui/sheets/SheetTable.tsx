"use client";

import { useMemo } from "react";
import {
  sheetColumns,
  type SheetCell,
  type SheetColumn,
  type SheetEdit,
  type SheetTable as Table,
  type SheetTableRow,
} from "@/core";
import { Menu } from "../shared/Menu";
import { plural } from "../shared/numbers";
import { useSeeSource } from "../workspace/useSeeSource";
import styles from "./Sheets.module.css";

interface Props {
  table: Table;
  /** What the path of a page has to hold; "" for all. */
  wanted: string;
  chosen: string | null;
  onChoose(sheet: string): void;
  onEdit(edit: SheetEdit): void;
  /** Asks for the selectors that style attributes become. */
  onMoveAttributes(page: string, sheet: string): void;
}

/** Sheets down, pages across; where there are many, those that are dressed alike are one column. */
export function SheetTable({ table, wanted, chosen, onChoose, onEdit, onMoveAttributes }: Props) {
  const { rows } = table;
  const columns = useMemo(() => sheetColumns(table, wanted), [table, wanted]);
  return (
    <div className={styles.scroller} role="region" aria-label="Sheets and pages" tabIndex={0}>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Sheet</th>
            {columns.map(({ name, pages }) => (
              <th key={name} scope="col">
                {pages.length === 1 ? shortPage(name) : <Alike name={shortPage(name)} pages={pages} />}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, at) => (
            <tr key={`${row.kind} ${row.path}`} aria-current={row.kind === "sheet" && row.path === chosen}>
              <th scope="row">
                <RowTitle row={row} onChoose={onChoose} />
              </th>
              {columns.map((column) => (
                <td key={column.name}>
                  <Cell
                    row={row}
                    cell={column.cells[at] ?? null}
                    column={column}
                    into={readBy(rows, column)}
                    onEdit={onEdit}
                    onMoveAttributes={onMoveAttributes}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** The sheets that pages link to themselves, in the order in which they read them. */
const readBy = (rows: readonly SheetTableRow[], { cells }: SheetColumn): string[] =>
  rows
    .flatMap(({ kind, path }, at) =>
      kind === "sheet" && cells[at]?.linked && cells[at].order !== null ? [{ path, order: cells[at].order }] : [],
    )
    .sort((a, b) => a.order - b.order)
    .map(({ path }) => path);

/** The file's name without what all pages have. */
const shortPage = (page: string) => page.replace(/\.html?$/i, "");

/** Pages that are dressed alike: which they are. */
function Alike({ name, pages }: { name: string; pages: readonly string[] }) {
  return (
    <details className={styles.alike}>
      <summary>{name}</summary>
      <ul>
        {pages.map((page) => (
          <li key={page}>{page}</li>
        ))}
      </ul>
    </details>
  );
}

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

interface CellProps extends Pick<Props, "onEdit" | "onMoveAttributes"> {
  row: SheetTableRow;
  cell: SheetCell | null;
  column: SheetColumn;
  /** The sheets that the pages link to, in their order. */
  into: readonly string[];
}

function Cell(props: CellProps) {
  const { row, cell, column, into, onEdit } = props;
  const { kind, path } = row;
  if (kind === "missing") return cell && <Missing cell={cell} column={column} />;
  if (kind !== "sheet") return cell && <Own {...props} count={cell.count!} />;
  if (!cell)
    return (
      <button
        type="button"
        className={`text-button ${styles.link}`}
        aria-label={`Link ${column.name} to ${path}`}
        onClick={() => onEdit({ kind: "link", sheet: path, pages: column.pages })}
      >
        {column.pages.length > 1 ? "link them" : "link it"}
      </button>
    );
  return <Order path={path} cell={cell} column={column} into={into} onEdit={onEdit} />;
}

function Missing({ cell, column }: { cell: SheetCell; column: SheetColumn }) {
  const see = useSeeSource();
  return (
    <button
      type="button"
      className="text-button fails"
      disabled={cell.line === null}
      onClick={() => see(column.pages[0]!, cell.line!, 1)}
    >
      ▲ {cell.line === null ? "imported" : `line ${cell.line}`}
    </button>
  );
}

/** What pages hold themselves; of one page, with the steps to move it into a sheet that it reads. */
function Own({ row, count, column, into, onEdit, onMoveAttributes }: Omit<CellProps, "cell"> & { count: number }) {
  const isHead = row.kind === "head";
  const words = isHead ? plural(count, "rule") : String(count);
  const [page, ...more] = column.pages as [string, ...string[]];
  if (into.length === 0 || more.length > 0) return <>{words}</>;
  const what = isHead ? "rules in its head" : "style attributes";
  return (
    <Menu
      group="sheet-cell"
      name={`${page}: ${words}, ${what}`}
      summary={<span className={styles.link}>{words}</span>}
      label={`The ${what} of ${page}`}
    >
      {into.map((sheet) => (
        <button
          key={sheet}
          type="button"
          onClick={() => (isHead ? onEdit({ kind: "from-head", sheet, page }) : onMoveAttributes(page, sheet))}
        >
          Move into {sheet}
        </button>
      ))}
    </Menu>
  );
}

/** As which number pages read a sheet, with the steps to read it earlier, later, in their heads, or not at all. */
function Order({
  path,
  cell,
  column,
  into,
  onEdit,
}: Pick<CellProps, "column" | "into" | "onEdit"> & { path: string; cell: SheetCell }) {
  if (!cell.linked)
    return (
      <span className={styles.order}>
        {cell.order}
        <small> imported</small>
      </span>
    );
  const { name, pages } = column;
  const [page, ...more] = pages as [string, ...string[]];
  const which = more.length ? "these pages" : "this page";
  return (
    <Menu
      group="sheet-cell"
      name={
        cell.order === null ? `${name} has ${path} as an alternative` : `${name} reads ${path} as number ${cell.order}`
      }
      className={styles.order}
      summary={cell.order ?? "to choose"}
      label={`${path} on ${name}`}
    >
      {into.includes(path) && into[0] !== path && (
        <button type="button" onClick={() => onEdit({ kind: "move", sheet: path, pages, by: -1 })}>
          Read it earlier
        </button>
      )}
      {into.includes(path) && into.at(-1) !== path && (
        <button type="button" onClick={() => onEdit({ kind: "move", sheet: path, pages, by: 1 })}>
          Read it later
        </button>
      )}
      {more.length === 0 && (
        <button type="button" onClick={() => onEdit({ kind: "to-head", sheet: path, page })}>
          Put its rules into this page
        </button>
      )}
      <button type="button" onClick={() => onEdit({ kind: "unlink", sheet: path, pages })}>
        Take it off {which}
      </button>
    </Menu>
  );
}
