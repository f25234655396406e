/** The interface passes what it asks of others: its own texts, measured by the core, in both rooms. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { contrastRatio, parseColor } from "../src/core";
import { paintOver } from "../src/core/color/contrast";
import type { Color } from "../src/core/color/types";
import { openRow, openSample, pickText, slip } from "./support/desk";

/** Every text that is shown, with its ink and the grounds under it, outermost first, opacity put into the inks. */
function textsShown(): {
  words: string;
  ink: string;
  grounds: string[];
  size: number;
  weight: number;
  where: string;
}[] {
  const found = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const words = node.textContent!.trim();
    const holder = node.parentElement!;
    if (words === "" || holder.closest("script, style, noscript, [aria-hidden='true'], [data-specimen]")) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const box = range.getBoundingClientRect();
    const style = getComputedStyle(holder);
    if (box.width < 2 || box.height < 2 || style.visibility === "hidden" || style.clipPath !== "none") continue;
    const above = [];
    for (let one: Element | null = holder; one; one = one.parentElement) above.unshift(one);
    if (/, 0\)$|\/ 0\)$/.test(style.color)) continue;
    if (above.some((one) => Number(getComputedStyle(one).opacity) < 0.99)) continue;
    // What is disabled is exempt (WCAG 2.2, 1.4.3).
    if (holder.closest(":disabled, [aria-disabled='true'], .ant-select-item-option-disabled")) continue;
    found.push({
      words: words.slice(0, 40),
      ink: style.color,
      grounds: above.map((one) => getComputedStyle(one).backgroundColor),
      size: parseFloat(style.fontSize),
      weight: Number(style.fontWeight),
      where: `${holder.tagName.toLowerCase()}.${holder.className}`,
    });
  }
  return found;
}

const white: Color = { space: "srgb", channels: [1, 1, 1], alpha: 1 };

async function faults(page: Page, where: string): Promise<string[]> {
  const texts = await page.evaluate(textsShown);
  expect(texts.length).toBeGreaterThan(5);
  return texts.flatMap(({ words, ink, grounds, size, weight, where: holder }) => {
    const ground = grounds.reduce((under, css) => paintOver(parseColor(css)!, under), white);
    const ratio = contrastRatio(paintOver(parseColor(ink)!, ground), ground);
    const needs = size >= 24 || (size >= 18.66 && weight >= 700) ? 3 : 4.5;
    const small = size < 12 ? [`${where}: "${words}" is ${size} px`] : [];
    return ratio >= needs ? small : [...small, `${where}: "${words}" ${ratio.toFixed(2)} (${holder})`];
  });
}

/** Edges of fields and buttons that have no ground of their own against what they stand on (WCAG 2.2, 1.4.11: 3 to 1). */
async function edgesOf(page: Page): Promise<string[]> {
  const edges = await page.evaluate(() => {
    const controls = document.querySelectorAll<HTMLElement>(
      "button.chip, .ant-select-outlined, .ant-input-outlined, .ant-btn-default, input.ant-input, header button",
    );
    return [...controls].flatMap((one) => {
      const box = one.getBoundingClientRect();
      const style = getComputedStyle(one);
      if (box.width < 2 || !one.checkVisibility() || one.matches(":disabled")) return [];
      const above = [];
      for (let holder = one.parentElement; holder; holder = holder.parentElement) above.unshift(holder);
      const parts = [style.borderBottomColor, style.backgroundColor];
      const grounds = above.map((holder) => getComputedStyle(holder).backgroundColor);
      return [{ parts, grounds, name: one.getAttribute("aria-label") ?? one.textContent!.slice(0, 30) }];
    });
  });
  expect(edges.length).toBeGreaterThan(8);
  return edges.flatMap(({ parts, grounds, name }) => {
    const ground = grounds.reduce((under, css) => paintOver(parseColor(css)!, under), white);
    const best = Math.max(...parts.map((css) => contrastRatio(paintOver(parseColor(css)!, ground), ground)));
    return best >= 3 ? [] : [`edge of "${name}" ${best.toFixed(2)}`];
  });
}

for (const room of ["light", "dark"] as const) {
  test(`every text of the interface can be read in the ${room} room`, async ({ page }) => {
    await page.addInitScript((name) => localStorage.setItem("hevret-room", name), room);
    await page.goto("/");
    const found = await faults(page, "shelf");
    await openSample(page);
    await pickText(page, "Winter sailings");
    await openRow(page, "Ink");
    await openRow(page, "Size");
    await slip(page).getByRole("radiogroup", { name: "Trials of size" }).getByRole("radio").nth(1).click();
    await expect(page.getByRole("radiogroup", { name: "Trials of size on the page" })).toBeVisible();
    found.push(...(await faults(page, "page")));
    // What opens over it, and the edges of fields and buttons.
    found.push(...(await edgesOf(page)));
    for (const name of ["Colour scheme", "Page width in px", "State"]) {
      await page.getByLabel(name, { exact: true }).first().click();
      await expect(page.getByRole("listbox")).toHaveCount(1);
      found.push(...(await faults(page, `options of ${name}`)));
      await page.keyboard.press("Escape");
    }
    await page.getByRole("button", { name: "Export" }).click();
    await expect(page.getByRole("menu")).toBeVisible();
    found.push(...(await faults(page, "export")));
    await page.keyboard.press("Escape");
    await page.getByRole("button", { name: /^Rehearse/ }).click();
    await expect(page.getByRole("dialog", { name: "Rehearse" })).toBeVisible();
    found.push(...(await faults(page, "rehearse")));
    await page.keyboard.press("Escape");
    for (const view of ["Text styles", "Colours", "Stacks", "Sheets", "Findings", "Changes"]) {
      const tab = page.getByRole("navigation", { name: "Views" }).getByRole("link", { name: new RegExp(`^${view}`) });
      await tab.click();
      await expect(tab).toHaveAttribute("aria-current", "page");
      await expect(page.getByRole("main").first()).toBeVisible();
      await expect(page.getByRole("heading", { level: 1 }).first()).toBeAttached();
      found.push(...(await faults(page, view)));
    }
    expect(found).toEqual([]);
  });
}

test("all keys are listed in one place, which a key opens and one closes", async ({ sample: page }) => {
  await page.getByRole("application").press("?");
  const keys = page.getByRole("dialog", { name: "Keys" });
  await expect(keys.getByRole("region", { name: "On trial" })).toContainText("Write it");
  await page.keyboard.press("Escape");
  await expect(keys).toBeHidden();
  await expect(page).toHaveTitle(/^Page · Ossel Island Ferries · Hevret$/);
});

test("the window itself loads no parser, no grammar of values and no reader of fonts: they are the worker's", async ({
  page,
}) => {
  /** Words that none of them can do without. */
  const marks = ["TABULATION", "<syntax-component>", ".notdef"];
  await openSample(page);
  await expect(page.getByRole("textbox", { name: /^Source of/ })).toBeVisible();
  const loaded = () => performance.getEntriesByType("resource").map(({ name }) => name);
  const held = async (names: string[]) => {
    const scripts = names.filter((name) => name.endsWith(".js"));
    const texts = await Promise.all(scripts.map(async (name) => (await page.request.get(name)).text()));
    return marks.filter((mark) => texts.some((text) => text.includes(mark)));
  };
  expect(await held(await page.evaluate(loaded))).toEqual([]);
  expect(await held(await page.workers()[0]!.evaluate(loaded))).toEqual(marks);
});
