import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { matchesAnything } from "../cascade/selectors";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { documentOf } from "../source/html/document";
import { textFile } from "../source/site";
import { site } from "../testing/site";
import { matchesNone, namesOf, withoutIdle } from "./reaching";
import { runs } from "../testing/runs";

const page =
  '<!doctype html><body class="a"><p id="i" class="b c:d">x<em class="a b">y</em></p><ul><li>z</li></ul></body>';
const documentIn = (text: string) => documentOf(textFile(site({ "index.html": text }), "index.html")!);
const document = documentIn(page);
const names = namesOf(document)!;

const part = fc.constantFrom(
  "p",
  "em",
  "li",
  "*",
  ".a",
  ".b",
  ".x",
  "#i",
  "#y",
  "p.a",
  "em.b",
  "li.x",
  ".c\\:d",
  "[class~=x]",
);
const pseudo = fc.constantFrom("", "", ":hover", ":not(.x)", ":is(.x, .a)", ":has(.x)", ":where(#y)", "::before");
const compound = fc.tuple(part, pseudo).map((parts) => parts.join(""));
const complex = fc
  .tuple(compound, fc.constantFrom(" ", " > ", " + ", " ~ "), compound)
  .map((parts) => parts.join(""))
  .filter((text) => !/::before./.test(text));
const list = fc.array(fc.oneof(compound, complex), { minLength: 1, maxLength: 3 }).map((parts) => parts.join(", "));

describe("rules that can match nothing on a page", () => {
  test.each<[string, boolean]>([
    [".x", true],
    [".x, .a", false],
    [".x, #y", true],
    ["p .x em", true],
    [":not(.x)", false],
    [":is(.x)", false],
    ["[data-a='.x']", false],
    [".c\\:d", false],
    ["li", false],
    ["blockquote", false],
  ])("%s: %s", (selectors, none) => expect(matchesNone(selectors, names)).toBe(none));

  test("nothing is left out that matches, whatever it is in", () => {
    let left = 0;
    fc.assert(
      fc.property(list, (text) => {
        if (!matchesNone(text, names)) return;
        left += 1;
        for (const selector of tryParseSelectorList(text)!) expect(matchesAnything(document, selector)).toBe(false);
      }),
      runs(600),
    );
    expect(left).toBeGreaterThan(50);
  });

  test("they are left out, but not where rules are nested in them, nor in quirks mode, where case does not count", () => {
    const plain = { media: () => "all", selectors: (text: string) => `${text}!` };
    const { selectors } = withoutIdle(plain, document);
    expect([selectors(".x", false), selectors(".x", true), selectors(".a", false)]).toEqual([null, ".x!", ".a!"]);
    expect(withoutIdle(plain, documentIn("<p class=A>x")).selectors(".a", false)).toBe(".a!");
  });
});
