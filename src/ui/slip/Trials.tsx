"use client";

import { useMemo, useRef, useState, type ReactNode } from "react";
import { showRatio, type Slip, type SlipRowValue, type Target, type TrialContrast } from "@/core";
import { roomOf, type Neighbour } from "@/preview/measure";
import type { Shown } from "@/preview/frame";
import { plural } from "../shared/numbers";
import { useAnswered } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import { Specimen, type Declarations } from "../workspace/Specimen";
import styles from "./Trials.module.css";
import type { Draft } from "./useDraft";
import { unwaited } from "../shared/unwaited";

interface Props {
  row: SlipRowValue;
  slip: Slip;
  draft: Draft;
  /** Values to begin with, the one in force among them or not. */
  proposed: readonly string[];
  /** Other values to begin with, each set under a name. */
  sets?: readonly { label: string; values: readonly string[] }[];
  /** What matters about a value, in few words. */
  figures?(value: string): ReactNode;
  /** Where it would be written: each trial then says what contrast it comes to. */
  judgedIn?: Target | null;
  /** For the room above or below: the text there. */
  beside?: { side: "before" | "after"; text: Neighbour } | null;
  /** Lines shown at least, where one is not enough to judge. */
  lines?: number;
  /** The page as it is shown: each trial then says how it breaks into lines in the room it has there. */
  shown?: Shown | null;
}

/** More than this cannot be compared at a glance. */
const most = 6;

/** Values side by side on the picked words. The page shows the one that is chosen; nothing is written until Enter. */
export function Trials({
  row,
  slip,
  draft,
  proposed,
  sets = [],
  figures,
  judgedIn = null,
  beside = null,
  lines = 1,
  shown = null,
}: Props) {
  // A trial set is kept for one kind of text and one row.
  const keptAs = `${slip.selector} ${row.id}`;
  const chosen = useWorkspace((state) => state.record?.trials?.[keptAs]);
  const keepTrials = useWorkspace((state) => state.keepTrials);
  const setChosen = (values: readonly string[]) => unwaited(keepTrials(keptAs, values.slice(0, most)));
  const [typed, setTyped] = useState("");
  const list = useRef<HTMLDivElement>(null);
  const values = chosen?.length ? chosen : proposed.slice(0, most);
  const written = row.written ?? row.computed;
  const width = useMemo(() => shown && roomOf(shown.page, slip.ref.index), [shown, slip.ref.index]);
  const contrasts = useContrasts(slip, judgedIn, row.property, values);

  const move = (event: React.KeyboardEvent, at: number) => {
    const by: Record<string, number> = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 };
    if (event.key in by) {
      const next = values[(at + by[event.key]! + values.length) % values.length]!;
      draft.attempt(next);
      list.current?.querySelectorAll("button")[values.indexOf(next)]?.focus();
    } else if (event.key === "Enter") unwaited(draft.write(values[at]!));
    else if (event.key === "Escape") draft.putBack();
    else if (event.key === "Delete" || event.key === "Backspace") setChosen(values.filter((_, index) => index !== at));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const add = () => {
    const value = typed.trim();
    if (value === "" || values.includes(value)) return;
    setChosen([...values.slice(0, most - 1), value]);
    setTyped("");
    draft.attempt(value);
  };

  return (
    <div className={styles.trials}>
      <div
        className={lines > 1 ? `${styles.list} ${styles.tall}` : styles.list}
        ref={list}
        role="radiogroup"
        aria-label={`Trials of ${row.label.toLowerCase()}`}
        style={{ gridTemplateColumns: `repeat(${values.length}, minmax(0, 1fr))` }}
      >
        {values.map((value, at) => (
          <button
            key={value}
            type="button"
            role="radio"
            aria-checked={value === draft.value}
            aria-label={value}
            className={value === draft.value ? `${styles.trial} ${styles.chosen}` : styles.trial}
            tabIndex={value === draft.value || (at === 0 && !values.includes(draft.value)) ? 0 : -1}
            onClick={() => draft.attempt(value)}
            onDoubleClick={() => unwaited(draft.write(value))}
            onKeyDown={(event) => move(event, at)}
          >
            {beside ? (
              <Beside slip={slip} value={value} {...beside} />
            ) : (
              <TrialSpecimen
                slip={slip}
                property={row.property}
                value={resolved(value, value === row.written ? row.computed : contrasts?.[at]?.computed)}
                wraps={lines > 1}
                width={width}
              />
            )}
            <span className={styles.figures}>
              <code>{value}</code>
              <span>{value === written ? "now" : null}</span>
              {figures?.(value)}
              {contrasts?.[at] && <Contrast {...contrasts[at]} />}
            </span>
          </button>
        ))}
      </div>
      <label className={styles.add}>
        <span className="visually-hidden">Add a trial of {row.label.toLowerCase()}</span>
        <input
          className="mono"
          value={typed}
          placeholder="add a value"
          spellCheck={false}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === "Enter") add();
            event.stopPropagation();
          }}
        />
        <button type="button" className="text-button" onClick={add} disabled={typed.trim() === ""}>
          Add
        </button>
        {sets.map(({ label, values: others }) => (
          <button key={label} type="button" className="text-button" onClick={() => setChosen(others)}>
            {label}
          </button>
        ))}
        {chosen && chosen.length > 0 && (
          <button type="button" className="text-button" onClick={() => setChosen([])}>
            Propose anew
          </button>
        )}
      </label>
    </div>
  );
}

