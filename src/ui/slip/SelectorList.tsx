"use client";

import { Input } from "antd";
import { useState } from "react";
import type { TargetOption } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import { showReach } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useWorkspace } from "../workspace/context";
import styles from "./Slip.module.css";
import { useTrying, useTryingAgain } from "./useTrying";

interface Props {
  /** A rule that is there. */
  option: TargetOption;
  open: boolean;
  onOpen(open: boolean): void;
}

/** The list of selectors of a rule, to be written anew: what comes out differently is shown while it is typed. */
export function SelectorList({ option, open, onOpen }: Props) {
  const { rehearse, tried } = useTrying();
  const write = useWorkspace((state) => state.write);
  const [typed, setTyped] = useState(option.label);
  const [result, setResult] = useState<PlanResult | null>(null);
  const { target } = option;
  const edit = (selectors: string) =>
    target.kind === "rule" ? ({ kind: "selectors", path: target.path, start: target.start, selectors } as const) : null;
  const attempt = async (selectors: string) => {
    setTyped(selectors);
    const isSame = selectors === option.label;
    setResult(await rehearse(isSame ? null : edit(selectors), setResult));
  };
  useTryingAgain(tried, () => unwaited(attempt(typed)));
  if (target.kind !== "rule") return null;
  if (!open)
    return (
      <button type="button" className={`text-button ${styles.listing}`} onClick={() => onOpen(true)}>
        Other selectors for this rule…
      </button>
    );
  const putBack = () => {
    unwaited(rehearse(null));
    setTyped(option.label);
    setResult(null);
    onOpen(false);
  };
  const done = async () => {
    if (typed === option.label) return putBack();
    const written = await write(edit(typed)!, `Selectors: ${typed}`);
    if (written.problem === null) onOpen(false);
    else setResult(written);
  };
  return (
    <div className={styles.naming}>
      <label htmlFor="rule-selectors">Selectors</label>
      <Input
        id="rule-selectors"
        autoFocus
        className="mono"
        spellCheck={false}
        value={typed}
        onChange={(event) => unwaited(attempt(event.target.value))}
        onPressEnter={() => unwaited(done())}
        onKeyDown={(event) => {
          if (event.key !== "Escape") return;
          event.stopPropagation();
          putBack();
        }}
      />
      <p role="status" className={styles.listed}>
        {result?.problem && <span className="fails">{result.problem}</span>}
        {result?.plan && (
          <span className="good">{showReach(result.plan.reach)} come out differently. Enter writes it.</span>
        )}
      </p>
    </div>
  );
}
