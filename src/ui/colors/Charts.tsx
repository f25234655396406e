"use client";

import { CartesianGrid, Cell, Line, ComposedChart, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from "recharts";
import { showRatio, type PaletteValue } from "@/core";
import { axis, Chart, Tip } from "../shared/Chart";
import { plural, showPx } from "../shared/numbers";
import { useStyleTable } from "../workspace/answers";

/** Where looking beats reading: how the colours lie, and which text styles are enough for their size. */
export function Charts({ values }: { values: readonly PaletteValue[] }) {
  return (
    <>
      <ColorChart values={values} />
      <ContrastChart />
    </>
  );
}

const margin = { top: 8, right: 12, bottom: 18, left: 0 };

const lightnessLabel = {
  value: "lightness",
  position: "insideBottom",
  offset: -10,
  fontSize: "0.75rem",
  fill: "var(--ink-2)",
} as const;

/** Shows what is said of the point under the pointer. */
function tipOf<Point>(lines: (point: Point) => string[]) {
  return function TipOfPoint({ payload }: { payload?: readonly { payload?: unknown }[] }) {
    const point = payload?.[0]?.payload as Point | undefined;
    return <Tip lines={point ? lines(point) : []} />;
  };
}

interface ColorPoint {
  value: string;
  css: string;
  lightness: number;
  chroma: number;
  places: number;
}

const colorTip = tipOf(({ value, lightness, chroma, places }: ColorPoint) => [
  value,
  `lightness ${lightness}%, chroma ${chroma}`,
  plural(places, "place"),
]);

function ColorChart({ values }: { values: readonly PaletteValue[] }) {
  const rounded = (number: number) => Math.round(number * 1000) / 1000;
  const points = values.flatMap(({ value, css, lightness, chroma, places }): ColorPoint[] =>
    css === null
      ? []
      : [{ value, css, lightness: Math.round(lightness! * 1000) / 10, chroma: rounded(chroma!), places }],
  );
  return (
    <Chart
      caption="Lightness against chroma, every colour of the site"
      columns={["Colour", "Lightness", "Chroma", "Places"]}
      rows={points.map(({ value, lightness, chroma, places }) => [value, `${lightness}%`, chroma, places])}
    >
      <ScatterChart accessibilityLayer={false} margin={margin}>
        <CartesianGrid stroke="var(--line-2)" />
        <XAxis type="number" dataKey="lightness" domain={[0, 100]} unit="%" {...axis} label={lightnessLabel} />
        <YAxis type="number" dataKey="chroma" {...axis} width={44} />
        <Tooltip isAnimationActive={false} content={colorTip} />
        <Scatter data={points} isAnimationActive={false}>
          {points.map(({ value, css }) => (
            <Cell key={value} fill={css} stroke="var(--edge)" />
          ))}
        </Scatter>
      </ScatterChart>
    </Chart>
  );
}

interface StylePoint {
  role: string;
  name: string;
  size: number;
  ratio: number;
  needs: number;
  places: number;
}

/** The line of what is needed is a series of its own, of which nothing is told. */
const styleTip = tipOf(({ role, size, ratio, needs, places }: StylePoint) =>
  role ? [role, `${showPx(size)} px, ${showRatio(ratio)} of ${needs}`, plural(places, "place")] : [],
);

/** What is needed at each size, CSS px (WCAG 2.2, 1.4.3). @param largest where the line ends */
const neededAt = (largest: number) => [
  { size: 8, needed: 4.5 },
  { size: 24, needed: 4.5 },
  { size: 24.01, needed: 3 },
  { size: largest, needed: 3 },
];

function ContrastChart() {
  const styled = (useStyleTable() ?? []).map(({ role, selector, sizePx, ratio, needs, places }): StylePoint => ({
    role,
    name: `${role}, ${selector}`,
    size: sizePx,
    ratio: Math.floor(ratio * 10) / 10,
    needs,
    places: places.length,
  }));
  const needed = neededAt(Math.max(40, ...styled.map(({ size }) => size)));
  return (
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
      <ComposedChart accessibilityLayer={false} margin={margin}>
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
        <Tooltip isAnimationActive={false} content={styleTip} />
        <Line data={needed} dataKey="needed" stroke="var(--ink)" dot={false} isAnimationActive={false} type="linear" />
        <Scatter data={styled} dataKey="ratio" isAnimationActive={false}>
          {styled.map(({ ratio, needs }, at) => (
            <Cell key={at} fill={ratio < needs ? "var(--fail)" : "var(--pick)"} />
          ))}
        </Scatter>
      </ComposedChart>
    </Chart>
  );
}
