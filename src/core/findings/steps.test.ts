import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { colorSpotSteps } from "../palette/values";
import { pagesOf } from "../source/site";
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
  expect(stepsOf(colorSpotSteps(long))).toBeGreaterThan(lines / 2000);
  expect(stepsOf(colorSpotSteps(long))).toBe(2);
});

test.each(["set-twice", "range", "quotes", "ignored-declaration", "undefined-variable"])(
  "%s goes over the declarations of one long rule in steps, once for a text",
  (name) => {
    const check = checks.find((one) => one.name === name)!;
    const conditions = defaultConditions;
    const pages = pagesOf(long).map((file) => styledPage(long, file, conditions));
    const steps = () => stepsOf(foundBy(check, { site: long, pages, conditions, layouts: {}, stresses: {} }));
    expect(steps()).toBeGreaterThanOrEqual(lines / 2000);
    expect(steps()).toBe(2);
  },
);
