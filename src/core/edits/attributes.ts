/** Changes to attributes in the source of a page. */
import { parseFragment, type DefaultTreeAdapterTypes as Tree } from "parse5";
import type { ElementNode } from "../source/html/document";
import type { Span } from "../source/css/syntax";
import type { Splice } from "./block";
import { EditError } from "./types";

export type Quote = '"' | "'" | "";

/** An attribute's value as it stands in the source. */
export interface AttributeSource {
  /** The raw text between the quotes. */
  raw: Span;
  quote: Quote;
  value: string;
}

export function attributeSource(text: string, element: ElementNode, name: string): AttributeSource | null {
  const span = element.source?.attributes.get(name);
  const value = element.attributes.get(name);
  if (!span || value === undefined) return null;
  const written = text.slice(span.start, span.end);
  const equals = /^[^\s=]+\s*=\s*/.exec(written);
  if (!equals) return { raw: { start: span.end, end: span.end }, quote: "", value };
  const first = written[equals[0].length];
  const quote = first === '"' || first === "'" ? first : "";
  const start = span.start + equals[0].length + quote.length;
  return { raw: { start, end: span.end - quote.length }, quote, value };
}

/** Text made fit to stand in an attribute with these quotes (HTML, 13.1.2.3). */
export function escapeAttribute(text: string, quote: Quote): string {
  const safe = text.replaceAll("&", "&amp;");
  return quote === "'" ? safe.replaceAll("'", "&#39;") : safe.replaceAll('"', "&quot;");
}

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
  return [{ ...raw, insert: raw.start === raw.end ? `=${written}` : written }];
}

/** For each offset of the value, and its end, the offset in the raw text; null when they cannot be matched up. */
export function rawOffsets(raw: string, value: string): number[] | null {
  const offsets: number[] = [];
  let at = 0;
  let decoded = "";
  const take = (length: number, piece: string) => {
    for (let unit = 0; unit < piece.length; unit += 1) offsets.push(at);
    decoded += piece;
    at += length;
  };
  while (at < raw.length) {
    const reference = raw[at] === "&" ? /^&(?:#x?[0-9a-f]+|[a-z0-9]+);?/i.exec(raw.slice(at)) : null;
    if (reference) take(reference[0].length, decodeReference(reference[0]));
    else if (raw.startsWith("\r\n", at)) take(2, "\n");
    else take(1, raw[at] === "\r" ? "\n" : raw[at]!);
  }
  offsets.push(raw.length);
  return decoded === value ? offsets : null;
}

function decodeReference(reference: string): string {
  const fragment = parseFragment(`<i t="${reference}">`);
  return (fragment.childNodes[0] as Tree.Element).attrs[0]?.value ?? reference;
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
