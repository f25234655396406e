"use client";

import { InputNumber } from "antd";
import { useState } from "react";
import { fluidSize, keywordSizes, pxOf, sizeIn, sizeUnits, unitOf, type SizeUnit } from "@/core";
import { useStyleTable } from "../../workspace/answers";
import { useWorkspace } from "../../workspace/context";
import { showNumber, showPx } from "../../shared/numbers";
import { Trials } from "../Trials";
import { useSetting } from "../useSetting";
import { Outcomes, Spellings } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

/** Width of a small window, px. */
const narrow = 360;
const steps = [0.8, 0.9, 1, 1.15, 1.33];

export function SizeChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, "font-size");
  const conditions = useWorkspace((state) => state.conditions);
  const table = useStyleTable();
  const sizes = [...new Set((table ?? []).map(({ sizePx }) => Math.round(sizePx * 100) / 100))].sort((a, b) => a - b);
  if (!setting) return null;
  const basis = { parent: setting.parent, root: setting.root, width: conditions.width };
  const unit: SizeUnit = unitOf(row.written ?? "") ?? "px";
  const now = setting.size;
  const proposed = steps.map((step) => {
    if (step === 1) return row.written ?? sizeIn(now, unit, basis);
    return sizeIn(Math.round(now * step), unit, basis);
  });
  // At this width it comes to the same, on narrower windows to less.
  const fluid =
    conditions.width > narrow
      ? fluidSize({ size: Math.round(now * 0.8), width: narrow }, { size: now, width: conditions.width }, setting.root)
      : null;
  const monospace = setting.stack?.members.length === 1 && setting.stack.members[0]!.name === "monospace";
  const keywords = keywordSizes(setting.parent, conditions.rootSize, monospace);
  return (
    <div className={styles.chapter}>
      <Spellings
        label="The same size in other units"
        texts={[...sizeUnits.map((one) => sizeIn(now, one, basis)), ...(fluid ? [fluid.text] : [])]}
        draft={draft}
      />
      <Outcomes setting={setting} />
      <Trials
        row={row}
        slip={slip}
        draft={draft}
        target={target}
        proposed={[...new Set(proposed)]}
        sets={
          sizes.length > 1
            ? [
                {
                  label: "Try the site’s own sizes",
                  values: [
                    ...new Set(
                      nearestSizes(sizes, now).map((px) =>
                        px === Math.round(now * 100) / 100 && row.written ? row.written : sizeIn(px, unit, basis),
                      ),
                    ),
                  ],
                },
              ]
            : []
        }
        figures={(value) => {
          const px = value === row.written ? now : pxOf(value, basis);
          if (px === null) return null;
          return unitOf(value) === "px" ? sizeIn(px, "rem", basis) : `${showPx(px)} px`;
        }}
      />
      <details className={styles.more}>
        <summary>Keywords</summary>
        <p className={styles.spellings} role="group" aria-label="Keywords">
          {keywords.map(({ keyword, px }) => (
            <button
              key={keyword}
              type="button"
              className={keyword === draft.value ? `${styles.spelling} ${styles.inForce}` : styles.spelling}
              aria-pressed={keyword === draft.value}
              onClick={() => draft.attempt(keyword)}
            >
              {keyword} {showPx(px)} px
            </button>
          ))}
        </p>
      </details>
      <details className={styles.more}>
        <summary>Fluid, between two widths</summary>
        <Fluid now={now} root={setting.root} onTry={draft.attempt} onWrite={(text) => unwaited(draft.write(text))} />
      </details>
    </div>
  );
}

/** As many sizes as can be compared, those nearest to the one now. */
function nearestSizes(sizes: readonly number[], now: number): number[] {
  const way = (px: number) => Math.abs(Math.log(px / now));
  return [...sizes]
    .sort((a, b) => way(a) - way(b))
    .slice(0, 6)
    .sort((a, b) => a - b);
}

/** A size that grows with the window, written as `clamp()` with the line it follows. */
function Fluid({
  now,
  root,
  onTry,
  onWrite,
}: {
  now: number;
  root: number;
  onTry(text: string): void;
  onWrite(text: string): void;
}) {
  const [values, setValues] = useState({
    small: Math.round(now * 0.8),
    narrow,
    large: Math.round(now * 1.2),
    wide: 1280,
  });
  const fluid = fluidSize(
    { size: values.small, width: values.narrow },
    { size: values.large, width: values.wide },
    root,
  );
  const field = (key: keyof typeof values, label: string) => (
    <InputNumber
      size="small"
      className={styles.number}
      aria-label={label}
      min={1}
      max={5000}
      value={values[key]}
      suffix="px"
      controls={false}
      onChange={(next) => typeof next === "number" && setValues({ ...values, [key]: next })}
    />
  );
  return (
    <div className={styles.fluid}>
      <p>
        {field("small", "Size when narrow")} at {field("narrow", "Narrow width")} wide, up to{" "}
        {field("large", "Size when wide")} at {field("wide", "Wide width")}
      </p>
      {fluid ? (
        <>
          <code>{fluid.text}</code>
          <p className="quiet">
            Between the two it is {showNumber(fluid.base, 2)} px {fluid.slope < 0 ? "less" : "and"}{" "}
            {showNumber(Math.abs(fluid.slope) * 100, 2)} px for every 100 px of width. At 800 px:{" "}
            {showPx(
              Math.min(
                Math.max(fluid.base + fluid.slope * 800, Math.min(values.small, values.large)),
                Math.max(values.small, values.large),
              ),
            )}{" "}
            px.
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
