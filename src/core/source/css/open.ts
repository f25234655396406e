/** What a text leaves open at its end: the end of a file closes it (CSS Syntax 3, 5), anything put behind would not. */
import { parseSheet } from "./syntax";
import { closerOf, T, tokensOf, type Tokens } from "./tokens";

export interface OpenEnd {
  /** What has to be put behind the text to close it. */
  closers: string;
  /** The innermost thing that is open, in plain words. */
  what: string;
}

const marks: Readonly<Record<number, readonly [closer: string, what: string]>> = {
  [T.RightCurlyBracket]: ["}", "a brace"],
  [T.RightSquareBracket]: ["]", "a bracket"],
  [T.RightParenthesis]: [")", "a parenthesis"],
};

/** Null where nothing is open. */
export function openEndOf(text: string): OpenEnd | null {
  const { types, starts, count } = tokensOf(text);
  const open: number[] = [];
  for (let token = 0; token < count; token += 1) {
    const type = types[token]!;
    const closer = closerOf(type);
    if (closer) open.push(closer);
    else if (type === open[open.length - 1]) open.pop();
  }
  const escape = isEscaped(text, text.length) ? "\n" : "";
  const inner = openTokenOf(text, { types, starts, count });
  if (!inner && !escape && open.length === 0) return null;
  const brackets = open.reverse().map((type) => marks[type]!);
  const line = inner?.[0] === "*/" || !escape ? "" : escape;
  return {
    closers: line + (inner?.[0] ?? "") + brackets.map(([closer]) => closer).join(""),
    what: inner?.[1] ?? brackets[0]?.[1] ?? "an escape",
  };
}

/** Whether a backslash before an offset takes in what stands there. */
function isEscaped(text: string, at: number): boolean {
  let backslashes = 0;
  while (text[at - 1 - backslashes] === "\\") backslashes += 1;
  return backslashes % 2 === 1;
}

/** The token that a text breaks off in, a comment, a string or an address, with what closes it; null where it ends with a whole one. */
export function openTokenOf(
  text: string,
  { types, starts, count }: Tokens,
): readonly [closer: string, what: string] | null {
  return count ? openToken(types[count - 1]!, text.slice(starts[count - 1]!)) : null;
}

function openToken(type: number, raw: string): readonly [closer: string, what: string] | null {
  const end = raw.length - 1;
  switch (type) {
    case T.Comment:
      return raw.length >= 4 && raw.endsWith("*/") ? null : ["*/", "a comment"];
    case T.String:
      return raw.length > 1 && raw[end] === raw[0] && !isEscaped(raw, end) ? null : [raw[0]!, "a string"];
    case T.Url:
    case T.BadUrl:
      return raw.endsWith(")") && !isEscaped(raw, end) ? null : [")", "an address"];
    default:
      return null;
  }
}

const endings: readonly (readonly [closers: string, what: string])[] = [
  ["", ""],
  [";", "an at-rule without its semicolon"],
  ["{}", "a selector without its rule"],
];

/** What has to be put behind a sheet so that a rule can follow; null where one can. */
export function sheetEndOf(text: string): OpenEnd | null {
  const open = openEndOf(text);
  const closed = text + (open?.closers ?? "");
  const isEnded = (closers: string) => {
    const last = parseSheet(`${closed}${closers}\na{}`).at(-1);
    return last?.kind === "style" && last.preludeText === "a";
  };
  const [closers, what] = endings.find(([more]) => isEnded(more)) ?? endings[2]!;
  if (!closers) return open;
  return { closers: (open?.closers ?? "") + closers, what: open?.what ?? what };
}
