"use client";

import { formatColor, parseColor, rewriteColors, seenWith, visions, type Notation, type PaletteValue } from "@/core";
import { Notations } from "../color/Notations";
import { Swatch } from "../color/Swatch";
import { plural } from "../shared/numbers";
import { useGradual } from "../shared/useGradual";
import { usePick } from "../workspace/usePick";
import type { Proposal } from "../workspace/WriteChanges";
import styles from "./Colors.module.css";
import { Proof } from "./RewriteMenu";

/** The value in hand: in every notation, where it stands, and how it looks to others. */
export function ValuePanel({ value, onPropose }: { value: PaletteValue; onPropose(proposal: Proposal): void }) {
  const pick = usePick();
  const uses = useGradual(value.uses);
  const color = value.css === null ? null : parseColor(value.value);
  const propose = (text: string, notation: Notation) => {
    const result = rewriteColors(value.uses, notation);
    onPropose({
      title: `Write ${text} for ${value.value}`,
      label: `Write ${value.value} as ${text}`,
      changes: result.changes,
      proof: <Proof result={result} />,
    });
  };
  return (
    <section className={styles.panel} aria-label={`Value ${value.value}`}>
      <h2>
        <Swatch css={value.css} size={1} /> <code>{value.value}</code>
      </h2>
      {color ? (
        <Notations color={color} current={value.notation as Notation} onWrite={propose} />
      ) : (
        <p>What it comes to depends on where it stands.</p>
      )}
      {color && (
        <ul className={styles.visions} aria-label="Seen with fewer cones">
          {visions.map((vision) => {
            const seen = formatColor(seenWith(color, vision), "hex");
            return (
              <li key={vision}>
                <Swatch css={seen} size={1} /> {vision} <code>{seen}</code>
              </li>
            );
          })}
        </ul>
      )}
      <h3>Where it stands</h3>
      <ul className={styles.places}>
        {uses.shown.map((use) => (
          <li key={`${use.path} ${use.start}`}>
            <code>
              {use.selector} {"{"} {use.property} {"}"}
            </code>{" "}
            <span>
              {use.path} line {use.line},{" "}
              {use.places[0] ? (
                <button type="button" className="text-button" onClick={() => pick(use.places[0]!)}>
                  {plural(use.places.length, "place")}
                </button>
              ) : (
                "no places now"
              )}
            </span>
          </li>
        ))}
        {uses.end}
      </ul>
    </section>
  );
}
