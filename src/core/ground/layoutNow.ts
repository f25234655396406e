/** A layout that was read of an earlier version of a page, as far as it still counts. */
import { sameValues } from "../cascade/style";
import { pseudoStyler, type StyledPage } from "../cascade/styles";
import type { PageLayout, PlaceLayout } from "./layout";

const known = new WeakMap<PageLayout, WeakMap<StyledPage, PageLayout>>();

/** Without what was painted of texts that are set otherwise now, or stand in what is. @param then the page it was read of */
export function layoutNow(layout: PageLayout, then: StyledPage | undefined, now: StyledPage): PageLayout {
  if (then?.styles === now.styles) return layout;
  let made = known.get(layout)?.get(now);
  if (!made) {
    made = then ? stillTrue(layout, then, now) : unpainted(layout);
    const versions = known.get(layout) ?? new WeakMap<StyledPage, PageLayout>();
    known.set(layout, versions.set(now, made));
  }
  return made;
}

function unpainted(layout: PageLayout): PageLayout {
  return Object.fromEntries(Object.entries(layout).map(([id, place]) => [id, { ...place, painted: null }]));
}

function stillTrue(layout: PageLayout, then: StyledPage, now: StyledPage): PageLayout {
  const alike = new Map<number, boolean>();
  const isAlike = (index: number): boolean => {
    let result = alike.get(index);
    if (result === undefined) {
      const [before, after] = [then.styles[index], now.styles[index]];
      const around = after?.parent ? isAlike(after.parent.element.index) : true;
      result = around && before !== undefined && after !== undefined && sameValues(before, after);
      alike.set(index, result);
    }
    return result;
  };
  const stylers = [pseudoStyler(then), pseudoStyler(now)] as const;
  const isSamePseudo = (index: number, name: string) => {
    const [before, after] = [stylers[0](name, then.styles[index]!), stylers[1](name, now.styles[index]!)];
    return before !== null && after !== null && sameValues(before, after);
  };
  return Object.fromEntries(
    Object.entries(layout).map(([id, place]) => {
      const [index, pseudo] = id.split("::");
      const stands = isAlike(Number(index)) && (pseudo === undefined || isSamePseudo(Number(index), pseudo));
      return [id, stands ? place : { ...place, painted: null }];
    }),
  );
}

/**
 * A layout with what is told anew of the same page; what was painted stands until it is painted anew.
 * @param whole whether it is told of all texts; else only of where some are and what was painted of them
 */
export function layoutWith(before: PageLayout, told: PageLayout, whole: boolean): PageLayout {
  const merged: Record<string, PlaceLayout> = whole ? { ...told } : { ...before };
  if (whole) {
    for (const [id, { painted, ...place }] of Object.entries(before)) {
      const now = merged[id];
      if (painted && !now?.painted) merged[id] = { ...(now ?? place), painted };
    }
  } else {
    for (const [id, { text, unseen, hides, away, painted, ...rest }] of Object.entries(told))
      merged[id] = { ...rest, ...before[id], text, unseen, hides, away, painted };
  }
  return merged;
}
