/** Paragraphs in a row made a list, and a list made paragraphs: tags alone are changed, put in and taken out (HTML, 4.4). */
import type { TextChange } from "../source/changes";
import { isText, type ElementNode } from "../source/html/document";
import { lineLead } from "../source/lines";
import type { TextFile } from "../source/site";
import { EditError } from "./types";

/** What stands in lines of text: whatever holds anything else is no paragraph and no heading. */
const inLines =
  /^(?:a|abbr|b|bdi|bdo|br|cite|code|data|dfn|em|i|img|kbd|mark|q|s|samp|small|span|strong|sub|sup|time|u|var|wbr)$/;

/** Whether an element holds nothing but what stands in lines of text. */
export const holdsLines = ({ children }: ElementNode): boolean => children.every((child) => inLines.test(child.tag));

/** Whether an element is a list whose items stand in it by themselves. */
export const isList = ({ tag }: ElementNode): boolean => tag === "ul" || tag === "ol";

/** Another name for an element, in the letter case of its tags. */
export function renamed({ path, text }: TextFile, { tag, source }: ElementNode, to: string): TextChange[] {
  if (!source) throw new EditError(`The ${tag} element has no tag of its own in the page.`);
  const put = (start: number): TextChange => {
    const end = start + tag.length;
    return { path, start, end, insert: loud(text.slice(start, end)) ? to.toUpperCase() : to };
  };
  return [put(source.startTag.start + 1), ...(source.endTag ? [put(source.endTag.start + 2)] : [])];
}

const loud = (written: string): boolean => /[A-Z]/.test(written);

/** The paragraphs in a row around one, with nothing but blanks between them. */
export function rowOf(element: ElementNode): ElementNode[] {
  const around = element.parent?.content ?? [element];
  const isApart = (one: (typeof around)[number] | undefined): boolean =>
    one === undefined || (isText(one) ? one.text.trim() !== "" : one.tag !== "p" || one.source === null);
  let [first, last] = [around.indexOf(element), around.indexOf(element)];
  while (!isApart(around[first - 1])) first -= 1;
  while (!isApart(around[last + 1])) last += 1;
  return around.slice(first, last + 1).filter((one): one is ElementNode => !isText(one));
}

/** Paragraphs that follow each other made the items of a list. @throws EditError where they are not written */
export function intoList(file: TextFile, row: readonly ElementNode[], to: string): TextChange[] {
  const { path, text } = file;
  const [first, last] = [row[0], row.at(-1)];
  if (!first?.source || !last?.source) throw new EditError("These paragraphs have no tags of their own in the page.");
  const { start } = first.source.startTag;
  const end = last.source.endTag?.end ?? trimmedEnd(text, last.source.whole.end);
  const lead = lineLead(text, start);
  const name = loud(text.slice(start, start + 2)) ? to.toUpperCase() : to;
  return [
    { path, start, end: start, insert: `<${name}>${lead}` },
    ...row.flatMap((one) => renamed(file, one, "li")),
    { path, start: end, end, insert: `${lead}</${name}>` },
  ];
}

const trimmedEnd = (text: string, end: number): number => text.slice(0, end).trimEnd().length;

/**
 * A list made paragraphs. A list with attributes of its own becomes a `div` that keeps them.
 * @throws EditError where an item holds what no paragraph can
 */
export function outOfList(file: TextFile, list: ElementNode): TextChange[] {
  const { path, text } = file;
  const { source, children, content } = list;
  if (!source?.endTag) throw new EditError("The list has no end tag in the page.");
  const isPlain = content.every((one) => (isText(one) ? one.text.trim() === "" : one.tag === "li" && holdsLines(one)));
  if (!isPlain) throw new EditError("An item holds more than a paragraph can: a list, a table, or parts of its own.");
  const items = children.flatMap((item) => [...renamed(file, item, "p"), ...ended(file, item)]);
  if (source.attributes.size > 0) return [...renamed(file, list, "div"), ...items];
  const inside = text.slice(source.startTag.end, source.endTag.start);
  const before = /^\s*/.exec(inside)![0].length;
  const behind = inside.trim() === "" ? 0 : /\s*$/.exec(inside)![0].length;
  return [
    { path, start: source.startTag.start, end: source.startTag.end + before, insert: "" },
    ...items,
    { path, start: source.endTag.start - behind, end: source.endTag.end, insert: "" },
  ];
}

/** The end tag that an item leaves out, which a paragraph needs where other text may follow. */
function ended({ path, text }: TextFile, { source, tag }: ElementNode): TextChange[] {
  if (!source || source.endTag) return [];
  const at = trimmedEnd(text, source.whole.end);
  const name = loud(text.slice(source.startTag.start + 1, source.startTag.start + 1 + tag.length)) ? "P" : "p";
  return [{ path, start: at, end: at, insert: `</${name}>` }];
}
