import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { documentOf, isText } from "../source/html/document";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { applyPlan, planEdit } from "./plan";
import type { Edit } from "./types";
import { runs } from "../testing/runs";

const after = (html: string, edit: Edit) => {
  const from = site({ "a.html": html });
  return textFile(applyPlan(from, planEdit(from, edit)), "a.html")!.text;
};
const place = (html: string, tag: string) => ({
  page: "a.html",
  index: documentOf(textFile(site({ "a.html": html }), "a.html")!).elements.findIndex((element) => element.tag === tag),
});
const wrap = (
  html: string,
  tag: string,
  words: string,
  value = "late",
  attribute: "class" | "style" = "class",
): Edit => {
  const element = place(html, tag);
  const texts = documentOf(textFile(site({ "a.html": html }), "a.html")!).elements[element.index]!.content.filter(
    isText,
  );
  const node = texts.findIndex(({ text }) => text.includes(words));
  const start = texts[node]!.text.indexOf(words);
  return { kind: "wrap", element, node, start, end: start + words.length, around: { tag: "span", attribute, value } };
};

describe("words inside a text", () => {
  test.each<[string, string, string]>([
    ["<p>At half past six.</p>", "half past six", '<p>At <span class="late">half past six</span>.</p>'],
    [
      "<p>\n  Tea &amp; cake, &eacute;clairs\n</p>",
      "cake, \u00e9",
      '<p>\n  Tea &amp; <span class="late">cake, &eacute;</span>clairs\n</p>',
    ],
    ["<p>one <b>two</b> three four", "four", '<p>one <b>two</b> three <span class="late">four</span>'],
    ["<P CLASS=x>a b<br>c d</P>", "c d", '<P CLASS=x>a b<br><span class="late">c d</span></P>'],
  ])("%j: %j", (html, words, expected) => expect(after(html, wrap(html, "p", words))).toBe(expected));

  test("an element that says what they are has no attribute", () => {
    const html = "<p>a b</p>";
    const edit = wrap(html, "p", "b") as Edit & { kind: "wrap" };
    expect(after(html, { ...edit, around: { tag: "em" } })).toBe("<p>a <em>b</em></p>");
  });

  test("a style is written with its quotes kept apart", () => {
    const html = "<p>a b</p>";
    expect(after(html, wrap(html, "p", "b", 'font-family: "X"', "style"))).toBe(
      '<p>a <span style="font-family: &quot;X&quot;">b</span></p>',
    );
  });

  test("a plain span is taken away again, byte for byte", () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom("a", " ", "&lt;", "\u00e9", "\n", "<b>x</b>", "1"), { minLength: 1, maxLength: 14 }),
        fc.nat(),
        fc.nat(),
        (pieces, a, b) => {
          const html = `<main><p>.${pieces.join("")}.</p></main>`;
          const element = place(html, "p");
          const texts = documentOf(textFile(site({ "a.html": html }), "a.html")!).elements[
            element.index
          ]!.content.filter(isText);
          const node = a % texts.length;
          const { text } = texts[node]!;
          const start = b % text.length;
          const end = start + 1 + (a % (text.length - start));
          if (text.slice(start, end).trim() === "") return;
          const wrapped = after(html, {
            kind: "wrap",
            element,
            node,
            start,
            end,
            around: { tag: "span", attribute: "class", value: "w" },
          });
          expect(wrapped).toContain('<span class="w">');
          expect(after(wrapped, { kind: "unwrap", element: place(wrapped, "span") })).toBe(html);
        },
      ),
      runs(200),
    );
  });

  test.each<[string, Edit]>([
    [
      "no words",
      {
        kind: "wrap",
        element: { page: "a.html", index: 3 },
        node: 0,
        start: 1,
        end: 1,
        around: { tag: "span", attribute: "class", value: "x" },
      },
    ],
    [
      "a blank",
      {
        kind: "wrap",
        element: { page: "a.html", index: 3 },
        node: 0,
        start: 1,
        end: 2,
        around: { tag: "span", attribute: "class", value: "x" },
      },
    ],
    [
      "no such text",
      {
        kind: "wrap",
        element: { page: "a.html", index: 3 },
        node: 5,
        start: 0,
        end: 1,
        around: { tag: "span", attribute: "class", value: "x" },
      },
    ],
    [
      "not a class",
      {
        kind: "wrap",
        element: { page: "a.html", index: 3 },
        node: 0,
        start: 0,
        end: 1,
        around: { tag: "span", attribute: "class", value: "1 x" },
      },
    ],
    ["not a span", { kind: "unwrap", element: { page: "a.html", index: 3 } }],
    ["a span with more to it", { kind: "unwrap", element: { page: "a.html", index: 4 } }],
  ])("%s is refused", (_, edit) =>
    expect(() => after('<html><head></head><body><p>a b <span id="k" class="x">c</span></p>', edit)).toThrow(),
  );
});
