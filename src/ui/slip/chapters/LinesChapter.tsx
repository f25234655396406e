"use client";

import { Checkbox, Input } from "antd";
import { useState } from "react";
import {
  decorationLonghands,
  decorationParts,
  lineKinds,
  lineStyles,
  showRatio,
  writeDecoration,
  type DecorationParts,
  type LinkState,
  type Slip,
  type Target,
} from "@/core";
import { Choice } from "../../shared/Choice";
import { Swatch } from "../../color/Swatch";
import { Problem } from "../../shared/Problem";
import { Prose } from "../../shared/Prose";
import { useAnswer } from "../../workspace/answers";
import { useEngine, useWorkspace } from "../../workspace/context";
import { VerdictOf } from "../../shared/VerdictOf";
import { Trials } from "../Trials";
import { usePutOnPage, walkedTo } from "../usePutOnPage";
import type { Draft } from "../useDraft";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

const labels: Readonly<Record<(typeof lineKinds)[number], string>> = {
  underline: "under",
  overline: "over",
  "line-through": "through",
};
const trials = ["none", "underline", "underline dotted", "underline 2px", "underline overline"];

/** Lines under, over and through; and how a link looks in each of its states. */
export function LinesChapter({ row, slip, target, draft }: ChapterProps) {
  const parts = decorationParts(draft.value || row.computed);
  const set = (more: Partial<DecorationParts>) => draft.attempt(writeDecoration({ ...parts, ...more }));
  const toggle = (line: string) =>
    set({ lines: parts.lines.includes(line) ? parts.lines.filter((one) => one !== line) : [...parts.lines, line] });
  const dangling = parts.lines.length === 0 && (parts.color !== "" || parts.style !== "" || parts.thickness !== "");
  const onlyOver = parts.lines.length > 0 && !parts.lines.includes("underline");
  const offset = slip.rows.find(({ id }) => id === "offset");
  return (
    <div className={styles.chapter}>
      <div className={styles.choices} role="group" aria-label="Lines">
        {lineKinds.map((line) => (
          <Checkbox key={line} checked={parts.lines.includes(line)} onChange={() => toggle(line)}>
            {labels[line]}
          </Checkbox>
        ))}
        <Choice
          aria-label="Style of the lines"
          value={parts.style || "solid"}
          onChange={(style) => set({ style })}
          options={lineStyles.map((value) => ({ value, label: value }))}
        />
        <Input
          size="small"
          aria-label="Thickness of the lines"
          className={styles.short}
          placeholder="auto"
          value={parts.thickness}
          onChange={({ target: box }) => set({ thickness: box.value.trim() })}
        />
        <Input
          size="small"
          aria-label="Colour of the lines"
          className={styles.short}
          placeholder="as the text"
          value={parts.color}
          onChange={({ target: box }) => set({ color: box.value.trim() })}
        />
      </div>
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set([row.written ?? row.computed, ...trials])].slice(0, 5)}
      />
      {dangling && (
        <Doubt
          label="Write underline"
          onMend={() => unwaited(draft.write(writeDecoration({ ...parts, lines: ["underline"] })))}
        >
          A colour, style or thickness does nothing without a line.
        </Doubt>
      )}
      {onlyOver && offset && offset.computed !== "auto" && (
        <Doubt>
          <Prose>`text-underline-offset` moves only lines under the text.</Prose>
        </Doubt>
      )}
      {draft.tried && <WrittenAs parts={parts} target={target} draft={draft} />}
      {slip.link && <States slip={slip} />}
    </div>
  );
}

