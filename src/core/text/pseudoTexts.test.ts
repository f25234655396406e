import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { computedValue } from "../cascade/style";
import { stylePage } from "../cascade/styles";
import { textFile } from "../source/site";
import { pageWith } from "../testing/site";
import { pseudoTexts, wordsOf } from "./pseudoTexts";
import { textsOf } from "./pageTexts";

function textsOn(css: string, body: string) {
  const site = pageWith(css, body);
  return pseudoTexts(stylePage(site, textFile(site, "index.html")!, defaultConditions));
}

/** The only text of a pseudo-element on a page. */
function only(css: string, body: string) {
  const texts = textsOn(css, body);
  expect(texts).toHaveLength(1);
  return texts[0]!;
}

test.each([
  ["p::first-line", "<p>Sea", "opacity: 0.5", "opacity", "0.5"],
  ["p::first-line", "<p>Sea", "margin-top: 5px", "margin-top", "0px"],
  ["p::first-line", "<p>Sea", "white-space: nowrap", "text-wrap-mode", "wrap"],
  ["p::first-line", "<p>Sea", "font: italic 30px/2 serif", "line-height", "60px"],
  ["p::first-letter", "<p>Sea", "margin-top: 5px", "margin-top", "5px"],
  ["p::first-letter", "<p>Sea", "direction: rtl", "direction", "ltr"],
  ["p::first-letter", "<p>Sea", "border-collapse: collapse", "border-collapse", "separate"],
  ["li::marker", "<li>Sea", "opacity: 0.5", "opacity", "1"],
  ["li::marker", "<li>Sea", "background: red", "background-color", "rgba(0, 0, 0, 0)"],
  ["li::marker", "<li>Sea", "direction: rtl", "direction", "rtl"],
  ["li::marker", "<li style='text-align: right'>Sea", "color: red", "text-align", "start"],
  ["p::before", "<p>Sea", "content: 'x'; opacity: 0.5; margin: 5px", "margin-top", "5px"],
])("%s of %s with %s: %s is %s", (selector, body, declaration, property, value) => {
  expect(computedValue(only(`${selector} { ${declaration} }`, body).style, property)).toBe(value);
});

test.each([
  ["inline", []],
  ["flex", []],
  ["grid", []],
  ["contents", []],
  ["block", ["first-line"]],
  ["inline-block", ["first-line"]],
  ["list-item", ["first-line"]],
  ["table-cell", ["first-line"]],
  ["flow-root", ["first-line"]],
])("what is %s holds %j", (display, names) => {
  const texts = textsOn(`b { display: ${display} } b::first-line { color: red }`, "<b>Sea");
  expect(texts.map(({ name }) => name)).toEqual(names);
});

test("the words of a text are those of the pseudo-element that shows them, not of what is around it", () => {
  const body = '<label>Name <input placeholder="As on your ticket"></label><p>Sea';
  const site = pageWith("p::before { content: 'By ' } p::first-letter { color: red }", body);
  const page = stylePage(site, textFile(site, "index.html")!, defaultConditions);
  expect(textsOf(page).map((style) => [style.pseudo, wordsOf(page, style)])).toEqual([
    [null, "Name"],
    ["placeholder", "As on your ticket"],
    [null, "Sea"],
    ["before", "By "],
    ["first-letter", "B"],
  ]);
});
