import { describe, expect, test } from "vitest";
import { componentsOf } from "../source/css/components";
import { computed, pageWith } from "../testing/site";
import { substitute, substitutionsIn, type Sources } from "./substitution";

const sources: Sources = {
  variable: (name) => (name === "--len" ? "7px" : null),
  syntax: () => null,
  attribute: (name) => ({ "data-s": "12", "data-e": "1.5em", "data-q": 'a"b', "data-v": "var(--len)" })[name] ?? null,
  media: (text) => text.includes("width"),
  supports: () => true,
  siblings: () => ({ index: 2, count: 3 }),
};
const textOf = (text: string) => substitute(text, sources);

describe("functions that stand for other text", () => {
  test.each<[string, string | null]>([
    ["var(--len)", "7px"],
    ["var(--none, 3px)", "3px"],
    ["var(--none)", null],
    ["env(safe-area-inset-top, 4px)", "0px"],
    ["calc(env(safe-area-inset-bottom) + 16px)", "calc(0px + 16px)"],
    ["env(keyboard-inset-width)", "0px"],
    ["env(preferred-text-scale)", "1"],
    ["env(safe-area-inset-top 0, 4px)", "4px"],
    ["env(Safe-Area-Inset-Top, 4px)", "4px"],
    ["env(titlebar-area-width, 4px)", "4px"],
    ["env(titlebar-area-width)", null],
    ["attr(data-s)", '"12"'],
    ["attr(data-q raw-string)", '"a\\"b"'],
    ["attr(data-none)", "''"],
    ["attr(data-none px)", null],
    ["attr(data-s px)", "12px"],
    ["attr(data-s %)", "12%"],
    ["attr(data-s number)", "12"],
    ["attr(data-e px, 9px)", "9px"],
    ["attr(data-e type(<length>))", "1.5em"],
    ["attr(data-e type(<color>), red)", "red"],
    ["attr(data-v type(<length>))", "7px"],
    ["if(media(width > 1px): 1px; else: 2px)", "1px"],
    ["if(media(print): 1px; else: 2px)", "2px"],
    ["if(style(--len: 7px): 1px)", "1px"],
    ["if(not style(--len) or media(print): 1px)", null],
    ["calc(sibling-index() * 1px + sibling-count() * 2px)", "calc(2 * 1px + 3 * 2px)"],
  ])("%s is %s", (text, expected) => expect(textOf(text)?.trim() ?? null).toBe(expected));

  test.each(["attr()", "attr(1)", "attr(a b c)", "if()", "if(else)", "if(foo: 1px)", "var(x)", "sibling-index(1)"])(
    "%s cannot be read",
    (text) => expect(substitutionsIn(componentsOf(text))).toBe("malformed"),
  );

  test("what only counts siblings is told from the rest", () => {
    const kind = (text: string) => substitutionsIn(componentsOf(text));
    expect([kind("1px"), kind("calc(sibling-index() * 1px)"), kind("calc(sibling-index() * var(--x))")]).toEqual([
      "none",
      "counted",
      "some",
    ]);
  });
});

describe("styles that go by an attribute or a place", () => {
  const sizes = (css: string, body: string) => ["a", "b"].map((id) => computed(pageWith(css, body), id, "font-size"));

  test("are shared with no other element", () => {
    const items = '<ul><li id="a" data-s="11"><li id="b" data-s="12"></ul>';
    expect(sizes("li { font-size: attr(data-s px) }", items)).toEqual(["11px", "12px"]);
    expect(sizes("li { font-size: calc(10px * sibling-index()) }", items)).toEqual(["10px", "20px"]);
    expect(sizes("ul { --n: sibling-index() } li { font-size: calc(10px * var(--n)) }", items)).toEqual([
      "10px",
      "20px",
    ]);
  });

  test("a value that counts siblings where no number can stand is dropped", () => {
    expect(sizes("li { font-size: 9px; font-size: sibling-index() }", '<li id="a"><li id="b">')).toEqual([
      "9px",
      "9px",
    ]);
  });
});
