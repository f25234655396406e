import { expect, test } from "vitest";
import { site } from "../testing/site";
import { outlineAfter } from "./outline";

const from = site({ "index.html": "<h1>Fares</h1><p>Winter</p><h2>Dogs <em>too</em></h2>", "a.css": "p{}" });
const put = (from: string, to: string, text: string) => {
  const start = text.indexOf(from);
  return { path: "index.html", start, end: start + from.length, insert: to };
};
const page = "<h1>Fares</h1><p>Winter</p><h2>Dogs <em>too</em></h2>";

test("the headings as they come to be", () => {
  expect(outlineAfter(from, [put("<p>Winter</p>", "<h2>Winter</h2>", page)])).toEqual({
    page: "index.html",
    headings: [
      { level: 1, words: "Fares" },
      { level: 2, words: "Winter" },
      { level: 2, words: "Dogs" },
    ],
    warnings: [],
  });
});

test("a level that comes to be left out, and a page without a first one", () => {
  expect(outlineAfter(from, [put("<p>Winter</p>", "<h4>Winter</h4>", page)])!.warnings).toEqual([
    "Level 2 is left out before “Winter”.",
  ]);
  expect(outlineAfter(from, [put("<h1>Fares</h1>", "<p>Fares</p>", page)])!.warnings).toEqual([
    "No heading of level 1 is left.",
  ]);
});

test("what was left out before is not told again", () => {
  const before = "<h1>Fares</h1><h3>Dogs</h3><p>Cats</p>";
  const other = site({ "index.html": before });
  const start = before.indexOf("<p>");
  const change = { path: "index.html", start, end: before.length, insert: "<h3>Cats</h3>" };
  expect(outlineAfter(other, [change])!.warnings).toEqual([]);
});

test("nothing where the outline stays", () => {
  expect(outlineAfter(from, [{ path: "a.css", start: 0, end: 0, insert: "i{}" }])).toBeNull();
  expect(outlineAfter(from, [put("<em>", "<b>", page), put("</em>", "</b>", page)])).toBeNull();
});

test("a page's outline is found behind changes of sheets and of pages that keep theirs", () => {
  const both = site({ "a.css": "p { color: red }", "b.html": "<h1>Tern</h1>", "c.html": "<h1>Gull</h1><p>Fares</p>" });
  const start = "<h1>Gull</h1>".length;
  const changes = [
    { path: "a.css", start: 0, end: 1, insert: "h1" },
    { path: "b.html", start: 4, end: 8, insert: "Tern" },
    { path: "c.html", start, end: start + "<p>Fares</p>".length, insert: "<h2>Fares</h2>" },
  ];
  expect(outlineAfter(both, changes)).toMatchObject({ page: "c.html", headings: [{ level: 1 }, { level: 2 }] });
});
