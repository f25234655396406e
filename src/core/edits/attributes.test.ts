import { attributeSource, rawOffsets } from "../source/html/attributeSource";
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyChanges } from "../source/changes";
import { documentOf } from "../source/html/document";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { escapeAttribute, insertAttribute, spliceAttribute } from "./attributes";
import type { Splice } from "./block";

const element = (html: string) => {
  const file = textFile(site({ "index.html": html }), "index.html")!;
  return { text: file.text, element: documentOf(file).elements.find(({ tag }) => tag === "p")! };
};
const made = (text: string, splices: readonly Splice[]) =>
  applyChanges(
    text,
    splices.map((splice) => ({ path: "", ...splice })),
  );
/** The value of a page's first style attribute after one piece of it was replaced. */
const replaced = (html: string, start: number, end: number, insert: string) => {
  const { text, element: p } = element(html);
  const after = made(text, spliceAttribute(text, attributeSource(text, p, "style")!, [{ start, end, insert }]));
  return [after, element(after).element.attributes.get("style")];
};

describe("attributes in the source", () => {
  test.each<[string, string, string]>([
    ['<p style="color: red">', '"', "color: red"],
    ["<p style = 'color: red' >", "'", "color: red"],
    ["<p style=color:red>", "", "color:red"],
    ["<p style>", "", ""],
    ['<p STYLE="font: &quot;A&quot;">', '"', "font: &quot;A&quot;"],
  ])("%s", (html, quote, raw) => {
    const { text, element: p } = element(html);
    const found = attributeSource(text, p, "style")!;
    expect([found.quote, text.slice(found.raw.start, found.raw.end)]).toEqual([quote, raw]);
  });

  test("one that is not there, or of an element without a tag, is null", () => {
    expect(attributeSource("<p>", element("<p>").element, "style")).toBeNull();
  });
});

describe("a piece of a value replaced", () => {
  test.each<[string, number, number, string, string]>([
    ['<p style="color: red">', 7, 10, "blue", '<p style="color: blue">'],
    ["<p style=color:red>", 6, 9, "a b", '<p style="color:a b">'],
    ["<p style>", 0, 0, "top:0", '<p style="top:0">'],
    ['<p style="a:&quot;x&quot;; b:c">', 8, 9, "d", ""],
    ["<p style='a:b'>", 2, 3, "'q'", "<p style='a:&#39;q&#39;'>"],
    ['<p style="a:b">', 2, 3, 'url("x&y")', '<p style="a:url(&quot;x&amp;y&quot;)">'],
  ])("in %s", (html, start, end, insert, expected) => {
    const value = element(html).element.attributes.get("style")!;
    const [after, read] = replaced(html, start, end, insert);
    expect(read).toBe(value.slice(0, start) + insert + value.slice(end));
    if (!html.includes("&")) expect(after).toBe(expected);
  });

  test("is read back as meant, whatever stands in it, and leaves the rest of the page", () => {
    const text = fc.string({ unit: fc.constantFrom(..."ab\"'&<>;:#= é", "&amp;", "&#39;", "&quot;"), maxLength: 12 });
    fc.assert(
      fc.property(text, text, fc.constantFrom('"' as const, "'" as const), fc.nat(12), (value, insert, quote, at) => {
        const html = `<i title="&amp;x">a</i><p style=${quote}${escapeAttribute(value, quote)}${quote} id=z>b</p>`;
        const start = Math.min(at, value.length);
        const [after, read] = replaced(html, start, value.length, insert);
        expect(read).toBe(value.slice(0, start) + insert);
        expect(after!.startsWith('<i title="&amp;x">a</i><p style=')).toBe(true);
        expect(after!.endsWith(" id=z>b</p>")).toBe(true);
      }),
    );
  });
});

test("offsets in a value are found again in its source", () => {
  expect(rawOffsets("a&amp;b", "a&b")).toEqual([0, 1, 6, 7]);
  expect(rawOffsets("a\r\nb", "a\nb")).toEqual([0, 1, 3, 4]);
  expect(rawOffsets("ab", "xy")).toBeNull();
});

test("a new attribute goes behind the tag's name, escaped; an element without a tag is refused", () => {
  const { text, element: p } = element("<P\n id=x>y");
  expect(made(text, [insertAttribute(text, p, "title", 'a "b" & c')])).toBe(
    '<P title="a &quot;b&quot; &amp; c"\n id=x>y',
  );
  const implied = documentOf(textFile(site({ "index.html": "<td>x" }), "index.html")!).elements.find(
    ({ source }) => source === null,
  )!;
  expect(() => insertAttribute("<td>x", implied, "id", "a")).toThrow("has no tag of its own");
});
