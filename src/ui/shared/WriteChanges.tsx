"use client";

import { Modal } from "antd";
import { useEffect, useState, type ReactNode } from "react";
import { applyChanges, type TextChange } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import { useEngine, useWorkspace } from "../workspace/context";
import { LineDifference } from "./LineDifference";
import { plural, showRatio, showReach } from "./numbers";
import styles from "./WriteChanges.module.css";

interface Props {
  title: string;
  /** Null closes the dialog. */
  changes: readonly TextChange[] | null;
  /** What the step is called in the history. */
  label: string;
  /** What the changes do and do not do. */
  proof?: ReactNode;
  onClose(written: boolean): void;
}

/** Changes of the files, line by line, with what they reach, before they are written. */
export function WriteChanges({ title, changes, label, proof, onClose }: Props) {
  const engine = useEngine();
  const files = useWorkspace((state) => state.files);
  const conditions = useWorkspace((state) => state.conditions);
  const write = useWorkspace((state) => state.write);
  const [planned, setPlanned] = useState<{ of: readonly TextChange[]; result: PlanResult } | null>(null);
  useEffect(() => {
    if (!changes) return;
    let current = true;
    void engine.plan({ kind: "text", changes }, conditions, true).then((result) => current && setPlanned({ of: changes, result }));
    return () => {
      current = false;
    };
  }, [engine, changes, conditions]);
  const result = planned && planned.of === changes ? planned.result : null;
  const paths = [...new Set((changes ?? []).map(({ path }) => path))];
  const done = async () => {
    if (changes) await write({ kind: "text", changes }, label);
    onClose(true);
  };
  return (
    <Modal
      open={changes !== null} title={title} onCancel={() => onClose(false)} onOk={() => void done()} okText="Write" cancelText="Leave as it is" width={720}
      okButtonProps={{ disabled: !result?.plan || changes?.length === 0 }} destroyOnHidden
    >
      <div className={styles.body}>
        <p role="status" className={styles.reach}>
          {changes?.length === 0 ? "Nothing would change." : result ? `${plural(changes?.length ?? 0, "value")} in ${plural(paths.length, "file")}; ${reachWords(result)}` : "Looking at all pages…"}
        </p>
        {result?.problem && <p className={styles.falls}>{result.problem}</p>}
        {proof}
        {result?.judged?.falls.map(({ role, before, after, needs, places }) => (
          <p key={`${role}${before}${after}`} className={styles.falls}>
            ▲ {role}, {plural(places.length, "place")}: contrast falls from {showRatio(before)} to {showRatio(after)}, and {needs} is needed.
          </p>
        ))}
        {result?.judged && result.judged.rises.length > 0 && (
          <p className={styles.reach}>{plural(result.judged.rises.reduce((sum, { places }) => sum + places.length, 0), "place")} can be read that could not.</p>
        )}
        <div className={styles.files}>
          {paths.map((path) => {
            const file = files.get(path)?.file;
            if (!file || file.kind === "other") return null;
            return (
              <section key={path} aria-label={path}>
                <h3 className="mono">{path}</h3>
                <LineDifference before={file.text} after={applyChanges(file.text, changes!.filter((change) => change.path === path))} />
              </section>
            );
          })}
        </div>
      </div>
    </Modal>
  );
}

function reachWords({ plan }: PlanResult): string {
  if (!plan) return "";
  const { places, pages } = plan.reach;
  return places.length === 0 ? "no place comes out differently." : `${showReach(places.length, pages.length)} ${places.length === 1 ? "comes" : "come"} out differently.`;
}