/** What contrast each value comes to; nothing is asked without a place to write to. */
function useContrasts(
  { ref: { page, index } }: Slip,
  target: Target | null,
  property: string,
  values: readonly string[],
): readonly (TrialContrast | null)[] | null {
  const conditions = useWorkspace((state) => state.conditions);
  const picked = { page, index };
  return useAnswered("trialContrasts", target && [picked, target, property, values, conditions])?.answer ?? null;
}

function Contrast({ ratio, needs, verdict }: TrialContrast) {
  if (verdict === "passes") return <b>{showRatio(ratio)}</b>;
  return (
    <b className={verdict === "fails" ? "fails" : "doubtful"}>
      {verdict === "fails" ? "▲" : "◆"} {showRatio(ratio)} of {needs}
    </b>
  );
}

/** The picked words with the text above or below them, so far apart as the value says. */
function Beside({ slip, value, side, text }: { slip: Slip; value: string; side: "before" | "after"; text: Neighbour }) {
  const ground = slip.ground.range ?? slip.ground.css;
  const own = (
    <Specimen
      className={undefined}
      text={slip.text}
      declarations={[...slip.specimen, ["color", slip.ink], ...oneLine]}
      ground="transparent"
    />
  );
  const other = (
    <Specimen
      className={undefined}
      text={text.text}
      declarations={[...text.declarations, ...oneLine]}
      ground="transparent"
    />
  );
  const gap = <div style={{ fontSize: slip.sizePx, height: value }} />;
  return (
    <div
      className={styles.beside}
      style={{ background: typeof ground === "string" ? ground : `linear-gradient(${ground[0]}, ${ground[1]})` }}
    >
      {side === "before" ? other : own}
      {gap}
      {side === "before" ? own : other}
    </div>
  );
}

const oneLine = [
  ["white-space", "nowrap"],
  ["overflow", "hidden"],
  ["text-indent", "0"],
] as const;

/** A value that is only known on the page, as it comes out there. */
function resolved(value: string, computed: string | null | undefined): string {
  return /\b(?:var|env|attr|if|sibling-\w+)\(/i.test(value) ? (computed ?? value) : value;
}

/** The picked words with one property set otherwise, on their true ground. */
function TrialSpecimen({
  slip,
  property,
  value,
  wraps,
  width,
}: {
  slip: Slip;
  property: string;
  value: string;
  wraps: boolean;
  width: number | null;
}) {
  const [broken, setBroken] = useState<Broken | null>(null);
  const isGround = property === "background-color";
  const declarations: Declarations = [
    ...slip.specimen,
    ["color", property === "opacity" ? (slip.rows.find(({ id }) => id === "ink")?.computed ?? slip.ink) : slip.ink],
    ["margin", "0"],
    ["max-height", "100%"],
    ["overflow", "hidden"],
    ["text-indent", "0"],
    ...(wraps ? [] : [["white-space", "nowrap"] as const]),
    ...(isGround ? [] : [[property, value] as const]),
  ];
  return (
    <>
      <Specimen
        className={styles.specimen}
        text={slip.text}
        declarations={declarations}
        ground={isGround ? value : (slip.ground.range ?? slip.ground.css)}
        onDrawn={(line) => setBroken(width === null ? null : brokenWithin(line, width))}
      />
      {broken && (
        <span className={styles.lines}>
          {plural(broken.lines, "line")},{" "}
          {broken.lines > 1 ? `about ${Math.round(slip.text.length / broken.lines)}` : slip.text.length} ch,{" "}
          {Math.round(broken.width)} px
        </span>
      )}
    </>
  );
}

interface Broken {
  lines: number;
  /** Of the longest line, px. */
  width: number;
}

/** How a specimen breaks in a width, px: it is set once more, out of sight. */
function brokenWithin(line: HTMLElement, width: number): Broken {
  const probe = line.cloneNode(true) as HTMLElement;
  probe.style.cssText += `; position: absolute; visibility: hidden; width: ${width}px; max-height: none; white-space: normal`;
  line.parentNode!.append(probe);
  const range = document.createRange();
  range.selectNodeContents(probe);
  const rects = [...range.getClientRects()];
  probe.remove();
  return {
    lines: new Set(rects.map(({ top }) => Math.round(top))).size,
    width: Math.max(0, ...rects.map((rect) => rect.width)),
  };
}
