import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { sheetsOfPage } from "../source/html/sheets";
import { changeSite, pagesOf, textFile, withFiles, type Site } from "../source/site";
import { site } from "../testing/site";
import { planSheetEdit, type SheetEdit } from "./sheetLinks";
import { runs } from "../testing/runs";

const after = (from: Site, edit: SheetEdit): Site => {
  const { changes, files } = planSheetEdit(from, edit);
  return changeSite(withFiles(from, files), changes);
};
const text = (from: Site, path: string) => textFile(from, path)?.text ?? null;
const read = (from: Site, path: string) =>
  sheetsOfPage(from, textFile(from, path)!).owners.flatMap(({ sheets }) => sheets.map((sheet) => sheet.path));

const link = (href: string) => `<link rel="stylesheet" href="${href}">`;
const sheets = { "css/a.css": "p{top:0}", "css/b.css": "p{top:1px}" };

describe("a link to a sheet", () => {
  test.each([
    [
      "behind the others",
      `<head>\r\n  ${link("../css/a.css")}\r\n</head>`,
      `<head>\r\n  ${link("../css/a.css")}\r\n  ${link("../css/b.css")}\r\n</head>`,
    ],
    [
      "at the end of a head",
      "<head>\n  <title>x</title>\n</head>",
      `<head>\n  <title>x</title>\n  ${link("../css/b.css")}\n</head>`,
    ],
    ["where there is no head", "<p>x", `${link("../css/b.css")}\n<p>x`],
    ["where there is nothing but a doctype", "<!DOCTYPE html>\n<p>x", `<!DOCTYPE html>\n${link("../css/b.css")}\n<p>x`],
    [
      "as the page writes its quotes",
      "<HEAD><LINK REL='stylesheet' HREF='../css/a.css'></HEAD>",
      "<HEAD><LINK REL='stylesheet' HREF='../css/a.css'><link rel='stylesheet' href='../css/b.css'></HEAD>",
    ],
    ["as its base has it", '<head><base href="/css/"></head>', `<head><base href="/css/">\n${link("b.css")}</head>`],
  ])("is written %s", (_, page, written) => {
    const now = after(site({ "guide/x.html": page, ...sheets }), {
      kind: "link",
      sheet: "css/b.css",
      pages: ["guide/x.html"],
    });
    expect(text(now, "guide/x.html")).toBe(written);
    expect(read(now, "guide/x.html")).toContain("css/b.css");
  });
  const two = site({ "x.html": `<head>\n  ${link("css/a.css")}\n  ${link("css/b.css?2")}\n</head>`, ...sheets });
  test("is taken off with its line", () =>
    expect(text(after(two, { kind: "unlink", sheet: "css/a.css", pages: ["x.html"] }), "x.html")).toBe(
      `<head>\n  ${link("css/b.css?2")}\n</head>`,
    ));
  test("changes places with its neighbour", () =>
    expect(read(after(two, { kind: "move", sheet: "css/b.css", pages: ["x.html"], by: -1 }), "x.html")).toEqual([
      "css/b.css",
      "css/a.css",
    ]));
  test("is neither written twice, nor moved beyond the ends, nor taken off where there is none", () => {
    expect(() => after(two, { kind: "link", sheet: "css/a.css", pages: ["x.html"] })).toThrow("already");
    expect(() => after(two, { kind: "move", sheet: "css/a.css", pages: ["x.html"], by: -1 })).toThrow("first");
    expect(() => after(two, { kind: "unlink", sheet: "css/c.css", pages: ["x.html"] })).toThrow("no link");
  });
});

