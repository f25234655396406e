"use client";

import { Checkbox, Input, InputNumber } from "antd";
import { useEffect, useMemo, useState } from "react";
import { ratios, resize, scaleSteps, snapped, type Edit, type Snapped, type StyleRow } from "@/core";
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

/** Steps laid over the axis; styles snap to them, live, before anything is written. */
export function Scale({ rows, onPreview, onSteps, onPropose }: Props) {
  const engine = useEngine();
  const conditions = useWorkspace((state) => state.conditions);
  const [base, setBase] = useState(16);
  const [ratio, setRatio] = useState<number | "own" | "grid">(1.2);
  const [own, setOwn] = useState("12 14 16 20 24 32 40");
  const [grid, setGrid] = useState(2);
  const [leadings, setLeadings] = useState(true);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [problem, setProblem] = useState<string | null>(null);
  const largest = Math.max(...rows.map(({ sizePx }) => sizePx), base);
  const smallest = Math.min(...rows.map(({ sizePx }) => sizePx), base);
  const steps = useMemo(() => {
    if (ratio === "own")
      return own
        .split(/[\s,;]+/)
        .map(Number)
        .filter((size) => size > 0 && size < 1000)
        .sort((a, b) => a - b);
    if (ratio === "grid")
      return Array.from({ length: Math.min(200, Math.ceil(largest / grid) + 1) }, (_, at) => (at + 1) * grid);
    return scaleSteps(base, ratio, smallest * 0.9, largest * 1.1);
  }, [ratio, own, grid, base, smallest, largest]);
  const leadingGrid = ratio === "grid" && leadings ? grid : null;
  const moves = useMemo(
    () =>
      rows.flatMap((row) => {
        const tried = snapped(row, steps, leadingGrid);
        return tried ? [{ row, tried }] : [];
      }),
    [rows, steps, leadingGrid],
  );
  const chosen = useMemo(() => moves.filter(({ row }) => !left.has(row.key)), [moves, left]);
  useEffect(() => {
    onPreview(new Map(chosen.map(({ row, tried }) => [row.key, tried])));
    onSteps(ratio === "grid" ? [] : steps);
  }, [chosen, steps, ratio, onPreview, onSteps]);

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
  return (
    <section className={styles.tool} aria-label="Scale">
      <div className={styles.copy}>
        <Choice
          size="small"
          aria-label="Steps by"
          value={ratio}
          onChange={setRatio}
          popupMatchSelectWidth={false}
          options={[
            ...ratios.map(({ name, ratio: value }) => ({ value, label: `${name}, ${showNumber(value, 3)}` })),
            { value: "own" as const, label: "Own steps" },
            { value: "grid" as const, label: "A grid" },
          ]}
        />
        {ratio === "own" && (
          <Input
            size="small"
            aria-label="Own steps in px"
            className={styles.ownSteps}
            value={own}
            onChange={({ target }) => setOwn(target.value)}
          />
        )}
        {ratio === "grid" && (
          <label>
            every{" "}
            <InputNumber
              size="small"
              aria-label="Grid in px"
              min={0.5}
              max={16}
              step={0.5}
              value={grid}
              onChange={(value) => typeof value === "number" && setGrid(value)}
            />{" "}
            px
          </label>
        )}
        {ratio === "grid" && (
          <Checkbox checked={leadings} onChange={({ target }) => setLeadings(target.checked)}>
            leading, too
          </Checkbox>
        )}
        {typeof ratio === "number" && (
          <label>
            through{" "}
            <InputNumber
              size="small"
              aria-label="Base in px"
              min={6}
              max={64}
              value={base}
              onChange={(value) => typeof value === "number" && setBase(value)}
            />{" "}
            px
          </label>
        )}
        <button type="button" className="chip" disabled={chosen.length === 0} onClick={() => unwaited(propose())}>
          Snap {plural(chosen.length, "style")}
        </button>
      </div>
      {ratio !== "grid" && <p className={styles.note}>Steps: {steps.map((step) => showPx(step)).join(", ")} px</p>}
      <Problem>{problem}</Problem>
      <ul className={styles.moves} aria-label="What snaps">
        {moves.map(({ row, tried }) => (
          <li key={row.key}>
            <Checkbox
              checked={!left.has(row.key)}
              onChange={({ target }) => {
                const next = new Set(left);
                if (target.checked) next.delete(row.key);
                else next.add(row.key);
                setLeft(next);
              }}
            >
              {row.selector} {showPx(row.sizePx)}
              {tried.sizePx !== row.sizePx && ` → ${showPx(tried.sizePx)}`}
              {tried.leading !== row.leading &&
                `, leading ${showPx(row.sizePx * row.leading!)} → ${showPx(tried.sizePx * tried.leading!)}`}
            </Checkbox>
          </li>
        ))}
      </ul>
      {moves.length === 0 && (
        <p className={styles.note}>
          Every size that a rule of the site sets lies on a step
          {leadingGrid !== null && ", and every leading on the grid"}.
        </p>
      )}
    </section>
  );
}

const showPlain = (ratio: number) => String(Number(ratio.toFixed(4)));
