import type { ReactNode } from "react";
import { ResponsiveContainer } from "recharts";
import { useRem } from "./rem";
import styles from "./Chart.module.css";

/** How axes of charts are written. */
export const axis = { stroke: "var(--ink-2)", fontSize: "0.75rem", tick: { fill: "var(--ink-2)" } } as const;

interface Props {
  /** What it shows, in a sentence: the name of the drawing and of its figures. */
  caption: string;
  /** What the columns of its figures are. */
  columns: readonly string[];
  /** A row for each thing that is drawn; the first cell names it. */
  rows: readonly (readonly (string | number)[])[];
  /** The chart itself. */
  children: ReactNode;
}

/** A drawing of figures, with the figures themselves as a table under it. */
export function Chart({ caption, columns, rows, children }: Props) {
  const height = useRem()(16.25);
  const [first, ...others] = columns;
  return (
    <figure className={styles.chart} aria-label={caption}>
      <figcaption>{caption}</figcaption>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={height}>
          {children}
        </ResponsiveContainer>
      </div>
      <details>
        <summary>Its figures</summary>
        <div className={styles.figures}>
          <table aria-label={caption}>
            <thead>
              <tr>
                <th scope="col">{first}</th>
                {others.map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.map(([name, ...cells], at) => (
                <tr key={at}>
                  <th scope="row">{name}</th>
                  {cells.map((cell, column) => (
                    <td key={column}>{cell}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </details>
    </figure>
  );
}

/** What is told of a point under the pointer. */
export function Tip({ lines }: { lines: readonly string[] }) {
  if (lines.length === 0) return null;
  return (
    <div className={styles.tip}>
      {lines.map((line) => (
        <div key={line}>{line}</div>
      ))}
    </div>
  );
}
