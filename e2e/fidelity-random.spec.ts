/** Computed values of random pages against the browser's. A difference is shrunk to the fewest rules that show it. */
import type { Browser } from "@playwright/test";
import { expect, test } from "./support/window";
import { documentOf, openSite, textFile } from "../src/core";
import { compareSite, type Difference } from "./fidelity/compare";
import { causePages } from "./fidelity/causes";
import { hintingPage } from "./fidelity/hinting";
import { formsPage } from "./fidelity/forming";
import { longhandPage, mixedPage } from "./fidelity/mixed";
import { pageText, randomPage, type RandomPage } from "./fidelity/random";
import { pseudoingPage } from "./fidelity/pseudoing";
import { selectingPage } from "./fidelity/selecting";
import { sheetingSite } from "./fidelity/sheeting";
import { variableNames, variablingPage } from "./fidelity/variabling";

const pages = Number(process.env.HEVRET_PAGES ?? 100);
const from = Number(process.env.HEVRET_SEED ?? 1);
/** Pages of properties of random parts, some hundreds each. */
const mixed = Math.max(3, Math.round(pages / 30));
/** Pages whose rules are many, and those with several sheets: they take longer. */
const selected = Math.ceil(pages / 2);
const sheeted = Math.ceil(pages / 3);
/** More differing pages than this are not shrunk. */
const mostShrunk = 5;

async function firstDifference(browser: Browser, page: RandomPage): Promise<Difference | null> {
  const files = [{ path: "page.html", text: pageText(page) }];
  const { differences } = await compareSite(browser, files, [800], undefined, variableNames);
  return differences[0] ?? null;
}

async function shrunk(browser: Browser, whole: RandomPage): Promise<RandomPage> {
  let page = whole;
  for (let at = 0; at < page.rules.length;) {
    const without = { ...page, rules: page.rules.toSpliced(at, 1) };
    if (await firstDifference(browser, without)) page = without;
    else at += 1;
  }
  return page;
}

for (const [what, pageFrom, count] of [
  ["values on random pages", randomPage, pages],
  ["rules that random selectors and conditions choose", selectingPage, selected],
  ["custom properties and what is set by them", variablingPage, selected],
  ["texts of pseudo-elements", pseudoingPage, selected],
] as const)
  test(`${what}, ${count} of them`, async ({ browser }) => {
    test.setTimeout(120_000 + count * 5_000);
    const files = Array.from({ length: count }, (_, at) => ({
      path: `${from + at}.html`,
      text: pageText(pageFrom(from + at)),
    }));
    const { compared, differences } = await compareSite(browser, files, [800], undefined, variableNames);
    const figure = (value: number) => value.toLocaleString("en-GB");
    console.log(`${what}, from seed ${from}: ${figure(compared - differences.length)} of ${figure(compared)} equal`);
    const seeds = [...new Set(differences.map(({ page }) => Number.parseInt(page, 10)))];
    for (const seed of seeds.slice(0, mostShrunk)) {
      const smallest = await shrunk(browser, pageFrom(seed));
      const shown = await firstDifference(browser, smallest);
      console.log(`seed ${seed}: ${JSON.stringify(shown)}\n${pageText(smallest)}`);
    }
    expect(seeds).toEqual([]);
  });

test(`sheets that come in random ways, of ${sheeted} pages`, async ({ browser }) => {
  test.setTimeout(120_000 + sheeted * 5_000);
  const files = Array.from({ length: sheeted }, (_, at) => sheetingSite(from + at)).flat();
  const { compared, differences } = await compareSite(browser, files, [800]);
  console.log(`sheets from seed ${from}: ${compared - differences.length} of ${compared} values equal`);
  expect(differences).toEqual([]);
});

for (const [what, pageFrom] of [
  ["shorthands", mixedPage],
  ["longhands", longhandPage],
  ["looks told by attributes,", hintingPage],
  ["controls of forms,", formsPage],
] as const)
  test(`${what} of random parts`, async ({ browser }) => {
    const files = Array.from({ length: mixed }, (_, at) => ({ path: `${from + at}.html`, text: pageFrom(from + at) }));
    const { compared, differences } = await compareSite(browser, files, [800]);
    console.log(`${what} from seed ${from}: ${compared - differences.length} of ${compared} values equal`);
    const site = openSite(files);
    const told = differences.map(({ page, element, property, ours, browser: theirs }) => {
      const file = textFile(site, page)!;
      const { tag, source } = documentOf(file).elements[Number(/\[(\d+)\]/.exec(element)![1])]!;
      const written = source ? file.text.slice(source.startTag.start, source.startTag.end) : tag;
      return `${written}  ${property}: ${ours}, not ${theirs}`;
    });
    expect([...new Set(told)]).toEqual([]);
  });

test("computed values where random pages once differed", async ({ browser }) => {
  const { differences } = await compareSite(browser, causePages(), [800]);
  expect(differences).toEqual([]);
});
