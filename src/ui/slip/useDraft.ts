"use client";

import { useEffect, useRef, useState } from "react";
import type { Edit, Judged, Plan, Slip, SlipRowValue, Target } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import { useEngine, useWorkspace } from "../workspace/context";
import { unwaited } from "../shared/unwaited";

/** What came of the value tried: refused, or ready with what it would touch. */
export type Verdict = { kind: "refused"; reason: string } | { kind: "ready"; plan: Plan; judged: Judged } | null;

/** A row's value while it is tried: the text and all controls are one. */
export interface Draft {
  /** As tried, else as written. */
  value: string;
  tried: boolean;
  verdict: Verdict;
  /** Shows a value on the page without writing it. */
  attempt(value: string): void;
  write(value: string): Promise<void>;
  putBack(): void;
}

const nowhere = "There is no rule, element or sheet to write this to.";

export function useDraft(row: SlipRowValue, slip: Slip, target: Target | null): Draft {
  const engine = useEngine();
  const rehearse = useWorkspace((state) => state.rehearse);
  const writeEdit = useWorkspace((state) => state.write);
  const [text, setText] = useState<string | null>(null);
  const [verdict, setVerdict] = useState<Verdict>(null);
  const turn = useRef(0);
  /** The turn in which a value was last written. */
  const writing = useRef(-1);
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
      unwaited(rehearse(null));
      setVerdict({ kind: "refused", reason: reason ?? nowhere });
      return;
    }
    const say = ({ plan, judged, problem }: PlanResult) => {
      if (current())
        setVerdict(plan ? { kind: "ready", plan, judged: judged! } : { kind: "refused", reason: problem! });
    };
    say(await rehearse(edit, say));
  };

  // What is tried is judged anew when it would be written somewhere else.
  const targetKey = JSON.stringify(target);
  const judgedFor = useRef(targetKey);
  useEffect(() => {
    if (judgedFor.current === targetKey) return;
    judgedFor.current = targetKey;
    if (text !== null && writing.current !== turn.current) unwaited(Promise.resolve(text).then(consider));
  });

  const putBack = () => {
    turn.current += 1;
    setText(null);
    setVerdict(null);
    unwaited(rehearse(null));
  };

  const write = async (value: string) => {
    if (value === written) return putBack();
    const mine = (turn.current += 1);
    writing.current = mine;
    /** What is typed while this one is being written stays. */
    const settle = (next: string | null, said: Verdict) => {
      if (mine !== turn.current) return;
      setText(next);
      setVerdict(said);
    };
    setText(value);
    const reason = await engine.check(row.property, value);
    const edit = reason === null ? editFor(value) : null;
    if (!edit) return settle(value, { kind: "refused", reason: reason ?? nowhere });
    const { plan, problem } = await writeEdit(edit, `${row.property}: ${value}`);
    settle(plan ? null : value, plan ? null : { kind: "refused", reason: problem! });
  };

  const attempt = (value: string) => {
    setText(value);
    unwaited(consider(value));
  };

  return { value: text ?? written, tried: text !== null, verdict, attempt, write, putBack };
}
