import type { FontMeasure } from "./fonts/metrics";

/** Under which circumstances a page is looked at. Lengths in CSS px. */
export interface Conditions {
  /** Size of the window. */
  width: number;
  height: number;
  scheme: "light" | "dark";
  /** The reader's default font size. */
  rootSize: number;
  medium: "screen" | "print";
  reducedMotion: boolean;
  contrast: "no-preference" | "more" | "less";
  /** Device pixels per CSS px. */
  resolution: number;
  /**
   * Sizes of the content boxes of query containers, by page and element index, as measured on the laid-out page.
   * Without them it is not known which container rules are in force, and none is.
   */
  containers: Readonly<Record<string, Readonly<Record<number, { width: number; height: number }>>>>;
  /** What the font-relative units come to, as measured on the page, by `fontKey`. */
  fonts: Readonly<Record<string, FontMeasure>>;
  /** Families the machine has; null when they are not known. */
  installed: readonly string[] | null;
  /** Families that a reader is said not to have, whatever the machine has. */
  absent: readonly string[];
  /** States forced on elements, by page and element index: "hover", "focus", "focus-visible", "active", "visited", "checked" … */
  forced: Readonly<Record<string, Readonly<Record<number, readonly string[]>>>>;
  /** States forced on every element of every page. */
  forcedEverywhere: readonly string[];
}

export const defaultConditions: Conditions = {
  width: 1280,
  height: 800,
  scheme: "light",
  rootSize: 16,
  medium: "screen",
  reducedMotion: false,
  contrast: "no-preference",
  resolution: 1,
  containers: {},
  fonts: {},
  installed: null,
  absent: [],
  forced: {},
  forcedEverywhere: [],
};

/** Conditions under which everything a rule is for comes out: a state forced on one element is forced on all. */
export function withStatesEverywhere(conditions: Conditions): Conditions {
  const names = new Set(Object.values(conditions.forced).flatMap((elements) => Object.values(elements).flat()));
  return names.size ? { ...conditions, forced: {}, forcedEverywhere: [...names] } : conditions;
}

const keys = new WeakMap<Conditions, string>();

/** Equal for equal conditions, but for how fonts measure, and what is measured and forced on single pages. */
export function conditionsKey(conditions: Conditions): string {
  let key = keys.get(conditions);
  if (key === undefined) {
    key = JSON.stringify({ ...conditions, fonts: null, containers: null, forced: null });
    keys.set(conditions, key);
  }
  return key;
}

const fontKeys = new WeakMap<Conditions["fonts"], string>();

/** Equal for fonts that measure alike. */
export function measuresKey({ fonts }: Conditions): string {
  let key = fontKeys.get(fonts);
  if (key === undefined) {
    key = JSON.stringify(fonts);
    fontKeys.set(fonts, key);
  }
  return key;
}
