/** Computed values are those that a browser gave when they were recorded. */
import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { isRandom, recordedFiles, recordedWidth } from "../../../e2e/fidelity/recorded";
import { openSite, textFile } from "../source/site";
import { sumAt, sumsOf, type Recorded } from "../testing/recorded";
import { defaultConditions } from "./conditions";
import { reportedLonghands } from "./properties";
import { stylePage } from "./styles";

const { longhands, pages } = JSON.parse(
  readFileSync(new URL("../testing/recorded.json", import.meta.url), "utf8"),
) as Recorded;
const files = recordedFiles();
const site = openSite(files);

test("all longhands of all pages are recorded, those of random ones in both schemes", () => {
  expect(longhands).toEqual([...reportedLonghands]);
  const html = files.map(({ path }) => path).filter((path) => path.endsWith(".html"));
  const random = html.filter(isRandom);
  expect(pages).toHaveLength(html.length + random.length);
  expect(random.length).toBeGreaterThan(0);
});

test.each(pages)("values of $path, $conditions.scheme", ({ path, conditions, sums }) => {
  const styled = stylePage(site, textFile(site, path)!, { ...defaultConditions, width: recordedWidth, ...conditions });
  const now = sumsOf(styled);
  expect(longhands.filter((_, at) => sumAt(now, at) !== sumAt(sums, at))).toEqual([]);
});
