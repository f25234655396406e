/** How texts are referred to. */

import type { TextChange } from "../source/changes";
import { indexesAfter } from "../source/html/movedElements";
import { textFile, type Site } from "../source/site";

/** An element of a page. */
export interface ElementRef {
  page: string;
  /** Position in `document.querySelectorAll("*")`. */
  index: number;
  /** The pseudo-element of it that is meant: "before". */
  pseudo?: string;
}

/** Equal for what is one element, or one pseudo-element. */
export const refKey = ({ page, index, pseudo }: ElementRef): string => `${page} ${index} ${pseudo ?? ""}`;

/** Where a place is after changes; null where its element is gone. @param after the site with them */
export function refAfter(
  before: Site,
  after: Site,
  ref: ElementRef,
  changes: readonly TextChange[],
): ElementRef | null {
  const [old, now] = [textFile(before, ref.page), textFile(after, ref.page)];
  if (!old || !now) return null;
  if (old === now) return ref;
  const own = changes.filter(({ path }) => path === ref.page);
  const index = indexesAfter(old, now, own).get(ref.index);
  return index === undefined ? null : { ...ref, index };
}
