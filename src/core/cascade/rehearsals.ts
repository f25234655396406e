/** Ways in which other readers get a page, one entry each: what they are called, and whether anything is rehearsed. */
import { defaultConditions, type Conditions } from "./conditions";

export interface Rehearsal {
  /** The condition it changes. */
  condition: "absent" | "contrast" | "forced" | "medium" | "reducedMotion" | "rootSize";
  /** Whether media queries ask about it. */
  media: boolean;
  /** Whether it is what readers usually have. */
  isUsual(conditions: Conditions): boolean;
  /** What is rehearsed, in a few words. */
  words(conditions: Conditions): string;
}

export const rehearsals: readonly Rehearsal[] = [
  {
    condition: "rootSize",
    media: true,
    isUsual: ({ rootSize }) => rootSize === defaultConditions.rootSize,
    words: ({ rootSize }) => `text ${rootSize} px`,
  },
  {
    condition: "medium",
    media: true,
    isUsual: ({ medium }) => medium === defaultConditions.medium,
    words: ({ medium }) => medium,
  },
  {
    condition: "contrast",
    media: true,
    isUsual: ({ contrast }) => contrast === defaultConditions.contrast,
    words: ({ contrast }) => `${contrast} contrast`,
  },
  {
    condition: "reducedMotion",
    media: true,
    isUsual: ({ reducedMotion }) => !reducedMotion,
    words: () => "less motion",
  },
  {
    condition: "absent",
    media: false,
    isUsual: ({ absent }) => absent.length === 0,
    words: ({ absent }) => (absent.length === 1 ? `no ${absent[0]}` : `${absent.length} fonts off`),
  },
  {
    condition: "forced",
    media: false,
    isUsual: ({ forced }) => Object.keys(forced).length === 0,
    words: ({ forced }) => {
      const states = Object.values(forced).flatMap((elements) => Object.values(elements).flat());
      return [...new Set(states)].join(" and ");
    },
  },
];

/** Those that are rehearsed. */
export const rehearsedIn = (conditions: Conditions): Rehearsal[] =>
  rehearsals.filter((one) => !one.isUsual(conditions));

/** The conditions with nothing rehearsed. */
export const usualConditions: Partial<Conditions> = Object.fromEntries(
  rehearsals.map(({ condition }) => [condition, defaultConditions[condition]]),
);
