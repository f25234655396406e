"use client";

import { showNumber } from "../shared/numbers";
import { useRem } from "../shared/rem";
import styles from "./TextStyles.module.css";

/** Where the axis stands, and how wide it is with its ties, rem. */
const axisAt = 2.5;
const axisWidth = 7.375;
const apart = 0.9375;

interface Props {
  /** Of the rows, CSS px, largest first. */
  sizes: readonly number[];
  /** Which of them stand out of line. */
  odd: readonly boolean[];
  /** Where the rows have their middle, from the top of the table, CSS px. */
  centres: readonly number[];
  height: number;
  /** Of a scale that is tried, CSS px. */
  steps: readonly number[];
}

/** The sizes on a scale of their own, each tied to the rows that have it. */
export function SizeAxis({ sizes, odd, centres, height, steps }: Props) {
  const rem = useRem();
  if (centres.length !== sizes.length || sizes.length === 0) return <div className={styles.axis} />;
  const [axisX, gutter, unit] = [rem(axisAt), rem(axisWidth), rem(1 / 16)];
  const labels = labelsFor({ sizes, odd, centres }, rem(apart));
  const bend = axisX + 45 * unit;
  return (
    <svg
      className={styles.axis}
      width={gutter}
      height={Math.max(height, (labels.at(-1)?.y ?? 0) + 20 * unit)}
      aria-hidden="true"
    >
      <text x={10 * unit} y={20 * unit}>
        px
      </text>
      <line x1={axisX} x2={axisX} y1={30 * unit} y2={height - 8} />
      {labels
        .filter(({ size }) => steps.some((step) => Math.abs(step - size) < 0.005))
        .map(({ size, y }) => (
          <circle key={size} className={styles.step} cx={axisX} cy={y} r={3.5} />
        ))}
      {labels.map(({ size, y, odd: isOdd }) => (
        <text
          key={size}
          x={axisX - 8 * unit}
          y={y + 4 * unit}
          textAnchor="end"
          className={isOdd ? styles.oddLabel : undefined}
        >
          {showNumber(size, 1)}
        </text>
      ))}
      {sizes.map((size, at) => {
        const from = labels.find((label) => label.size === size)!.y;
        const to = centres[at];
        return (
          <path
            key={at}
            className={odd[at] ? styles.oddTie : styles.tie}
            d={`M${axisX},${from} H${axisX + 10 * unit} C${bend},${from} ${bend},${to} ${gutter},${to}`}
          />
        );
      })}
    </svg>
  );
}

interface Label {
  size: number;
  y: number;
  odd: boolean;
}

/** Where the sizes stand on the axis. @param gap between two at least, CSS px */
function labelsFor({ sizes, odd, centres }: Pick<Props, "sizes" | "odd" | "centres">, gap: number): Label[] {
  const top = centres[0]!;
  const bottom = centres[centres.length - 1]!;
  // A size of nothing has no place on the axis: it stands at its end.
  const seen = sizes.filter((size) => size > 0);
  const [largest, smallest] = [Math.max(...seen, 0.01), Math.min(...seen, Infinity)];
  const place = (size: number) => {
    if (size <= 0) return bottom;
    if (largest <= smallest) return (top + bottom) / 2;
    return top + ((Math.log(largest) - Math.log(size)) / (Math.log(largest) - Math.log(smallest))) * (bottom - top);
  };
  // The scale gives way to the rows, so that no tie has to go far.
  const between = (size: number) => {
    const own = centres.filter((_, at) => sizes[at] === size);
    return place(size) * 0.25 + (own.reduce((sum, y) => sum + y, 0) / own.length) * 0.75;
  };
  // Labels that would lie on each other are moved down; the lines still start where the size is.
  const labels: Label[] = [];
  for (const size of [...new Set(sizes)].sort((a, b) => b - a)) {
    const y = Math.max(between(size), (labels.at(-1)?.y ?? -Infinity) + gap);
    labels.push({ size, y, odd: sizes.every((other, at) => other !== size || odd[at]) });
  }
  return labels;
}
