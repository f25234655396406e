/** The headings of a page, which who listens to it goes by (HTML, 4.3.11; WCAG 2.2, 1.3.1). */
import { documentOf, type HtmlDocument } from "../source/html/document";
import { headingLevel, wordsIn } from "../source/html/headings";
import type { TextChange } from "../source/changes";
import { changeSite, textFile, type Site } from "../source/site";

export interface OutlineChange {
  page: string;
  /** As they come to be, in order. */
  headings: { level: number; words: string }[];
  /** In plain words: a level that comes to be left out, a page without a heading of the first level. */
  warnings: string[];
}

function headingsOf(document: HtmlDocument): OutlineChange["headings"] {
  return document.elements.flatMap((element) => {
    const level = headingLevel(element);
    return level ? [{ level, words: wordsIn(element).slice(0, 60) }] : [];
  });
}

/** What changes do to the headings of the first page whose outline becomes another; null where none does. */
export function outlineAfter(site: Site, changes: readonly TextChange[]): OutlineChange | null {
  const after = changeSite(site, changes);
  for (const page of new Set(changes.map(({ path }) => path))) {
    const [old, now] = [textFile(site, page), textFile(after, page)];
    if (old?.kind !== "html" || now?.kind !== "html") continue;
    const [before, headings] = [headingsOf(documentOf(old)), headingsOf(documentOf(now))];
    if (JSON.stringify(before) !== JSON.stringify(headings))
      return { page, headings, warnings: warningsFor(before, headings) };
  }
  return null;
}

function warningsFor(before: OutlineChange["headings"], after: OutlineChange["headings"]): string[] {
  const known = new Set(leftOut(before));
  const left = leftOut(after).filter((words) => !known.has(words));
  const hadFirst = before.some(({ level }) => level === 1);
  const hasFirst = after.some(({ level }) => level === 1);
  return hadFirst && !hasFirst ? [...left, "No heading of level 1 is left."] : left;
}

function leftOut(headings: OutlineChange["headings"]): string[] {
  return headings.flatMap(({ level, words }, at) => {
    const last = headings[at - 1]?.level ?? level;
    return level > last + 1 ? [`Level ${last + 1} is left out before \u201c${words}\u201d.`] : [];
  });
}
