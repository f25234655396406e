import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { changeSite, textFile, type Site } from "../source/site";
import { finished } from "../source/steps";
import { site } from "../testing/site";
import { attributesIntoSheet } from "./attributesIntoSheet";
import { headIntoSheet, sheetIntoHead } from "./intoSheet";
import { differenceSteps } from "./proof";
import type { TextChange } from "../source/changes";

const text = (from: Site, path: string) => textFile(from, path)!.text;
const differing = (from: Site, changes: readonly TextChange[]) =>
  finished(differenceSteps(from, changeSite(from, changes), changes, defaultConditions)).length;

const link = '<link rel="stylesheet" href="a.css">';

describe("rules of a page's head", () => {
  const from = site({
    "index.html": `<head>\r\n  ${link}\r\n  <style>\r\n    h1 { color: red }\r\n    @media print {\r\n      h1 { color: black }\r\n    }\r\n  </style>\r\n  <style media="print">p{top:0}</style>\r\n</head><h1>x</h1>`,
    "other.html": `${link}<p>y</p>`,
    "a.css": "p { top: 0 }\n",
  });
  test("go to the end of a sheet, and leave nothing behind", () => {
    const changes = headIntoSheet(from, "index.html", "a.css");
    const now = changeSite(from, changes);
    expect(text(now, "a.css")).toBe("p { top: 0 }\n\nh1 { color: red }\n@media print {\n  h1 { color: black }\n}\n");
    expect(text(now, "index.html")).toBe(
      `<head>\r\n  ${link}\r\n  <style media="print">p{top:0}</style>\r\n</head><h1>x</h1>`,
    );
    expect(differing(from, changes)).toBe(0);
  });
  test("ask for the same pictures from where they go", () => {
    const page = site({
      "guide/x.html": '<style>p { background: url(quay.png) }</style><p style="background: url(sea.png)">x</p>',
      "css/a.css": "",
    });
    expect(text(changeSite(page, headIntoSheet(page, "guide/x.html", "css/a.css")), "css/a.css")).toBe(
      "p { background: url(../guide/quay.png) }\n",
    );
    expect(text(changeSite(page, attributesIntoSheet(page, "guide/x.html", "css/a.css")), "css/a.css")).toContain(
      "background: url(../guide/sea.png);",
    );
  });
  test("are told to reach other pages, where they do", () => {
    const other = changeSite(from, [
      { path: "other.html", start: link.length, end: link.length, insert: "<h1>z</h1>" },
    ]);
    expect(differing(other, headIntoSheet(other, "index.html", "a.css"))).toBe(1);
  });
  test("stay where they import, or where there are none", () => {
    const page = site({ "index.html": '<style>@import "b.css"; p{top:0}</style>', "a.css": "" });
    expect(() => headIntoSheet(page, "index.html", "a.css")).toThrow("no rules in its head");
  });
});

describe("a sheet", () => {
  const from = site({
    "guide/x.html": '<head>\r\n  <link rel=stylesheet href="../a.css" media=screen>\r\n</head><p>x',
    "a.css": "p { background: url(quay.png) }\n",
    "b.css": '@import "a.css";',
  });
  test("goes into a page's head, where its link stood", () => {
    const changes = sheetIntoHead(from, "guide/x.html", "a.css");
    expect(text(changeSite(from, changes), "guide/x.html")).toBe(
      '<head>\r\n  <style media="screen">\r\np { background: url(../quay.png) }\r\n</style>\r\n</head><p>x',
    );
  });
  test("stays where the page does not link to it, or it imports", () => {
    expect(() => sheetIntoHead(from, "guide/x.html", "b.css")).toThrow("no link to b.css");
    const other = site({ "x.html": "<link rel=stylesheet href=b.css>", "b.css": '@import "a.css";' });
    expect(() => sheetIntoHead(other, "x.html", "b.css")).toThrow("@import");
  });
});
