/** What Hevret computes is what the browser computes: every element, every reported longhand, no sample. */
import { expect, test } from "./support/window";
import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import type { SiteFile } from "../src/core";
import { compareSite } from "./fidelity/compare";
import { frameworkPages } from "./fidelity/frameworks";
import { nastyPages } from "./fidelity/nasty";

const widths = [360, 800, 1280];
/** Real sheets take long: their narrowest and widest. */
const outermost = [360, 1280];

function sample(): SiteFile[] {
  const folder = new URL("../samples/ossel-ferries", import.meta.url).pathname;
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .map((path) => ({ path: relative(folder, path), bytes: new Uint8Array(readFileSync(path)) }));
}

for (const [name, files, at] of [
  ["the sample", sample, widths],
  ["nasty pages", nastyPages, widths],
  ["real sheets", frameworkPages, outermost],
] as const) {
  test(`computed values on ${name}`, async ({ browser }) => {
    test.setTimeout(300_000);
    const { compared, differences } = await compareSite(browser, files(), at);
    const figure = (value: number) => value.toLocaleString("en-GB");
    console.log(`${name}: ${figure(compared - differences.length)} of ${figure(compared)} equal`);
    for (const { page, conditions, element, property, ours, browser: theirs } of differences.slice(0, 100)) {
      console.log(`  ${page} at ${conditions}: ${element} ${property}: ${ours}, browser ${theirs}`);
    }
    expect(differences).toHaveLength(0);
  });
}
