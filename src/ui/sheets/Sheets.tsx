"use client";

import { Button } from "antd";
import { useSearchParams } from "next/navigation";
import { useState } from "react";
import type { SheetEdit, SheetTableRow } from "@/core";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { Reading, Space, View } from "../shared/View";
import { useAnswer } from "../workspace/answers";
import { useEngine } from "../workspace/context";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { NewSheet } from "./NewSheet";
import { Proof } from "./Proof";
import { SheetDetail } from "./SheetDetail";
import { SheetTable } from "./SheetTable";
import styles from "./Sheets.module.css";

/** The Sheets view: which page reads which sheet, as which number; and the rules of the one that is chosen. */
export function Sheets() {
  const table = useAnswer("sheets");
  const asked = useSearchParams();
  const [chosen, setChosen] = useState<string | null>(asked.get("sheet"));
  const [isMaking, setMaking] = useState(asked.has("new"));
  const { proposal, problem, propose, close } = useProposal();
  if (!table) return <Reading label="Sheets" />;
  const sheets = table.rows.filter(({ kind }) => kind === "sheet");
  const row = sheets.find(({ path }) => path === chosen) ?? sheets[0];
  return (
    <View
      label="Sheets"
      className={styles.view}
      bar={
        <>
          <b>{summaryOf(sheets, table.pages.length)}</b>
          <span>In the order in which they are read; what comes later wins a tie.</span>
          <Space />
          <Button onClick={() => setMaking(true)}>New sheet…</Button>
        </>
      }
    >
      <div className={styles.left}>
        {problem && (
          <p className={`fails ${styles.problem}`} role="alert">
            {problem}
          </p>
        )}
        <SheetTable table={table} chosen={row?.path ?? null} onChoose={setChosen} onEdit={propose} />
        {sheets.length === 0 && <NoSheet onNew={() => setMaking(true)} />}
      </div>
      {row ? (
        <SheetDetail key={row.path} row={row} onEdit={propose} />
      ) : (
        <section className={styles.detail} aria-label="Sheet" />
      )}
      {isMaking && <NewSheet pages={table.pages} onClose={() => setMaking(false)} onEdit={propose} />}
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

function summaryOf(sheets: readonly SheetTableRow[], pages: number): string {
  if (sheets.length === 0) return "No style sheet yet.";
  return `${plural(sheets.length, "sheet")} ${sheets.length === 1 ? "dresses" : "dress"} ${plural(pages, "page")}.`;
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

interface SheetProposal extends Proposal {
  /** The sheet that is chosen once it is written. */
  sheet: string | null;
}

/** What is asked for, planned and ready to be looked at; the reason where it cannot be done. */
function useProposal() {
  const engine = useEngine();
  const [proposal, setProposal] = useState<SheetProposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const propose = async (edit: SheetEdit): Promise<string | null> => {
    const { changes, files, problem: why } = await engine.planSheets(edit);
    // Who types a name is told beside it.
    setProblem(edit.kind === "new" || edit.kind === "rename" ? null : why);
    if (why === null)
      setProposal({
        title: titleOf(edit),
        changes,
        files,
        counted: "change",
        sheet: sheetAfter(edit),
        proof: edit.kind.startsWith("from-") ? <Proof changes={changes} /> : null,
      });
    return why;
  };
  return {
    proposal,
    problem,
    propose: (edit: SheetEdit) => unwaitedWhy(propose(edit)),
    close: () => setProposal(null),
  };
}

/** The reason, for who waits for it; a failure is told to nobody else. */
function unwaitedWhy(why: Promise<string | null>): Promise<string | null> {
  unwaited(why);
  return why;
}

const sheetAfter = (edit: SheetEdit): string | null =>
  edit.kind === "rename" ? edit.to : edit.kind === "delete" ? null : edit.sheet;

function titleOf(edit: SheetEdit): string {
  const { sheet } = edit;
  switch (edit.kind) {
    case "link":
      return `Link ${edit.page} to ${sheet}`;
    case "unlink":
      return `Take ${sheet} off ${edit.page}`;
    case "move":
      return `Read ${sheet} ${edit.by < 0 ? "earlier" : "later"} on ${edit.page}`;
    case "new":
      return `Make ${sheet}`;
    case "rename":
      return `Rename ${sheet} to ${edit.to}`;
    case "from-head":
      return `Move the rules in the head of ${edit.page} into ${sheet}`;
    case "from-elements":
      return `Move the style attributes of ${edit.page} into ${sheet}`;
    case "delete":
      return `Delete ${sheet}`;
  }
}
