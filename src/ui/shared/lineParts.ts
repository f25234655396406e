/** What parts two texts, line by line. */
import { diffLines } from "diff";

export interface LinePart {
  kind: "same" | "gone" | "new";
  /** With their line ends. */
  lines: readonly string[];
}

/** Lines with their ends, which are those of `diff`. */
const linesOf = (text: string): string[] => text.match(/[^\n]*\n|[^\n]+$/g) ?? [];

/** Only between the first and the last difference are lines compared: texts are long, and changes short. */
export function lineParts(before: string, after: string): LinePart[] {
  const [old, now] = [linesOf(before), linesOf(after)];
  let first = 0;
  while (first < old.length && first < now.length && old[first] === now[first]) first += 1;
  let last = 0;
  const most = Math.min(old.length, now.length) - first;
  while (last < most && old[old.length - 1 - last] === now[now.length - 1 - last]) last += 1;
  const middle = (lines: readonly string[]) => lines.slice(first, lines.length - last).join("");
  const parts: LinePart[] = [
    { kind: "same", lines: old.slice(0, first) },
    ...diffLines(middle(old), middle(now)).map(({ value, added, removed }): LinePart => ({
      kind: kindOf(added, removed),
      lines: linesOf(value),
    })),
    { kind: "same", lines: last ? old.slice(-last) : [] },
  ];
  return parts.filter(({ lines }) => lines.length > 0);
}

function kindOf(isAdded: boolean, isRemoved: boolean): LinePart["kind"] {
  if (isAdded) return "new";
  return isRemoved ? "gone" : "same";
}