/** As the shorthand, or longhand by longhand: then what is not named stays as it is. */
function WrittenAs({ parts, target, draft }: { parts: DecorationParts; target: Target | null; draft: Draft }) {
  const engine = useEngine();
  const write = useWorkspace((state) => state.write);
  const [problem, setProblem] = useState<string | null>(null);
  const longhands = decorationLonghands(parts);
  const asLonghands = async () => {
    if (!target) return;
    const { changes, problem: why } = await engine.combine(
      longhands.map(([property, value]) => ({ kind: "declare", target, property, value })),
    );
    setProblem(why);
    if (why) return;
    await write({ kind: "text", changes }, longhands.map(([property, value]) => `${property}: ${value}`).join("; "));
    draft.putBack();
  };
  return (
    <>
      <p className="quiet">
        As the shorthand it sets line, style, colour and thickness, and what it does not name goes back to the usual.{" "}
        {target && (
          <button type="button" className="text-button" onClick={() => unwaited(asLonghands())}>
            Write {longhands.map(([property]) => property.replace("text-decoration-", "")).join(", ")} as longhands
          </button>
        )}
      </p>
      <Problem>{problem}</Problem>
    </>
  );
}

const stateNames: Readonly<Record<LinkState, string>> = {
  rest: "at rest",
  visited: "visited",
  hover: "hover",
  focus: "focus",
  active: "active",
};

/** The link in all its states; a click shows them on the page, in their sentence, and edits then go to that state's rule. */
function States({ slip: { ref, selector } }: { slip: Slip }) {
  const conditions = useWorkspace((state) => state.conditions);
  const setConditions = useWorkspace((state) => state.setConditions);
  const { page, index } = ref;
  const looks = useAnswer("linkLooks", { page, index }, conditions);
  const [onPage, setOnPage] = useState(false);
  const states = looks?.states ?? [];
  const now = (conditions.forced[page]?.[index]?.at(-1) ?? "rest") as LinkState;
  const forcedTo = (state: LinkState) => (state === "rest" ? {} : { [page]: { [index]: [state] } });
  const look = (state: LinkState) => {
    setOnPage(true);
    unwaited(setConditions({ forced: forcedTo(state) }));
  };
  const onKey = (event: React.KeyboardEvent, at: number): number | null => {
    const walked = walkedTo(event.key, at, states.length);
    if (walked !== null) look(states[walked]!.state);
    else if (event.key === "Escape") setOnPage(false);
    else return null;
    event.preventDefault();
    event.stopPropagation();
    return walked ?? at;
  };
  usePutOnPage(
    onPage && states.length > 0,
    {
      label: "link state",
      heading: `${states.length} states of`,
      subject: ref,
      selector,
      candidates: states.map(({ state }) => ({
        text: stateNames[state],
        edits: [],
        conditions: { ...conditions, forced: forcedTo(state) },
        from: state === "rest" ? undefined : { ...conditions, forced: {} },
      })),
      chosen: stateNames[now],
      written: "",
      side: "after",
      contrasts: states,
      figures: () => null,
      choose: (text) => look(states.find(({ state }) => stateNames[state] === text)!.state),
      onKey,
      leave: () => setOnPage(false),
    },
    () => setOnPage(false),
  );
  return (
    <>
      <div className={styles.states} role="group" aria-label="States of the link">
        {states.map(({ state, ink, ground, ratio, needs, verdict, lines }) => (
          <button key={state} type="button" aria-pressed={state === now} onClick={() => look(state)}>
            <b>{stateNames[state]}</b>
            <span>
              <Swatch css={ink} size={0.625} /> on <Swatch css={ground} size={0.625} />
            </span>
            <span>{lines.startsWith("none") ? "no line" : lines.split(" ")[0]}</span>
            <i>
              <VerdictOf ratio={ratio} needs={needs} verdict={verdict} />
            </i>
          </button>
        ))}
      </div>
      {looks?.tellsApart && looks.tellsApart < 3 && (
        <Doubt>
          Only its colour tells this link from the text around it, and the two differ by {showRatio(looks.tellsApart)}{" "}
          to 1: 3 is needed, or a line (WCAG 2.2, 1.4.1).
        </Doubt>
      )}
    </>
  );
}
