import { expect, test } from "vitest";
import { computed, pageWith, styleOf } from "../testing/site";

/** What `--x` comes to on the element that the rules are for, with the browser (Chromium 156) as the judge. */
const rows: readonly (readonly [css: string, value: string | undefined])[] = [
  ["#t { --x: 1; --x: initial }", undefined],
  ["p { --x: 1 } #t { --x: inherit }", "1"],
  ["p { --x: 1 } #t { --x: var(--none, inherit) }", "1"],
  ["p { --x: 1 } #t { --x: var(--none, INITIAL) }", undefined],
  ['@property --x { syntax: "<number>"; inherits: true; initial-value: 7 } :root { --x: inherit }', "7"],
  // What goes back to a layer before finds what that says.
  ["@layer a { #t { --x: 1 } } #t { --x: revert-layer }", "1"],
  ["@layer a, b; @layer b { #t { --x: revert-layer } } @layer a { #t { --x: 1 } }", "1"],
  ["p { --x: 1 } @layer a { #t { --x: 2 } } #t { --x: revert }", "1"],
  ["#t { --x: 1 } @layer a { #t { --x: revert-layer !important } }", undefined],
  ["@layer a { #t { --x: 1 } } #t { --x: revert-layer !important }", "1"],
  // Circles: who is in one has no value, who only refers to one does without it.
  ["#t { --x: var(--y) 1; --y: var(--x) }", undefined],
  ["#t { --y: var(--y); --x: var(--y, 3) }", "3"],
  ["#t { --x: var(--y, 3); --y: var(--z) var(--x); --z: initial }", undefined],
  ["#t { --x: var(--y, 3); --y: var(--y) var(--z, var(--x)) }", "3"],
  [
    '@property --y { syntax: "<number>"; inherits: true; initial-value: 7 } #t { --y: var(--y); --x: var(--y, 3) }',
    "7",
  ],
  // Without a syntax, what is not valid has no value, whatever the property is registered with.
  ['@property --x { syntax: "*"; inherits: true; initial-value: 7 } #t { --x: var(--none) }', undefined],
  ['@property --x { syntax: "*"; inherits: true; initial-value: 7 } p { --x: var(--none) }', undefined],
  ['@property --x { syntax: "<number>"; inherits: true; initial-value: 7 } p { --x: 8 } #t { --x: a }', "8"],
  ['@property --x { syntax: "<number>"; inherits: false; initial-value: 7 } p { --x: 8 } #t { --x: a }', "7"],
  // What is put in grows together with nothing beside it.
  ["#t { --y: 1; --x: a var(--y)px }", "a 1/**/px"],
  ["#t { --y: a; --x: var(--y)var(--y) (b)var(--y)(1)}", "a/**/a (b)a/**/(1)"],
  ["#t { --y: 2; --z: 3; --x: var(--y)var(--z)var(--y)%}", "2/**/3/**/2/**/%"],
  ["#t { --y: a; --z: -; --x: var(--z)var(--y) +var(--y) .var(--y)}", "-/**/a +a .a"],
  ["#t { --y: ; --x: a var(--y)b}", "a b"],
];

test.each(rows)("%s: %s", (css, value) => {
  const from = pageWith(css, '<p><b id="t">x</b>');
  expect(styleOf(from, "t").shared.custom.get("--x")).toBe(value);
});

test.each([
  ["@container style(--x)", false],
  ["@container style(--x: initial)", true],
  ["@container style(--x: 7px)", true],
  ["@container style(--x: calc(3px + 4px))", true],
  ["@container style(--y)", true],
  ["@container style(--y: a b )", true],
  ["@container style(--y: a  b)", false],
  ["@container style(--none: initial)", true],
])("%s holds: %s", (condition, holds) => {
  const from = pageWith(
    `@property --x { syntax: "<length>"; inherits: true; initial-value: 7px } p { --y: a b } ${condition} { #t { color: red } }`,
    '<p><b id="t">x</b>',
  );
  expect(computed(from, "t", "color")).toBe(holds ? "rgb(255, 0, 0)" : "rgb(0, 0, 0)");
});

test("in a value, a style is asked for whether it has any value", () => {
  const from = pageWith(
    '@property --y { syntax: "<length>"; inherits: true; initial-value: 7px } #t { --x: if(style(--y): 1; else: 2) }',
    '<p><b id="t">x</b>',
  );
  expect(styleOf(from, "t").shared.custom.get("--x")).toBe("1");
});
