"use client";

import { InputNumber } from "antd";
import { axisSettings, withAxis, type AxisSetting, type FontAxis } from "@/core";
import { Prose } from "../../shared/Prose";
import { showNumber } from "../../shared/numbers";
import { Trials } from "../Trials";
import type { Draft } from "../useDraft";
import { useSetting } from "../useSetting";
import { Doubt } from "./parts";
import type { ChapterProps } from "./types";
import styles from "./Chapter.module.css";
import { unwaited } from "../../shared/unwaited";

/** Axes that have a property of their own (CSS Fonts 4, 2.2 to 2.4). */
const properties: Readonly<Record<string, string>> = {
  wght: "font-weight",
  wdth: "font-stretch",
  slnt: "font-style",
  ital: "font-style",
  opsz: "font-optical-sizing",
};

/** The axes of a variable font of the site: its width, or all that have no property of their own. */
export function AxesChapter({ row, slip, draft, target, places }: ChapterProps) {
  const setting = useSetting(slip, places, row.longhand);
  const member = setting?.stack?.members.find(({ axes }) => axes.length > 0);
  if (!member) return <p className="quiet">No font file of this stack has axes: it does nothing here.</p>;
  if (row.id === "width") {
    const axis = member.axes.find(({ tag }) => tag === "wdth");
    if (!axis) return <p className="quiet">{member.name} has one width only.</p>;
    const now = Number.parseFloat(draft.value || row.computed) || 100;
    return (
      <div className={styles.chapter}>
        <AxisSlider axis={axis} value={now} unit="%" draft={draft} onTry={(value) => draft.attempt(`${value}%`)} />
        <Trials
          row={row}
          slip={slip}
          draft={draft}
          target={target}
          proposed={stepsOf(axis).map((value) => `${value}%`)}
        />
      </div>
    );
  }
  const settings = axisSettings(draft.value || row.computed);
  const axes = member.axes.filter(({ tag }) => tag !== "wght" && tag !== "wdth");
  const first = axes[0];
  const owned = (settings ?? []).filter(({ tag }) => tag in properties);
  return (
    <div className={styles.chapter}>
      {settings === null ? (
        <p className="quiet">This value is worked out by a function: type another one to set the axes here.</p>
      ) : (
        axes.map((axis) => (
          <AxisSlider
            key={axis.tag}
            axis={axis}
            value={valueOf(settings, axis)}
            draft={draft}
            onTry={(value) => draft.attempt(withAxis(settings, axis.tag, value === axis.default ? null : value))}
          />
        ))
      )}
      {owned.map(({ tag }) => (
        <Doubt key={tag} label="Leave it out" onMend={() => draft.attempt(withAxis(settings!, tag, null))}>
          <Prose>{`\`${tag}\` has a property of its own, \`${properties[tag]}\`: set here, it beats that one, and is lost where the axes are set anew.`}</Prose>
        </Doubt>
      ))}
      {first && settings && (
        <Trials
          row={row}
          slip={slip}
          draft={draft}
          target={target}
          proposed={[
            ...new Set([
              row.written ?? row.computed,
              ...stepsOf(first).map((value) => withAxis(settings, first.tag, value)),
            ]),
          ].slice(0, 5)}
        />
      )}
    </div>
  );
}

const valueOf = (settings: readonly AxisSetting[], { tag, default: usual }: FontAxis) =>
  settings.find((one) => one.tag === tag)?.value ?? usual;

/** Five values over an axis, in round numbers. */
function stepsOf({ min, max }: FontAxis): number[] {
  return [
    ...new Set([0, 1, 2, 3, 4].map((step) => Number((min + ((max - min) * step) / 4).toFixed(max - min > 10 ? 0 : 2)))),
  ];
}

interface AxisSliderProps {
  axis: FontAxis;
  value: number;
  unit?: string;
  draft: Draft;
  onTry(value: number): void;
}

/** One axis. The page follows live; it is written when it is let go, and Escape puts it back. */
function AxisSlider({ axis: { tag, name, min, max }, value, unit = "", draft, onTry }: AxisSliderProps) {
  const step = max - min > 10 ? 1 : (max - min) / 100;
  const onKeyDown = (event: React.KeyboardEvent) => {
    if (event.key === "Enter") unwaited(draft.write(draft.value));
    else if (event.key === "Escape") draft.putBack();
    else return;
    event.stopPropagation();
  };
  return (
    <label className={styles.axis} onKeyDown={onKeyDown}>
      <span>
        {name || tag} <code>{tag}</code>
      </span>
      <span>{showNumber(min, 2)}</span>
      <input
        type="range"
        aria-label={`${name || tag} axis`}
        min={min}
        max={max}
        step={step}
        value={value}
        onChange={({ target }) => onTry(Number(target.value))}
        onPointerUp={() => draft.tried && unwaited(draft.write(draft.value))}
      />
      <span>{showNumber(max, 2)}</span>
      <InputNumber
        size="small"
        aria-label={`${name || tag} as a number`}
        className={styles.number}
        controls={false}
        min={min}
        max={max}
        step={step}
        value={value}
        suffix={unit}
        onChange={(next) => typeof next === "number" && onTry(next)}
      />
    </label>
  );
}
