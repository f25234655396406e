/** The table of properties against what the browser has: all is computed, or left out for a reason. */
import { expect, test } from "./support/window";
import { longhands } from "../src/core/cascade/properties";
import { notComputed, ofSomeVersions } from "./fidelity/notComputed";

const names = notComputed.flatMap(([, list]) => list.split(" "));
const leftOut = (longhand: string) =>
  names.filter((name) => name === longhand || (name.endsWith("-") && longhand.startsWith(name)));

test("every longhand of the browser is computed, or left out for a reason", async ({ page }) => {
  const all = await page.evaluate(() => [...getComputedStyle(document.documentElement)]);
  expect(all.length).toBeGreaterThan(300);
  const ours = new Set(longhands.map(({ name }) => name));
  expect(all.filter((longhand) => !ours.has(longhand) && leftOut(longhand).length === 0)).toEqual([]);
  // What is left out is there, and is not computed after all.
  const isThere = (name: string) =>
    ofSomeVersions.has(name) || all.some((longhand) => leftOut(longhand).includes(name));
  expect(names.filter((name) => !isThere(name))).toEqual([]);
  expect([...ours].filter((longhand) => leftOut(longhand).length > 0)).toEqual([]);
});
