"use client";

import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Outcomes } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const trials: Readonly<Record<string, readonly string[]>> = {
  numerals: ["normal", "lining-nums", "oldstyle-nums", "tabular-nums", "diagonal-fractions"],
  ligatures: ["normal", "discretionary-ligatures", "none"],
  kerning: ["auto", "normal", "none"],
  raised: ["normal", "super", "sub"],
  stroke: ["0", "0.5px currentcolor", "1px currentcolor"],
  breaks: ["wrap", "balance", "pretty", "nowrap"],
  wrapping: ["normal", "break-word", "anywhere"],
  overflow: ["clip", "ellipsis"],
  "layers-position": ["0% 0%", "center", "right top", "0 100%"],
  "layers-size": ["auto", "cover", "contain", "50%"],
  "layers-repeat": ["repeat", "no-repeat", "repeat-x", "round"],
  "layers-attachment": ["scroll", "fixed", "local"],
  "layers-origin": ["padding-box", "content-box", "border-box"],
  "layers-clip": ["border-box", "padding-box", "content-box", "text"],
  "layers-blend-mode": ["normal", "multiply", "screen", "overlay", "luminosity"],
};

const notes: Readonly<Record<string, string>> = {
  numerals: "A face that has no such numerals shows its usual ones.",
  ligatures: "A face that has no such ligatures shows its letters one by one.",
  raised: "A face that has no such letters leaves them where they are.",
  overflow: "It shows only where the text is kept in one line and what stands out of its box is hidden.",
};

/** Rows whose values are told apart by looking: trials, and a word on what they need. */
export function PlainChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  return (
    <div className={styles.chapter}>
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set([row.written ?? trials[row.id]![0]!, ...trials[row.id]!])].slice(0, 5)}
      />
      {notes[row.id] && <p className="quiet">{notes[row.id]}</p>}
      <Outcomes setting={setting} />
    </div>
  );
}
