"use client";

import { useMemo } from "react";
import { linesOf } from "@/preview/measure";
import { showNumber } from "../../shared/numbers";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt, Outcomes, Spellings } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const trials: Readonly<Record<string, readonly string[]>> = {
  "letter-spacing": ["-0.02em", "normal", "0.02em", "0.05em", "0.1em"],
  "word-spacing": ["-0.05em", "normal", "0.05em", "0.15em"],
  offset: ["auto", "0.1em", "0.2em", "0.35em"],
  indent: ["0", "1em", "1.5em", "2em"],
  case: ["none", "uppercase", "lowercase", "capitalize"],
  alignment: ["start", "center", "end", "justify"],
  hyphens: ["none", "manual", "auto"],
  position: ["auto", "under", "from-font"],
  skip: ["auto", "none", "all"],
};

/** Spacing, case, indent, the place of lines, alignment and hyphens. */
export function SpacingChapter({ row, slip, draft, target, places, shown }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  const { index } = slip.ref;
  // Only what the row is about is measured, once for each layout of the page.
  const lines = useMemo(
    () => (shown && row.id === "alignment" ? linesOf(shown.page, index) : null),
    [shown, row.id, index],
  );
  if (!setting) return null;
  const { size } = setting;
  const px = row.amount;
  const running = slip.text.length > 60;
  const value = draft.value || row.computed;
  const computed = (id: string) => slip.rows.find((one) => one.id === id)?.computed ?? "";
  return (
    <div className={styles.chapter}>
      {px !== null && px !== 0 && (
        <Spellings
          label="The same in other units"
          texts={[`${showNumber(px, 2)}px`, `${showNumber(px / size, 3)}em`]}
          draft={draft}
        />
      )}
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set([row.written ?? row.computed, ...trials[row.id]!])].slice(0, 5)}
        figures={(one) => (one.endsWith("em") ? <span>{showNumber(Number.parseFloat(one) * size, 2)} px</span> : null)}
      />
      {row.id === "case" && value === "uppercase" && running && (
        <Doubt>Capitals alone are slow to read in running text: words lose their shape.</Doubt>
      )}
      {row.id === "alignment" &&
        value === "justify" &&
        lines &&
        lines.longest < 45 &&
        computed("hyphens") !== "auto" && (
          <Doubt>Justified lines of {lines.longest} characters tear holes without hyphens.</Doubt>
        )}
      {row.id === "alignment" && value === "center" && lines && lines.lines > 3 && (
        <Doubt>Centred over {lines.lines} lines: every line starts somewhere else.</Doubt>
      )}
      {row.id === "hyphens" && value === "auto" && (
        <p className="quiet">The page has to say its language for this to work.</p>
      )}
      {(row.id === "offset" || row.id === "position") && !computed("lines").includes("underline") && (
        <Doubt>It moves only lines under the text, and there is none here.</Doubt>
      )}
      <Outcomes setting={setting} />
    </div>
  );
}
