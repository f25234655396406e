"use client";

import { Trials } from "../Trials";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const trials: Readonly<Record<string, readonly string[]>> = {
  shadow: ["none", "0 1px 0 rgb(255 255 255 / 70%)", "0 1px 2px rgb(0 0 0 / 40%)", "1px 1px 0 currentcolor, 2px 2px 0 rgb(0 0 0 / 20%)"],
  opacity: ["1", "0.9", "0.8", "0.65", "0.5"],
};

export function ShadowChapter({ row, slip, draft }: ChapterProps) {
  const value = draft.value || row.computed;
  return (
    <div className={styles.chapter}>
      <Trials row={row} slip={slip} draft={draft} proposed={[...new Set([row.written ?? row.computed, ...trials[row.id]!])].slice(0, 5)} figures={() => null} />
      {row.id === "opacity" && Number.parseFloat(value) < 1 && <Doubt>Opacity fades the ink towards what lies behind it, and everything inside with it. A lighter ink says the same and leaves the rest alone.</Doubt>}
      {row.id === "shadow" && value !== "none" && <p className={styles.note}>Contrast is counted without the shadow.</p>}
    </div>
  );
}
