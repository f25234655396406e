/** The table of properties against the W3C's machine-readable list of them. */
import css from "@webref/css/css.json";
import { expect, test } from "vitest";
import { longhands } from "./index";
import { shorthands } from "./shorthands";

interface Listed {
  name: string;
  initial?: string;
  inherited?: string;
  longhands?: string[];
}

const listed = new Map((css.properties as unknown as Listed[]).map((one) => [one.name, one]));

/** What is otherwise here, and why. */
const otherInitial: Readonly<Record<string, string>> = {
  "font-family": "depends on the browser; Chromium's is taken",
  "font-weight": "400 is what `normal` comes to",
  "font-stretch": "an older name of `font-width`, under which the browser reports it",
  "text-emphasis-position": "`over` and `over right` are the same, and serialised so",
  "text-autospace": "Chromium starts without",
  "ruby-position": "Chromium starts with `over`",
  "border-spacing": "one length stands for both",
  "outline-color": "`auto` comes to the text's colour where it is computed",
};
const otherInheritance: Readonly<Record<string, string>> = {
  "font-stretch": "an older name of `font-width`, under which the browser reports it",
};
const unlisted: Readonly<Record<string, string>> = {
  "-webkit-font-smoothing": "never standardised; Chromium reports it",
  "-webkit-user-modify": "never standardised; browsers set it where readers edit",
};

test("initial values and inheritance are those of the standards", () => {
  const initial: string[] = [];
  const inheritance: string[] = [];
  for (const one of longhands) {
    const standard = listed.get(one.name);
    expect(standard !== undefined, one.name).toBe(!(one.name in unlisted));
    if (!standard) continue;
    if (standard.initial?.toLowerCase() !== one.initial.toLowerCase()) initial.push(one.name);
    if (/^yes/i.test(standard.inherited ?? "") !== one.inherited) inheritance.push(one.name);
  }
  expect(initial.sort()).toEqual(Object.keys(otherInitial).sort());
  expect(inheritance.sort()).toEqual(Object.keys(otherInheritance).sort());
});

/** All longhands under a name of the list, shorthands of shorthands opened; what resets without naming counts, too. */
function opened(name: string): string[] {
  const inner = shorthands.has(name) ? (listed.get(name)?.longhands ?? []) : [];
  return inner.length ? inner.flatMap((one) => (one === name ? [one] : opened(one))) : [name];
}

test("shorthands set all that the standards name, as far as it is computed", () => {
  const computed = new Set(longhands.map(({ name }) => name));
  for (const [name, shorthand] of shorthands) {
    if (!listed.get(name)?.longhands) continue;
    const missing = opened(name).filter((one) => computed.has(one) && !shorthand.longhands.includes(one));
    expect(missing, name).toEqual([]);
  }
});
