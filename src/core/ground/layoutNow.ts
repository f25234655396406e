/** A layout that was read of an earlier version of a page, as far as it still counts. */
import { pseudoStyler, sameValues, type StyledPage } from "../cascade/styles";
import type { PageLayout } from "./layout";

const known = new WeakMap<PageLayout, WeakMap<StyledPage, PageLayout>>();

/** Without what was painted of texts that are set otherwise now, or stand in what is. @param then the page it was read of */
export function layoutNow(layout: PageLayout, then: StyledPage | undefined, now: StyledPage): PageLayout {
  if (then === now) return layout;
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
