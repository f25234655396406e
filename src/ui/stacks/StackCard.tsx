"use client";

import { useState } from "react";
import { stackMembers, type StackUse, type TextChange } from "@/core";
import { isPresent } from "@/preview/present";
import { plural } from "../shared/numbers";
import { Problem } from "../shared/Problem";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { usePick } from "../workspace/usePick";
import type { Proposal } from "../workspace/WriteChanges";
import { FaceMeasures } from "./FaceMeasures";
import { isMemberHere, ownFamilies } from "./here";
import { Shifts, withoutMembers } from "./Shifts";
import { StackEdit } from "./StackEdit";
import styles from "./Stacks.module.css";
import { StackTable } from "./StackTable";

interface Props {
  use: StackUse;
  onPropose(proposal: Proposal): void;
}

/** A stack: its members, what shifts without them, and what can be written instead. */
export function StackCard({ use, onPropose }: Props) {
  const { info, places, declarations, stack } = use;
  const pick = usePick();
  const { problem, rewrite, name, match } = useStackEdits(use, onPropose);
  const pages = new Set(places.map(({ page }) => page)).size;
  return (
    <section className={styles.stack} aria-label={`Stack ${stack}`}>
      <h2>
        <code>{stack}</code>
        <span>
          {plural(places.length, "place")} on {plural(pages, "page")}, {plural(declarations.length, "declaration")},{" "}
          <button type="button" className="text-button" onClick={() => pick(places[0]!)}>
            see one
          </button>
        </span>
      </h2>
      <StackTable use={use} onMatch={(family) => unwaited(match(family))} />
      <FaceMeasures members={info.members} />
      <WhatShifts use={use} />
      <StackEdit use={use} onRewrite={rewrite} onName={name} />
      <Problem>{problem}</Problem>
    </section>
  );
}

/** What shifts without the first members of a stack, looked at when it is asked for. */
function WhatShifts({ use }: { use: StackUse }) {
  const [open, setOpen] = useState(false);
  const own = ownFamilies(use.info.members);
  const without = withoutMembers(use, (member) => isMemberHere(member, own));
  return (
    <>
      {without.length > 0 && (
        <p>
          <button type="button" className="text-button" aria-expanded={open} onClick={() => setOpen(!open)}>
            What shifts without the first {without.length === 1 ? "member" : "members"}
          </button>
        </p>
      )}
      {open && <Shifts places={use.places} assumptions={without} />}
    </>
  );
}

/** The edits of a stack, each proposed before it is written; and why the last could not be. */
function useStackEdits(use: StackUse, onPropose: (proposal: Proposal) => void) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [problem, setProblem] = useState<string | null>(null);
  const propose = (
    result: { changes: TextChange[]; problem: string | null },
    proposal: (changes: TextChange[]) => Proposal,
  ): boolean => {
    setProblem(result.problem);
    if (result.problem === null) onPropose(proposal(result.changes));
    return result.problem === null;
  };
  const rewrite = async (text: string): Promise<boolean> => {
    if (stackMembers(text))
      return propose(await engine.restack(use.stack, text), (changes) => ({ title: `Write ${text}`, changes }));
    setProblem("This is not a font stack: names are parted by commas, and names of several words stand in quotes.");
    return false;
  };
  const name = async (typed: string): Promise<boolean> =>
    propose(await engine.nameStack(use.stack, typed), (changes) => ({ title: `Name the stack ${typed}`, changes }));
  const match = async (family: string): Promise<boolean> => {
    const wanted = use.info.members[0]!.name;
    return propose(await engine.matchFallback(use.stack, family, conditions), (changes) => ({
      title: `A fallback from ${family} with the measures of ${wanted}`,
      label: `Match ${family} to ${wanted}`,
      changes,
      proof: <MatchProof use={use} family={family} changes={changes} />,
    }));
  };
  return { problem, rewrite, name, match };
}

/** What shifts without the first member, before a fallback has its measures and after. */
function MatchProof({ use, family, changes }: { use: StackUse; family: string; changes: TextChange[] }) {
  const wanted = use.info.members[0]!.name;
  if (!isPresent(family))
    return <p className="quiet">{family} is not on this machine, so what it brings back cannot be measured here.</p>;
  return (
    <Shifts
      places={use.places}
      assumptions={[
        { label: `without ${wanted}, as the stack is`, absent: [wanted], changes: [] },
        { label: `without ${wanted}, with the matched fallback`, absent: [wanted], changes },
      ]}
    />
  );
}
