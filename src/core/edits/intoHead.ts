/** Where links and style elements go in a page, whatever it leaves out. */
import type { TextChange } from "../source/changes";
import { documentOf, type ElementNode } from "../source/html/document";
import { lineEndOf, lineLead } from "../source/lines";
import type { TextFile } from "../source/site";

interface Beside {
  /** It is put behind this one, if there is such. */
  behind?: ElementNode;
  /** Else before this one, if there is such. */
  before?: ElementNode;
}

/** Markup put into the head of a page: beside an element, else at the head's end, else at the start of the page. */
export function intoHead(page: TextFile, markup: string, { behind, before }: Beside = {}): TextChange {
  const { text, path } = page;
  const document = documentOf(page);
  const put = (at: number, insert: string) => ({ path, start: at, end: at, insert });
  const lead = (at: number) => lineLead(text, at);
  if (behind?.source) return put(behind.source.whole.end, lead(behind.source.startTag.start) + markup);
  if (before?.source) return put(before.source.whole.start, markup + lead(before.source.whole.start));
  const head = document.elements.find(({ tag }) => tag === "head");
  const last = head?.children.findLast(({ source }) => source)?.source?.whole;
  if (last) return put(last.end, (lead(last.start) || lineEndOf(text)) + markup);
  if (head?.source) return put(head.source.startTag.end, lineEndOf(text) + markup);
  const root = document.root?.source?.startTag.end ?? /^\s*<!doctype[^>]*>/i.exec(text)?.[0].length ?? 0;
  return put(root, root ? lineEndOf(text) + markup : markup + lineEndOf(text));
}
