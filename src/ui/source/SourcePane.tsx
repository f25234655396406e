"use client";

import { useEffect, useState } from "react";
import type { FileRecord } from "@/store/database";
import { Choice } from "../shared/Choice";
import { plural } from "../shared/numbers";
import { lineParts } from "../shared/lineParts";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import { FindEverywhere } from "./FindEverywhere";
import { Source } from "./Source";
import styles from "./SourcePane.module.css";

interface Shown {
  path: string;
  /** Lines of the rule, from 1. */
  first: number;
  last: number;
  whole: boolean;
}

/** The source of the rule in question, under the page: a place to write in, in step with the slip, changes marked. */
export function SourcePane() {
  const engine = useEngine();
  const slip = useWorkspace((state) => state.slip);
  const page = useWorkspace((state) => state.page);
  const files = useWorkspace((state) => state.files);
  const rehearsal = useWorkspace((state) => state.rehearsal);
  const [shown, setShown] = useState<Shown | null>(null);
  const [finding, setFinding] = useState(0);

  const asked = useWorkspace((state) => state.source);
  const target = slip?.targets[0]?.target;
  const rule = target?.kind === "rule" ? { path: target.path, offset: target.start } : null;
  const { path, offset } = asked ?? rule ?? { path: page, offset: 0 };
  useEffect(() => {
    let stale = false;
    if (!path) return;
    unwaited(
      engine.source(path, offset).then((source) => {
        if (!stale && source) setShown({ path, first: source.firstLine, last: source.lastLine, whole: !source.isRule });
      }),
    );
    return () => {
      stale = true;
    };
  }, [engine, path, offset, files]);

  const record = shown ? files.get(shown.path) : undefined;
  if (!shown || !record || record.file.kind === "other") return <div className={styles.pane} />;
  const own = rehearsal?.plan.changes.filter((change) => change.path === shown.path) ?? [];
  return (
    <section className={styles.pane} aria-label="Source">
      <Head shown={shown} record={record} onFind={() => setFinding(finding + 1)} />
      <Source
        key={shown.path}
        path={shown.path}
        text={record.file.text}
        original={record.original ?? ""}
        first={shown.first}
        last={shown.whole ? 0 : shown.last}
        kind={record.file.kind}
        waiting={own.length > 0}
        finding={finding}
      />
    </section>
  );
}

/** Which file and lines are shown, how much of it is changed, and ways to find something. */
function Head({ shown, record, onFind }: { shown: Shown; record: FileRecord; onFind(): void }) {
  const files = useWorkspace((state) => state.files);
  const showSource = useWorkspace((state) => state.showSource);
  const [everywhere, setEverywhere] = useState(false);
  const { path, first, last, whole } = shown;
  const written = [...files.values()].flatMap(({ file }) => (file.kind === "other" ? [] : [file.path]));
  const changed = record.file.kind === "other" ? 0 : countChangedLines(record.original ?? "", record.file.text);
  return (
    <div className={styles.head}>
      <Choice
        variant="borderless"
        aria-label="File"
        className={`mono ${styles.file}`}
        showSearch
        value={path}
        onChange={(chosen: string) => showSource({ path: chosen, offset: 0 })}
        options={written.sort().map((value) => ({ value, label: value }))}
      />
      {!whole && <span>{last > first ? `lines ${first} to ${last}` : `line ${first}`}</span>}
      <span className={styles.space} />
      <span className={styles.changed}>
        {changed === 0 ? "as it was opened" : `${plural(changed, "line")} changed since opening`}
      </span>
      <button type="button" className="text-button" onClick={onFind}>
        Find
      </button>
      <button type="button" className="text-button" onClick={() => setEverywhere(true)}>
        Find in all files
      </button>
      <FindEverywhere open={everywhere} onClose={() => setEverywhere(false)} />
    </div>
  );
}

/** Lines that are new or changed; one at least where lines were only taken out. */
function countChangedLines(before: string, after: string): number {
  if (before === after) return 0;
  const added = lineParts(before, after).filter(({ kind }) => kind === "new");
  return Math.max(
    1,
    added.reduce((sum, { lines }) => sum + lines.length, 0),
  );
}
