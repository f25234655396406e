"use client";

import type { Draft } from "../useDraft";
import styles from "./Chapter.module.css";

interface Props {
  label: string;
  values: readonly string[];
  draft: Draft;
}

/** Values to try on the page, each shown with a click; the row's field has what is shown, and writes it. */
export function Tries({ label, values, draft }: Props) {
  return (
    <div className={styles.tries} role="group" aria-label={label}>
      {values.map((value) => (
        <button
          key={value}
          type="button"
          className={value === draft.value ? `${styles.spelling} ${styles.inForce}` : styles.spelling}
          aria-pressed={value === draft.value}
          onClick={() => draft.attempt(value)}
        >
          {value}
        </button>
      ))}
    </div>
  );
}
