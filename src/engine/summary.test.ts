/** What an edit cannot have changed is not looked at again, and large sites share what is the same. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { changeSite, defaultConditions, openSite, pagesOf, styledPage, textFile, type Site } from "@/core";
import { randomSite } from "@/core/testing/randomSite";
import { handbook } from "../../e2e/bench/sites";
import { summarySteps } from "./summary";
import { runs } from "@/core/testing/runs";

const site = openSite(handbook({ pages: 12, css: 20_000, seed: 3 }));

const summaryOf = (of: Site) => {
  const steps = summarySteps(of, defaultConditions, {});
  for (let step = steps.next(), count = 0; ; step = steps.next(), count += 1)
    if (step.done) return { summary: step.value, steps: count };
};
const stylesOf = (of: Site) => pagesOf(of).map((file) => styledPage(of, file, defaultConditions).styles);

const changed = (path: string, from: string, to: string) => {
  const start = textFile(site, path)!.text.indexOf(from);
  return changeSite(site, [{ path, start, end: start + from.length, insert: to }]);
};

test("pages with the same sheets share their rules and the values of what comes from them alike", () => {
  const pages = pagesOf(site).map((file) => styledPage(site, file, defaultConditions));
  expect(new Set(pages.map(({ rules }) => rules.set)).size).toBe(1);
  const shared = new Set(pages.flatMap(({ styles }) => styles.map((style) => style.shared)));
  const elements = pages.reduce((sum, { styles }) => sum + styles.length, 0);
  expect(shared.size * 4).toBeLessThan(elements);
});

test("an edit makes anew only the elements that it reaches", () => {
  const before = stylesOf(site);
  const after = stylesOf(changed("css/base.css", "font-size: 1.25em", "font-size: 1.5em"));
  const anew = after.flatMap((styles, page) => styles.filter((style, at) => style !== before[page]![at]));
  expect(anew.length).toBe(12);
  expect(new Set(anew.map(({ element }) => element.classes[0]))).toEqual(new Set(["lead"]));
});

test("after an edit that reaches nothing the pages are the very same", () => {
  const before = stylesOf(site);
  // Another value was tried meanwhile: pages are made over from what they were changed from.
  stylesOf(changed("css/base.css", "font-size: 1.25em", "font-size: 1.75em"));
  const unused = stylesOf(
    changed("css/base.css", "@media (max-width: 40em) { ", "@media (max-width: 40em) { .x { top: 0 } "),
  );
  unused.forEach((styles, page) => expect(styles).toBe(before[page]));
});

test("counting goes in steps, a page or a file each", () => {
  const { summary, steps } = summaryOf(site);
  expect(summary.pages).toHaveLength(12);
  expect(steps).toBeGreaterThan(12 * 4);
  expect(summary.pages[0]).toMatchObject({
    path: "guide/page-1.html",
    sheets: ["css/base.css", "css/parts.css", "css/utilities.css"],
  });
});

test("what is counted after an edit is what is counted of the site as it is then", () => {
  summaryOf(site);
  const after = changed(
    "css/base.css",
    "a { color: var(--sea-700); }",
    "a { color: #fefefe; colour: red; } .Lead { top: 0 }",
  );
  const anew = openSite(
    [...after.files.values()].map((file) => (file.kind === "other" ? file : { path: file.path, text: file.text })),
  );
  expect(summaryOf(after).summary).toEqual(summaryOf(anew).summary);
  expect(summaryOf(after).summary).not.toEqual(summaryOf(site).summary);
});

test("wherever a site was before, the same is counted of it: through random editions, and back to earlier ones", () => {
  const textsOf = (of: Site) =>
    new Map([...of.files.values()].flatMap((file) => ("text" in file ? [[file.path, file.text] as const] : [])));
  const anew = (of: Site) => openSite([...textsOf(of)].map(([path, text]) => ({ path, text })));
  const step = fc.record({ edition: fc.nat(2), file: fc.nat(2), back: fc.option(fc.nat(5), { nil: null, freq: 3 }) });
  fc.assert(
    fc.property(
      fc.tuple(randomSite, randomSite, randomSite),
      fc.array(step, { minLength: 4, maxLength: 8 }),
      (editions, steps) => {
        const been: Site[] = [editions[0]];
        for (const { edition, file, back } of steps) {
          const now = been.at(-1)!;
          const path = ["a.css", "index.html", "b.html"][file]!;
          const [own, other] = [textsOf(now).get(path), textsOf(editions[edition]!).get(path)];
          const next =
            back !== null
              ? been[back % been.length]!
              : own === undefined || other === undefined
                ? now
                : changeSite(now, [{ path, start: 0, end: own.length, insert: other }]);
          been.push(next);
          expect(summaryOf(next).summary).toEqual(summaryOf(anew(next)).summary);
        }
      },
    ),
    runs(10),
  );
}, 120_000);
