/** Whether a move leaves everything as it is. */
import { conditionsKey, type Conditions } from "../cascade/conditions";
import type { TextChange } from "../source/changes";
import { refKey, type ElementRef } from "../text/refs";
import { styledPage } from "../cascade/styledPages";
import { pagesOf, type Site } from "../source/site";
import { reachSteps } from "./reach";

/** Widths at which it is looked at beside the one that is asked for, CSS px: those of a phone, a tablet, and a desk. */
const widths = [360, 800, 1280];

/** States in which links and controls are looked at, beside at rest. */
const states = ["hover", "focus", "focus-visible", "active", "visited"];

/** Both schemes at several widths, and every state of links and controls at the width that is asked for. */
export function provenUnder(conditions: Conditions): Conditions[] {
  const all = (["light", "dark"] as const).flatMap((scheme) =>
    [...new Set([conditions.width, ...widths])].map((width) => ({ ...conditions, scheme, width })),
  );
  const inStates = states.map((state) => ({ ...conditions, forced: {}, forcedEverywhere: [state] }));
  return [...new Map([...all, ...inStates].map((one) => [conditionsKey(one), one])).values()];
}

/**
 * The texts that come out differently once changes are made, whatever the reader brings about (`provenUnder`), in
 * steps, a page each; the first condition under which any does ends it where only that counts.
 * @param first whether one that differs is enough to know
 */
export function* differenceSteps(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  conditions: Conditions,
  first = false,
): Generator<void, ElementRef[]> {
  const places = new Map<string, ElementRef>();
  for (const under of provenUnder(conditions)) {
    const reach = yield* reachSteps(before, after, changes, under, null);
    for (const place of reach.places) places.set(refKey(place), place);
    // Only so many versions of a page are kept, those asked for last: that which is shown has to stay among them.
    for (const file of pagesOf(before)) styledPage(before, file, conditions);
    if (first && places.size > 0) break;
  }
  return [...places.values()];
}
