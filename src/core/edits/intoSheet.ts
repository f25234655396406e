/** What a page has in its head moved into a sheet, and a sheet into a page's head. */
import type { TextChange } from "../source/changes";
import { documentOf, isText, type ElementNode } from "../source/html/document";
import { leadBefore, lineEndOf, plainLines } from "../source/lines";
import type { Site, TextFile } from "../source/site";
import { readdressed } from "../source/css/addresses";
import { baseOf } from "../source/html/sheets";
import { fileAt } from "./locate";
import { escapeAttribute } from "./attributes";
import { linksTo } from "./links";
import { EditError } from "./types";
import { checkEmbeddable } from "./value";

/**
 * The rules of a page's style elements put at the end of a sheet, in their order; the elements are taken out. Those for
 * some readers only stay, as do those that import or name a charset, which would no longer stand first.
 * @throws EditError where none can be moved
 */
export function headIntoSheet(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  const into = fileAt(site, sheet);
  const moved = documentOf(page).elements.filter((element) => isMovable(element, page));
  if (moved.length === 0) throw new EditError(`${path} has no rules in its head that can be moved.`);
  const line = lineEndOf(into.text);
  const base = baseOf(documentOf(page));
  const rules = moved.map((element) =>
    readdressed(outdented(textIn(element, page)), base, sheet).replaceAll("\n", line),
  );
  for (const text of rules) checkEmbeddable(text, into);
  const end = into.text.trimEnd().length;
  const insert = `${end ? line + line : ""}${rules.join(line + line)}${line}`;
  return [
    { path: sheet, start: end, end: into.text.length, insert },
    ...moved.map(({ source }) => {
      const { start, end: stop } = source!.whole;
      return { path, start: leadBefore(page.text, start), end: stop, insert: "" };
    }),
  ];
}

function isMovable({ tag, attributes, source, content }: ElementNode, page: TextFile): boolean {
  if (tag !== "style" || !source?.endTag || !content.some(isText)) return false;
  const kind = attributes.get("type")?.trim().toLowerCase() ?? "";
  if (attributes.has("media") || attributes.has("title") || (kind !== "" && kind !== "text/css")) return false;
  return !/@(?:import|charset|namespace)\b/i.test(page.text.slice(source.startTag.end, source.endTag.start));
}

const textIn = ({ source }: ElementNode, { text }: TextFile): string =>
  text.slice(source!.startTag.end, source!.endTag!.start);

/** Lines without the blanks that all of them begin with. */
function outdented(text: string): string {
  const lines = plainLines(text)
    .replace(/^\s*\n|\s+$/g, "")
    .split("\n");
  const indents = lines.filter((line) => line.trim()).map((line) => /^[ \t]*/.exec(line)![0].length);
  const least = indents.reduce((all, own) => Math.min(all, own), Infinity);
  return lines.map((line) => line.slice(least)).join("\n");
}

/**
 * The rules of a sheet put into a page's head, where its link stands; the other pages keep the sheet.
 * @throws EditError where the page has no link to it, or its text cannot stand in a page
 */
export function sheetIntoHead(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  const { text } = fileAt(site, sheet);
  const [link, ...more] = linksTo(page, sheet);
  if (!link) throw new EditError(`${path} has no link to ${sheet} of its own.`);
  if (/@(?:import|charset)\b/i.test(text))
    throw new EditError(`${sheet} begins with @import or @charset, which would not stand first in the page.`);
  checkEmbeddable(text, page);
  const media = link.attributes.get("media")?.trim();
  const line = lineEndOf(page.text);
  const rules = plainLines(readdressed(text, sheet, baseOf(documentOf(page))))
    .trim()
    .replaceAll("\n", line);
  const opening = media ? `<style media="${escapeAttribute(media, '"')}">` : "<style>";
  const { start, end } = link.source!.startTag;
  return [
    { path, start, end, insert: `${opening}${line}${rules}${line}</style>` },
    ...more.map(({ source }) => {
      const tag = source!.startTag;
      return { path, start: leadBefore(page.text, tag.start), end: tag.end, insert: "" };
    }),
  ];
}
