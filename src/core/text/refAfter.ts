import type { TextChange } from "../source/changes";
import { indexesAfter } from "../source/html/movedElements";
import { textFile, type Site } from "../source/site";
import type { ElementRef } from "./refs";

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
