/** What can be set on pseudo-elements that are less than a box (CSS Pseudo 4, 2.1.1, 2.2.1 and 4.1), as far as browsers have it. */
import { table } from "../source/table";

const inks = "color|letter-spacing|line-height|text-shadow|text-transform|text-decoration-skip-ink|word-spacing";
const fonts = `font-(?!language-override)[a-z-]+|${inks}`;
const lines = `background-[a-z-]+|box-shadow|opacity|text-decoration-[a-z]+|text-justify|text-underline-[a-z]+|vertical-align|visibility|-webkit-font-smoothing|${fonts}`;
const letters = `(?:border(?!-collapse)|margin|padding)-[a-z-]+|float|initial-letter|${lines}`;
const markers = `content|direction|hyphens|line-break|overflow-wrap|tab-size|text-combine-upright|text-emphasis-[a-z]+|text-orientation|text-wrap-style|unicode-bidi|word-break|${fonts}`;

const patterns: Readonly<Record<string, RegExp>> = table({
  "first-line": new RegExp(`^(?:${lines}|ruby-position)$`),
  "first-letter": new RegExp(`^(?:${letters})$`),
  marker: new RegExp(`^(?:${markers})$`),
});

/** Which longhands a page can set on a pseudo-element, as a pattern of their names; undefined for all. */
export const settableOn = (pseudo: string): RegExp | undefined => patterns[pseudo];
