"use client";

import type { Palette } from "@/core";
import { Swatch } from "../color/Swatch";
import { plural } from "../shared/numbers";
import styles from "./Colors.module.css";

/** The custom properties that hold colours, used and unused. */
export function Properties({ palette, onCurrent }: { palette: Palette; onCurrent(value: string): void }) {
  if (palette.properties.length === 0)
    return <p className={styles.note}>No custom property of the site holds a colour. Select a value and name it.</p>;
  return (
    <section className={styles.panel} aria-label="Custom properties">
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Name</th>
            <th scope="col">Value</th>
            <th scope="col">Where</th>
            <th scope="col">Used</th>
          </tr>
        </thead>
        <tbody>
          {palette.properties.flatMap(({ name, values, references }) =>
            values.map(({ value, css, selector, path, line, start }, at) => (
              <tr key={`${path} ${start}`}>
                <th scope="row">{at === 0 && <code>{name}</code>}</th>
                <td>
                  <button type="button" className="plain-button" onClick={() => onCurrent(value)}>
                    <Swatch css={css} /> <code>{value}</code>
                  </button>
                </td>
                <td>
                  <code>{selector}</code> {path} line {line}
                </td>
                <td className={references === 0 ? "doubtful" : undefined}>
                  {at === 0 && (references === 0 ? "◆ nowhere" : plural(references, "time"))}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
    </section>
  );
}
