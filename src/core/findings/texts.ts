/** What checks of the written text share: spans of files, lines, and what lies in comments and strings. */
import { T, tokensOf } from "../source/css/tokens";
import type { TextChange } from "../source/changes";
import type { TextFile } from "../source/site";
import { leadBefore } from "../source/lines";
import { made } from "../source/memo";
import type { PageSheets } from "../source/html/sheets";
import type { SheetText } from "../source/declarations";
import type { Declaration, Item } from "../source/css/syntax";

/** A sheet's text, or that of a style attribute, where it stands in its file. */
export interface Written {
  file: TextFile;
  text: string;
  offset: number;
}

const askedIn = new WeakMap<readonly Item[], Map<RegExp, boolean>>();

/** Whether a sheet of a page holds something; each text is looked through once for the same pattern, whichever page. */
export const isAskedIn = ({ owners }: PageSheets, asked: RegExp): boolean =>
  owners.some(({ sheets }) =>
    sheets.some(({ items, text }) => {
      const known = made(askedIn, items, () => new Map<RegExp, boolean>());
      const answer = known.get(asked) ?? asked.test(text);
      known.set(asked, answer);
      return answer;
    }),
  );

/** One change of a written text, with offsets into it. */
export const changed = ({ file, offset }: Written, start: number, end: number, insert: string): TextChange => ({
  path: file.path,
  start: offset + start,
  end: offset + end,
  insert,
});

/** Takes a declaration out, with its semicolon and what leads up to it. */
export const takenOut = (where: Written, { start, end, semicolon }: Declaration): TextChange =>
  changed(where, leadBefore(where.text, start), stopOf({ end, semicolon }), "");

/** Where a declaration stops, its semicolon included. */
export const stopOf = ({ end, semicolon }: Pick<Declaration, "end" | "semicolon">): number =>
  semicolon === null ? end : semicolon + 1;

interface Bare {
  plain: string;
  breaksOff: boolean;
}

const bare = new WeakMap<readonly Item[], Bare>();

const bareOf = ({ text, items }: SheetWords): Bare => made(bare, items, () => blanked(text));

function blanked(text: string): Bare {
  const { types, starts, count } = tokensOf(text);
  const parts: string[] = [];
  let [done, breaksOff] = [0, false];
  for (let at = 0; at < count; at += 1) {
    const type = types[at];
    if (type === T.BadString) breaksOff = true;
    if (type !== T.Comment && type !== T.String && type !== T.Url) continue;
    const [start, end] = [starts[at]!, starts[at + 1]!];
    parts.push(text.slice(done, start), text.slice(start, end).replace(/[^\r\n]/g, " "));
    done = end;
  }
  parts.push(text.slice(done));
  return { plain: parts.join(""), breaksOff };
}

/** What a sheet says, and what is read from it. */
type SheetWords = Pick<SheetText, "text" | "items">;

/** A text with blanks in place of its comments and of what strings and addresses hold, at the same offsets. */
export const withoutWords = (sheet: SheetWords): string => bareOf(sheet).plain;

/** Whether a string in it breaks off at the end of its line. */
export const breaksOff = (sheet: SheetWords): boolean => bareOf(sheet).breaksOff;

/** Words in backquotes, on one line, cut where they are long. */
export function quoted(text: string): string {
  const line = text.replace(/\s+/g, " ").trim();
  return `\`${line.length > 60 ? `${line.slice(0, 57)}…` : line}\``;
}
