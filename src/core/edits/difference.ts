/** How a text comes out differently, in words for people. */
import type { Conditions } from "../cascade/conditions";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { reportedLonghands } from "../cascade/properties";
import { computedValue, type Style } from "../cascade/style";
import { styledPage } from "../cascade/styledPages";
import type { TextChange } from "../source/changes";
import { textFile, type Site } from "../source/site";
import { styleAt } from "../text/pageTexts";
import { wordsOf } from "../text/pseudoTexts";
import { textStyleProperties } from "../text/textStyles";
import type { ElementRef } from "../text/refs";
import { differenceSteps, provenUnder } from "./proof";
import { styleBefore } from "./reach";

export interface Difference {
  ref: ElementRef;
  /** Its first words. */
  text: string;
  /** What readers bring about when it differs: "in the dark scheme"; "" for what is looked at. */
  under: string;
  /** The tag of what is around it where that is what comes out differently; null where the text itself does. */
  around: string | null;
  /** Computed values that are others: of the text, or of what is around it. */
  values: { property: string; before: string; after: string }[];
}

/** What is told first is what sets the text itself. */
const ordered = [...new Set(["color", ...textStyleProperties, ...reportedLonghands])];

/** So many values are named. */
const most = 3;

/** Texts that come out differently, and how the first of them do. */
export interface Differing {
  places: ElementRef[];
  told: Difference[];
}

/** So many texts that come out differently are told of. */
const toldOf = 5;

/**
 * Texts that come out differently with changes, whatever a reader brings about, and how; in steps, a page or a text each.
 * @param all what it is looked at under
 */
export function* differingSteps(
  before: Site,
  after: Site,
  changes: readonly TextChange[],
  conditions: Conditions,
  all: readonly Conditions[] = provenUnder(conditions),
): Generator<void, Differing> {
  const places = yield* differenceSteps(before, after, changes, conditions, false, all);
  const told: Difference[] = [];
  for (const ref of places.slice(0, toldOf)) {
    const difference = differenceOf(before, after, ref, changes, conditions, all);
    if (difference) told.push(difference);
    yield;
  }
  return { places, told };
}

/** @param ref a text that comes out differently, as it is found after the changes; null where nothing of it does */
function differenceOf(
  before: Site,
  after: Site,
  ref: ElementRef,
  changes: readonly TextChange[],
  conditions: Conditions,
  all: readonly Conditions[],
): Difference | null {
  const [old, now] = [textFile(before, ref.page), textFile(after, ref.page)];
  if (!old || !now) return null;
  const own = changes.filter(({ path }) => path === ref.page);
  for (const under of all) {
    const later = conditionsAfter(under, before, after, changes);
    const [was, is] = [styledPage(before, old, under), styledPage(after, now, later)];
    const earlier = styleBefore(was, is, own);
    for (let style = styleAt(is, ref); style; style = style.parent) {
      const values = valuesThatDiffer(earlier(style), style);
      if (values.length === 0) continue;
      const text = wordsOf(is, styleAt(is, ref)!).slice(0, 40);
      const around = style.element.index === ref.index ? null : style.element.tag;
      return { ref, text, under: underWords(under, conditions), around, values };
    }
  }
  return null;
}

function valuesThatDiffer(before: Style | undefined, after: Style): Difference["values"] {
  if (!before) return [];
  const told = new Map<string, Difference["values"][number]>();
  for (const property of ordered) {
    const [was, is] = [computedValue(before, property), computedValue(after, property)];
    const key = `${was}\n${is}`;
    // What follows from the first need not be told again: an edge that has the ink, for one.
    if (was !== is && !told.has(key)) told.set(key, { property, before: was, after: is });
  }
  return [...told.values()].slice(0, most);
}

/** What parts conditions from those that are looked at: "in the dark scheme at 360px"; "" for nothing. */
export function underWords(under: Conditions, asked: Conditions): string {
  const [state] = under.forcedEverywhere;
  if (state && !asked.forcedEverywhere.includes(state)) return `in the state ${state}`;
  const scheme = under.scheme === asked.scheme ? [] : [`in the ${under.scheme} scheme`];
  return [...scheme, ...(under.width === asked.width ? [] : [`at ${under.width}px`])].join(" ");
}
