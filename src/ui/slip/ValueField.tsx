"use client";

import { AutoComplete, Input, type InputRef } from "antd";
import { useEffect, useRef, useState } from "react";
import type { Edit, Plan, Slip, SlipRowValue, Target } from "@/core";
import { showReach } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { stepNumber } from "../shared/stepping";
import { useEngine, useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";

interface Props {
  row: SlipRowValue;
  slip: Slip;
  target: Target | null;
}

/** What came of the value typed: refused, or ready with what it would touch. */
type Verdict = { kind: "refused"; reason: string } | { kind: "ready"; plan: Plan } | null;

/** A value as text. While it is typed the page shows it; Enter writes it; Escape puts it back. */
export function ValueField({ row, slip, target }: Props) {
  const engine = useEngine();
  const rehearse = useWorkspace((state) => state.rehearse);
  const write = useWorkspace((state) => state.write);
  const [draft, setDraft] = useState<string | null>(null);
  const [verdict, setVerdict] = useState<Verdict>(null);
  const [options, setOptions] = useState<string[]>([]);
  const input = useRef<InputRef>(null);
  const turn = useRef(0);
  const written = row.written ?? "";

  const editFor = (value: string): Edit | null =>
    target && { kind: "declare", target, property: row.property, value, place: slip.ref };

  const consider = async (value: string) => {
    const mine = (turn.current += 1);
    const current = () => mine === turn.current;
    if (value === written) {
      await rehearse(null);
      if (current()) setVerdict(null);
      return;
    }
    const reason = await engine.check(row.property, value);
    if (!current()) return;
    const edit = reason === null ? editFor(value) : null;
    if (!edit) {
      void rehearse(null);
      setVerdict({ kind: "refused", reason: reason ?? "There is no rule, element or sheet to write this to." });
      return;
    }
    const { plan, problem } = await rehearse(edit);
    if (current()) setVerdict(plan ? { kind: "ready", plan } : { kind: "refused", reason: problem! });
  };

  const type = (value: string, caret: number) => {
    setDraft(value);
    void consider(value);
    void engine.complete(row.property, value.slice(0, caret)).then((found) => setOptions(found.map((one) => one + value.slice(caret))));
  };

  // What is typed is judged anew when it would be written somewhere else.
  const targetKey = JSON.stringify(target);
  const judged = useRef(targetKey);
  useEffect(() => {
    if (judged.current === targetKey) return;
    judged.current = targetKey;
    if (draft !== null) void Promise.resolve(draft).then(consider);
  });

  const discard = () => {
    turn.current += 1;
    setDraft(null);
    setVerdict(null);
    setOptions([]);
    void rehearse(null);
  };

  const commit = async (value: string) => {
    if (value === written) return discard();
    const reason = await engine.check(row.property, value);
    const edit = reason === null ? editFor(value) : null;
    if (!edit) return setVerdict({ kind: "refused", reason: reason ?? "There is no rule, element or sheet to write this to." });
    turn.current += 1;
    const { plan, problem } = await write(edit, `${row.property}: ${value}`);
    if (!plan) return setVerdict({ kind: "refused", reason: problem! });
    setDraft(null);
    setVerdict(null);
    setOptions([]);
  };

  const onKeyDown = (event: React.KeyboardEvent) => {
    const value = draft ?? written;
    if (event.key === "Escape" && draft !== null) {
      event.stopPropagation();
      discard();
    } else if (event.key === "Enter" && draft !== null) {
      void commit(value);
    } else if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      const field = input.current?.input;
      const size = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
      const stepped = field && stepNumber(value, field.selectionStart ?? 0, event.key === "ArrowUp" ? 1 : -1, size);
      if (!stepped) return;
      event.preventDefault();
      event.stopPropagation();
      setOptions([]);
      setDraft(stepped.text);
      void consider(stepped.text);
      requestAnimationFrame(() => field.setSelectionRange(stepped.caret, stepped.caret));
    }
  };

  return (
    <>
      <AutoComplete
        className={styles.field} value={draft ?? written} options={options.map((value) => ({ value }))} defaultActiveFirstOption={false}
        popupMatchSelectWidth={false} open={options.length > 0} variant="borderless"
        onSelect={(value: string) => {
          setOptions([]);
          setDraft(value);
          void consider(value);
        }}
        onKeyDown={onKeyDown}
        onBlur={() => setOptions([])}
        onChange={(value: string) => type(value, input.current?.input?.selectionStart ?? value.length)}
      >
        <Input
          ref={input} aria-label={`${row.label} value`} className={draft === null ? styles.input : `${styles.input} ${styles.draft}`} spellCheck={false}
          placeholder={row.computed} status={verdict?.kind === "refused" ? "error" : undefined} aria-invalid={verdict?.kind === "refused"}
        />
      </AutoComplete>
      {draft !== null && verdict && (
        <div className={styles.verdict} role="status">
          {verdict.kind === "refused" ? (
            <p className={styles.refused}>
              <Prose>{verdict.reason}</Prose>
            </p>
          ) : (
            <>
              <p className={styles.reaches}>
                {targetWords(target)}: {showReach(verdict.plan.reach.places.length, verdict.plan.reach.pages.length)}
              </p>
              {verdict.plan.warnings.map((warning) => (
                <p key={warning} className={styles.warning}>
                  ◆ {warning}
                </p>
              ))}
            </>
          )}
          <span className={styles.actions}>
            {verdict.kind === "ready" && (
              <button type="button" className="text-button" onClick={() => void commit(draft)}>
                Write
              </button>
            )}
            <button type="button" className="text-button" onClick={discard}>
              Put back
            </button>
          </span>
        </div>
      )}
    </>
  );
}

function targetWords(target: Target | null): string {
  switch (target?.kind) {
    case "rule":
      return `Changes in ${target.path}`;
    case "new-rule":
      return `New rule ${target.selector} in ${target.path}`;
    case "class":
      return `Class ${target.name}, rule in ${target.path}`;
    case "id":
      return `Id ${target.name}, rule in ${target.path}`;
    case "style-attribute":
      return "Style attribute";
    default:
      return "Changes";
  }
}
