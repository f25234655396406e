import { expect, test } from "./support/window";
import { strFromU8, unzipSync } from "fflate";
import { downloaded, field, openSample, pickByKeyboard, sampleFile, shownPage, slip, unzipTexts } from "./support/desk";

test("from an empty browser to the changed file", async ({ page }) => {
  await openSample(page);
  await pickByKeyboard(page, "Winter sailings");
  await expect(slip(page).getByRole("heading", { name: "Section heading" })).toBeVisible();
  await expect(slip(page).getByLabel("Contrast")).toHaveText("▲ 2.8 : 1");

  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  await expect(heading).toHaveCSS("font-size", "28px");
  await field(page, "Size").fill("32px");
  await expect(slip(page).getByText("Changes in css/ferry.css: 8 places on 3 pages")).toBeVisible();
  // The page shows the value while it is only typed.
  await expect(heading).toHaveCSS("font-size", "32px");
  await field(page, "Size").press("Enter");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("32 px");
  await expect(page.getByRole("region", { name: "Source" })).toContainText("font: 32px/32px Georgia");

  const zip = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: /Changed files/ }).click();
  });
  const texts = unzipTexts(zip);
  expect(Object.keys(texts)).toEqual(["css/ferry.css"]);
  expect(texts["css/ferry.css"]).toBe(
    strFromU8(sampleFile("css/ferry.css")).replace("font: 28px/32px", "font: 32px/32px"),
  );
});

test("fix a contrast, undo, redo, reload, and take the whole site out", async ({ page }) => {
  await openSample(page);
  await pickByKeyboard(page, "Winter sailings");
  await field(page, "Ink").fill("#5d6b76");
  await field(page, "Ink").press("Enter");
  await expect(slip(page).getByLabel("Contrast")).toHaveText("5.4 : 1");

  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(heading).toHaveCSS("color", "rgb(138, 154, 166)");
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(heading).toHaveCSS("color", "rgb(93, 107, 118)");

  await page.reload();
  await expect(heading).toHaveCSS("color", "rgb(93, 107, 118)");
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();

  const zip = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: "Whole site as zip" }).click();
  });
  const files = unzipSync(zip);
  expect(Object.keys(files)).toHaveLength(10);
  for (const [path, bytes] of Object.entries(files)) {
    const original = sampleFile(path);
    if (path !== "css/ferry.css") expect(Buffer.compare(Buffer.from(bytes), original), path).toBe(0);
    else expect(strFromU8(bytes)).toBe(strFromU8(original).replace("#8a9aa6", "#5d6b76"));
  }
});
