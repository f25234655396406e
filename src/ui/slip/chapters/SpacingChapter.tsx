"use client";

import { useMemo } from "react";
import { linesOf } from "@/preview/measure";
import { plural, showNumber } from "../../shared/numbers";
import { useAnswer } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Doubt, Outcomes, Spellings, useShownRoom } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const trials: Readonly<Record<string, readonly string[]>> = {
  "letter-spacing": ["-0.02em", "normal", "0.02em", "0.05em", "0.1em"],
  "word-spacing": ["-0.05em", "normal", "0.05em", "0.15em"],
  offset: ["auto", "0.1em", "0.2em", "0.35em"],
  indent: ["0", "1em", "1.5em", "2em"],
  above: ["0", "0.5em", "1em", "1.5em", "2em"],
  below: ["0", "0.25em", "0.5em", "1em", "1.5em"],
  case: ["none", "uppercase", "lowercase", "capitalize"],
  alignment: ["start", "center", "end", "justify"],
  hyphens: ["none", "manual", "auto"],
  position: ["auto", "under", "from-font"],
  skip: ["auto", "none", "all"],
};

/** Where margins meet and are one: which of them counts, and what would keep them apart (CSS 2.2, 8.3.1). */
function Meeting({ slip, side }: { slip: ChapterProps["slip"]; side: "top" | "bottom" }) {
  const conditions = useWorkspace((state) => state.conditions);
  const { page, index } = slip.ref;
  const found = useAnswer("margins", { page, index }, side, conditions);
  if (!found || found.margins.length < 2) return null;
  const { margins, px } = found;
  const room = { top: "room above", bottom: "room below" };
  const words = (one: (typeof margins)[number]) =>
    one.index === index && one.side === side
      ? `this one, ${showNumber(one.px, 2)} px`
      : `${room[one.side]} ${one.tag}, ${showNumber(one.px, 2)} px`;
  const [counts, ...swallowed] = margins.toSorted((a, b) => b.px - a.px);
  return (
    <div className="quiet" role="note">
      <p>
        It meets {plural(margins.length - 1, "other margin")} here, and they are one of {showNumber(px, 2)} px: what
        counts is {words(counts!)}; swallowed: {swallowed.map(words).join("; ")}.
      </p>
      <p>An edge, a padding or a line of text between them would keep each.</p>
    </div>
  );
}

/** Spacing, case, indent, the place of lines, alignment, hyphens and the room above and below. */
export function SpacingChapter({ row, slip, draft, target, places, shown }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  useShownRoom(row.section === "room");
  const { index } = slip.ref;
  const isMargin = row.id === "above" || row.id === "below";
  const side = row.id === "above" ? "before" : "after";
  // Only what the row is about is measured, once for each layout of the page.
  const lines = useMemo(
    () => (shown && row.id === "alignment" ? linesOf(shown.page, index) : null),
    [shown, row.id, index],
  );
  if (!setting) return null;
  const { size, leading } = setting;
  const px = Number.parseFloat(row.computed);
  const running = slip.text.length > 60;
  const value = draft.value || row.computed;
  const computed = (id: string) => slip.rows.find((one) => one.id === id)?.computed ?? "";
  return (
    <div className={styles.chapter}>
      {Number.isFinite(px) && px !== 0 && (
        <Spellings
          label="The same in other units"
          texts={[`${showNumber(px, 2)}px`, `${showNumber(px / size, 3)}em`]}
          draft={draft}
        />
      )}
      {isMargin && <Meeting slip={slip} side={row.id === "above" ? "top" : "bottom"} />}
      {isMargin && (
        <p className="quiet">
          {showNumber(px, 2)} px, {showNumber(px / size, 2)} of the size, {showNumber(px / (leading ?? size * 1.2), 2)}{" "}
          lines.
        </p>
      )}
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        side={side}
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
