"use client";

import { useEffect, useState } from "react";
import { refKey, type Differing, type DraftKindName, type FileChange, type TextChange } from "@/core";
import { plural } from "../shared/numbers";
import { unwaited } from "../shared/unwaited";
import { useEngine, useWorkspace } from "./context";
import styles from "./NewSheet.module.css";

/** So many places that come out differently are named. */
const most = 6;

interface Props {
  changes: readonly TextChange[];
  files: readonly FileChange[];
  /** A wish of readers: that what they see changes is what it is for. */
  except?: DraftKindName | null;
}

const schemeWords: Readonly<Record<DraftKindName | "all", string>> = {
  all: "in both schemes",
  dark: "in light",
  contrast: "in both schemes, for all who wish for no more contrast",
};

/** Whether a move leaves every text as it is, in both schemes, at several widths and in each state of links. */
export function Proof({ changes, files, except = null }: Props) {
  const where = schemeWords[except ?? "all"];
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [differing, setDiffering] = useState<Differing | null>(null);
  useEffect(() => {
    let current = true;
    unwaited(
      engine.differences(changes, files, conditions, except).then((found) => current && found && setDiffering(found)),
    );
    return () => {
      current = false;
    };
  }, [engine, changes, files, conditions, except]);
  if (!differing)
    return (
      <p role="status" className={styles.proof}>
        Looking at every page {where}, at several widths and in all states…
      </p>
    );
  const { places, told } = differing;
  if (places.length === 0)
    return (
      <p role="status" className={`good ${styles.proof}`}>
        No text comes out differently: looked at on every page, {where}, at several widths and in all states.
      </p>
    );
  const pages = [...new Set(places.map(({ page }) => page))];
  return (
    <div className={styles.proof}>
      <p role="status" className="doubtful">
        ◆ {plural(places.length, "text")} {places.length === 1 ? "comes" : "come"} out differently, on{" "}
        {pages.slice(0, most).join(", ")}
        {pages.length > most && ` and ${plural(pages.length - most, "more page")}`}.
      </p>
      <ul className={styles.differing} aria-label="How they come out">
        {told.map(({ ref, text, under, around, values }) => (
          <li key={refKey(ref)}>
            “{text}” in {ref.page}
            {under && `, ${under}`}:{" "}
            {around && (
              <>
                of the <code>{around}</code> around it,{" "}
              </>
            )}
            {values.map(({ property, before, after }, at) => (
              <span key={property}>
                {at > 0 && "; "}
                <code>{property}</code> was <code>{before}</code>, is <code>{after}</code>
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
