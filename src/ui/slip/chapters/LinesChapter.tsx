"use client";

import { Checkbox, Input, Select } from "antd";
import { useCallback } from "react";
import { showRatio, type LinkState, type Slip } from "@/core";
import { Swatch } from "../../color/Swatch";
import { useAnswer } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const kinds = [["underline", "under"], ["overline", "over"], ["line-through", "through"]] as const;
const lineStyles = ["solid", "double", "dotted", "dashed", "wavy"];

interface Parts {
  lines: string[];
  style: string;
  thickness: string;
  color: string;
}

/** The parts of a `text-decoration` value; what it leaves out is what it sets back. */
function partsOf(value: string): Parts {
  const parts: Parts = { lines: [], style: "", thickness: "", color: "" };
  for (const word of value.match(/[^\s(]+(?:\((?:[^()]|\([^()]*\))*\))?/g) ?? []) {
    if (kinds.some(([line]) => line === word)) parts.lines.push(word);
    else if (lineStyles.includes(word)) parts.style = word;
    else if (/^-?[\d.]+(?:px|em|rem|%|ex|ch)?$|^(?:auto|from-font)$/.test(word)) parts.thickness = word;
    else if (word !== "none") parts.color = word;
  }
  return parts;
}

function written({ lines, style, thickness, color }: Parts): string {
  return lines.length === 0 ? "none" : [...lines, style === "solid" ? "" : style, color, thickness].filter(Boolean).join(" ");
}

/** Lines under, over and through; and how a link looks in each of its states. */
export function LinesChapter({ row, slip, draft }: ChapterProps) {
  const parts = partsOf(draft.value || row.computed);
  const set = (more: Partial<Parts>) => draft.attempt(written({ ...parts, ...more }));
  const toggle = (line: string) => set({ lines: parts.lines.includes(line) ? parts.lines.filter((one) => one !== line) : [...parts.lines, line] });
  const dangling = parts.lines.length === 0 && (parts.color !== "" || parts.style !== "" || parts.thickness !== "");
  const onlyOver = parts.lines.length > 0 && !parts.lines.includes("underline");
  const offset = slip.rows.find(({ id }) => id === "offset");
  return (
    <div className={styles.chapter}>
      <div className={styles.choices} role="group" aria-label="Lines">
        {kinds.map(([line, label]) => (
          <Checkbox key={line} checked={parts.lines.includes(line)} onChange={() => toggle(line)}>
            {label}
          </Checkbox>
        ))}
        <Select size="small" aria-label="Style of the lines" value={parts.style || "solid"} onChange={(style) => set({ style })} options={lineStyles.map((value) => ({ value, label: value }))} popupMatchSelectWidth={false} />
        <Input size="small" aria-label="Thickness of the lines" className={styles.short} placeholder="auto" value={parts.thickness} onChange={({ target }) => set({ thickness: target.value.trim() })} />
        <Input size="small" aria-label="Colour of the lines" className={styles.short} placeholder="as the text" value={parts.color} onChange={({ target }) => set({ color: target.value.trim() })} />
        {draft.tried && (
          <button type="button" className="text-button" onClick={() => void draft.write(draft.value)}>
            Write
          </button>
        )}
      </div>
      {dangling && <Doubt label="Write underline" onMend={() => void draft.write(written({ ...parts, lines: ["underline"] }))}>A colour, style or thickness does nothing without a line.</Doubt>}
      {onlyOver && offset && offset.computed !== "auto" && <Doubt>`text-underline-offset` moves only lines under the text.</Doubt>}
      {draft.tried && <p className="quiet">The shorthand sets line, style, colour and thickness; what it does not name goes back to the usual.</p>}
      {slip.selector.startsWith("a") && <States slip={slip} />}
    </div>
  );
}

const stateNames: Readonly<Record<LinkState, string>> = { rest: "at rest", visited: "visited", hover: "hover", focus: "focus", active: "active" };

/** The link in all its states side by side; a click looks at it in that state, and edits then go to its rule. */
function States({ slip: { ref, text } }: { slip: Slip }) {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  const { page, index } = ref;
  const looks = useAnswer(useCallback((engine) => engine.linkLooks({ page, index }, conditions), [page, index, conditions]));
  const now = conditions.forced[page]?.[index]?.at(-1) ?? "rest";
  const look = (state: LinkState) => void setConditions({ forced: state === "rest" ? {} : { [page]: { [index]: [state] } } });
  return (
    <>
      <div className={styles.states} role="group" aria-label="States of the link">
        {looks?.states.map(({ state, ink, ground, ratio, lines }) => (
          <button key={state} type="button" aria-pressed={state === now} onClick={() => look(state)}>
            <span style={{ background: ground }}>
              <span style={{ color: ink, textDecoration: lines }}>{text.slice(0, 16)}</span>
            </span>
            <b>{stateNames[state]}</b>
            <i>
              <Swatch css={ink} size={10} /> {showRatio(ratio)}
            </i>
          </button>
        ))}
      </div>
      {looks?.tellsApart && looks.tellsApart < 3 && (
        <Doubt>Only its colour tells this link from the text around it, and the two differ by {showRatio(looks.tellsApart)} to 1: 3 is needed, or a line (WCAG 2.2, 1.4.1).</Doubt>
      )}
    </>
  );
}
