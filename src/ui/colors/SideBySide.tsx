"use client";

import { useMemo, useState } from "react";
import type { Conditions } from "@/core";
import { InStep, laidOutAt, type Side } from "../page/InStep";
import { Choice } from "../shared/Choice";
import { useWorkspace } from "../workspace/context";
import styles from "./Schemes.module.css";

/** One page as several readers have it, scrolled together; which one is chosen over them. */
export function SideBySide({ sides }: { sides: readonly Omit<Side, "path">[] }) {
  const pages = useWorkspace((state) => state.summary?.pages ?? null);
  const shown = useWorkspace((state) => state.page);
  const [chosen, setChosen] = useState<string | null>(null);
  const path = chosen ?? shown ?? pages?.[0]?.path ?? null;
  if (path === null) return null;
  return (
    <section className={styles.sides} aria-label="Side by side">
      <label className={styles.pageChoice}>
        Page
        <Choice
          aria-label="Page side by side"
          value={path}
          options={(pages ?? [{ path, title: path }]).map((one) => ({ value: one.path, label: one.path }))}
          onChange={setChosen}
        />
      </label>
      <InStep sides={sides.map((side) => ({ ...side, path }))} standing="columns" />
    </section>
  );
}

/** The conditions that are looked at, with some changed. @param changed the same object as long as it is the same */
export function useConditionsOf(changed: Partial<Conditions>): Conditions {
  const conditions = useWorkspace((state) => state.conditions);
  return useMemo(() => ({ ...conditions, width: laidOutAt, ...changed }), [conditions, changed]);
}
