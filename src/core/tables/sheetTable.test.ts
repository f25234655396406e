import { expect, test } from "vitest";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { sheetOutlineSteps } from "./sheetOutline";
import { sheetTable } from "./sheetTable";

const from = site({
  "index.html":
    '<link rel=stylesheet href=a.css>\n<link rel=stylesheet href=b.css><link rel=stylesheet href=C.css><style>p{top:0}i{top:0}</style><h2>Fares</h2><p style="color:red">x</p><a href="#">y</a>',
  "x.html": "<link rel=stylesheet href=b.css><p>x</p>",
  "a.css":
    "/* == Ground rules == */\np { top: 0; top: 1px; color: red }\n\n/* Headings\n * of all kinds */\nh2 { top: 0 }\n@media print { a:hover { top: 0; i & { top: 2px } } }\n.none { top: 0 }",
  "b.css": "@import 'd.css'; p{top:0}",
  "d.css": "p{top:0}",
  "c.css": "p{top:0}",
});

test("sheets stand in the order they are read, pages across", () => {
  const { pages, rows } = sheetTable(from);
  expect(pages).toEqual(["index.html", "x.html"]);
  const shown = rows.map(({ kind, path, near, cells }) => [
    kind,
    path,
    near,
    ...cells.map((cell) => cell && (cell.order ?? cell.count ?? `line ${cell.line}`)),
  ]);
  expect(shown).toEqual([
    ["sheet", "a.css", null, 1, null],
    ["sheet", "d.css", null, 2, 1],
    ["sheet", "b.css", null, 3, 2],
    ["sheet", "c.css", null, null, null],
    ["missing", "C.css", "c.css", "line 2", null],
    ["head", "", null, 2, null],
    ["elements", "", null, 1, null],
  ]);
  expect(rows.find(({ path }) => path === "d.css")!.cells.map((cell) => cell!.linked)).toEqual([false, false]);
  expect(rows.find(({ path }) => path === "a.css")).toMatchObject({ rules: 5, cells: [{ line: 1 }, null] });
});

test("a sheet's rules stand under the comments over them, with how many elements each reaches", () => {
  const outline = finished(sheetOutlineSteps(from, "a.css"));
  expect(
    outline.map(({ heading, rules }) => [heading, ...rules.map(({ selector, places }) => `${selector} ${places}`)]),
  ).toEqual([
    ["Ground rules", "p 1"],
    ["Headings", "h2 1", "a:hover 1", "i & 0", ".none 0"],
  ]);
  const [, { rules }] = outline as [unknown, (typeof outline)[number]];
  expect(rules[1]).toMatchObject({ under: ["@media print"], line: 7, first: { page: "index.html" } });
  expect(rules[2]!.under).toEqual(["@media print", "a:hover"]);
  expect(outline[0]!.rules[0]!.properties).toEqual(["top", "color"]);
});

test("a rule reaches what stands on pages that read its sheet, in what it is nested in, and in its scope", () => {
  const css =
    ".card { color: #111; .title { top: 0 } > :hover { top: 0 } }\n@scope (.card) to (footer) { b { top: 0 } }\n" +
    "a:not(:hover, :focus) { top: 0 }\na:hover:not(:focus) { top: 0 }\np:not(:hover, .other) { top: 0 }\n" +
    ":is(h2:hover, h3)::before { top: 0 }\ninput::file-selector-button { top: 0 }\n.TITLE { top: 0 }\n.a:b { top: 0 }\np { i { top: 0 } }";
  const body =
    '<div class="card"><p class="title">x</p><b>y</b><footer><b>z</b></footer></div><p class="title">x</p><b>y</b><a href="#">x</a><h2>x</h2><input type="file">';
  const of = site({
    "index.html": `<!doctype html><link rel=stylesheet href=a.css><link rel=stylesheet href=a.css>${body}`,
    "main.html": `<style>@import url(a.css); b { top: 0 }</style><style>p { top: 0 }</style>${body}<aside><style>@scope { b { top: 0 } }</style><b>x</b></aside><style>i { top: 0 }</style>`,
    "other.html": body,
    "a.css": css,
  });
  const reach = (path: string) =>
    finished(sheetOutlineSteps(of, path)).flatMap(({ rules }) =>
      rules.map(({ selector, places, first }) => [selector, places, first?.page ?? null]),
    );
  expect(reach("a.css")).toEqual([
    [".card", 2, "index.html"],
    [".title", 2, "index.html"],
    ["> :hover", 6, "index.html"],
    ["b", 2, "index.html"],
    ["a:not(:hover, :focus)", 2, "index.html"],
    ["a:hover:not(:focus)", 2, "index.html"],
    ["p:not(:hover, .other)", 4, "index.html"],
    [":is(h2:hover, h3)::before", 2, "index.html"],
    ["input::file-selector-button", 2, "index.html"],
    [".TITLE", 2, "main.html"],
    [".a:b", 0, null],
    ["p", 4, "index.html"],
    ["i", 0, null],
  ]);
  expect(reach("main.html")).toEqual([
    ["b", 4, "main.html"],
    ["p", 2, "main.html"],
    ["b", 1, "main.html"],
    ["i", 0, null],
  ]);
});

test("what a link says of whom it is for; an alternative is there to be chosen", () => {
  const { rows } = sheetTable(
    site({
      "index.html":
        '<link rel=stylesheet href=a.css media=print><link rel="alternate stylesheet" title="Large" href=b.css><p>x',
      "a.css": "",
      "b.css": "",
    }),
  );
  expect(rows.map(({ path, cells }) => [path, cells[0]?.order, cells[0]?.media, cells[0]?.alternative])).toEqual([
    ["a.css", 1, "print", null],
    ["b.css", null, null, "Large"],
  ]);
});
