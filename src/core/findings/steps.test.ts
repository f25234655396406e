import { expect, test, vi } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { colorSpotSteps } from "../palette/values";
import { declarationSteps } from "../source/declarations";
import { pagesOf, sheetsOf } from "../source/site";
import { site } from "../testing/site";
import { checks } from "./checks";
import { foundBy } from "./run";

const lines = 20_000;
const long = site({
  "index.html": `<!doctype html><html lang="en"><title>Sailings</title><link rel="stylesheet" href="a.css"><p>Tern</p></html>`,
  "a.css": `p {\n${"  color: red;\n  --quay: 1px;\n".repeat(lines / 2)}}\n`,
});

const stepsOf = (steps: Iterator<unknown>) => {
  let count = 0;
  while (!steps.next().done) count += 1;
  return count;
};

test("colours of one long rule are read in steps between which others are let in", () => {
  const [sheet] = sheetsOf(long);
  expect(stepsOf(declarationSteps(long, sheet!))).toBe(lines / 100);
  expect(stepsOf(declarationSteps(long, sheet!))).toBe(0);
  expect(stepsOf(colorSpotSteps(long))).toBeGreaterThanOrEqual(lines / 100);
  expect(stepsOf(colorSpotSteps(long))).toBe(2);
});

test.each(["set-twice", "range", "quotes", "ignored-declaration", "undefined-variable"])(
  "%s goes over the declarations of one long rule in steps, once for a text",
  (name) => {
    const check = checks.find((one) => one.name === name)!;
    const conditions = defaultConditions;
    const pages = pagesOf(long).map((file) => styledPage(long, file, conditions));
    const steps = () => stepsOf(foundBy(check, { site: long, pages, conditions, layouts: {}, stresses: {} }));
    expect(steps()).toBeGreaterThanOrEqual(lines / 100);
    expect(steps()).toBe(2);
  },
);

test("selectors that match nothing are looked for in steps", () => {
  const rules = Array.from({ length: 1000 }, (_, at) => `.quay${at} { color: red }`).join("\n");
  const from = site({ "index.html": '<p class="tern">Tern</p>', "a.css": rules });
  const check = checks.find(({ name }) => name === "unmatched-selector")!;
  const taken = stepsOf(
    foundBy(check, { site: from, pages: [], conditions: defaultConditions, layouts: {}, stresses: {} }),
  );
  expect(taken).toBeGreaterThan(4);
  expect(taken).toBeLessThan(20);
});

test("many that browsers ignore are not held against all others of their rule", () => {
  const spy = vi.spyOn(String.prototype, "replace");
  const asked = (count: number) => {
    const bad = Array.from({ length: count }, (_, at) => `  colour${at}: red; color: no${at}; --tern${at}: red;`).join(
      "\n",
    );
    const from = site({ "index.html": "<p>Tern</p>", "a.css": `p {\n${bad}\n}` });
    const check = checks.find(({ name }) => name === "ignored-declaration")!;
    const before = spy.mock.calls.length;
    stepsOf(foundBy(check, { site: from, pages: [], conditions: defaultConditions, layouts: {}, stresses: {} }));
    return spy.mock.calls.length - before;
  };
  asked(10);
  const few = asked(40);
  expect(asked(160)).toBeLessThan(few * 6);
  spy.mockRestore();
});
