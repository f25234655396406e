/** What several shorthands ask about the parts of their values. */
import { colorFromComponent } from "../../../color/value";
import type { Component } from "../../../source/css/components";
import { wordOf } from "../kinds";

/** What each longhand gets; those left out become initial. */
export type Expansion = Partial<Record<string, readonly Component[]>>;

/** Whether parts follow each other among all. */
export const standTogether = (parts: readonly Component[], all: readonly Component[]): boolean =>
  parts.every((part, at) => at === 0 || part === all[all.indexOf(parts[at - 1]!) + 1]);

/** Whether a part is a colour. */
export const isColor = (part: Component) => colorFromComponent(part) !== null;
/** Whether a part is one of these words, written with spaces between. */
export const isOneOf = (words: string) => {
  const known = new Set(words.split(" "));
  return (part: Component) => known.has(wordOf(part));
};
