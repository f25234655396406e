import { describe, expect, test } from "vitest";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { sheetsOfPage } from "../source/html/sheets";
import { declarationAt, elementAt, fileAt, ruleAt, sheetsForNew } from "./locate";
import { EditError } from "./types";

const from = site({
  "index.html": `<style>p{color:red}</style><link rel=stylesheet href=a.css><p style="margin: 0; font: 12px 'A B'">x</p><i style="font-family: &quot;A B&quot;">y</i>`,
  "a.css":
    "@font-face { font-family: x; src: url(x) }\nh1 { color: blue; & b { top: 0 } }\n@media print { h2 { left: 0 } }\n@layer x { a { right: 0 } }",
});

describe("finding what an edit is about", () => {
  const css = textFile(from, "a.css")!.text;
  test("a rule by where it starts, in a sheet or a page", () => {
    expect(ruleAt(from, "a.css", css.indexOf("h1")).rule.preludeText).toBe("h1");
    expect(ruleAt(from, "index.html", 7).rule.preludeText).toBe("p");
  });

  test("a declaration by where it starts", () => {
    expect(declarationAt(from, "a.css", css.indexOf("color")).item).toMatchObject({ kind: "declaration" });
  });

  test.each<[string, () => unknown]>([
    ["no such file", () => fileAt(from, "b.css")],
    ["no rule there", () => ruleAt(from, "a.css", 1)],
    ["no declaration there", () => declarationAt(from, "a.css", 3)],
    ["no such element", () => elementAt(from, "index.html", 99)],
    ["not a page", () => elementAt(from, "a.css", 0)],
  ])("%s is said in words", (_, find) => expect(find).toThrow(EditError));
});

test("new rules go into linked sheets from the last on, then into those the page embeds", () => {
  const many = site({
    "index.html":
      "<link rel=stylesheet href=a.css><style>p{top:0}</style><link rel=stylesheet href=b.css><link rel=stylesheet href=print.css media=print>",
    "a.css": "@import 'c.css';",
    "b.css": "",
    "c.css": "",
    "print.css": "",
  });
  expect(sheetsForNew(sheetsOfPage(many, textFile(many, "index.html")!))).toEqual(["b.css", "a.css", "index.html"]);
});
