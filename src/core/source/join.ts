/** Two texts that come from one, joined line by line: what one side alone changed is taken, where both did both are told. */
import { diffArrays } from "diff";

/** A run of lines: agreed on, or changed on both sides in different ways. */
export type JoinedPart =
  | { kind: "same"; text: string }
  /** `line` is that of the base, from 1. */
  | { kind: "both"; line: number; base: string; here: string; there: string };

/** Lines of the base from `start` to `end` that one side has otherwise. */
interface Hunk {
  start: number;
  end: number;
  lines: readonly string[];
}

/** Lines that both changed in the same way count as one change; changes of lines next to each other are two. */
export function joinTexts(base: string, here: string, there: string): JoinedPart[] {
  const lines = linesOf(base);
  const [own, other] = [hunksBetween(lines, linesOf(here)), hunksBetween(lines, linesOf(there))];
  const parts: JoinedPart[] = [];
  const same = (text: string) => {
    const last = parts.at(-1);
    if (last?.kind === "same") last.text += text;
    else if (text !== "") parts.push({ kind: "same", text });
  };
  let at = 0;
  while (own.length + other.length > 0) {
    const { start, end, mine, theirs } = nextRegion(own, other);
    same(lines.slice(at, start).join(""));
    const was = lines.slice(start, end).join("");
    const [is, then] = [mine, theirs].map((hunks) => withHunks(lines, start, end, hunks)) as [string, string];
    if (theirs.length === 0 || is === then) same(is);
    else if (mine.length === 0) same(then);
    else parts.push({ kind: "both", line: start + 1, base: was, here: is, there: then });
    at = end;
  }
  same(lines.slice(at).join(""));
  return parts;
}

/** The text, with a choice for each run that both changed. @param choose the text of one of them, in order */
export function joinedText(
  parts: readonly JoinedPart[],
  choose: (part: JoinedPart & { kind: "both" }) => string,
): string {
  return parts.map((part) => (part.kind === "same" ? part.text : choose(part))).join("");
}

/** Lines with their ends. */
const linesOf = (text: string): string[] => text.match(/[^\n]*\n|[^\n]+$/g) ?? [];

function hunksBetween(base: readonly string[], text: readonly string[]): Hunk[] {
  const hunks: Hunk[] = [];
  let at = 0;
  for (const { value, added, removed } of diffArrays([...base], [...text])) {
    if (!added && !removed) {
      at += value.length;
      continue;
    }
    const last = hunks.at(-1);
    const hunk = last?.end === at ? last : { start: at, end: at, lines: [] };
    if (hunk !== last) hunks.push(hunk);
    if (added) hunk.lines = [...hunk.lines, ...value];
    else at = hunk.end = at + value.length;
  }
  return hunks;
}

/** The hunks of both sides that meet, taken from the front. */
function nextRegion(own: Hunk[], other: Hunk[]) {
  const isFirst = (own[0]?.start ?? Infinity) <= (other[0]?.start ?? Infinity);
  const first = (isFirst ? own : other).shift()!;
  const [mine, theirs]: [Hunk[], Hunk[]] = isFirst ? [[first], []] : [[], [first]];
  const { start } = first;
  let { end } = first;
  for (;;) {
    const meets = ({ start: from, end: to }: Hunk) => from < end || (from === start && (to === from || start === end));
    if (own[0] && meets(own[0])) mine.push(own.shift()!);
    else if (other[0] && meets(other[0])) theirs.push(other.shift()!);
    else return { start, end, mine, theirs };
    end = Math.max(end, mine.at(-1)?.end ?? 0, theirs.at(-1)?.end ?? 0);
  }
}

/** The lines of a region as one side has them. */
function withHunks(base: readonly string[], start: number, end: number, hunks: readonly Hunk[]): string {
  let at = start;
  let text = "";
  for (const hunk of hunks) {
    text += base.slice(at, hunk.start).join("") + hunk.lines.join("");
    at = hunk.end;
  }
  return text + base.slice(at, end).join("");
}
