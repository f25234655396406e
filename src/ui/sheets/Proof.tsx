"use client";

import { useEffect, useState } from "react";
import type { ElementRef, TextChange } from "@/core";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "../workspace/context";
import styles from "./Sheets.module.css";

/** So many places that come out differently are named. */
const most = 6;

/** Whether a move leaves every text as it is, in both schemes, at several widths and in each state of links. */
export function Proof({ changes }: { changes: readonly TextChange[] }) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [places, setPlaces] = useState<readonly ElementRef[] | null>(null);
  useEffect(() => {
    let current = true;
    unwaited(engine.differences(changes, conditions).then((found) => current && found && setPlaces(found)));
    return () => {
      current = false;
    };
  }, [engine, changes, conditions]);
  if (!places)
    return (
      <p role="status" className={styles.proof}>
        Looking at every page in both schemes, at several widths and in all states…
      </p>
    );
  if (places.length === 0)
    return (
      <p role="status" className={`good ${styles.proof}`}>
        No text comes out differently: looked at on every page, in both schemes, at several widths and in all states.
      </p>
    );
  const pages = [...new Set(places.map(({ page }) => page))];
  return (
    <p role="status" className={`doubtful ${styles.proof}`}>
      ◆ {plural(places.length, "text")} {places.length === 1 ? "comes" : "come"} out differently, on{" "}
      {pages.slice(0, most).join(", ")}
      {pages.length > most && ` and ${plural(pages.length - most, "more page")}`}.
    </p>
  );
}
