import type { Conditions } from "../cascade/conditions";
import type { Site } from "../source/site";
import type { Layouts } from "../text/textStyles";

/** One way to go on writing. */
export interface WritingOption {
  /** What is put in the place of the word that is being written. */
  text: string;
  /** What is to be known of it: "12 times here", "on 4 elements"; "" for nothing. */
  detail: string;
  /** The colour it stands for, as CSS; null for none. */
  css: string | null;
  /** What comes of it where that can be told: whether the text of the rule can be read with it. */
  contrast: { ratio: number; needs: number } | null;
}

/** What is asked about. */
export interface Asked {
  /** With the text as it is being written. */
  site: Site;
  path: string;
  /** The page that is shown; null where none is. */
  page: string | null;
  conditions: Conditions;
  layouts: Layouts;
}

/** An option that is no colour. */
export const plain = (text: string, detail = ""): WritingOption => ({ text, detail, css: null, contrast: null });

/** How often something occurs in the site, in words; empty for never. */
export const times = (count: number): string => (count ? `${count === 1 ? "once" : `${count} times`} here` : "");

/** On how many elements something stands, in words; empty for none. */
export const onElements = (count: number): string =>
  count ? `on ${count === 1 ? "one element" : `${count} elements`}` : "";

/** How often each occurs, those that occur most first. */
export function counted(all: Iterable<string>): [string, number][] {
  const counts = new Map<string, number>();
  for (const one of all) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].sort(([a, many], [b, few]) => few - many || (a < b ? -1 : 1));
}
