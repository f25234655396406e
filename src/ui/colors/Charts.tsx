"use client";

import { CartesianGrid, Cell, Line, ComposedChart, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from "recharts";
import { showRatio, type PaletteValue } from "@/core";
import { axis, Chart, Tip } from "../shared/Chart";
import { plural, showPx } from "../shared/numbers";
import { useStyleTable } from "../workspace/answers";

/** Where looking beats reading: how the colours lie, and which text styles are enough for their size. */
export function Charts({ values }: { values: readonly PaletteValue[] }) {
  const textStyles = useStyleTable() ?? [];
  const points = values.flatMap(({ value, css, lightness, chroma, places }) =>
    css === null
      ? []
      : [
          {
            value,
            css,
            lightness: Math.round(lightness! * 1000) / 10,
            chroma: Math.round(chroma! * 1000) / 1000,
            places,
          },
        ],
  );
  const styled = textStyles.map(({ role, selector, sizePx, ratio, needs, places }) => ({
    role,
    name: `${role}, ${selector}`,
    size: sizePx,
    ratio: Math.floor(ratio * 10) / 10,
    needs,
    places: places.length,
  }));
  const largest = Math.max(40, ...styled.map(({ size }) => size));
  const steps = [
    { size: 8, needed: 4.5 },
    { size: 24, needed: 4.5 },
    { size: 24.01, needed: 3 },
    { size: largest, needed: 3 },
  ];
  return (
    <>
      <Chart
        caption="Lightness against chroma, every colour of the site"
        columns={["Colour", "Lightness", "Chroma", "Places"]}
        rows={points.map(({ value, lightness, chroma, places }) => [value, `${lightness}%`, chroma, places])}
      >
        <ScatterChart accessibilityLayer={false} margin={{ top: 8, right: 12, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--line-2)" />
          <XAxis
            type="number"
            dataKey="lightness"
            domain={[0, 100]}
            unit="%"
            {...axis}
            label={{
              value: "lightness",
              position: "insideBottom",
              offset: -10,
              fontSize: "0.75rem",
              fill: "var(--ink-2)",
            }}
          />
          <YAxis type="number" dataKey="chroma" {...axis} width={44} />
          <Tooltip
            isAnimationActive={false}
            content={({ payload }) => (
              <Tip
                lines={
                  payload?.[0]
                    ? [
                        payload[0].payload.value,
                        `lightness ${payload[0].payload.lightness}%, chroma ${payload[0].payload.chroma}`,
                        plural(payload[0].payload.places, "place"),
                      ]
                    : []
                }
              />
            )}
          />
          <Scatter data={points} isAnimationActive={false}>
            {points.map(({ value, css }) => (
              <Cell key={value} fill={css} stroke="var(--edge)" />
            ))}
          </Scatter>
        </ScatterChart>
      </Chart>
      <Chart
        caption="Contrast against size, every text style; under the line it is not enough"
        columns={["Text style", "Size", "Ratio", "Needs", "Places"]}
        rows={styled.map(({ name, size, ratio, needs, places }) => [
          name,
          `${showPx(size)} px`,
          showRatio(ratio),
          needs,
          places,
        ])}
      >
        <ComposedChart accessibilityLayer={false} margin={{ top: 8, right: 12, bottom: 18, left: 0 }}>
          <CartesianGrid stroke="var(--line-2)" />
          <XAxis type="number" dataKey="size" domain={[8, "dataMax + 4"]} allowDecimals={false} unit=" px" {...axis} />
          <YAxis
            type="number"
            dataKey="ratio"
            scale="log"
            domain={[1, 21]}
            ticks={[1, 2, 3, 4.5, 7, 12, 21]}
            {...axis}
            width={44}
          />
          <Tooltip
            isAnimationActive={false}
            content={({ payload }) => (
              <Tip
                lines={
                  payload?.[0]?.payload.role
                    ? [
                        payload[0].payload.role,
                        `${showPx(payload[0].payload.size)} px, ${showRatio(payload[0].payload.ratio)} of ${payload[0].payload.needs}`,
                        plural(payload[0].payload.places, "place"),
                      ]
                    : []
                }
              />
            )}
          />
          <Line data={steps} dataKey="needed" stroke="var(--ink)" dot={false} isAnimationActive={false} type="linear" />
          <Scatter data={styled} dataKey="ratio" isAnimationActive={false}>
            {styled.map(({ ratio, needs }, at) => (
              <Cell key={at} fill={ratio < needs ? "var(--fail)" : "var(--pick)"} />
            ))}
          </Scatter>
        </ComposedChart>
      </Chart>
    </>
  );
}
