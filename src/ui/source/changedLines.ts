/** Which lines of a text are others than they were. */
import { changeBetween } from "@/core";
import { lineParts } from "../shared/lineParts";

/**
 * The part of each changed or new line that is another than in the line in whose place it stands, as offsets into the line;
 * all of it where it stands in no line's place. Lines from 1; both texts end their lines in LF.
 */
export function changedLines(before: string, now: string): Map<number, { from: number; to: number }> {
  const changed = new Map<number, { from: number; to: number }>();
  if (before === now) return changed;
  let number = 1;
  let gone: string[] = [];
  for (const { kind, lines } of lineParts(before, now)) {
    const own = lines.map((line) => line.replace(/\n$/, ""));
    if (kind === "gone") {
      gone = own;
      continue;
    }
    if (kind === "new") own.forEach((line, at) => changed.set(number + at, partOf(gone[at], line)));
    gone = [];
    number += own.length;
  }
  return changed;
}

function partOf(before: string | undefined, line: string): { from: number; to: number } {
  const change = before === undefined ? null : changeBetween("", before, line);
  return change ? { from: change.start, to: change.start + change.insert.length } : { from: 0, to: line.length };
}
