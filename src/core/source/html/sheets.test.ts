import { describe, expect, test } from "vitest";
import { site } from "../../testing/site";
import { textFile, type Site } from "../site";
import { sheetsOfPage } from "./sheets";

const found = (from: Site, path = "a/page.html") => {
  const { owners, missing } = sheetsOfPage(from, textFile(from, path)!);
  return { sheets: owners.flatMap((owner) => owner.sheets).map(({ kind, path }) => `${kind} ${path}`), missing };
};

const files = { "a/s.css": "", "css/main.css": "", "css/part.css": "", "root.css": "" };

describe("the sheets of a page are found as a browser finds them", () => {
  test.each<[string, string, string[]]>([
    ["relative", '<link rel=stylesheet href="s.css">', ["linked a/s.css"]],
    ["one folder up, with a query", '<link rel="stylesheet" href="../css/main.css?v=2#x">', ["linked css/main.css"]],
    ["root-relative", '<link rel="StyleSheet" href="/root.css">', ["linked root.css"]],
    ["base", '<base href="../css/"><link rel=stylesheet href=main.css>', ["linked css/main.css"]],
    ["disabled", '<link rel=stylesheet href="s.css" disabled>', []],
    ["another type", '<link rel=stylesheet type="text/less" href="s.css">', []],
    [
      "alternates stay out",
      '<link rel=stylesheet title=A href="s.css"><link rel="alternate stylesheet" title=B href="/root.css">',
      ["linked a/s.css"],
    ],
    [
      "only the first named set counts",
      '<link rel=stylesheet title=A href="s.css"><link rel=stylesheet title=B href="/root.css">',
      ["linked a/s.css"],
    ],
    [
      "what comes into force in no case names no set",
      `<link rel=stylesheet title=B href="/root.css" disabled><link rel=stylesheet title=B href="">
      <link rel=stylesheet title=B href="/root.css" type="text/less"><style title=B type="text/plain"></style>
      <link rel="alternate stylesheet" title=B href="/root.css"><link rel=stylesheet title=A href="s.css">`,
      ["linked a/s.css"],
    ],
    [
      "embedded and linked in order",
      '<style>a{}</style><link rel=stylesheet href="s.css">',
      ["embedded a/page.html", "linked a/s.css"],
    ],
    ["no sheet", "<p>x", []],
  ])("%s", (_, html, expected) => {
    expect(found(site({ ...files, "a/page.html": html })).sheets).toEqual(expected);
  });

  test("imports come before the sheet that imports them, however deep", () => {
    const result = found(
      site({
        "a/page.html": '<link rel=stylesheet href="../css/main.css">',
        "css/main.css":
          '@charset "utf-8"; @layer x; @import url(part.css) layer(x) screen; @import "main.css"; a{} @import "late.css";',
        "css/part.css": '@import "../root.css" supports(display: grid);',
        "root.css": "",
      }),
    );
    expect(result.sheets).toEqual(["imported root.css", "imported css/part.css", "linked css/main.css"]);
    expect(result.missing.map(({ why }) => why)).toEqual(["imports itself"]);
  });

  test("after an import that leads nowhere, or back, others count", () => {
    const { sheets, missing } = found(
      site({
        "a/page.html": '<link rel=stylesheet href="../css/main.css">',
        "css/main.css": '@import ; @import "main.css"; @import "gone.css"; @import "part.css"; @import "again.css";',
        "css/part.css": '@import "main.css"; @import "again.css";',
        "css/again.css": "",
      }),
    );
    const again = "imported css/again.css";
    expect(sheets).toEqual([again, "imported css/part.css", again, "linked css/main.css"]);
    expect(missing.map(({ path, address, why }) => [path, address, why])).toEqual([
      ["css/main.css", "main.css", "imports itself"],
      ["css/main.css", "gone.css", "not among the files"],
      ["css/part.css", "main.css", "imports itself"],
    ]);
  });

  test("a missing sheet is named with where it is asked for and the nearest file", () => {
    const html = '<p>\n<link rel=stylesheet href="../css/mian.css">';
    const { missing } = found(site({ ...files, "a/page.html": html }));
    expect(missing).toEqual([
      {
        path: "a/page.html",
        offset: 4,
        address: "../css/mian.css",
        target: "css/mian.css",
        why: "not among the files",
        nearest: "css/main.css",
      },
    ]);
  });

  test("remote sheets are named and left out", () => {
    const { sheets, missing } = found(
      site({
        "a/page.html":
          '<link rel=stylesheet href="//far.example/x.css"><style>@import "https://far.example/y.css"; a{}</style>',
      }),
    );
    expect(sheets).toEqual(["embedded a/page.html"]);
    expect(missing.map(({ why }) => why)).toEqual(["remote", "remote"]);
  });
});
