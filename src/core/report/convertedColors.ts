/** A pasted list of colours, in all notations. */
import { ColorError, parseColor, readColorValue } from "../color";
import { formatColor } from "../color/format";
import type { Color } from "../color/types";
import { notations } from "../color/written";
import { csv } from "./types";

export interface GivenColor {
  text: string;
  color: Color | null;
  /** Why it is none, in plain words. */
  problem: string | null;
}

const mostLines = 500;

/** Colours one a line, or with semicolons between; a comma may belong to a colour. The first 500 are read. */
export function givenColors(text: string): GivenColor[] {
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

/** As CSV (RFC 4180): a colour a row, a notation a column; empty cells for what is no colour. */
export function convertedTable(colors: readonly GivenColor[]): string {
  return csv(
    ["as given", ...notations.map(({ label }) => label)],
    colors.map(({ text, color }) => [
      text,
      ...notations.map(({ notation }) => (color ? formatColor(color, notation) : "")),
    ]),
  );
}
