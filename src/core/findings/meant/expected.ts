/** What a property takes, in a few plain words. */
import { append } from "../../source/groups";
import { lexer } from "css-tree";
import { keywordsFor } from "../../edits/completion";
import { invalidReason } from "../../cascade/declarations";
import { isWide } from "../../cascade/wide";
import { componentsOf } from "../../source/css/components";
import { isUnit } from "../../source/css/math";

/** Kinds of values, each with one that tells whether a property takes it. */
const kinds: readonly (readonly [sample: string, words: string])[] = [
  ["7px", "a length such as `16px` or `1.5em`"],
  ["7%", "a percentage"],
  ["7", "a number"],
  ["#123456", "a colour"],
  ["7deg", "an angle such as `45deg`"],
  ["7s", "a time such as `0.2s`"],
  ['url("a.png")', "an address in `url()`"],
  ['"Some Name"', "a name"],
];

const most = 5;

/** "a length such as `16px`, a percentage, `small`, …"; what the standard calls it where nothing simple fits. */
export function showExpected(property: string): string {
  const parts = kinds.filter(([sample]) => invalidReason(property, sample) === null).map(([, words]) => words);
  const words = keywordsFor(property).filter((word) => !isWide(word) && invalidReason(property, word) === null);
  append(
    parts,
    words.slice(0, most).map((word) => `\`${word}\``),
  );
  if (words.length > most) parts.push("…");
  if (parts.length) return parts.join(", ").replace(/, ([^,…]+)$/, " or $1");
  const { syntax } = lexer.getProperty(property) ?? {};
  return syntax ? "several parts" : "other values";
}

/** The first number of a value whose unit CSS does not know; null where there is none. */
export function unknownUnit(value: string): string | null {
  const pending = [...componentsOf(value)];
  for (let part = pending.shift(); part; part = pending.shift()) {
    if (part.type === "dimension" && !isUnit(part.unit)) return value.slice(part.start, part.end);
    if (part.type === "function" || part.type === "block") pending.unshift(...part.args);
  }
  return null;
}
