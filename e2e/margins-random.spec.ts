/** Margins that meet on random pages, against the boxes as the browser lays them out. */
import { expect, test } from "./support/window";
import { defaultConditions, meetingMargins, openSite, stylePage, textFile } from "../src/core";
import { chanceOf, type Chance } from "./support/random";

const pages = Number(process.env.HEVRET_PAGES ?? 80);
const from = Number(process.env.HEVRET_SEED ?? 1);

function box(chance: Chance, depth: number): string {
  const style = [
    `margin: ${chance.among([0, 4, 10, 20, 33, -6])}px 0 ${chance.among([0, 5, 12, 20, -8])}px`,
    ...(chance.is(0.15) ? [`padding: ${chance.among(["1px 0", "8px", "0 0 3px", "5px 0 0"])}`] : []),
    ...(chance.is(0.12) ? [`border-${chance.among(["top", "bottom"])}: 2px solid`] : []),
    ...(chance.is(0.08) ? [`overflow: ${chance.among(["hidden", "clip", "auto"])}`] : []),
    ...(chance.is(0.08)
      ? [`display: ${chance.among(["flow-root", "flex", "inline-block", "list-item", "table", "none"])}`]
      : []),
    ...(chance.is(0.08) ? [`height: ${chance.among(["0", "20px", "auto"])}`] : []),
    ...(chance.is(0.06) ? [`min-height: ${chance.among(["0", "15px"])}`] : []),
    ...(chance.is(0.05) ? ["position: absolute"] : []),
    ...(chance.is(0.05) ? ["position: relative"] : []),
  ].join("; ");
  const count = depth === 0 ? 0 : chance.upTo(4);
  const inside = Array.from({ length: count }, () =>
    chance.is(0.2)
      ? chance.among(["Sailings", "<b>Fares</b>", "<i></i>", " ", "<!-- none -->"])
      : box(chance, depth - 1),
  );
  const own = count === 0 && chance.is(0.6) ? "Notices" : inside.join(chance.is(0.5) ? "\n" : "");
  return `<${chance.among(["div", "section", "p", "li"]).replace("p", depth ? "div" : "p")} style="${style}">${own}</>`.replace(
    /<(\w+)( [^>]*)>([^]*)<\/>$/,
    "<$1$2>$3</$1>",
  );
}

interface Laid {
  top: number;
  bottom: number;
  /** Between its edge and its content. */
  innerTop: number;
}

test(`margins that meet on ${pages} random pages`, async ({ page }) => {
  await page.setViewportSize({ width: 800, height: 600 });
  const wrong: string[] = [];
  let compared = 0;
  for (let seed = from; seed < from + pages; seed += 1) {
    const chance = chanceOf(seed);
    const boxes = Array.from({ length: 4 }, () => box(chance, 3)).join("\n");
    const text = `<!doctype html><title>Margins</title><body>${boxes}`;
    await page.setContent(text);
    const laid = await page.evaluate(() =>
      [...document.querySelectorAll("*")].map((element): Laid => {
        const { top, bottom } = element.getBoundingClientRect();
        const { borderTopWidth, paddingTop } = getComputedStyle(element);
        return { top, bottom, innerTop: top + parseFloat(borderTopWidth) + parseFloat(paddingTop) };
      }),
    );
    const site = openSite([{ path: "page.html", text }]);
    const file = textFile(site, "page.html")!;
    if (file.kind !== "html") throw new Error("no page");
    const styled = stylePage(site, file, { ...defaultConditions, width: 800, height: 600 });
    for (const { element } of styled.styles) {
      const found = meetingMargins(styled, element.index, "top");
      if (!found || !element.parent || element.parent.tag === "html") continue;
      const has = (index: number, side: string) =>
        found.margins.some((one) => one.index === index && one.side === side);
      // What is nothing but margins stands nowhere in particular.
      if (has(element.index, "bottom")) continue;
      const [own, parent] = [laid[element.index]!, laid[element.parent.index]!];
      const before = found.margins.findLast(
        (one) =>
          one.side === "bottom" &&
          one.index < element.index &&
          !has(one.index, "top") &&
          styled.styles[one.index]!.element.parent === element.parent,
      );
      let gap: number | null = null;
      if (before) gap = own.top - laid[before.index]!.bottom;
      else if (has(element.parent.index, "top")) gap = own.top - parent.top + found.px;
      else if (element.position === 0 && !element.parent.hasText) gap = own.top - parent.innerTop;
      if (gap === null) continue;
      compared += 1;
      if (Math.abs(gap - found.px) > 0.1)
        wrong.push(
          `seed ${seed}, ${element.tag} [${element.index}]: ${found.px}, laid out ${gap}: ${JSON.stringify(found.margins)}`,
        );
    }
  }
  console.log(`margins from seed ${from}: ${compared - wrong.length} of ${compared} as laid out`);
  expect(compared).toBeGreaterThan(pages);
  expect(wrong).toEqual([]);
});
