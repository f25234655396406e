"use client";

import { CartesianGrid, Line, LineChart, Tooltip, XAxis, YAxis } from "recharts";
import type { StyleRow } from "@/core";
import { axis, Chart, Tip } from "../shared/Chart";
import { showPx } from "../shared/numbers";
import { useAnswered } from "../workspace/answers";
import { useWorkspace } from "../workspace/context";
import styles from "./TextStyles.module.css";

const widths = [320, 400, 480, 600, 720, 840, 960, 1120, 1280, 1440, 1600, 1760, 1920];

/** Each style's size over the widths of the window. */
export function SizeChart({ rows }: { rows: readonly StyleRow[] }) {
  const conditions = useWorkspace((state) => state.conditions);
  const refs = rows.map(({ places }) => places[0]!);
  const sizes = useAnswered("sizesAt", [refs, widths, conditions]);
  if (!sizes || sizes.answer.length !== rows.length || JSON.stringify(sizes.args[0]) !== JSON.stringify(refs))
    return (
      <p role="status" className={styles.note}>
        Setting the pages at {widths.length} widths…
      </p>
    );
  const data = widths.map((width, at) => ({
    width,
    ...Object.fromEntries(sizes.answer.map((list, row) => [`s${row}`, list[at]])),
  }));
  return (
    <Chart
      caption="Size of every text style over window widths from 320 to 1920 px"
      columns={["Text style", ...widths.map((width) => `${width} px`)]}
      rows={rows.map(({ role, selector }, at) => [
        `${role}, ${selector}`,
        ...sizes.answer[at]!.map((px) => showPx(px)),
      ])}
    >
      <LineChart accessibilityLayer={false} data={data} margin={{ top: 8, right: 16, bottom: 4, left: 0 }}>
        <CartesianGrid stroke="var(--line-2)" />
        <XAxis
          dataKey="width"
          type="number"
          domain={[320, 1920]}
          ticks={[320, 600, 960, 1280, 1600, 1920]}
          unit=" px"
          {...axis}
        />
        <YAxis {...axis} width={40} domain={["dataMin - 2", "dataMax + 2"]} allowDecimals={false} />
        <Tooltip
          isAnimationActive={false}
          content={({ payload, label }) =>
            payload?.length ? <Tip lines={[`${sizesIn(payload)} px at ${label}`]} /> : null
          }
        />
        {rows.map((row, at) => (
          <Line
            key={row.key}
            dataKey={`s${at}`}
            dot={false}
            isAnimationActive={false}
            type="linear"
            stroke={sizes.answer[at]!.every((px) => px === sizes.answer[at]![0]) ? "var(--edge)" : "var(--pick)"}
            name={row.selector}
          />
        ))}
      </LineChart>
    </Chart>
  );
}

/** The sizes at a width, largest first, each once. */
const sizesIn = (points: readonly { value?: unknown }[]) =>
  [...new Set(points.map(({ value }) => Number(value)))]
    .sort((a, b) => b - a)
    .map((px) => showPx(px))
    .join(", ");
