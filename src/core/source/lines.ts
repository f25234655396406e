/** Lines and offsets of a text. CRLF, LF and CR each end a line, as in the editors that files come from; FF does not. */

import { changeBetween, type TextChange } from "./changes";

/** Where an offset lies: line and column, both from 1, the column in UTF-16 units. */
export interface Position {
  line: number;
  column: number;
}

/** What ends a line. */
export const lineEnd = /\r\n|\n|\r/;
const lineEnds = new RegExp(lineEnd, "g");

const cache = new Map<string, Uint32Array>();
const cacheLimit = 64;

/** The line and column of an offset. */
export function positionAt(text: string, offset: number): Position {
  const starts = knownStarts(text);
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (starts[middle]! <= offset) low = middle;
    else high = middle - 1;
  }
  return { line: low + 1, column: offset - starts[low]! + 1 };
}

/** The offset of a line and column; beyond the text, its end. */
export function offsetAt(text: string, line: number, column: number): number {
  const start = knownStarts(text)[line - 1];
  return start === undefined ? text.length : Math.min(text.length, start + column - 1);
}

/** The line end a text is written with: its first; LF where it has none. */
export function lineEndOf(text: string): string {
  return lineEnd.exec(text)?.[0] ?? "\n";
}

/** Where the blanks begin that stand before an offset on its line. */
export function blanksBefore(text: string, offset: number): number {
  let start = offset;
  while (start > 0 && (text[start - 1] === " " || text[start - 1] === "\t")) start -= 1;
  return start;
}

/** Where what leads up to an offset begins: the blanks before it on its line, with the line end before them where nothing else stands there. */
export function leadBefore(text: string, offset: number): number {
  const start = blanksBefore(text, offset);
  if (text[start - 1] === "\n") return start - (text[start - 2] === "\r" ? 2 : 1);
  return text[start - 1] === "\r" ? start - 1 : start;
}

/** The line end and blanks that lead up to an offset; "" where something stands before it on its line. */
export function lineLead(text: string, offset: number): string {
  const lead = text.slice(leadBefore(text, offset), offset);
  return /^[\r\n]/.test(lead) ? lead : "";
}

/** The lines of a text, without what ends them. */
export const linesOf = (text: string): string[] => text.split(lineEnd);

/** Where the line of an offset ends, its line end left out. */
export function endOfLine(text: string, offset: number): number {
  const match = lineEnd.exec(text.slice(offset));
  return match ? offset + match.index : text.length;
}

/** Where the line after an offset begins, if nothing but blanks follows on its own; else the offset. */
export function afterLine(text: string, offset: number): number {
  const end = endOfLine(text, offset);
  const isBlank = end < text.length && /^[ \t]*$/.test(text.slice(offset, end));
  return isBlank ? end + lineEnd.exec(text.slice(end))![0].length : offset;
}

/** The blanks that the line of an offset begins with, as far as they stand before it. */
export function indentAt(text: string, offset: number): string {
  const start = Math.max(text.lastIndexOf("\n", offset - 1), text.lastIndexOf("\r", offset - 1)) + 1;
  return /^[ \t]*/.exec(text.slice(start, Math.max(start, offset)))![0];
}

/** A text with LF alone, as text fields hold it. */
export function plainLines(text: string): string {
  return text.replace(lineEnds, "\n");
}

/** The change of a file's text that makes its plain lines those that were typed, with its own line ends; null when they are. */
export function changeOfLines(path: string, text: string, typed: string): TextChange | null {
  const plain = plainLines(text);
  const change = changeBetween(path, plain, typed);
  if (!change) return null;
  const offset = (at: number) => {
    const { line, column } = positionAt(plain, at);
    return knownStarts(text)[line - 1]! + column - 1;
  };
  let start = offset(change.start);
  const end = offset(change.end);
  let insert = change.insert.replaceAll("\n", lineEndOf(text));
  // A CR and an LF that come together would be one line end.
  if (text[end] === "\n" && insert.endsWith("\r")) insert += "\n";
  if (text[start - 1] === "\r" && (insert || text.slice(end)).startsWith("\n")) {
    start -= 1;
    insert = `\r\n${insert}`;
  }
  return { path, start, end, insert };
}

function knownStarts(text: string): Uint32Array {
  let starts = cache.get(text);
  if (!starts) {
    starts = lineStarts(text);
    if (cache.size >= cacheLimit) cache.delete(cache.keys().next().value!);
    cache.set(text, starts);
  }
  return starts;
}

function lineStarts(text: string): Uint32Array {
  const starts = [0];
  for (const match of text.matchAll(lineEnds)) starts.push(match.index + match[0].length);
  return Uint32Array.from(starts);
}
