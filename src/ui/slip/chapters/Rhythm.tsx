"use client";

import { Checkbox, InputNumber } from "antd";
import { useState } from "react";
import { nearestRoom, roomEdits, type RhythmStep } from "@/core";
import { plural, showPx } from "../../shared/numbers";
import { unwaited } from "../../shared/unwaited";
import { useAnswer } from "../../workspace/answers";
import { useBench } from "../../workspace/bench";
import { useEngine, useWorkspace } from "../../workspace/context";
import { WriteChanges, type Proposal } from "../../workspace/WriteChanges";
import type { Draft } from "../useDraft";
import styles from "./Chapter.module.css";

interface Props {
  /** What the row comes to, CSS px; null where it is no one length. */
  px: number | null;
  /** What a line of the text is high, CSS px: lines of a grid are that far apart at first. */
  line: number;
  draft: Draft;
}

/** The steps of the site's margins and paddings, and lines of a grid: to snap to, and to see over the page. */
export function Rhythm({ px, line, draft }: Props) {
  const conditions = useWorkspace((state) => state.conditions);
  const steps = useAnswer("rhythm", conditions);
  const { grid, setGrid } = useBench();
  const [apart, setApart] = useState(Math.round(line));
  const shown = grid !== null;
  if (!steps) return null;
  const positive = steps.filter((step) => step.px > 0);
  const snaps =
    px === null
      ? []
      : [
          { label: "Nearest step", px: nearestRoom(px, { steps: steps.map((step) => step.px) }) },
          { label: "Nearest line", px: nearestRoom(px, { grid: apart }) },
        ].filter((snap) => snap.px !== px && Number.isFinite(snap.px));
  return (
    <section className={styles.rhythm} aria-label="Rhythm of the site">
      <p className="quiet">
        {plural(steps.length, "step")} of margins and paddings on the site.
        {snaps.length === 0 && px !== null && " This is one of them."}
      </p>
      <Axis steps={positive} px={px} />
      <ul className={styles.steps} aria-label="Steps">
        {steps.map((step) => (
          <li key={step.px}>
            <button
              type="button"
              className={step.px === px ? `${styles.spelling} ${styles.inForce}` : styles.spelling}
              aria-label={`${showPx(step.px)} px, ${plural(step.elements, "element")}`}
              aria-pressed={step.px === px}
              onClick={() => draft.attempt(`${step.px}px`)}
            >
              {showPx(step.px)}
            </button>
          </li>
        ))}
      </ul>
      {snaps.map((snap) => (
        <p key={snap.label}>
          <button type="button" className="chip" onClick={() => draft.attempt(`${snap.px}px`)}>
            {snap.label}: {showPx(snap.px)} px
          </button>
        </p>
      ))}
      <p className={styles.gridField}>
        <Checkbox checked={shown} onChange={({ target }) => setGrid(target.checked ? apart : null)}>
          Lines over the page, apart by
        </Checkbox>
        <InputNumber
          size="small"
          min={2}
          max={200}
          value={apart}
          suffix="px"
          aria-label="How far apart lines of the grid are, px"
          onChange={(next) => {
            if (typeof next !== "number") return;
            setApart(next);
            if (shown) setGrid(next);
          }}
        />
      </p>
      <Twins steps={steps} />
    </section>
  );
}

/** The steps by how large they are; the longer the line, the more elements have it. */
function Axis({ steps, px }: { steps: readonly RhythmStep[]; px: number | null }) {
  const largest = Math.max(1, ...steps.map((step) => step.px));
  const most = Math.max(1, ...steps.map(({ elements }) => elements));
  return (
    <svg className={styles.axisOfSteps} viewBox="0 0 400 34" preserveAspectRatio="none" aria-hidden="true">
      <path d="M0 33.5H400" />
      {steps.map((step) => (
        <path
          key={step.px}
          className={step.px === px ? styles.ownStep : undefined}
          d={`M${(step.px / largest) * 398 + 1} 33.5v${-6 - (step.elements / most) * 26}`}
        />
      ))}
    </svg>
  );
}

/** Steps so alike that one would do, each with what brings it to the other. */
function Twins({ steps }: { steps: readonly RhythmStep[] }) {
  const engine = useEngine();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const propose = async (step: RhythmStep) => {
    const { changes, problem: why } = await engine.combine(roomEdits(step, step.twin!));
    setProblem(why);
    if (why === null)
      setProposal({
        title: `Bring ${showPx(step.px)} px to ${showPx(step.twin!)} px`,
        changes,
        count: step.uses.length,
      });
  };
  return (
    <>
      {steps
        .filter(({ twin }) => twin !== null)
        .map((step) => (
          <p key={step.px} className="doubtful">
            ◆ {showPx(step.px)} px is nearly {showPx(step.twin!)} px.{" "}
            <button type="button" className="text-button" onClick={() => unwaited(propose(step))}>
              Bring {plural(step.uses.length, "use")} to it
            </button>
          </p>
        ))}
      {problem && (
        <p className="fails" role="alert">
          {problem}
        </p>
      )}
      <WriteChanges proposal={proposal} onClose={() => setProposal(null)} />
    </>
  );
}
