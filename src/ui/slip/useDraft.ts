"use client";

import { useEffect, useRef, useState } from "react";
import {
  candidateDeclarations,
  type Edit,
  type Judged,
  type Plan,
  type Slip,
  type SlipRowValue,
  type Target,
} from "@/core";
import type { PlanResult } from "@/engine/protocol";
import { useEngine, useWorkspace } from "../workspace/context";
import { unwaited } from "../shared/unwaited";
import { useTrying, useTryingAgain, type Trying } from "./useTrying";

/** What came of the value tried: refused, or ready with what it would touch. */
export type Verdict = { kind: "refused"; reason: string } | { kind: "ready"; plan: Plan; judged: Judged } | null;

/** Whether a text is one value, or may hold more declarations after it. */
export type Reading = "value" | "candidate";

/** A row's value while it is tried: the text and all controls are one. */
export interface Draft {
  /** As tried, else as written. */
  value: string;
  tried: boolean;
  verdict: Verdict;
  /** Shows a value on the page without writing it. */
  attempt(value: string, reading?: Reading): void;
  write(value: string, reading?: Reading): Promise<void>;
  putBack(): void;
}

const nowhere = "There is no rule, element or sheet to write this to.";

/** The edits that write a candidate; null where there is nowhere to write it. What is set on another ground goes there. */
export function editsOfCandidate(row: SlipRowValue, slip: Slip, target: Target | null, text: string): Edit[] | null {
  const edits = candidateDeclarations(row.property, text).flatMap(([property, value]): Edit[] => {
    const own = slip.rows.find((one) => one.property === property)?.ownTarget ?? target;
    const at = property === row.property ? target : own;
    return at ? [{ kind: "declare", target: at, property, value, place: row.owner ?? slip.ref }] : [];
  });
  return edits.length > 0 ? edits : null;
}

const verdictOn = ({ plan, judged, problem }: PlanResult): Verdict =>
  plan ? { kind: "ready", plan, judged: judged! } : { kind: "refused", reason: problem! };

interface Asked {
  row: SlipRowValue;
  slip: Slip;
  target: Target | null;
  engine: Pick<ReturnType<typeof useEngine>, "check" | "combine">;
}

/** What would be written of a text, or why it cannot be. */
async function editOf(
  { row, slip, target, engine }: Asked,
  value: string,
  reading: Reading,
): Promise<{ edit: Edit } | { reason: string }> {
  const declarations = reading === "candidate" ? candidateDeclarations(row.property, value) : [];
  const isSingle = declarations.length < 2;
  for (const [property, one] of isSingle ? [[row.property, value] as const] : declarations) {
    const reason = await engine.check(property, one);
    if (reason !== null) return { reason };
  }
  if (isSingle)
    return target
      ? { edit: { kind: "declare", target, property: row.property, value, place: row.owner ?? slip.ref } }
      : { reason: nowhere };
  const edits = editsOfCandidate(row, slip, target, value);
  if (edits?.length !== declarations.length) return { reason: nowhere };
  const { changes, problem } = await engine.combine(edits);
  return problem === null ? { edit: { kind: "text", changes } } : { reason: problem };
}

/** Does something once a key is another, with what is true by then. */
function useWhenOther(key: string, then: () => void): void {
  const known = useRef(key);
  useEffect(() => {
    if (known.current === key) return;
    known.current = key;
    then();
  });
}

/** What is tried is judged anew when it would be written somewhere else, and when something else was written. */
function useOnceMore(target: Target | null, tried: Trying["tried"], again: () => void): void {
  useWhenOther(JSON.stringify(target), again);
  useTryingAgain(tried, again);
}

export function useDraft(row: SlipRowValue, slip: Slip, target: Target | null): Draft {
  const engine = useEngine();
  const { rehearse, tried } = useTrying();
  const writeEdit = useWorkspace((state) => state.write);
  const [text, setText] = useState<string | null>(null);
  const [verdict, setVerdict] = useState<Verdict>(null);
  const turn = useRef(0);
  /** The turn in which a value was last written. */
  const writing = useRef(-1);
  const written = row.written ?? "";

  const editFor = (value: string, reading: Reading) => editOf({ row, slip, target, engine }, value, reading);
  const read = useRef<Reading>("value");
  const consider = async (value: string) => {
    const mine = (turn.current += 1);
    const current = () => mine === turn.current;
    if (value === written) {
      await rehearse(null);
      if (current()) setVerdict(null);
      return;
    }
    const asked = await editFor(value, read.current);
    if (!current()) return;
    if ("reason" in asked) {
      unwaited(rehearse(null));
      setVerdict({ kind: "refused", reason: asked.reason });
      return;
    }
    const say = (result: PlanResult) => current() && setVerdict(verdictOn(result));
    say(await rehearse(asked.edit, say));
  };

  useOnceMore(target, tried, () => {
    if (text !== null && writing.current !== turn.current) unwaited(Promise.resolve(text).then(consider));
  });

  const putBack = () => {
    turn.current += 1;
    setText(null);
    setVerdict(null);
    unwaited(rehearse(null));
  };

  const write = async (value: string, reading: Reading = "value") => {
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
    const asked = await editFor(value, reading);
    if ("reason" in asked) return settle(value, { kind: "refused", reason: asked.reason });
    const { plan, problem } = await writeEdit(asked.edit, `${row.property}: ${value}`);
    settle(plan ? null : value, plan ? null : { kind: "refused", reason: problem! });
  };

  const attempt = (value: string, reading: Reading = "value") => {
    read.current = reading;
    setText(value);
    unwaited(consider(value));
  };

  return { value: text ?? written, tried: text !== null && text !== written, verdict, attempt, write, putBack };
}
