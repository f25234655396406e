import { describe, expect, test } from "vitest";
import { site } from "../testing/site";
import { hereAt } from "./here";

/** What can be written where the bar stands. */
function at(written: string, path = "ferry.css") {
  const offset = written.indexOf("|");
  return hereAt(site({ [path]: written.replace("|", "") }), path, offset);
}

describe("in a sheet", () => {
  test.each([
    ["h|", "selector", "h"],
    ["main .no|", "selector", ".no"],
    ["a:ho|", "selector", ":ho"],
    ["p { color: red }\n#n|", "selector", "#n"],
    ["@media (width < 40em) { h2, .c|", "selector", ".c"],
    ["p { & .le|", "selector", ".le"],
    ["p { a:hov|", "selector", ":hov"],
    ["p { col|", "property", "col"],
    ["p { color: red; |", "property", ""],
    ["p { /* ; */ fo|nt }", "property", "fo"],
    ["@media print { p { m|", "property", "m"],
    ["p { @media print { m|", "property", "m"],
    ["@font-face { font-d|", "property", "font-d"],
    ["@me|", "at-rule", "@me"],
  ])("%s", (written, kind, typed) => {
    expect(at(written)).toMatchObject({ kind, typed, from: written.indexOf("|") - typed.length });
  });

  test.each([
    ["p { color: |", "color", "", "", null],
    ["p { border: 1px so|", "border", "so", "1px ", null],
    ["p { border:1px so|", "border", "so", "1px ", null],
    ["p { color: #8a|; margin: 0 }", "color", "#8a", "", null],
    ["p { --ink: da|", "--ink", "da", "", null],
    ["p { color: var(--i|", "color", "--i", "var(", "var"],
    ["p { background: linear-gradient(red, bl|", "background", "bl", "linear-gradient(red, ", "linear-gradient"],
    ["p { font-size: 1.2|", "font-size", "1.2", "", null],
  ])("%s", (written, property, typed, before, inside) => {
    expect(at(written)).toMatchObject({ kind: "value", property, typed, before, inside, rule: 0 });
  });

  test.each([
    ["@media |", "", null, false, ""],
    ["@media scr|", "scr", null, false, ""],
    ["@media (wi|", "wi", null, true, "("],
    ["@media screen and (min-width: 60|", "60", "min-width", true, "screen and (min-width:"],
    ["@media (400px < wi|", "wi", null, true, "(400px <"],
    ["@media (width <= 4|", "4", "width", true, "(width <="],
    ["@media (width) an|", "an", null, false, "(width)"],
    ["p { @MEDIA (hover|", "hover", null, true, "("],
  ])("%s", (written, typed, feature, inside, before) => {
    const from = written.indexOf("|") - typed.length;
    expect(at(written)).toEqual({ kind: "media", typed, feature, inside, before, from });
  });

  test.each(["/* p { co|", "p { content: 'x|", "p { background: url(a|", "@mediaeval (wi|", "@supports (di|"])(
    "nothing in %s",
    (written) => {
      expect(at(written)).toBeNull();
    },
  );
});

describe("in a page", () => {
  test.each([
    ["<p|", "tag", "p"],
    ["</ma|", "tag", "ma"],
    ["<p>a</p><|", "tag", ""],
    ["<p |", "attribute", ""],
    ['<p lang="en" cl|', "attribute", "cl"],
    ['<p class="lead no|', "attribute value", "no"],
    ["<p class=le|", "attribute value", "le"],
    ['<p style="col|', "property", "col"],
    ["<style>p { col|</style>", "property", "col"],
    ["<style>h|</style>", "selector", "h"],
  ])("%s", (written, kind, typed) => {
    expect(at(written, "index.html")).toMatchObject({ kind, typed, from: written.indexOf("|") - typed.length });
  });

  test.each(['<p style="color: red /* |">a</p>', "<p>wor|ds", '<p class="a"|', "a < b |"])(
    "nothing in %s",
    (written) => {
      expect(at(written, "index.html")).toBeNull();
    },
  );

  test("a value in a style attribute stands in no rule", () => {
    expect(at('<p style="color: da|">', "index.html")).toMatchObject({ kind: "value", property: "color", rule: null });
  });
});
