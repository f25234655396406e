import { expect, test } from "vitest";
import { site } from "../../testing/site";
import { textFile, type Site } from "../site";
import { documentOf } from "./document";
import { pageShapes } from "./shapes";
import { sheetsOfPage } from "./sheets";

const shapesOf = (from: Site, path: string) => {
  const file = textFile(from, path)!;
  return pageShapes(documentOf(file), sheetsOfPage(from, file)).slice(-2);
};

test("elements are shaped alike where tags and names that sheets ask for are, with all around them, on every page", () => {
  const link = "<link rel=stylesheet href=a.css>";
  const page = (body: string) => `${link}${body}`;
  const from = site({
    "a.css": ".b { top: 0 } #c { top: 0 }",
    "one.html": page("<main><p><a>x</a></p></main>"),
    "same.html": page('<main><p class="other" id="x1"><a>y</a></p></main>'),
    "class.html": page('<main><p class="b"><a>x</a></p></main>'),
    "id.html": page('<main><p id="c"><a>x</a></p></main>'),
    "around.html": page("<nav><p><a>x</a></p></nav>"),
    "tag.html": page("<main><h1><a>x</a></h1></main>"),
  });
  const one = shapesOf(from, "one.html");
  expect(shapesOf(from, "same.html")).toEqual(one);
  for (const path of ["class.html", "id.html", "around.html", "tag.html"]) {
    const [above, link] = shapesOf(from, path);
    expect([above === one[0], link === one[1]], path).toEqual([false, false]);
  }
});

test("what is read with other sheets, or under other conditions, is not shaped alike", () => {
  const body = "<main><p>x</p></main>";
  const from = site({
    "a.css": "p { top: 0 }",
    "b.css": "p { top: 1px }",
    "one.html": `<link rel=stylesheet href=a.css>${body}`,
    "same.html": `<link rel=stylesheet href=a.css>${body}`,
    "other.html": `<link rel=stylesheet href=b.css>${body}`,
    "more.html": `<link rel=stylesheet href=a.css><link rel=stylesheet href=b.css>${body}`,
    "media.html": `<link rel=stylesheet href=a.css media=print>${body}`,
    "standards.html": `<!doctype html><link rel=stylesheet href=a.css>${body}`,
  });
  const shapeOf = (path: string) => shapesOf(from, path)[1];
  expect(shapeOf("same.html")).toBe(shapeOf("one.html"));
  const shapes = ["one.html", "other.html", "more.html", "media.html", "standards.html"].map(shapeOf);
  expect(new Set(shapes).size).toBe(5);
});
