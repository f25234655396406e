/** Names of at-rules, with what they are for. */
import { plain, type WritingOption } from "./types";

const names: readonly (readonly [name: string, what: string])[] = [
  ["@media", "rules for some windows, schemes or for paper"],
  ["@font-face", "a font that comes with the site"],
  ["@import", "another sheet, before all rules"],
  ["@supports", "rules for browsers that know something"],
  ["@layer", "a layer of the cascade"],
  ["@container", "rules for a container's size"],
  ["@scope", "rules for a part of the page"],
  ["@property", "a custom property with its type"],
  ["@page", "pages on paper"],
  ["@keyframes", "steps of an animation"],
  ["@starting-style", "what a transition begins with"],
  ["@counter-style", "markers of your own"],
  ["@charset", "the encoding, at the very start"],
];

/** At-rules, with what each is for. */
export const atRuleOptions = (): WritingOption[] => names.map(([name, what]) => plain(name, what));
