import { describe, expect, test } from "vitest";
import { applyChanges } from "../source/changes";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { newRule } from "./newRule";
import { rulePlaces } from "./rulePlaces";

const sheet = `/* Ground */
body { margin: 0 }

/* ---- Headings ---- */
h1 {
  color: navy;
}
h2 {
  color: navy;
}

/* The bar */
.nav a { color: white }
`;

/** A sheet with a rule put at the place that is proposed, or one of the others. */
function written(text: string, selector: string, at = 0, path = "ferry.css"): string {
  const from = site({ [path]: text });
  const place = rulePlaces(from, path, selector)[at]!;
  return applyChanges(text, newRule(from, path, selector, [["color", "red"]], place.behind ?? undefined));
}

describe("where a new rule goes", () => {
  test("the places: behind its kind, under the comments, at the end", () => {
    expect(
      rulePlaces(site({ "ferry.css": sheet }), "ferry.css", "h3").map(({ kind, name, line }) => [kind, name, line]),
    ).toEqual([
      ["behind its kind", "h2", 8],
      ["under a comment", "Ground", 2],
      ["under a comment", "Headings", 8],
      ["at the end", "", 0],
    ]);
  });

  test("behind the last rule of its kind, parted as the others are", () => {
    expect(written(sheet, "h3")).toContain("h2 {\n  color: navy;\n}\nh3 {\n  color: red;\n}\n\n/* The bar */");
    expect(written(sheet, "p", 0)).toContain("body { margin: 0 }\n\np {\n  color: red;\n}\n\n/* ---- Headings");
  });

  test("by class before tag", () => {
    const text = ".lead { color: navy }\n\np { color: navy }\n\nul { color: navy }\n";
    expect(rulePlaces(site({ "a.css": text }), "a.css", "p.lead")[0]).toMatchObject({ name: ".lead", line: 1 });
    expect(rulePlaces(site({ "a.css": text }), "a.css", "main p")[0]).toMatchObject({ name: "p", line: 3 });
  });

  test("a heading behind a rule that is about a heading among others", () => {
    const text = "p { top: 0 }\nh1, .banner { top: 0 }\nul { top: 0 }\n";
    expect(rulePlaces(site({ "a.css": text }), "a.css", "h3")[0]).toMatchObject({ name: "h1, .banner", line: 2 });
  });

  test("at the end where nothing is like it", () => {
    expect(rulePlaces(site({ "a.css": "ul { top: 0 }" }), "a.css", "h1")).toEqual([
      { kind: "at the end", name: "", line: 0, behind: null },
    ]);
    expect(rulePlaces(site({ "a.css": "" }), "a.css", "h1")).toHaveLength(1);
    expect(rulePlaces(site({}), "none.css", "h1")).toHaveLength(1);
  });

  test("in a minified sheet on its one line", () => {
    expect(written("h1{top:0}h2{top:0}p{top:0}", "h3")).toBe("h1{top:0}h2{top:0}h3{color:red}p{top:0}");
  });

  test("with the line ends of the sheet", () => {
    expect(written("h1 {\r\n  top: 0;\r\n}\r\n\r\np {\r\n  top: 0;\r\n}\r\n", "h2")).toBe(
      "h1 {\r\n  top: 0;\r\n}\r\n\r\nh2 {\r\n  color: red;\r\n}\r\n\r\np {\r\n  top: 0;\r\n}\r\n",
    );
  });

  test("behind a rule that only the end of the sheet closes, which is closed first", () => {
    const from = site({ "a.css": "h1 { top: 0 }\nh2 { top: 0" });
    const [change] = newRule(from, "a.css", "p", [["color", "red"]], 14);
    expect(change!.insert).toBe("}\n\np {\n  color: red;\n}\n");
  });

  test("what is not there any more is said", () => {
    const from = site({ "a.css": sheet });
    expect(() => newRule(from, "a.css", "p", [["color", "red"]], 3)).toThrow("Nothing that a rule could come behind");
  });
});

describe("a page that embeds no sheet", () => {
  const put = (text: string) =>
    applyChanges(text, newRule(site({ "index.html": text }), "index.html", "p", [["color", "red"]]));

  test("gets one in its head, before which nothing else changes", () => {
    expect(put("<!doctype html>\n<html>\n<head>\n  <title>Fares</title>\n</head>\n<body><p>x</body></html>")).toBe(
      "<!doctype html>\n<html>\n<head>\n  <title>Fares</title>\n  <style>\np {\n  color: red;\n}\n</style>\n</head>\n<body><p>x</body></html>",
    );
  });

  test("inside of an empty head", () => {
    expect(put("<html><head></head><body>")).toBe(
      "<html><head>\n<style>\np {\n  color: red;\n}\n</style></head><body>",
    );
  });

  test.each([
    "<p>x",
    "<!DOCTYPE html>\r\n<P>x",
    "<html><p>x",
    "<head></head><p>x",
    "<style media=print>p{top:0}</style><p>x",
  ])("%s", (text) => {
    const after = put(text);
    const own = textFile(site({ "index.html": after }), "index.html")!.text;
    expect(own).toContain("color: red;");
    const [change] = newRule(site({ "index.html": text }), "index.html", "p", [["color", "red"]]);
    expect(after.replace(change!.insert, "")).toBe(text);
  });
});
