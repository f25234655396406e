/** Whether media queries hold, of queries that a seed makes, against the browser's answer. */
import { expect, test } from "./support/window";
import { chanceOf } from "./support/random";
import { randomMedia } from "./support/randomMedia";
import { matchesMedia } from "../src/core/cascade/media";
import { defaultConditions } from "../src/core";

test("media queries of a seed hold where they do in the browser", async ({ page }) => {
  const room = { width: 800, height: 600 };
  await page.setViewportSize(room);
  const chance = chanceOf(Number(process.env.HEVRET_SEED ?? 1));
  // Some versions take it for false where nothing is asked about it.
  const knows = await page.evaluate(() => matchMedia("(dynamic-range)").matches);
  const queries = Array.from({ length: Number(process.env.HEVRET_RUNS ?? 20_000) }, () => randomMedia(chance)).filter(
    (query) => knows || !/\(\s*dynamic-range\s*\)/i.test(query),
  );
  const theirs = await page.evaluate((all) => all.map((one) => matchMedia(one).matches), queries);
  const conditions = { ...defaultConditions, ...room };
  const off = queries.filter((one, at) => matchesMedia(one, conditions) !== theirs[at]);
  const holding = theirs.filter(Boolean).length;
  console.log(`media queries: ${queries.length - off.length} of ${queries.length} alike, ${holding} of them hold`);
  expect(holding).toBeGreaterThan(queries.length / 10);
  expect(off.sort((a, b) => a.length - b.length).slice(0, 10)).toEqual([]);
});
