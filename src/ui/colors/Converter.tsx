"use client";

import { Select } from "antd";
import { useState } from "react";
import { ColorError, csv, formatColor, notations, parseColor, readColorValue, type Color, type Notation } from "@/core";
import { download } from "@/store/write";
import { Copy, Notations } from "../color/Notations";
import { Swatch } from "../color/Swatch";
import { Problem } from "../shared/Problem";
import styles from "./Colors.module.css";

interface Entry {
  text: string;
  color: Color | null;
  problem: string | null;
}

const mostLines = 500;

/** Colours one a line, or with semicolons between; a comma may belong to a colour. */
function entriesIn(text: string): Entry[] {
  return text
    .split(/[\n;]+/)
    .map((line) => line.trim())
    .filter((line) => line !== "")
    .slice(0, mostLines)
    .map((line) => {
      const color = parseColor(line);
      return { text: line, color, problem: color ? null : problemOf(line) };
    });
}

function problemOf(text: string): string {
  try {
    readColorValue(text);
    return "What it comes to depends on where it stands.";
  } catch (error) {
    if (error instanceof ColorError) return `${error.message} (at character ${error.offset + 1})`;
    throw error;
  }
}

/** Any notation in, all out: one colour or a pasted list. */
export function Converter() {
  const [text, setText] = useState("");
  const [notation, setNotation] = useState<Notation>("oklch");
  const entries = entriesIn(text);
  const [only] = entries;
  const list = entries.map(({ color, text: line }) => (color ? formatColor(color, notation) : line)).join("\n");
  const table = () => {
    const shown = notations.map(({ label }) => label);
    const rows = entries.map(({ text: line, color }) => [
      line,
      ...notations.map((one) => (color ? formatColor(color, one.notation) : "")),
    ]);
    return csv(["as given", ...shown], rows);
  };
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
            <Select
              size="small"
              aria-label="Convert to"
              value={notation}
              onChange={setNotation}
              options={notations.map((one) => ({ value: one.notation, label: one.label }))}
              popupMatchSelectWidth={false}
            />
            <Copy text={list} label="Copy as list" />
            <button
              type="button"
              className="text-button"
              onClick={() => download("colours.csv", new TextEncoder().encode(table()), "text/csv")}
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
