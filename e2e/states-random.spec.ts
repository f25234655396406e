/** Which state an element is in, on forms that a seed makes, against the browser's answer. */
import { expect, test } from "./support/window";
import { formsPage } from "./fidelity/forming";
import { documentOf, matchingElements, openSite, textFile } from "../src/core";
import { states } from "../src/core/cascade/selectors/states";

test("elements of forms of a seed are in the states that the browser says", async ({ page }) => {
  test.setTimeout(240_000);
  const first = Number(process.env.HEVRET_SEED ?? 1);
  // An element that is asked by itself is the scope it is asked in.
  const selectors = [...states.keys()].filter((name) => name !== "scope").map((name) => `:${name}`);
  const off: string[] = [];
  let compared = 0;
  for (let seed = first; seed < first + Number(process.env.HEVRET_RUNS ?? 200); seed++) {
    const html = formsPage(seed);
    await page.setContent(html);
    const theirs = await page.evaluate((list) => {
      const all = [...document.querySelectorAll("*")];
      return list.map((one) => all.map((element) => element.matches(one)));
    }, selectors);
    const ours = documentOf(textFile(openSite([{ path: "t.html", text: html }]), "t.html")!);
    expect(ours.elements).toHaveLength(theirs[0]!.length);
    for (const [at, selector] of selectors.entries()) {
      const matched = new Set(matchingElements(ours, selector));
      for (const { index, tag, attributes } of ours.elements) {
        compared += 1;
        if (matched.has(index) === theirs[at]![index]) continue;
        const written = [...attributes].map(([name, value]) => ` ${name}="${value}"`).join("");
        off.push(`${selector} ${matched.has(index) ? "only here" : "only there"}: <${tag}${written}> of seed ${seed}`);
      }
    }
  }
  console.log(`states: ${compared - off.length} of ${compared} alike`);
  expect(off.slice(0, 20)).toEqual([]);
});
