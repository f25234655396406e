/** Attributes as they stand in the source of a page. */
import { parseFragment, type DefaultTreeAdapterTypes as Tree } from "parse5";
import type { Span } from "../css/syntax";
import type { ElementNode } from "./document";

export type Quote = '"' | "'" | "";

/** An attribute's value as it stands in the source. */
export interface AttributeSource {
  /** The raw text between the quotes. */
  raw: Span;
  quote: Quote;
  value: string;
}

/**
 * Where an attribute of an element stands in the source of its page (offsets in UTF-16 units); null where it is not
 * written.
 */
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
