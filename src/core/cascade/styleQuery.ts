/** What is asked of an element's own custom properties (CSS Conditional 5, 5.3), in `@container` and in `if()`. */
import { isDelim, soleKeyword, type Component } from "../source/css/components";
import type { Truth } from "./media";

/** The element that is asked. */
export interface StyleAsked {
  /** The text of a custom property; null for one without a value. */
  custom(name: string): string | null;
  /** Of a property that is registered with a syntax; null for others. */
  syntax(name: string): KnownSyntax | null;
}

export interface KnownSyntax {
  /** What the property comes to at first. */
  initial: string | null;
  /** What a text comes to; null where it does not fit. */
  compute(text: string): string | null;
}

/** @param text that the parts stand in */
export function styleQuery(parts: readonly Component[], text: string, asked: StyleAsked): Truth {
  const [name, colon, ...value] = parts;
  if (name?.type !== "ident" || !name.name.startsWith("--")) return "unknown";
  const actual = asked.custom(name.name);
  const syntax = asked.syntax(name.name);
  const initial = syntax?.initial ?? null;
  if (!colon) return actual !== initial;
  if (!isDelim(colon, ":")) return "unknown";
  if (soleKeyword(value) === "initial") return actual === initial;
  const written = text.slice(value[0]?.start ?? colon.end, value.at(-1)?.end ?? colon.end);
  const wanted = syntax ? syntax.compute(written) : written;
  return actual !== null && actual === wanted;
}
