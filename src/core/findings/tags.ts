/** Start tags of a page as they are written: what checks of the markup share. */
import { documentOf, writtenElements, type ElementNode } from "../source/html/document";
import { attributeSource, type AttributeSource } from "../source/html/attributeSource";
import { replaceValue } from "../edits/attributes";
import type { TextChange } from "../source/changes";
import type { TextFile } from "../source/site";
import { at, type Found, type Level, type Way } from "./types";

export interface Tag {
  file: TextFile;
  element: ElementNode;
  /** Where it stands in the file, and what it says there. */
  start: number;
  end: number;
  written: string;
}

/** The start tags of a page that stand in its source. */
export function tagsOf(file: TextFile): Tag[] {
  if (file.kind !== "html") return [];
  return writtenElements(documentOf(file)).map((element) => {
    const { start, end } = element.source!.startTag;
    return { file, element, start, end, written: file.text.slice(start, end) };
  });
}

/** So many texts of tags are kept for each look at them. */
const mostTexts = 10_000;

/**
 * A look at tags that goes by nothing but their text and the attributes their elements have of it: of tags that read the
 * same, one is looked at as long as nothing is found.
 */
export function byText(look: (tag: Tag) => readonly Found[]): (tag: Tag) => readonly Found[] {
  const clean = new Set<string>();
  return (tag) => {
    const { tag: name, namespace } = tag.element;
    // Attributes of a second `html` or `body` are put to the first (HTML, 13.2.6.4.7).
    const text = name === "html" || name === "body" ? null : `${namespace} ${tag.written}`;
    if (text !== null && clean.has(text)) return [];
    const found = look(tag);
    if (text !== null && found.length === 0) {
      if (clean.size >= mostTexts) clean.clear();
      clean.add(text);
    }
    return found;
  };
}

/** A mistake in a tag. @param offset in the file; the tag itself by default */
export function mistake(
  tag: Tag,
  told: { level?: Level; message: string; because: string; offset?: number; ways(): Way[] },
): Found {
  const { level = "error", message, because, offset = tag.start, ways } = told;
  return { level, message, because, ...at(tag.file, offset), ways };
}

/** One change of the file a tag stands in. */
export const change = ({ file }: Tag, start: number, end: number, insert: string): TextChange => ({
  path: file.path,
  start,
  end,
  insert,
});

/** Another value for an attribute of a tag. */
export const changeValue = ({ file }: Tag, attribute: AttributeSource, value: string): TextChange => ({
  path: file.path,
  ...replaceValue(file.text, attribute, value),
});

/** An attribute of a tag, as it is written; null where it has none. */
export const attributeOf = ({ file, element }: Tag, name: string): AttributeSource | null =>
  attributeSource(file.text, element, name);

/** An attribute as it stands in a tag. */
export interface RawAttribute {
  name: string;
  value: string;
  hasValue: boolean;
  /** Offsets into the tag. */
  start: number;
  end: number;
}

/** The attributes of a start tag as they are written, those that are left out included (HTML, 13.2.5.32 to 13.2.5.40). */
export function attributesIn(tag: string): RawAttribute[] {
  const list: RawAttribute[] = [];
  const from = /^<[^\s/>]+/.exec(tag)?.[0].length ?? 0;
  const pattern = /([^\s"'<>/=]+)(?:\s*=\s*("[^"]*"|'[^']*'|[^\s>]+))?/g;
  pattern.lastIndex = from;
  for (let match = pattern.exec(tag); match; match = pattern.exec(tag)) {
    const [whole, name, value = ""] = match;
    list.push({
      name: name!,
      value: value.replace(/^(["'])(.*)\1$/s, "$2"),
      hasValue: match[2] !== undefined,
      start: match.index,
      end: match.index + whole.length,
    });
  }
  return list;
}