describe("on several pages", () => {
  const page = `<head>\n  ${link("css/a.css")}\n</head>`;
  const from = site({ "x.html": page, "y.html": page, "z.html": "<p>z", ...sheets });
  const pages = ["x.html", "y.html", "z.html"];

  test("a sheet is linked, read earlier and taken off wherever that can be", () => {
    const linked = after(from, { kind: "link", sheet: "css/b.css", pages });
    expect(pages.map((path) => read(linked, path))).toEqual([
      ["css/a.css", "css/b.css"],
      ["css/a.css", "css/b.css"],
      ["css/b.css"],
    ]);
    const earlier = after(linked, { kind: "move", sheet: "css/b.css", pages, by: -1 });
    expect(read(earlier, "y.html")).toEqual(["css/b.css", "css/a.css"]);
    expect(text(after(earlier, { kind: "unlink", sheet: "css/b.css", pages }), "y.html")).toBe(page);
    expect(() => after(from, { kind: "link", sheet: "css/a.css", pages: ["x.html", "y.html"] })).toThrow("already");
    expect(() => after(from, { kind: "link", sheet: "css/a.css", pages: [] })).toThrow("no page");
  });

  test("a new one is read before the others", () => {
    const now = after(from, { kind: "new", sheet: "base.css", pages, first: true });
    expect(read(now, "x.html")).toEqual(["base.css", "css/a.css"]);
    expect(read(now, "z.html")).toEqual(["base.css"]);
  });

  test("for whom it is, is written and taken back", () => {
    const use = { kind: "use", sheet: "css/a.css", pages: ["x.html", "y.html"] } as const;
    const now = after(from, { ...use, media: "print", alternative: "Large" });
    expect(text(now, "x.html")).toBe(
      '<head>\n  <link rel="alternate stylesheet" href="css/a.css" title="Large" media="print">\n</head>',
    );
    expect(text(after(now, { ...use, media: null, alternative: null }), "x.html")).toBe(page);
    const screen = after(now, { ...use, media: "screen and (width > 40em)", alternative: null });
    expect(text(screen, "y.html")).toContain('href="css/a.css" media="screen and (width > 40em)"');
  });
});

describe("a sheet", () => {
  const from = site({
    "index.html": `<head>${link("css/a.css#x")}</head><style>@import "css/a.css";</style>`,
    "guide/x.html": link("../css/a.css"),
    "css/a.css":
      '/* url(b.css) */ @import "b.css"; @import url("../fonts.css?3"); p { background: url(quay.png) } i { background: url("/root.png"), url(data:,) }',
    "css/b.css": "@import url(a.css);",
  });
  test("is made and linked", () => {
    const now = after(from, { kind: "new", sheet: "css/new.css", pages: ["index.html", "guide/x.html"], first: false });
    expect(text(now, "css/new.css")).toBe("");
    for (const { path } of pagesOf(now)) expect(read(now, path)).toContain("css/new.css");
  });
  test("is renamed with all that asks for it, and what it asks for", () => {
    const now = after(from, { kind: "rename", sheet: "css/a.css", to: "styles/main.css" });
    expect(text(now, "css/a.css")).toBeNull();
    expect(text(now, "styles/main.css")).toBe(
      '/* url(b.css) */ @import "../css/b.css"; @import url("../fonts.css?3"); p { background: url(../css/quay.png) } i { background: url("/root.png"), url(data:,) }',
    );
    expect(text(now, "index.html")).toBe(
      `<head>${link("styles/main.css#x")}</head><style>@import "styles/main.css";</style>`,
    );
    expect(text(now, "guide/x.html")).toBe(link("../styles/main.css"));
    expect(text(now, "css/b.css")).toBe("@import url(../styles/main.css);");
  });
  test("is deleted with its links and imports", () => {
    const now = after(from, { kind: "delete", sheet: "css/a.css" });
    expect(text(now, "guide/x.html")).toBe("");
    expect(text(now, "css/a.css")).toBeNull();
    expect(text(now, "css/b.css")).toBe("");
    expect(text(now, "index.html")).toBe("<head></head><style></style>");
  });
  test.each([
    ["css/b.css", "among the files already"],
    ["CSS/B.css", "among the files already"],
    ["new", "new.css would do"],
    ['a"b.css', "cannot be the name"],
    [" ", "cannot be the name"],
  ])("is not called %j", (to, why) =>
    expect(() => after(from, { kind: "rename", sheet: "css/a.css", to })).toThrow(why),
  );
});

test("what is linked is read, and once it is taken off the page is as before, byte for byte", () => {
  const part = fc.constantFrom(
    "<head>",
    "</head>",
    "<body>",
    "<title>x</title>",
    link("css/a.css"),
    "\n",
    "\r\n",
    "  ",
    "<!-- x -->",
    "<style>p{}</style>",
    "<p>x</p>",
    "<!doctype html>",
    "<html>",
    "<meta charset=utf-8>",
  );
  fc.assert(
    fc.property(fc.array(part, { maxLength: 12 }), (parts) => {
      const from = site({ "x.html": parts.join(""), ...sheets });
      const now = after(from, { kind: "link", sheet: "css/b.css", pages: ["x.html"] });
      expect(read(now, "x.html")).toContain("css/b.css");
      const back = text(after(now, { kind: "unlink", sheet: "css/b.css", pages: ["x.html"] }), "x.html")!;
      expect(back.replace(/\s/g, "")).toBe(parts.join("").replace(/\s/g, ""));
    }),
    runs(300),
  );
});
