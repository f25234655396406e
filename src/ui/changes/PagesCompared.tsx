"use client";

import { Segmented } from "antd";
import { useEffect, useMemo, useState } from "react";
import type { Remote } from "comlink";
import { startEngine } from "@/engine/client";
import type { Engine } from "@/engine/protocol";
import { InStep, laidOutAt, type Side, type Standing } from "../page/InStep";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import type { ChosenSide } from "./side";
import styles from "./Changes.module.css";

const standings = [
  { value: "rows", label: "Under each other" },
  { value: "columns", label: "Side by side" },
  { value: "slider", label: "Under a slider" },
];

/** A page before and after, or two pages, scrolled together. */
export function PagesCompared({ before, after }: { before: ChosenSide<string>; after: ChosenSide<string> }) {
  const [standing, setStanding] = useState<Standing>("rows");
  const sides = [useSide("Before", before), useSide("After", after)].filter((side) => side !== null);
  const missing = [before, after].find(({ files, page }) => !files.some(({ path }) => path === page));
  return (
    <section className={styles.pages} aria-label="The page before and after">
      <Segmented
        value={standing}
        options={standings}
        onChange={(next) => setStanding(next as Standing)}
        aria-label="How the pages stand"
      />
      {missing && <p>{missing.page} is not there on one side.</p>}
      {!missing && sides.length === 2 && <InStep sides={sides} standing={standing} />}
    </section>
  );
}

/** Null while the files are read. */
function useSide(title: string, { id, files, page }: ChosenSide<string>): Side | null {
  const own = useEngine();
  const then = useEngineOf(id === "now" ? null : files);
  const conditions = useWorkspace((state) => state.conditions);
  const edition = useWorkspace((state) => (id === "now" ? state.edition : 0));
  const engine = id === "now" ? own : then;
  return useMemo(() => {
    if (!engine) return null;
    const asked = { ...conditions, width: laidOutAt };
    return {
      title: `${title}: ${page}`,
      path: page,
      conditions: asked,
      // What is answered is of this edition.
      edition,
      view: (path: string) => engine.page(path, asked),
    };
  }, [engine, page, conditions, edition, title]);
}

/** An engine that has a version's files; null until it has them. */
function useEngineOf(files: ChosenSide["files"] | null): Remote<Engine> | null {
  const [ready, setReady] = useState<{ files: ChosenSide["files"]; engine: Remote<Engine> } | null>(null);
  useEffect(() => {
    if (!files) return;
    const { engine, stop } = startEngine({ files: () => files, restarted: () => undefined });
    let current = true;
    unwaited(engine.open(files).then(() => current && setReady({ files, engine })));
    return () => {
      current = false;
      stop();
    };
  }, [files]);
  return ready && ready.files === files ? ready.engine : null;
}
