"use client";

import { roomOf } from "@/preview/measure";
import { InputNumber } from "antd";
import { useState } from "react";
import { fluidSize, neededRatio, sizeIn, sizeUnits, unitOf, type SizeUnit } from "@/core";
import { useStyleTable } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { showNumber, showPx } from "../../shared/numbers";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Outcomes, Spellings } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";

const steps = [0.8, 0.9, 1, 1.15, 1.33];

export function SizeChapter({ row, slip, draft, places, shown }: ChapterProps) {
  const setting = useSetting(slip, places, "font-size");
  const conditions = useWorkspace((state) => state.conditions);
  const table = useStyleTable();
  const sizes = [...new Set((table ?? []).map(({ sizePx }) => Math.round(sizePx * 100) / 100))].sort((a, b) => a - b);
  if (!setting) return null;
  const basis = { parent: setting.parent, root: setting.root, width: conditions.width };
  const unit: SizeUnit = unitOf(row.written ?? "") ?? "px";
  const now = setting.size;
  const proposed = steps.map((step) => (step === 1 ? (unitOf(row.written ?? "") ? row.written! : sizeIn(now, unit, basis)) : sizeIn(Math.round(now * step), unit, basis)));
  const weight = Number(slip.rows.find(({ id }) => id === "weight")?.computed ?? 400);
  return (
    <div className={styles.chapter}>
      <Spellings label="The same size in other units" texts={sizeUnits.map((one) => sizeIn(now, one, basis))} draft={draft} />
      <Outcomes setting={setting} />
      <Trials
        row={row} slip={slip} draft={draft} width={shown && roomOf(shown.page, slip.ref.index)} proposed={[...new Set(proposed)]}
        figures={(value) => {
          const px = pxOf(value, basis);
          return px === null ? null : <span>needs {neededRatio(px, weight)}</span>;
        }}
      />
      {sizes.length > 1 && (
        <p className={styles.spellings} role="group" aria-label="Sizes of the site">
          <span>Sizes of the site:</span>
          {sizes.map((px) => (
            <button key={px} type="button" className={styles.spelling} onClick={() => draft.attempt(sizeIn(px, unit, basis))}>
              {showPx(px)}
            </button>
          ))}
        </p>
      )}
      <details className={styles.more}>
        <summary>Fluid, between two widths</summary>
        <Fluid now={now} root={setting.root} onTry={draft.attempt} onWrite={(text) => void draft.write(text)} />
      </details>
    </div>
  );
}

const per = { px: () => 1, rem: (basis: Basis) => basis.root, em: (basis: Basis) => basis.parent, "%": (basis: Basis) => basis.parent / 100, pt: () => 96 / 72, vw: (basis: Basis) => basis.width / 100 };

interface Basis {
  parent: number;
  root: number;
  width: number;
}

function pxOf(value: string, basis: Basis): number | null {
  const unit = unitOf(value);
  return unit ? Number.parseFloat(value) * per[unit](basis) : null;
}

/** A size that grows with the window, written as `clamp()` with the line it follows. */
function Fluid({ now, root, onTry, onWrite }: { now: number; root: number; onTry(text: string): void; onWrite(text: string): void }) {
  const [values, setValues] = useState({ small: Math.round(now * 0.8), narrow: 360, large: Math.round(now * 1.2), wide: 1280 });
  const fluid = fluidSize({ size: values.small, width: values.narrow }, { size: values.large, width: values.wide }, root);
  const field = (key: keyof typeof values, label: string) => (
    <InputNumber size="small" className={styles.number} aria-label={label} min={1} max={5000} value={values[key]} suffix="px" controls={false} onChange={(next) => typeof next === "number" && setValues({ ...values, [key]: next })} />
  );
  return (
    <div className={styles.fluid}>
      <p>
        {field("small", "Size when narrow")} at {field("narrow", "Narrow width")} wide, up to {field("large", "Size when wide")} at {field("wide", "Wide width")}
      </p>
      {fluid ? (
        <>
          <code>{fluid.text}</code>
          <p className="quiet">
            Between the two it is {showNumber(fluid.base, 2)} px {fluid.slope < 0 ? "less" : "and"} {showNumber(Math.abs(fluid.slope) * 100, 2)} px for every 100 px of width. At 800 px: {showPx(Math.min(Math.max(fluid.base + fluid.slope * 800, Math.min(values.small, values.large)), Math.max(values.small, values.large)))} px.
          </p>
          <span className={styles.actions}>
            <button type="button" className="chip" onClick={() => onTry(fluid.text)}>
              Try it
            </button>
            <button type="button" className="chip" onClick={() => onWrite(fluid.text)}>
              Write it
            </button>
          </span>
        </>
      ) : (
        <p className="fails">The two widths are the same.</p>
      )}
    </div>
  );
}
