/** What readers wish for: drafted, looked at side by side, written. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { openFiles } from "./support/desk";

const css = [
  ":root {\n  --sea: #06364f;\n}",
  "body { background: #fff; color: #222; font-size: 18px }",
  "a { color: var(--sea) }",
  "header { background: var(--sea); color: #fff }",
  "p.note { color: #777 }",
  "",
].join("\n");

const files = {
  "index.html":
    '<!doctype html><title>Ossel</title><link rel="stylesheet" href="a.css"><header>Ossel</header><p>Boats <a href="b.html">and fares</a></p><p class="note">Weather permitting.</p>',
  "a.css": css,
};

async function openSchemes(page: Page): Promise<void> {
  await page.getByRole("link", { name: /^Colours/ }).click();
  await page.getByLabel("What of the colours").getByText("Schemes").click();
}

const side = (page: Page, title: string) => page.frameLocator(`iframe[title="${title}"]`).locator("body");
/** Asked through the locator: a frame may be filled anew while it is looked at. */
const hasGround = (page: Page, title: string, ground: string | RegExp) =>
  expect(side(page, title)).toHaveCSS("background-color", ground);

test("a dark scheme is drafted, seen beside the light one, changed, and written with nothing changed in light", async ({
  shelf: page,
}) => {
  await openFiles(page, files);
  await openSchemes(page);
  await expect(page.getByRole("region", { name: "Pairs of the draft" })).toContainText(
    /All of \d+ pairs keep their ratio/,
  );
  await hasGround(page, "In light, as it is", "rgb(255, 255, 255)");
  await hasGround(page, "In the dark", /^rgb\((\d|1\d|2\d|3\d), /);
  const header = page.frameLocator('iframe[title="In the dark"]').locator("header");
  await expect(header).toHaveCSS("background-color", "rgb(6, 54, 79)");

  const counterpart = page.getByLabel("Counterpart of #fff, ground of body");
  await counterpart.fill("#12x");
  await expect(page.getByText("`#12x` is no colour by itself.")).toBeVisible();
  await counterpart.fill("#101820");
  await counterpart.press("Enter");
  await hasGround(page, "In the dark", "rgb(16, 24, 32)");

  await page.getByRole("button", { name: "Show what changes" }).click();
  const dialog = page.getByRole("dialog", { name: "Write a dark scheme" });
  await expect(dialog.getByText("No text comes out differently: looked at on every page, in light")).toBeVisible();
  await dialog.getByRole("button", { name: "Write", exact: true }).click();
  await expect(page.getByText("The site has a dark scheme.")).toBeVisible();
  await hasGround(page, "In the dark", "rgb(16, 24, 32)");
  await hasGround(page, "In light", "rgb(255, 255, 255)");
});

test("more contrast and paper are drafted and written, each under its condition", async ({ shelf: page }) => {
  await openFiles(page, files);
  await openSchemes(page);
  await page.getByLabel("What readers wish for").getByText("More contrast").click();
  await expect(page.getByText(/All of \d+ pairs reach 7, large text 4.5/)).toBeVisible();
  await page.getByRole("button", { name: "Show what changes" }).click();
  const contrast = page.getByRole("dialog", { name: "Write a scheme of more contrast" });
  await expect(contrast.getByText("@media (prefers-contrast: more) {")).toBeVisible();
  await contrast.getByRole("button", { name: "Write", exact: true }).click();
  await expect(page.getByText("The site asks who wishes for more contrast.")).toBeVisible();

  await page.getByLabel("What readers wish for").getByText("Paper").click();
  const note = page.frameLocator('iframe[title="On paper, drafted"]').locator("p.note");
  await expect(note).toHaveCSS("color", "rgb(0, 0, 0)");
  await page.getByLabel("Size of most of the text in pt").fill("12");
  await expect(note).toHaveCSS("font-size", "16px");
  await page.getByRole("combobox", { name: "Where it is written" }).click();
  await page.getByTitle("in a sheet of its own", { exact: true }).click();
  await page.getByRole("button", { name: "Show what changes" }).click();
  const paper = page.getByRole("dialog", { name: "Write how it comes out on paper" });
  await expect(paper.getByText("print.css is put into the site.")).toBeVisible();
  await expect(
    paper.getByText("No text comes out differently: looked at on every page, in both schemes"),
  ).toBeVisible();
  await paper.getByRole("button", { name: "Write", exact: true }).click();
  await expect(page.getByRole("link", { name: /^Sheets 2/ })).toBeVisible();
});

test("a site with a dark scheme has both side by side, and they scroll together", async ({ shelf: page }) => {
  await openFiles(page, {
    ...files,
    "a.css": `${css} main { height: 4000px } @media (prefers-color-scheme: dark) { body { background: #10191e; color: #444 } }`,
    "index.html": `${files["index.html"]}<main>Winter times</main>`,
  });
  await openSchemes(page);
  await expect(page.getByRole("region", { name: "Pairs in the dark" })).toContainText(
    /▲ \d of \d pairs cannot be read/,
  );
  await hasGround(page, "In the dark", "rgb(16, 25, 30)");
  await expect(side(page, "In light").getByText("Winter times")).toBeVisible();
  await page.locator('iframe[title="In light"]').hover();
  await page.mouse.wheel(0, 240);
  await expect.poll(() => side(page, "In the dark").evaluate(() => window.scrollY)).toBeGreaterThan(0);
});
