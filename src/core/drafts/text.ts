/** Rules as a sheet writes them. */
import { indentUnit, isMinified } from "../edits/block";
import { lineEndOf } from "../source/lines";

export type Line = readonly [property: string, value: string];

/** A rule in the way of writing of a sheet. @param like the text of the sheet; "" for a new one @param depth how many blocks are around it */
export function ruleText(like: string, selector: string, lines: readonly Line[], depth = 0): string {
  if (isMinified(like)) return `${selector}{${lines.map(([property, value]) => `${property}:${value}`).join(";")}}`;
  const [line, unit] = [lineEndOf(like), indentUnit(like)];
  const lead = unit.repeat(depth);
  const body = lines.map(([property, value]) => `${lead}${unit}${property}: ${value};${line}`).join("");
  return `${lead}${selector} {${line}${body}${lead}}`;
}
