/** Computed sizes of boxes on random pages against the browser's own, which only its typed values tell (CSS Typed OM 1, 5). */
import { expect, test } from "./support/window";
import { computedValue, defaultConditions, openSite, stylePage, textFile } from "../src/core";
import { sizeNames } from "../src/core/cascade/properties/sizes";
import { randomSizedPage } from "./fidelity/sizes";

const pages = Number(process.env.HEVRET_PAGES ?? 60);
const from = Number(process.env.HEVRET_SEED ?? 1);
const names = [...sizeNames, "clear", "box-sizing"];

const figures = /-?\d*\.?\d+/g;

/** The browser counts in single precision. */
function isSame(ours: string, theirs: string): boolean {
  if (ours.replace(figures, "#") !== theirs.replace(figures, "#")) return false;
  const [a, b] = [ours, theirs].map((text) => [...text.matchAll(figures)].map(Number));
  return a!.every((value, at) => Math.abs(value - b![at]!) <= 1e-5 * Math.max(1, Math.abs(value)));
}

test(`sizes on ${pages} random pages`, async ({ page }) => {
  await page.setViewportSize({ width: 800, height: 600 });
  const differences: string[] = [];
  let compared = 0;
  for (let seed = from; seed < from + pages; seed += 1) {
    const text = randomSizedPage(seed);
    await page.setContent(text);
    const theirs = await page.evaluate(
      (list) =>
        [...document.querySelectorAll("*")].map((element) => {
          const map = element.computedStyleMap();
          return list.map((name) => map.get(name)?.toString() ?? "");
        }),
      names,
    );
    const site = openSite([{ path: "page.html", text }]);
    const file = textFile(site, "page.html")!;
    if (file.kind !== "html") throw new Error("no page");
    const { styles } = stylePage(site, file, { ...defaultConditions, width: 800, height: 600 });
    expect(styles).toHaveLength(theirs.length);
    for (const [at, style] of styles.entries())
      for (const [column, name] of names.entries()) {
        compared += 1;
        const ours = computedValue(style, name);
        if (!isSame(ours, theirs[at]![column]!))
          differences.push(
            `seed ${seed}, ${style.element.tag}#${style.element.id}, ${name}: ${ours}, not ${theirs[at]![column]}`,
          );
      }
  }
  console.log(`sizes from seed ${from}: ${compared - differences.length} of ${compared} equal`);
  expect(differences).toEqual([]);
});
