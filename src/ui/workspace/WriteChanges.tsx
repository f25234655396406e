"use client";

import { useEffect, useMemo, useState, type ReactNode } from "react";
import { applyChanges, type FileChange, type TextChange } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import { useEngine, useWorkspace, useWorkspaceStore } from "./context";
import type { Workspace } from "./state";
import { Dialog } from "../shared/Dialog";
import { Contrasts } from "../shared/Contrasts";
import { LineDifference } from "../shared/LineDifference";
import { plural, showReach } from "../shared/numbers";
import styles from "./WriteChanges.module.css";
import { unwaited } from "../shared/unwaited";

/** Changes ready to be looked at and written. */
export interface Proposal {
  title: string;
  /** What the step is called in the history; the title by default. */
  label?: string;
  changes: readonly TextChange[];
  /** Files that are put into the site with them. */
  files?: readonly FileChange[];
  /** Values that are written, where several are in one change. */
  count?: number;
  /** What is counted; "value" by default. */
  counted?: string;
  /** What the changes do and do not do. */
  proof?: ReactNode;
}

interface Props {
  /** Null closes the dialog. */
  proposal: Proposal | null;
  onClose(written: boolean): void;
}

/** Changes of the files, line by line, with what they reach, before they are written. */
export function WriteChanges({ proposal, onClose }: Props) {
  const store = useWorkspaceStore();
  const files = useWorkspace((state) => state.files);
  const write = useWorkspace((state) => state.write);
  const result = useReach(proposal);
  // The lines are those that it was planned for: while it is written the files are others already.
  const shown = useMemo(() => (proposal ? linesOf(proposal.changes, store.getState().files) : null), [proposal, store]);
  const done = async () => {
    if (proposal) {
      const { changes, label, title, files: put } = proposal;
      await write({ kind: "text", changes }, label ?? title, put);
    }
    onClose(true);
  };
  return (
    <Dialog
      open={proposal !== null}
      title={proposal?.title}
      onCancel={() => onClose(false)}
      onOk={() => unwaited(done())}
      okText="Write"
      cancelText="Leave as it is"
      width="45rem"
      okButtonProps={{ disabled: shown?.files !== files || !result?.plan || isNothing(proposal) }}
      destroyOnHidden
    >
      {proposal && shown && <Body proposal={proposal} result={result} texts={shown.texts} />}
    </Dialog>
  );
}

const isNothing = (proposal: Proposal | null) => !proposal?.changes.length && !proposal?.files?.length;

/** What a proposal reaches; null until it is counted. */
function useReach(proposal: Proposal | null): PlanResult | null {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [planned, setPlanned] = useState<{ of: Proposal; result: PlanResult } | null>(null);
  useEffect(() => {
    if (!proposal) return;
    let current = true;
    unwaited(
      engine
        .reach({ kind: "text", changes: proposal.changes }, conditions, [...(proposal.files ?? [])])
        .then((result) => current && result && setPlanned({ of: proposal, result })),
    );
    return () => {
      current = false;
    };
  }, [engine, proposal, conditions]);
  return planned && planned.of === proposal ? planned.result : null;
}

interface BodyProps {
  proposal: Proposal;
  result: PlanResult | null;
  texts: ReturnType<typeof linesOf>["texts"];
}

/** How much changes and what it reaches, the files that come and go, the proof, and every line. */
function Body({ proposal, result, texts }: BodyProps) {
  const folder = useWorkspace((state) => state.record?.folder?.name);
  return (
    <div className={styles.body}>
      <p role="status" className="good">
        {statusWords(proposal, result, texts.length)}
      </p>
      {proposal.files?.map(({ path, after }) => (
        <p key={path}>
          <span className="mono">{path}</span>{" "}
          {after
            ? "is put into the site."
            : `is taken out of the site${folder ? `; in ${folder} it stays until it is deleted there` : ""}.`}
        </p>
      ))}
      {result?.problem && <p className="fails">{result.problem}</p>}
      {proposal.proof}
      {result?.judged && <Contrasts judged={result.judged} />}
      <div className={styles.files}>
        {texts.map(({ path, before, after }) => (
          <section key={path} aria-label={path}>
            <h3 className="mono">{path}</h3>
            <LineDifference before={before} after={after} />
          </section>
        ))}
      </div>
    </div>
  );
}

function statusWords(proposal: Proposal, result: PlanResult | null, files: number): string {
  if (isNothing(proposal)) return "Nothing would change.";
  if (!result) return "Looking at all pages…";
  const { count, counted = "value", changes } = proposal;
  return `${plural(count ?? changes.length, counted)} in ${plural(files, "file")}; ${reachWords(result)}`;
}

/** What changes make of the files, and the files themselves. */
function linesOf(changes: readonly TextChange[], files: Workspace["files"]) {
  const texts = [...new Set(changes.map(({ path }) => path))].flatMap((path) => {
    const file = files.get(path)?.file;
    if (!file || file.kind === "other") return [];
    const own = changes.filter((change) => change.path === path);
    return [{ path, before: file.text, after: applyChanges(file.text, own) }];
  });
  return { files, texts };
}

function reachWords({ plan }: PlanResult): string {
  if (!plan) return "";
  const { places } = plan.reach;
  return places.length === 0
    ? "no place comes out differently."
    : `${showReach(plan.reach)} ${places.length === 1 ? "comes" : "come"} out differently.`;
}
