"use client";

import { Segmented } from "antd";
import { useMemo, useState } from "react";
import { InStep, laidOutAt, type Side, type Standing } from "../page/InStep";
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
  const sides = [useSide("Before", before), useSide("After", after)];
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
      {!missing && <InStep sides={sides} standing={standing} />}
    </section>
  );
}

function useSide(title: string, { way, page }: ChosenSide<string>): Side {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  return useMemo(() => {
    const asked = { ...conditions, width: laidOutAt };
    return {
      title: `${title}: ${page}`,
      path: page,
      conditions: asked,
      view: (path: string) => engine.variant(path, way.changes, asked, way.files),
    };
  }, [engine, way, page, conditions, title]);
}
