/** Which element of a page is which after its text was changed. */
import type { TextChange } from "../changes";
import { textFile, type Site, type TextFile } from "../site";
import { documentOf } from "./document";

/**
 * The index each element has after changes, by its index before: an element is the same where its start tag begins at the
 * same text. Those that the parser makes up are told apart by their tags.
 * @param changes of the page's text
 */
export function indexesAfter(
  before: TextFile,
  after: TextFile,
  changes: readonly TextChange[],
): ReadonlyMap<number, number> {
  const moved = movedBy(changes.map((change) => outsideTags(before.text, change)));
  const starts = new Map<number, number>();
  const implied = new Map<string, number[]>();
  for (const { index, tag, source } of documentOf(after).elements) {
    if (source) starts.set(source.startTag.start, index);
    else implied.set(tag, [...(implied.get(tag) ?? []), index]);
  }
  const found = new Map<number, number>();
  for (const { index, tag, source } of documentOf(before).elements) {
    const now = source ? starts.get(moved(source.startTag.start) ?? -1) : implied.get(tag)?.shift();
    if (now !== undefined) found.set(index, now);
  }
  return found;
}

/**
 * The same for a page of a site. @param after the site with the changes
 * @returns null where its text is as it was, nothing where it is not there both times
 */
export function movesOn(
  before: Site,
  after: Site,
  page: string,
  changes: readonly TextChange[],
): ReadonlyMap<number, number> | null {
  const [old, now] = [textFile(before, page), textFile(after, page)];
  if (!old || !now) return new Map();
  if (old === now) return null;
  return indexesAfter(
    old,
    now,
    changes.filter(({ path }) => path === page),
  );
}

/** Whole tags put in, or taken out, before a tag may be told as behind its `<`, which is the same: they are taken as before it. */
function outsideTags(text: string, change: TextChange): TextChange {
  const { start, end, insert } = change;
  const gone = text.slice(start, end);
  const isBehind = text[start - 1] === "<" && (gone === "" || insert === "") && `${gone}${insert}`.endsWith("<");
  if (!isBehind) return change;
  if (gone) return { ...change, start: start - 1, end: end - 1 };
  return { ...change, start: start - 1, end: end - 1, insert: `<${insert.slice(0, -1)}` };
}

/** Where an offset lies after changes; null where it is inside of one. */
function movedBy(changes: readonly TextChange[]): (offset: number) => number | null {
  const sorted = [...changes].sort((a, b) => a.start - b.start);
  return (offset) => {
    let by = 0;
    for (const { start, end, insert } of sorted) {
      if (start > offset || (start === offset && end > start && insert !== "")) break;
      if (end > offset) return null;
      by += insert.length - (end - start);
    }
    return offset + by;
  };
}
