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

/**
 * Both schemes at several widths, and every state of links and controls at the width that is asked for.
 * @param except a wish of readers: those who have it are left out
 */
export function provenUnder(conditions: Conditions, except: "dark" | "contrast" | null = null): Conditions[] {
  if (except === "contrast") return provenUnder({ ...conditions, contrast: "no-preference" });
  const schemes = except === "dark" ? (["light"] as const) : (["light", "dark"] as const);
  const all = schemes.flatMap((scheme) =>
    [...new Set([conditions.width, ...widths])].map((width) => ({ ...conditions, scheme, width })),
  );
  const asked: Conditions = except === "dark" ? { ...conditions, scheme: "light" } : conditions;
  const inStates = states.map((state) => ({ ...asked, forced: {}, forcedEverywhere: [state] }));
  return [...new Map([...all, ...inStates].map((one) => [conditionsKey(one), one])).values()];
}

/**
 * The texts that come out differently once changes are made, whatever the reader brings about (`provenUnder`), in
 * steps, a page each; the first condition under which any does ends it where only that counts.
 * @param first whether one that differs is enough to know
 * @param all what it is looked at under
 */
export function* differenceSteps(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  conditions: Conditions,
  first = false,
  all: readonly Conditions[] = provenUnder(conditions),
): Generator<void, ElementRef[]> {
  const places = new Map<string, ElementRef>();
  for (const under of all) {
    const reach = yield* reachSteps(before, after, changes, under, null);
    for (const place of reach.places) places.set(refKey(place), place);
    // Only so many versions of a page are kept, those asked for last: that which is shown has to stay among them.
    for (const file of pagesOf(before)) styledPage(before, file, conditions);
    if (first && places.size > 0) break;
  }
  return [...places.values()];
}
