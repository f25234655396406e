/** Words looked for in all pages and style sheets of a site, and others put in their place. */
import { positionAt } from "../source/lines";
import type { TextChange } from "../source/changes";
import { pagesOf, sheetsOf, textFile, type Site, type TextFile } from "../source/site";

export interface Search {
  text: string;
  matchCase: boolean;
  /** Whether what stands beside may be no letter, digit, hyphen or underscore. */
  wholeWords: boolean;
}

/** Where it was found. Offsets are UTF-16 units of the file, line and column from 1. */
export interface Hit {
  path: string;
  start: number;
  end: number;
  line: number;
  column: number;
  /** What stands around it on its line, as far as that is worth showing. */
  before: string;
  found: string;
  after: string;
}

/** What was found in a file. */
export interface FileHits {
  path: string;
  /** How often in all. */
  count: number;
  /** The first of them, as many as are worth listing. */
  hits: Hit[];
}

/** So many of a file are listed. */
const listed = 300;

/** Files in which it was found, sheets first; in steps, a file each. None for no text. */
export function* findSteps(site: Site, search: Search): Generator<void, FileHits[]> {
  const found: FileHits[] = [];
  if (search.text === "") return found;
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    const matches = [...file.text.matchAll(patternOf(search))];
    if (matches.length)
      found.push({
        path: file.path,
        count: matches.length,
        hits: matches.slice(0, listed).map((match) => hitOf(file, match)),
      });
    yield;
  }
  return found;
}

/** So many characters of its line. */
const shownBefore = 40;
const shownBehind = 160;

function hitOf({ path, text }: TextFile, { 0: found, index: start }: RegExpExecArray): Hit {
  const { line, column } = positionAt(text, start);
  const end = start + found.length;
  const before = text.slice(Math.max(start - column + 1, start - shownBefore), start);
  const after = /^[^\r\n]*/.exec(text.slice(end, end + shownBehind))![0];
  return { path, start, end, line, column, before, found, after };
}

/** Line ends are alike, however a file ends its lines. */
function patternOf({ text, matchCase, wholeWords }: Search): RegExp {
  const literal = text.replace(/[\\^$.*+?()[\]{}|]/g, "\\$&").replace(/\r\n?|\n/g, "(?:\\r\\n?|\\n)");
  const edge = "[-\\p{L}\\p{N}_]";
  return new RegExp(wholeWords ? `(?<!${edge})${literal}(?!${edge})` : literal, matchCase ? "gu" : "giu");
}

/** The changes that put other words in the place of those that are found in these files. */
export function replaceFound(site: Site, search: Search, by: string, paths: readonly string[]): TextChange[] {
  if (search.text === "") return [];
  return paths.flatMap((path) =>
    [...(textFile(site, path)?.text.matchAll(patternOf(search)) ?? [])].map(({ 0: found, index: start }) => ({
      path,
      start,
      end: start + found.length,
      insert: by,
    })),
  );
}
