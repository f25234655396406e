"use client";

import { Checkbox, Input, InputNumber } from "antd";
import { useEffect, useMemo, useState } from "react";
import { ratios, resize, snapped, stepsBy, type Edit, type Snapped, type StepsBy, type StyleRow } from "@/core";
import { Choice } from "../shared/Choice";
import { plural, showNumber, showPx } from "../shared/numbers";
import { Problem } from "../shared/Problem";
import type { Proposal } from "../workspace/WriteChanges";
import { useEngine, useWorkspace } from "../workspace/context";
import styles from "./TextStyles.module.css";
import { unwaited } from "../shared/unwaited";

interface Props {
  rows: readonly StyleRow[];
  /** What is tried, by the styles' keys. */
  onPreview(tried: ReadonlyMap<string, Snapped>): void;
  onSteps(steps: readonly number[]): void;
  onPropose(proposal: Proposal): void;
}

/** A style and where it snaps to. */
interface Move {
  row: StyleRow;
  tried: Snapped;
}

/** Steps laid over the axis; styles snap to them, live, before anything is written. */
export function Scale({ rows, onPreview, onSteps, onPropose }: Props) {
  const [how, setHow] = useState<StepsBy>({ by: 1.2, base: 16, own: "12 14 16 20 24 32 40", grid: 2 });
  const [leadings, setLeadings] = useState(true);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const steps = useMemo(() => {
    const sizes = rows.map(({ sizePx }) => sizePx);
    return stepsBy(how, Math.min(...sizes), Math.max(...sizes));
  }, [how, rows]);
  const leadingGrid = how.by === "grid" && leadings ? how.grid : null;
  const moves = useMemo(
    () =>
      rows.flatMap((row): Move[] => {
        const tried = snapped(row, steps, leadingGrid);
        return tried ? [{ row, tried }] : [];
      }),
    [rows, steps, leadingGrid],
  );
  const chosen = useMemo(() => moves.filter(({ row }) => !left.has(row.key)), [moves, left]);
  useEffect(() => {
    onPreview(new Map(chosen.map(({ row, tried }) => [row.key, tried])));
    onSteps(how.by === "grid" ? [] : steps);
  }, [chosen, steps, how.by, onPreview, onSteps]);
  const { propose, problem } = useSnap(chosen, onPropose);
  return (
    <section className={styles.tool} aria-label="Scale">
      <div className={styles.copy}>
        <StepFields how={how} onHow={(more) => setHow({ ...how, ...more })} />
        {how.by === "grid" && (
          <Checkbox checked={leadings} onChange={({ target }) => setLeadings(target.checked)}>
            leading, too
          </Checkbox>
        )}
        <button type="button" className="chip" disabled={chosen.length === 0} onClick={() => unwaited(propose())}>
          Snap {plural(chosen.length, "style")}
        </button>
      </div>
      {how.by !== "grid" && <p className={styles.note}>Steps: {steps.map((step) => showPx(step)).join(", ")} px</p>}
      <Problem>{problem}</Problem>
      <Moves moves={moves} left={left} onLeft={setLeft} />
      {moves.length === 0 && (
        <p className={styles.note}>
          Every size that a rule of the site sets lies on a step
          {leadingGrid !== null && ", and every leading on the grid"}.
        </p>
      )}
    </section>
  );
}

/** Makes one proposal of all that snaps. */
function useSnap(chosen: readonly Move[], onPropose: Props["onPropose"]) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [problem, setProblem] = useState<string | null>(null);
  const propose = async () => {
    // One rule may set several styles: the first, which is the largest, decides.
    const edits = new Map<string, Edit>();
    const add = (edit: Edit | null) => {
      if (edit?.kind !== "declare") return;
      const key = `${edit.property} ${JSON.stringify(edit.target)}`;
      edits.set(key, edits.get(key) ?? edit);
    };
    for (const { row, tried } of chosen)
      if (tried.sizePx !== row.sizePx) add(resize(row, tried.sizePx, conditions.width));
    const relined = chosen.filter(({ row, tried }) => tried.leading !== row.leading);
    const leading = await engine.editsOn(
      relined.map(({ row, tried }) => ({
        ref: row.places[0]!,
        declarations: [["line-height", showPlain(tried.leading!)]] as const,
      })),
      conditions,
    );
    for (const edit of leading.edits) add(edit);
    const result = await engine.combine([...edits.values()]);
    setProblem(leading.problem ?? result.problem);
    if (leading.problem || result.problem) return;
    onPropose({
      title: `Snap ${plural(chosen.length, "text style")} to steps`,
      label: "Snap text styles to steps",
      changes: result.changes,
      count: edits.size,
    });
  };
  return { propose, problem };
}

const waysToStep = [
  ...ratios.map(({ name, ratio: value }) => ({ value, label: `${name}, ${showNumber(value, 3)}` })),
  { value: "own" as const, label: "Own steps" },
  { value: "grid" as const, label: "A grid" },
];

/** What the steps go by, with the fields of that. */
function StepFields({ how, onHow }: { how: StepsBy; onHow(more: Partial<StepsBy>): void }) {
  return (
    <>
      <Choice aria-label="Steps by" value={how.by} onChange={(by) => onHow({ by })} options={waysToStep} />
      {how.by === "own" && (
        <Input
          size="small"
          aria-label="Own steps in px"
          className={styles.ownSteps}
          value={how.own}
          onChange={({ target }) => onHow({ own: target.value })}
        />
      )}
      {how.by === "grid" && (
        <label>
          every{" "}
          <PxField label="Grid in px" range={[0.5, 16]} step={0.5} px={how.grid} onPx={(grid) => onHow({ grid })} /> px
        </label>
      )}
      {typeof how.by === "number" && (
        <label>
          through <PxField label="Base in px" range={[6, 64]} step={1} px={how.base} onPx={(base) => onHow({ base })} />{" "}
          px
        </label>
      )}
    </>
  );
}

interface PxFieldProps {
  label: string;
  range: readonly [least: number, most: number];
  step: number;
  px: number;
  onPx(px: number): void;
}

/** A size; what is no number changes nothing. */
function PxField({ label, range: [min, max], step, px, onPx }: PxFieldProps) {
  const change = (value: number | string | null) => typeof value === "number" && onPx(value);
  return <InputNumber size="small" aria-label={label} min={min} max={max} step={step} value={px} onChange={change} />;
}

interface MovesProps {
  moves: readonly Move[];
  /** Keys of styles that stay as they are. */
  left: ReadonlySet<string>;
  onLeft(left: ReadonlySet<string>): void;
}

function Moves({ moves, left, onLeft }: MovesProps) {
  const choose = (key: string, snaps: boolean) => {
    const next = new Set(left);
    if (snaps) next.delete(key);
    else next.add(key);
    onLeft(next);
  };
  return (
    <ul className={styles.moves} aria-label="What snaps">
      {moves.map(({ row, tried }) => (
        <li key={row.key}>
          <Checkbox checked={!left.has(row.key)} onChange={({ target }) => choose(row.key, target.checked)}>
            {row.selector} {showPx(row.sizePx)}
            {tried.sizePx !== row.sizePx && ` → ${showPx(tried.sizePx)}`}
            {tried.leading !== row.leading &&
              `, leading ${showPx(row.sizePx * row.leading!)} → ${showPx(tried.sizePx * tried.leading!)}`}
          </Checkbox>
        </li>
      ))}
    </ul>
  );
}

const showPlain = (ratio: number) => String(Number(ratio.toFixed(4)));
