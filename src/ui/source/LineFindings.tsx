"use client";

import { FindingLine } from "../workspace/FindingLine";
import type { KnownFinding } from "../workspace/troubles";
import styles from "./SourcePane.module.css";

interface Props {
  found: readonly KnownFinding[];
  /** Whether the ways to set the first right are shown. */
  open: boolean;
  onDone(): void;
}

/** What is found at the line that the cursor is in. */
export function LineFindings({ found, open, onDone }: Props) {
  return (
    <div className={styles.here} role="group" aria-label="Found in this line">
      <ul>
        {found.map((known, at) => (
          <li key={known.key}>
            <FindingLine known={known} open={open && at === 0} onDone={onDone} />
          </li>
        ))}
      </ul>
      <span className={styles.key}>
        <kbd>Alt</kbd> <kbd>M</kbd> sets it right
      </span>
    </div>
  );
}
