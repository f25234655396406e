/** Words of a text given an element of their own, and taken back (HTML, 4.5.26 on span). */
import { rawOffsets } from "../source/html/attributeSource";
import { isText } from "../source/html/document";
import type { Site } from "../source/site";
import { escapeAttribute } from "./attributes";
import type { Splice } from "./block";
import { elementAt } from "./locate";
import { EditError, type Edit, type WordsElement } from "./types";
import { checkName } from "./value";

/** @throws EditError when the words cannot be told apart in the source */
export function wrapWords(
  site: Site,
  { element: ref, node, start, end, around }: Edit & { kind: "wrap" },
): { path: string; splices: Splice[] } {
  const { file, element } = elementAt(site, ref.page, ref.index);
  const text = element.content.filter(isText)[node];
  if (!text?.source)
    throw new EditError("These words do not stand in the page by themselves, so nothing can be put around them.");
  if (!(start >= 0 && start < end && end <= text.text.length) || text.text.slice(start, end).trim() === "")
    throw new EditError("There are no words to put anything around.");
  if (around.tag === "span" && around.attribute === "class") checkName(around.value, "class");
  const offsets = rawOffsets(file.text.slice(text.source.start, text.source.end), text.text);
  if (!offsets)
    throw new EditError(
      "These words are written in the page in a way that cannot be followed, so nothing can be put around them.",
    );
  const from = text.source.start + offsets[start]!;
  const to = text.source.start + offsets[end]!;
  return {
    path: file.path,
    splices: [
      { start: from, end: from, insert: `<${around.tag}${attributeOf(around)}>` },
      { start: to, end: to, insert: `</${around.tag}>` },
    ],
  };
}

const attributeOf = (around: WordsElement): string =>
  around.tag === "span" ? ` ${around.attribute}="${escapeAttribute(around.value, '"')}"` : "";

/** Whether an element is a span that says nothing but how its words look. */
export function isPlainSpan(site: Site, page: string, index: number): boolean {
  const { element } = elementAt(site, page, index);
  return (
    element.tag === "span" &&
    element.source?.endTag != null &&
    [...element.attributes.keys()].every((name) => name === "class" || name === "style")
  );
}

/** @throws EditError for anything that is not a plain span */
export function unwrapWords(
  site: Site,
  { element: ref }: Edit & { kind: "unwrap" },
): { path: string; splices: Splice[] } {
  const { file, element } = elementAt(site, ref.page, ref.index);
  const { source } = element;
  if (!isPlainSpan(site, ref.page, ref.index) || !source?.endTag)
    throw new EditError("Only a span with nothing but a class or a style can be taken away.");
  return {
    path: file.path,
    splices: [
      { ...source.startTag, insert: "" },
      { ...source.endTag, insert: "" },
    ],
  };
}
