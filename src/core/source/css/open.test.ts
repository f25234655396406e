import { array, assert, constantFrom, property } from "fast-check";
import { describe, expect, test } from "vitest";
import { openEndOf, sheetEndOf } from "./open";
import { parseSheet } from "./syntax";
import { runs } from "../../testing/runs";

describe("what a text leaves open", () => {
  test.each([
    ["a{color:red}", null],
    ["rgb(1 2 3", ")"],
    ["calc(1em + (2px", "))"],
    ['"Georgia', '"'],
    ['"Georgia\\', '\n"'],
    ["red /* note", "*/"],
    ["/*/", "*/"],
    ["var(--x", ")"],
    ["{a", "}"],
    ["url(x.png", ")"],
    ["a[b='c", "']"],
    ["\\", "\n"],
  ])("%s", (text, closers) => expect(openEndOf(text)?.closers ?? null).toBe(closers));

  test.each([
    ["p{color:red", "}"],
    ["@import 'x.css'", ";"],
    [".unfinished", "{}"],
    ["@media print{p{color:red", "}}"],
    ["p{color:red} /* note", "*/"],
    ["p{content:'x", "'}"],
    ["p{color:red}\n", null],
    ["@layer a;", null],
    ["p{}<!--", null],
  ])("a sheet that ends in %s", (text, closers) => expect(sheetEndOf(text)?.closers ?? null).toBe(closers));

  test("whatever a sheet ends in, a rule put behind its closers is a rule", () => {
    const pieces = constantFrom(
      "p", ".a", "{", "}", "(", ")", "[", "]", '"', "'", "/*", "*/", "\\", "\n", ";", ":", "red", "@media", "@import",
      "url(", "--x", " ", "&", ",", "<!--", "-->", "\f",
    ); // prettier-ignore
    assert(
      property(array(pieces, { maxLength: 14 }), (parts) => {
        const text = parts.join("");
        const whole = `${text}${sheetEndOf(text)?.closers ?? ""}\n.added{opacity:1}`;
        const last = parseSheet(whole).at(-1);
        expect(last?.kind === "style" && last.preludeText).toBe(".added");
      }),
      runs(4000),
    );
  });
});
