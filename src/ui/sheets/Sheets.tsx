"use client";

import { Button, Input } from "antd";
import { useState, type ReactNode } from "react";
import { mostColumns, type SheetTableRow } from "@/core";
import { plural } from "../shared/numbers";
import { Reading, Space, View } from "../shared/View";
import { useAnswer } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { NewSheet } from "../workspace/NewSheet";
import { useSheetProposal } from "../workspace/useSheetProposal";
import { WriteChanges } from "../workspace/WriteChanges";
import { MoveAttributes } from "./MoveAttributes";
import { SheetDetail } from "./SheetDetail";
import { SheetTable } from "./SheetTable";
import { OpenTokens } from "./tokens/OpenTokens";
import { TokensDesk } from "./tokens/TokensDesk";
import styles from "./Sheets.module.css";

/** The Sheets view: which page reads which sheet, or what they all write against a tokens file. */
export function Sheets() {
  const tokensFile = useWorkspace((state) => state.tokensFile);
  return tokensFile ? <TokensDesk key={tokensFile.name} file={tokensFile} /> : <SheetsDesk />;
}

/** Which page reads which sheet, as which number; and the rules of the one that is chosen. */
function SheetsDesk() {
  const table = useAnswer("sheets");
  const [chosen, setChosen] = useState<string | null>(null);
  const [isMaking, setMaking] = useState(false);
  const [wanted, setWanted] = useState("");
  const [moving, setMoving] = useState<{ page: string; sheet: string } | null>(null);
  const { proposal, problem, propose, close } = useSheetProposal();
  if (!table) return <Reading label="Sheets" />;
  const sheets = table.rows.filter(({ kind }) => kind === "sheet");
  const row = sheets.find(({ path }) => path === chosen) ?? sheets[0];
  return (
    <View
      label="Sheets"
      className={styles.view}
      bar={
        <Bar
          summary={summaryOf(sheets, table.pages.length)}
          filter={table.pages.length > mostColumns && <Filter wanted={wanted} onWant={setWanted} />}
          onNew={() => setMaking(true)}
        />
      }
    >
      <div className={styles.left}>
        {problem && (
          <p className={`fails ${styles.problem}`} role="alert">
            {problem}
          </p>
        )}
        <SheetTable
          table={table}
          wanted={wanted}
          chosen={row?.path ?? null}
          onChoose={setChosen}
          onEdit={propose}
          onMoveAttributes={(page, sheet) => setMoving({ page, sheet })}
        />
        <OwnStyles rows={table.rows} />
        {sheets.length === 0 && <NoSheet onNew={() => setMaking(true)} />}
      </div>
      {row ? (
        <SheetDetail key={row.path} row={row} pages={table.pages} onEdit={propose} />
      ) : (
        <section className={styles.detail} aria-label="Sheet" />
      )}
      {isMaking && (
        <NewSheet
          pages={table.pages}
          onCancel={() => setMaking(false)}
          onEdit={async (edit) => {
            const why = await propose(edit);
            if (why === null) setMaking(false);
            return why;
          }}
        />
      )}
      {moving && <MoveAttributes {...moving} onClose={() => setMoving(null)} onEdit={propose} />}
      <WriteChanges
        proposal={proposal}
        onClose={(written) => {
          if (written && proposal?.sheet) setChosen(proposal.sheet);
          close();
        }}
      />
    </View>
  );
}

function Bar({ summary, filter, onNew }: { summary: string; filter: ReactNode; onNew(): void }) {
  return (
    <>
      <b>{summary}</b>
      <span>In the order in which they are read; what comes later wins a tie.</span>
      <Space />
      {filter}
      <OpenTokens />
      <Button onClick={onNew}>New sheet…</Button>
    </>
  );
}

/** Narrows the pages where there are many. */
function Filter({ wanted, onWant }: { wanted: string; onWant(wanted: string): void }) {
  return (
    <Input
      allowClear
      className={styles.filter}
      aria-label="Pages whose path holds"
      placeholder="Pages whose path holds…"
      value={wanted}
      onChange={({ target }) => onWant(target.value)}
    />
  );
}

function summaryOf(sheets: readonly SheetTableRow[], pages: number): string {
  if (sheets.length === 0) return "No style sheet yet.";
  return `${plural(sheets.length, "sheet")} ${sheets.length === 1 ? "dresses" : "dress"} ${plural(pages, "page")}.`;
}

/** What pages hold themselves that could stand in a sheet, where there is one to take it. */
function OwnStyles({ rows }: { rows: readonly SheetTableRow[] }) {
  const count = (wanted: SheetTableRow["kind"]) =>
    rows
      .filter(({ kind }) => kind === wanted)
      .flatMap(({ cells }) => cells)
      .reduce((sum, cell) => sum + (cell?.count ?? 0), 0);
  const [attributes, inHeads] = [count("elements"), count("head")];
  const parts = [
    ...(attributes ? [plural(attributes, "style attribute")] : []),
    ...(inHeads ? [`${plural(inHeads, "rule")} in the pages' heads`] : []),
  ];
  if (parts.length === 0 || !rows.some(({ kind }) => kind === "sheet")) return null;
  return (
    <p className={styles.own}>
      {parts.join(" and ")} could stand in a sheet, where every page has them: a press on the number shows what would
      move, and whether any text comes out differently.
    </p>
  );
}

function NoSheet({ onNew }: { onNew(): void }) {
  return (
    <div className={styles.none}>
      <p>
        These pages have no style sheet of their own: all that is set is in their heads and on their elements. A sheet
        is one file that every page can link to, so that what is chosen once holds for all.
      </p>
      <Button type="primary" onClick={onNew}>
        Make a style sheet…
      </Button>
    </div>
  );
}
