/** Words looked for in all pages and style sheets of a site, and others put in their place. */
import { positionAt } from "../source/lines";
import type { TextChange } from "../source/changes";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";
import { finished } from "../source/steps";

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

/** All places, file by file, sheets first; in steps, a file each. Nothing for no text. */
export function* findSteps(site: Site, search: Search): Generator<void, Hit[]> {
  const hits: Hit[] = [];
  if (search.text === "") return hits;
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    hits.push(...hitsIn(file, search));
    yield;
  }
  return hits;
}

/** So many characters of its line. */
const shownBefore = 40;
const shownBehind = 160;

function hitsIn({ path, text }: TextFile, search: Search): Hit[] {
  return [...text.matchAll(patternOf(search))].map((found) => {
    const start = found.index;
    const { line, column } = positionAt(text, start);
    const end = start + found[0].length;
    const before = text.slice(Math.max(start - column + 1, start - shownBefore), start);
    const after = /^[^\r\n]*/.exec(text.slice(end, end + shownBehind))![0];
    return { path, start, end, line, column, before, found: found[0], after };
  });
}

/** Line ends are alike, however a file ends its lines. */
function patternOf({ text, matchCase, wholeWords }: Search): RegExp {
  const literal = text.replace(/[\\^$.*+?()[\]{}|]/g, "\\$&").replace(/\r\n?|\n/g, "(?:\\r\\n?|\\n)");
  const edge = "[-\\p{L}\\p{N}_]";
  return new RegExp(wholeWords ? `(?<!${edge})${literal}(?!${edge})` : literal, matchCase ? "gu" : "giu");
}

/** The changes that put other words in the place of those that are found in these files. */
export function replaceFound(site: Site, search: Search, by: string, paths: readonly string[]): TextChange[] {
  const among = new Set(paths);
  return finished(findSteps(site, search)).flatMap(({ path, start, end }) =>
    among.has(path) ? [{ path, start, end, insert: by }] : [],
  );
}
