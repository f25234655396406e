"use client";

import { AutoComplete, Input, type InputRef } from "antd";
import { useEffect, useId, useRef, useState } from "react";
import type { SlipRowValue, Target } from "@/core";
import { Contrasts } from "../shared/Contrasts";
import { showReach } from "../shared/numbers";
import { Prose } from "../shared/Prose";
import { stepNumber } from "../shared/stepping";
import { useEngine } from "../workspace/context";
import styles from "./Slip.module.css";
import type { Draft, Verdict } from "./useDraft";
import { unwaited } from "../shared/unwaited";

interface Props {
  row: SlipRowValue;
  target: Target | null;
  draft: Draft;
  /** Chooses the style attribute to write to, where that is what sets the value and another place is chosen. */
  onAttribute: (() => void) | null;
}

/** A value as text. While it is typed the page shows it; Enter writes it; Escape puts it back. */
export function ValueField({ row, target, draft, onAttribute }: Props) {
  const engine = useEngine();
  const [options, setOptions] = useState<string[]>([]);
  const input = useRef<InputRef>(null);
  const { value, tried, verdict } = draft;
  const sayer = useId();

  const type = (text: string, caret: number) => {
    draft.attempt(text);
    unwaited(
      engine
        .complete(row.property, text.slice(0, caret))
        .then((found) => setOptions(found.map((one) => one + text.slice(caret)))),
    );
  };
  const putBack = () => {
    setOptions([]);
    draft.putBack();
  };
  const write = () => {
    setOptions([]);
    unwaited(draft.write(value));
  };

  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === "Escape" && tried) {
      event.stopPropagation();
      putBack();
    } else if (event.key === "Enter" && tried) {
      write();
    } else if (event.key === "ArrowUp" || event.key === "ArrowDown") {
      const field = input.current?.input;
      const fine = event.altKey ? 0.1 : 1;
      const size = event.shiftKey ? 10 : fine;
      const stepped = field && stepNumber(value, field.selectionStart ?? 0, event.key === "ArrowUp" ? 1 : -1, size);
      if (!stepped) return;
      event.preventDefault();
      event.stopPropagation();
      setOptions([]);
      draft.attempt(stepped.text);
      requestAnimationFrame(() => field.setSelectionRange(stepped.caret, stepped.caret));
    }
  };

  return (
    <>
      <AutoComplete
        className={styles.field}
        value={value}
        options={options.map((one) => ({ value: one }))}
        defaultActiveFirstOption={false}
        popupMatchSelectWidth={false}
        open={options.length > 0}
        variant="borderless"
        onSelect={(text: string) => {
          setOptions([]);
          draft.attempt(text);
        }}
        onKeyDown={onKeyDown}
        onBlur={() => setOptions([])}
        onChange={(text: string) => type(text, input.current?.input?.selectionStart ?? text.length)}
      >
        <Input
          ref={input}
          aria-label={`${row.label} value`}
          className={tried ? `${styles.input} ${styles.draft}` : styles.input}
          spellCheck={false}
          placeholder={row.computed}
          status={verdict?.kind === "refused" ? "error" : undefined}
          aria-invalid={verdict?.kind === "refused"}
          aria-describedby={tried ? sayer : undefined}
        />
      </AutoComplete>
      {tried && <Said id={sayer} {...{ row, target, verdict, onAttribute }} onWrite={write} onPutBack={putBack} />}
    </>
  );
}

interface SaidProps extends Omit<Props, "draft"> {
  id: string;
  verdict: Verdict;
  onWrite(): void;
  onPutBack(): void;
}

/** What is said of a value that is tried, and what can be done with it. */
function Said({ id, row, target, verdict, onAttribute, onWrite, onPutBack }: SaidProps) {
  const said = useRef<HTMLDivElement>(null);
  // It is seen, wherever its row stands.
  useEffect(() => {
    said.current?.scrollIntoView({ block: "nearest" });
  }, [verdict]);
  return (
    <div ref={said} id={id} className={styles.verdict} role="status">
      <VerdictLines row={row} verdict={verdict} target={target} />
      <span className={styles.actions}>
        {verdict?.kind === "ready" && (
          <button type="button" className="text-button" onClick={onWrite}>
            Write
          </button>
        )}
        {onAttribute && (
          <button type="button" className="text-button" onClick={onAttribute}>
            Write to the style attribute instead
          </button>
        )}
        <button type="button" className="text-button" onClick={onPutBack}>
          Put back
        </button>
      </span>
    </div>
  );
}

/** What came of the value: refused, or what it touches and does. */
function VerdictLines({ row, verdict, target }: Pick<Props, "row" | "target"> & { verdict: Verdict }) {
  if (verdict === null) return <p className="quiet">Looking at what it touches…</p>;
  if (verdict.kind === "refused")
    return (
      <p className="fails">
        <Prose>{verdict.reason}</Prose>
      </p>
    );
  const { reach } = verdict.plan;
  const isPictureAlone = row.of === "picture" && reach.places.length === 0;
  return (
    <>
      <p className="good">
        {targetWords(target)}: {isPictureAlone ? "pictures, and no text" : showReach(reach)}
      </p>
      {verdict.plan.warnings.map((warning) => (
        <p key={warning} className="doubtful">
          ◆ {warning}
        </p>
      ))}
      <Contrasts judged={verdict.judged} />
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
