/** Selector matching against the browser's own, on random selectors over random trees. */
import { expect, test } from "./support/window";
import fc from "fast-check";
import { documentOf, matchingElements, openSite, textFile } from "../src/core";

const names = fc.constantFrom("a", "b", "c", "D");
const tags = fc.constantFrom("div", "p", "span", "em", "ul", "li", "section");
const { tree } = fc.letrec<{ tree: string }>((tie) => ({
  tree: fc
    .tuple(
      tags,
      fc.option(names),
      fc.uniqueArray(names, { maxLength: 2 }),
      fc.option(fc.constantFrom("x", "x y", "x-y", "")),
      fc.array(fc.oneof({ depthSize: "small" }, fc.constant("text"), tie("tree")), { maxLength: 4 }),
    )
    .map(
      ([tag, id, classes, data, children]) =>
        `<x-${tag}${id ? ` id="${id}"` : ""}${classes.length ? ` class="${classes.join(" ")}"` : ""}${data === null ? "" : ` data-k="${data}"`}>${children.join("")}</x-${tag}>`,
    ),
}));

const nth = fc.constantFrom("odd", "even", "2", "n+2", "-n+3", "3n-1", "2n + 1");
const { selector } = fc.letrec<{ selector: string; compound: string; simple: string }>((tie) => ({
  simple: fc.oneof(
    { depthSize: "small" },
    names.map((name) => `.${name}`),
    names.map((name) => `#${name}`),
    fc.constantFrom(
      "[data-k]",
      "[data-k=x]",
      "[data-k~=y]",
      "[data-k|=x]",
      "[data-k^=x]",
      "[data-k$=Y i]",
      "[data-k*='-']",
      "[class='']",
    ),
    fc.constantFrom(
      ":first-child",
      ":last-child",
      ":only-child",
      ":empty",
      ":first-of-type",
      ":last-of-type",
      ":only-of-type",
      ":root",
      ":link",
      ":hover",
      ":not(:root)",
    ),
    fc
      .tuple(fc.constantFrom("nth-child", "nth-last-child", "nth-of-type", "nth-last-of-type"), nth)
      .map(([name, formula]) => `:${name}(${formula})`),
    fc.tuple(nth, tie("compound")).map(([formula, of]) => `:nth-child(${formula} of ${of})`),
    fc
      .tuple(fc.constantFrom("is", "where", "not"), fc.array(tie("selector"), { minLength: 1, maxLength: 2 }))
      .map(([name, list]) => `:${name}(${list.join(", ")})`),
    fc
      .tuple(fc.constantFrom("", "> ", "+ ", "~ "), tie("compound"))
      .map(([join, inner]) => `:has(${join}${inner.replaceAll(":has(", ":is(")})`),
  ),
  compound: fc
    .tuple(
      fc.oneof(
        fc.constant(""),
        fc.constant("*"),
        tags.map((tag) => `x-${tag}`),
      ),
      fc.array(tie("simple"), { minLength: 1, maxLength: 2 }),
    )
    .map(([type, simples]) => type + simples.join("")),
  selector: fc
    .array(fc.tuple(fc.constantFrom(" ", " > ", " + ", " ~ "), tie("compound")), { minLength: 1, maxLength: 3 })
    .map((parts) => parts.map(([join, compound], at) => (at ? join : "") + compound).join("")),
}));

test("random selectors match the same elements", async ({ page }) => {
  test.setTimeout(240_000);
  const runs = Number(process.env.HEVRET_RUNS ?? 150);
  const cases = fc.sample(
    fc.tuple(fc.array(tree, { minLength: 1, maxLength: 3 }), fc.array(selector, { minLength: 25, maxLength: 25 })),
    { numRuns: runs, seed: 20261123 },
  );
  let compared = 0;
  for (const [trees, selectors] of cases) {
    const html = `<!doctype html><html><head></head><body>${trees.join("")}</body></html>`;
    await page.setContent(html);
    const theirs = await page.evaluate((list) => {
      const all = [...document.querySelectorAll("*")];
      return list.map((one) => {
        try {
          return all.flatMap((element, index) => (element.matches(one) ? [index] : []));
        } catch {
          return null;
        }
      });
    }, selectors);
    const parsed = documentOf(textFile(openSite([{ path: "t.html", text: html }]), "t.html")!);
    for (const [at, one] of selectors.entries()) {
      compared += 1;
      expect(matchingElements(parsed, one), `${one}\non ${html}`).toEqual(theirs[at]);
    }
  }
  console.log(`selectors: ${compared.toLocaleString("en-GB")} of ${compared.toLocaleString("en-GB")} match alike`);
});
