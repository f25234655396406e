import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { changeSite, textFile } from "../source/site";
import { documentOf } from "../source/html/document";
import { site } from "../testing/site";
import { alikeOf, otherTags, retag } from "./retag";
import { runs } from "../testing/runs";

/** A page with the first element of a tag made another. */
function made(text: string, tag: string, to: string, all = false): string {
  const from = site({ "index.html": text });
  const element = documentOf(textFile(from, "index.html")!).elements.find((one) => one.tag === tag)!;
  const ref = { page: "index.html", index: element.index };
  return textFile(changeSite(from, retag(from, all ? alikeOf(from, ref) : [ref], to)), "index.html")!.text;
}

describe("a list", () => {
  test("is made of paragraphs in a row, with their attributes", () => {
    const text = '<h2>Fares</h2>\r\n  <p class="a">One</p>\r\n  <p>Two <em>now</em></p>\r\n<h2>Piers</h2><p>Three</p>';
    expect(made(text, "p", "ul")).toBe(
      '<h2>Fares</h2>\r\n  <ul>\r\n  <li class="a">One</li>\r\n  <li>Two <em>now</em></li>\r\n  </ul>\r\n<h2>Piers</h2><p>Three</p>',
    );
    const alike = "<p>One</p><h2>x</h2><p>Two</p><p>Three</p>";
    expect(made(alike, "p", "ol", true)).toBe("<ol><li>One</li></ol><h2>x</h2><ol><li>Two</li><li>Three</li></ol>");
  });

  test("is made of paragraphs without end tags, in the letter case of the page", () => {
    expect(made("<DIV><P>One<P>Two</DIV>", "p", "ol")).toBe("<DIV><OL><LI>One<LI>Two</OL></DIV>");
  });

  test("is made paragraphs from any of its items", () => {
    expect(made("<main>\n<ul>\n  <li>One</li>\n  <li>Two</li>\n</ul>\nmore</main>", "li", "p")).toBe(
      "<main>\n<p>One</p>\n  <p>Two</p>\nmore</main>",
    );
    expect(made("<ul><li>One<li>Two</ul>more", "ul", "p")).toBe("<p>One</p><p>Two</p>more");
    expect(made("<UL><LI>One<LI>Two</UL>more", "ul", "p")).toBe("<P>One</P><P>Two</P>more");
  });

  test("with attributes of its own leaves a part that keeps them", () => {
    expect(made('<ul class="piers"><li>One</li></ul>', "li", "p")).toBe('<div class="piers"><p>One</p></div>');
  });

  test("becomes the other kind from any of its items", () => {
    expect(made("<ul><li>One</li></ul>", "li", "ol")).toBe("<ol><li>One</li></ol>");
  });

  test("whose items hold more than lines stays, with the reason", () => {
    expect(() => made("<ul><li>One<ul><li>Two</li></ul></li></ul>", "ul", "p")).toThrow("more than a paragraph can");
  });

  test("left open has no other kinds", () => {
    const { elements } = documentOf(textFile(site({ "index.html": "<ul><li>One" }), "index.html")!);
    expect(otherTags(elements.find(({ tag }) => tag === "li")!)).toEqual([]);
  });
});

test("paragraphs made a list and back are as they were", () => {
  const gap = fc.constantFrom("", "\n", "\r\n  ", " ");
  const item = fc.tuple(
    fc.constantFrom("p", 'p class="a"', "p id=x"),
    fc.constantFrom("One", "Two <b>now</b>", ""),
    gap,
  );
  fc.assert(
    fc.property(
      fc.array(item, { minLength: 1, maxLength: 5 }),
      gap,
      fc.constantFrom("<h2>x</h2>", "<div>", ""),
      (items, lead, before) => {
        const text = before + lead + items.map(([tag, words, after]) => `<${tag}>${words}</p>${after}`).join("");
        const list = made(text, "p", "ul");
        expect(list).toContain("<ul>");
        expect(made(list, "li", "p")).toBe(text);
      },
    ),
    runs(300),
  );
});
