"use client";

import { useState } from "react";
import { convertedTable, formatColor, givenColors, notations, type Notation } from "@/core";
import { download } from "@/store/write";
import { Choice } from "../shared/Choice";
import { Copy, Notations } from "../color/Notations";
import { Swatch } from "../color/Swatch";
import { Problem } from "../shared/Problem";
import styles from "./Colors.module.css";

/** Any notation in, all out: one colour or a pasted list. */
export function Converter() {
  const [text, setText] = useState("");
  const [notation, setNotation] = useState<Notation>("oklch");
  const entries = givenColors(text);
  const [only] = entries;
  const list = entries.map(({ color, text: line }) => (color ? formatColor(color, notation) : line)).join("\n");
  return (
    <section className={styles.panel} aria-label="Converter">
      <label className={styles.paste}>
        Colours to convert, one a line
        <textarea
          className="mono"
          rows={4}
          value={text}
          spellCheck={false}
          onChange={(event) => setText(event.target.value)}
          placeholder="hsl(11 50% 47%)"
        />
      </label>
      {entries.length === 1 && only!.color && <Notations color={only!.color} current={null} onWrite={null} />}
      {entries.length === 1 && <Problem>{only!.problem}</Problem>}
      {entries.length > 1 && (
        <>
          <p className={styles.tools}>
            <Choice
              aria-label="Convert to"
              value={notation}
              onChange={setNotation}
              options={notations.map((one) => ({ value: one.notation, label: one.label }))}
            />
            <Copy text={list} label="Copy as list" />
            <button
              type="button"
              className="text-button"
              onClick={() => download("colours.csv", new TextEncoder().encode(convertedTable(entries)), "text/csv")}
            >
              Save all notations as CSV
            </button>
          </p>
          <ul className={styles.places} aria-label="Converted">
            {entries.map(({ text: line, color, problem }, at) => (
              <li key={at}>
                <Swatch css={color && formatColor(color, "rgb")} /> <code>{line}</code>{" "}
                {color ? <code>{formatColor(color, notation)}</code> : <span className="fails">{problem}</span>}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
