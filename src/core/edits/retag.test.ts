import { describe, expect, test } from "vitest";
import { changeSite, textFile, type Site } from "../source/site";
import { documentOf } from "../source/html/document";
import { site } from "../testing/site";
import { alikeOf, otherTags, retag } from "./retag";

const page =
  '<main><P class="head" title="a > b">Fares</P >\n<p class=head>Piers</p><p>x <em>y</em></p><p>left open<div>z</div></main>';
const from = site({ "index.html": page, "other.html": "<p class=head>Dogs</p>" });
const all = documentOf(textFile(from, "index.html")!).elements;
const nth = (tag: string, at = 0) => all.filter((one) => one.tag === tag)[at]!;
const text = (of: Site, path = "index.html") => textFile(of, path)!.text;

describe("what an element is", () => {
  test("is changed in its tags alone", () => {
    const now = changeSite(from, retag(from, [{ page: "index.html", index: nth("p").index }], "h2"));
    expect(text(now)).toBe(
      page.replace('<P class="head" title="a > b">Fares</P >', '<H2 class="head" title="a > b">Fares</H2 >'),
    );
  });
  test("is changed for all that are alike, on every page", () => {
    const refs = alikeOf(from, { page: "index.html", index: nth("p").index });
    expect(refs.map(({ page: one }) => one)).toEqual(["index.html", "index.html", "other.html"]);
    const now = changeSite(from, retag(from, refs, "h3"));
    expect(text(now)).toContain("<h3 class=head>Piers</h3>");
    expect(text(now, "other.html")).toBe("<h3 class=head>Dogs</h3>");
  });
  test("is another of its kind, where its tags are written", () => {
    expect(otherTags(nth("em"))).toContain("strong");
    expect(otherTags(nth("em"))).not.toContain("p");
    expect(otherTags(nth("p", 3))).toEqual(["ul", "ol"]);
    expect(otherTags(nth("div"))).toContain("p");
    expect(otherTags(nth("main"))).toEqual([]);
    expect(() => retag(from, [{ page: "index.html", index: nth("em").index }], "h2")).toThrow("cannot be made h2");
  });
});
