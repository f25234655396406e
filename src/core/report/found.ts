/** What reports about findings have in common. */
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { findingKeys, findingSteps, type Finding } from "../findings";
import { pagesOf } from "../source/site";
import type { ReportContext } from "./types";

/** A finding, and why it is left as it is; null where it is not. */
export type FoundOrLeft = Finding & { left: string | null };

/** What is wrong or doubtful on the site, what costs most first. */
export function* foundIn({ site, conditions, layouts, stresses, left }: ReportContext): Generator<void, FoundOrLeft[]> {
  const pages: KnownPage[] = [];
  for (const file of pagesOf(site)) {
    pages.push(styledPage(site, file, conditions));
    yield;
  }
  const found = yield* findingSteps({ site, conditions, layouts, pages, ...(stresses ? { stresses } : {}) });
  const keys = findingKeys(found);
  return found.map((finding, at) => ({ ...finding, left: left[keys[at]!] ?? null }));
}

/** Success criteria of WCAG 2.2 that findings are about, by number, with their ids in the standard. */
export const criteria: ReadonlyMap<string, string> = new Map([
  ["1.3.1", "info-and-relationships"],
  ["1.4.1", "use-of-color"],
  ["1.4.3", "contrast-minimum"],
  ["1.4.4", "resize-text"],
  ["1.4.8", "visual-presentation"],
  ["1.4.10", "reflow"],
  ["1.4.11", "non-text-contrast"],
  ["1.4.12", "text-spacing"],
  ["2.4.7", "focus-visible"],
]);

/** The criterion that a finding rests on; null where it rests on none. */
export function criterionOf({ because }: Finding): string | null {
  const [, number] = /WCAG 2\.2, (\d\.\d\.\d+)/.exec(because) ?? [];
  return number !== undefined && criteria.has(number) ? number : null;
}

/** The words of a message without the marks of code. */
export const plainWords = (words: string): string => words.replaceAll("`", "");
