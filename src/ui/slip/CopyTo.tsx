"use client";

import { useState } from "react";
import type { SlipRowValue, StyleRow } from "@/core";
import { Choice } from "../shared/Choice";
import { showPx } from "../shared/numbers";
import { Problem } from "../shared/Problem";
import { WriteChanges, type Proposal } from "../workspace/WriteChanges";
import { useEngine, useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";
import { unwaited } from "../shared/unwaited";

/** Gives another text style the value of this row. */
export function CopyTo({ row, value, ownKey }: { row: SlipRowValue; value: string; ownKey: string }) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [rows, setRows] = useState<readonly StyleRow[] | null>(null);
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const name = ({ selector, sizePx }: StyleRow) => `${selector}, ${showPx(sizePx)} px`;
  const copy = async (key: string) => {
    const target = rows?.find((one) => one.key === key);
    if (!target) return;
    const { edits, problem: why } = await engine.editsOn(
      [{ ref: target.places[0]!, declarations: [[row.property, value]] }],
      conditions,
    );
    const result = await engine.combine(edits);
    setProblem(why ?? result.problem);
    if (!why && !result.problem)
      setProposal({
        title: `${row.label}: ${value}`,
        label: `${row.property}: ${value}, copied`,
        changes: result.changes,
        count: edits.length,
      });
  };
  return (
    <div className={styles.copyTo}>
      <Choice
        aria-label={`Copy ${row.label.toLowerCase()} to another text style`}
        placeholder="Copy to another text style"
        value={null}
        popupMatchSelectWidth={320}
        onOpenChange={(open) => open && unwaited(engine.styleTable(conditions).then(setRows))}
        onSelect={(key: string | null) => key !== null && unwaited(copy(key))}
        options={(rows ?? []).filter(({ key }) => key !== ownKey).map((one) => ({ value: one.key, label: name(one) }))}
      />
      <Problem>{problem}</Problem>
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </div>
  );
}
