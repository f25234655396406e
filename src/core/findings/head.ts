/** Where a link to a sheet belongs in a page, and how it is written there. */
import type { TextChange } from "../source/changes";
import { documentOf } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { lineEndOf, lineLead } from "../source/lines";
import { addressFrom } from "../source/path";
import type { TextFile } from "../source/site";

/** A link to a sheet put into a page: behind its other links to sheets, else at the end of its head, else at its start. */
export function linkTo(page: TextFile, sheet: string): TextChange {
  const document = documentOf(page);
  const { text, path } = page;
  const links = document.elements.filter(
    ({ tag, attributes, source }) =>
      tag === "link" && source && (attributes.get("rel") ?? "").toLowerCase().split(/\s+/).includes("stylesheet"),
  );
  const quote = /\bhref\s*=\s*'/.test(text) && !/\bhref\s*=\s*"/.test(text) ? "'" : '"';
  const link = `<link rel=${quote}stylesheet${quote} href=${quote}${addressFrom(baseOf(document), sheet)}${quote}>`;
  const last = links.at(-1)?.source?.startTag;
  const put = (at: number, insert: string) => ({ path, start: at, end: at, insert });
  const lead = (at: number) => lineLead(text, at);
  if (last) return put(last.end, lead(last.start) + link);
  const head = document.elements.find(({ tag }) => tag === "head");
  const children = head?.children.filter(({ source }) => source) ?? [];
  const styles = children.find(({ tag }) => tag === "style")?.source?.whole;
  if (styles) return put(styles.start, link + lead(styles.start));
  const before = children.at(-1)?.source?.whole;
  if (before) return put(before.end, (lead(before.start) || lineEndOf(text)) + link);
  if (head?.source) return put(head.source.startTag.end, lineEndOf(text) + link);
  const root = document.root?.source?.startTag.end ?? /^\s*<!doctype[^>]*>/i.exec(text)?.[0].length ?? 0;
  return put(root, root ? lineEndOf(text) + link : link + lineEndOf(text));
}
