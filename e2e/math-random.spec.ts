/** What math functions come to, in values that a seed makes, against the browser's. */
import { expect, test } from "./support/window";
import { randomMath } from "./support/randomMath";
import { computedValue, defaultConditions, openSite, pagesOf, stylePage } from "../src/core";

const count = Number(process.env.HEVRET_RUNS ?? 8_000);
const room = { width: 800, height: 600 };
const around = `<!doctype html><style>body{font:16px Arial}p{border:0 solid}</style>`;

/** Words and numbers by turns. */
const partsOf = (text: string) => text.split(/(-?(?:\d*\.)?\d+(?:e[+-]?\d+)?)/);

/** Whether two values are one, to the digits that single precision leaves. */
function isAlike(own: string, theirs: string): boolean {
  const [a, b] = [partsOf(own), partsOf(theirs)];
  const isNear = (x: number, y: number) => Math.abs(x - y) <= 1e-3 + 2e-5 * Math.abs(x);
  return a.length === b.length && a.every((part, at) => part === b[at] || isNear(Number(part), Number(b[at])));
}

test("math functions of a seed come to what they do in the browser", async ({ page }) => {
  const cases = randomMath(Number(process.env.HEVRET_SEED ?? 1), count);
  const text = around + cases.map(({ property, value }) => `<p style="${property}:${value}">x</p>`).join("");
  await page.setViewportSize(room);
  await page.setContent(text);
  const theirs = await page.evaluate(
    (names) => [...document.querySelectorAll("p")].map((p, at) => getComputedStyle(p).getPropertyValue(names[at]!)),
    cases.map(({ property }) => property),
  );
  const site = openSite([{ path: "index.html", text }]);
  const { styles } = stylePage(site, pagesOf(site)[0]!, { ...defaultConditions, ...room });
  const own = styles.filter(({ element }) => element.tag === "p");
  const off = cases.flatMap(({ property, value }, at) => {
    const mine = computedValue(own[at]!, property);
    return isAlike(mine, theirs[at]!) ? [] : [`${property}: ${value}: ${mine}, browser ${theirs[at]}`];
  });
  console.log(`math functions: ${cases.length - off.length} of ${cases.length} alike`);
  const shortest = off.sort((a, b) => a.length - b.length).slice(0, 5);
  // Beyond all numbers, browsers have ends of their own.
  expect(off.length / cases.length, shortest.join("\n")).toBeLessThan(0.005);
});
