import { describe, expect, test } from "vitest";
import { changeSite, textFile, type Site } from "../source/site";
import { site } from "../testing/site";
import { documentOf } from "../source/html/document";
import { classNameFor, gatherAttributes, gatherRules } from "./gather";
import { EditError } from "./types";

const text = (from: Site, path: string) => textFile(from, path)!.text;

describe("rules made one", () => {
  const gathered = (css: string, into: "first" | "last") => {
    const from = site({ "a.css": css });
    const starts = [...css.matchAll(/\.[ab]\b/g)].map(({ index }) => index);
    return text(changeSite(from, gatherRules(from, "a.css", starts, into)), "a.css");
  };
  const three = ".a {\n  top: 0;\n}\n\n/* Boats */\nh1 {\n  top: 1px;\n}\n\n.b {\n  top: 0;\n}\n";
  test("where the first stands", () =>
    expect(gathered(three, "first")).toBe(".a, .b {\n  top: 0;\n}\n\n/* Boats */\nh1 {\n  top: 1px;\n}\n"));
  test("where the last stands", () =>
    expect(gathered(three, "last")).toBe("/* Boats */\nh1 {\n  top: 1px;\n}\n\n.a, .b {\n  top: 0;\n}\n"));
  test("with the list broken into lines as it is", () =>
    expect(gathered(".a,\r\nh2 { top: 0 }\r\n.b { top: 0 }\r\n", "first")).toBe(".a,\r\nh2,\r\n.b { top: 0 }\r\n"));
  test("in one line", () =>
    expect(gathered(".a{top:0}h1{top:1px}.b{top:0}", "first")).toBe(".a, .b{top:0}h1{top:1px}"));
});

describe("style attributes made a class", () => {
  const from = site({
    "index.html": `<link rel=stylesheet href=a.css>\n<P Style='color: red; top: 0 !important'>One</P>\n<p class=lead style="color: red; top: 0 !important">Two</p>`,
    "a.css": "p { top: 0 }\n",
  });
  const { elements } = documentOf(textFile(from, "index.html")!);
  const refs = elements
    .filter(({ attributes }) => attributes.has("style"))
    .map(({ index }) => ({ page: "index.html", index }));
  test("in the page and in its sheet", () => {
    const after = changeSite(from, gatherAttributes(from, refs, "a.css", "fare"));
    expect(text(after, "index.html").split("\n").slice(1)).toEqual([
      '<P class="fare">One</P>',
      '<p class="lead fare">Two</p>',
    ]);
    expect(text(after, "a.css")).toBe("p { top: 0 }\n\n.fare {\n  color: red;\n  top: 0 !important;\n}\n");
  });
  test("not where there is none", () =>
    expect(() => gatherAttributes(from, [{ page: "index.html", index: 0 }], "a.css", "fare")).toThrow(EditError));
  test("called by what they are and where they stand, as nothing else is", () => {
    const page = site({ "index.html": '<div id="Notes"><p>One</p></div><ul class="fare-list"><li>Two</li></ul>' });
    const all = documentOf(textFile(page, "index.html")!).elements;
    const name = (tag: string, taken: string[] = []) =>
      classNameFor(
        all.filter((one) => one.tag === tag),
        (one) => taken.includes(one),
      );
    expect(name("p")).toBe("notes-text");
    expect(name("li")).toBe("fare-list-item");
    expect(name("li", ["fare-list-item"])).toBe("fare-list-item-2");
    expect(name("ul")).toBe("ul");
    const year = site({ "index.html": '<div id="2026"><p>One</p></div>' });
    expect(
      classNameFor([documentOf(textFile(year, "index.html")!).elements.find(({ tag }) => tag === "p")!], () => false),
    ).toBe("text-2026-text");
  });
});
