/** Records what unit tests are held to, of pages that are equal in the browser: `HEVRET_RECORD=1 npx playwright test recorded`. */
import { expect, test } from "./support/window";
import { writeFileSync } from "node:fs";
import { reportedLonghands } from "../src/core";
import { sumsOf, type Recorded, type RecordedPage } from "../src/core/testing/recorded";
import { compareSite } from "./fidelity/compare";
import { isRandom, recordedFiles, recordedWidth } from "./fidelity/recorded";

const file = new URL("../src/core/testing/recorded.json", import.meta.url);

test("values are recorded once they are equal in the browser", async ({ browser }) => {
  test.skip(!process.env.HEVRET_RECORD, "It is asked for by HEVRET_RECORD.");
  test.setTimeout(600_000);
  const pages: RecordedPage[] = [];
  const { differences } = await compareSite(browser, recordedFiles(), [recordedWidth], (page) => {
    const { scheme, fonts, containers } = page.conditions;
    if (scheme === "dark" && !isRandom(page.file.path)) return;
    pages.push({ path: page.file.path, conditions: { scheme, fonts, containers }, sums: sumsOf(page) });
  });
  expect(differences).toEqual([]);
  const recorded: Recorded = { longhands: [...reportedLonghands], pages };
  writeFileSync(file, `${JSON.stringify(recorded)}\n`);
});
