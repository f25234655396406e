/** Changes to attributes in the source of a page. */
import type { ElementNode } from "../source/html/document";
import { rawOffsets, type AttributeSource, type Quote } from "../source/html/attributeSource";
import type { Splice } from "./block";
import { EditError } from "./types";

/** Text made fit to stand in an attribute with these quotes (HTML, 13.1.2.3). */
export const escapeAttribute = (text: string, quote: Quote) => escapeQuotes(text.replaceAll("&", "&amp;"), quote);

/** The raw text of one attribute, references and all, made fit to stand in another with these quotes. */
export const escapeQuotes = (raw: string, quote: Quote) =>
  quote === "'" ? raw.replaceAll("'", "&#39;") : raw.replaceAll('"', "&quot;");

/** Another value for an attribute, as a change of its source; in quotation marks where it had none. */
export const replaceValue = (text: string, attribute: AttributeSource, value: string): Splice =>
  spliceAttribute(text, attribute, [{ start: 0, end: attribute.value.length, insert: value }])[0]!;

/** Carries changes of an attribute's value over into its source, references and all. */
export function spliceAttribute(text: string, attribute: AttributeSource, splices: readonly Splice[]): Splice[] {
  const { raw, quote, value } = attribute;
  const offsets = rawOffsets(text.slice(raw.start, raw.end), value);
  if (quote !== "" && offsets) {
    return splices.map(({ start, end, insert }) => ({
      start: raw.start + offsets[start]!,
      end: raw.start + offsets[end]!,
      insert: escapeAttribute(insert, quote),
    }));
  }
  let changed = value;
  for (const { start, end, insert } of [...splices].sort((a, b) => b.start - a.start))
    changed = changed.slice(0, start) + insert + changed.slice(end);
  const written = `"${escapeAttribute(changed, '"')}"`;
  if (quote !== "") return [{ start: raw.start - 1, end: raw.end + 1, insert: written }];
  const lead = raw.start < raw.end || /=\s*$/.test(text.slice(Math.max(0, raw.start - 20), raw.start)) ? "" : "=";
  return [{ ...raw, insert: lead + written }];
}

/** A new attribute, put behind the tag's name. @throws EditError when the element has no tag in the source */
export function insertAttribute(text: string, element: ElementNode, name: string, value: string): Splice {
  if (!element.source)
    throw new EditError(
      `The ${element.tag} element has no tag of its own in the page, so nothing can be written into it.`,
    );
  const { start, end } = element.source.startTag;
  const tag = /^<[^\s/>]+/.exec(text.slice(start, end))?.[0] ?? "<";
  const at = start + tag.length;
  return { start: at, end: at, insert: ` ${name}="${escapeAttribute(value, '"')}"` };
}
