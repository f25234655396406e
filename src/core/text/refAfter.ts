import type { TextChange } from "../source/changes";
import { movesOn } from "../source/html/movedElements";
import type { Site } from "../source/site";
import type { ElementRef } from "./refs";

/** Where a place is after changes; null where its element is gone. @param after the site with them */
export function refAfter(
  before: Site,
  after: Site,
  ref: ElementRef,
  changes: readonly TextChange[],
): ElementRef | null {
  return refsAfter(before, after, changes)(ref);
}

type Move = (ref: ElementRef) => ElementRef | null;

/** The same for many places. */
export function refsAfter(before: Site, after: Site, changes: readonly TextChange[]): Move {
  return movedBy((page) => movesOn(before, after, page, changes));
}

/** Where a place that is found after changes was before them; null where its element is new. */
export function refsBefore(before: Site, after: Site, changes: readonly TextChange[]): Move {
  return movedBy((page) => {
    const moves = movesOn(before, after, page, changes);
    return moves && new Map([...moves].map(([was, is]) => [is, was]));
  });
}

function movedBy(movesOf: (page: string) => ReadonlyMap<number, number> | null): Move {
  const pages = new Map<string, ReadonlyMap<number, number> | null>();
  return (ref) => {
    let moves = pages.get(ref.page);
    if (moves === undefined) pages.set(ref.page, (moves = movesOf(ref.page)));
    if (moves === null) return ref;
    const index = moves.get(ref.index);
    return index === undefined ? null : { ...ref, index };
  };
}
