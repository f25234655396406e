/** The road from a bare page to a site's sheet. */
import type { Locator, Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { downloaded, field, openFiles, pickText, shownPage, slip, unzipTexts, openRow } from "./support/desk";

/** Walks with Tab until something has the focus. */
async function tabTo(page: Page, locator: Locator, most = 150): Promise<void> {
  await expect(locator).toBeVisible();
  for (let step = 0; step < most; step += 1) {
    if (await locator.evaluate((element) => element === document.activeElement)) return;
    await page.keyboard.press("Tab");
  }
  throw new Error(`Tab does not lead to ${locator}.`);
}

const dialog = (page: Page) => page.getByRole("dialog");

async function writeByKeyboard(page: Page): Promise<void> {
  const write = dialog(page).getByRole("button", { name: "Write" });
  await expect(write).toBeEnabled();
  await tabTo(page, write);
  await page.keyboard.press("Enter");
  await expect(dialog(page)).toHaveCount(0);
}

const bare =
  '<!doctype html>\n<html lang="en">\n<head>\n  <title>Ossel</title>\n</head>\n<body>\n  <h1>Sailings</h1>\n  <h2>Winter</h2>\n  <p>Two boats.</p>\n</body>\n</html>\n';

test("by keyboard alone from a bare page to three rules in a linked sheet, and to a second page", async ({
  shelf: page,
}) => {
  await openFiles(page, { "index.html": bare, "fares.html": bare });
  await tabTo(page, slip(page).getByRole("button", { name: "Make a style sheet…" }));
  await page.keyboard.press("Enter");
  await expect(dialog(page).getByLabel("Name, with its folder")).toBeFocused();
  await page.keyboard.press("Control+a");
  await page.keyboard.type("css/style.css");
  await tabTo(page, dialog(page).getByLabel("fares.html"));
  await page.keyboard.press("Space");
  await tabTo(page, dialog(page).getByRole("button", { name: "Look at it" }));
  await page.keyboard.press("Enter");
  await expect(dialog(page)).toContainText("css/style.css is put into the site.");
  await writeByKeyboard(page);

  const source = page.getByRole("region", { name: "Source" });
  await tabTo(page, source.getByRole("combobox", { name: "File" }));
  await page.keyboard.type("style.css");
  await page.keyboard.press("Enter");
  await tabTo(page, page.getByRole("textbox", { name: "Source of css/style.css" }));
  for (const [tag, declaration] of [
    ["h1", "color: navy"],
    ["h2", "color: teal"],
    ["p", "line-height: 1.5"],
  ]) {
    await page.keyboard.type(`${tag} {`);
    await page.keyboard.press("Enter");
    await page.keyboard.type(`${declaration};`);
    await page.keyboard.press("Enter");
    await page.keyboard.type("}");
    await page.keyboard.press("Enter");
  }
  await expect(shownPage(page).getByRole("heading", { name: "Winter" })).toHaveCSS("color", "rgb(0, 128, 128)");
  await expect(source).toContainText("changed since opening");

  await tabTo(page, page.getByRole("link", { name: /^Sheets/ }));
  await page.keyboard.press("Enter");
  await tabTo(page, page.getByRole("button", { name: "Link fares.html to css/style.css" }));
  await page.keyboard.press("Enter");
  await writeByKeyboard(page);

  await tabTo(page, page.getByRole("button", { name: "Export" }));
  const files = unzipTexts(
    await downloaded(page, async () => {
      await page.keyboard.press("Enter");
      const whole = page.getByRole("menuitem", { name: "Whole site as zip" });
      await expect(whole).toBeVisible();
      await whole.focus();
      await page.keyboard.press("Enter");
    }),
  );
  const linked = bare.replace("</title>\n", '</title>\n  <link rel="stylesheet" href="css/style.css">\n');
  expect(files).toEqual({
    "index.html": linked,
    "fares.html": linked,
    "css/style.css": "h1 {\n  color: navy;\n}\nh2 {\n  color: teal;\n}\np {\n  line-height: 1.5;\n}\n",
  });
});

test("a bare page's head takes rules, and a sheet made on the spot takes the next", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": bare });
  await pickText(page, "Winter");
  await openRow(page, "Ink");
  const ink = page.getByLabel("Ink value", { exact: true });
  await ink.fill("navy");
  await ink.press("Enter");
  await expect(page.getByRole("region", { name: "Source" })).toContainText("changed since opening");
  await slip(page).getByLabel("Write to").click();
  await page.getByText("A new style sheet…", { exact: true }).click();
  await dialog(page).getByLabel("Name, with its folder").fill("main.css");
  await dialog(page).getByLabel("Name, with its folder").press("Enter");
  await dialog(page).getByRole("button", { name: "Write" }).click();
  await expect(dialog(page)).toHaveCount(0);
  await openRow(page, "Leading");
  const leading = page.getByLabel("Leading value", { exact: true });
  await leading.fill("1.2");
  await expect(slip(page).getByText(/New rule (?:body )?h2 in main.css/)).toBeVisible();
  await leading.press("Enter");
  await page.getByRole("link", { name: /Changes/ }).click();
  await expect(page.getByRole("article", { name: "index.html" })).toContainText("<style>");
  await expect(page.getByRole("article", { name: "main.css" })).toContainText("line-height: 1.2;");
});

test("what is tried on a bare page is measured on the picked text, though the page gets a style element for it", async ({
  shelf: page,
}) => {
  const words = "Two boats go out to the islands every day but on the last Sunday of the month. ".repeat(6);
  await openFiles(page, { "index.html": `<!doctype html>\n<h1>Fares</h1>\n<h2>Winter</h2>\n<p>${words}</p>\n` });
  await pickText(page, "Winter");
  await openRow(page, "Size");
  await field(page, "Size").fill("44px");
  await expect(shownPage(page).locator("h2")).toHaveCSS("font-size", "44px");
  await expect(slip(page).getByText("longest of 1 line", { exact: true })).toBeVisible();
  // Pressed while it is tried, the text behind it is that text.
  const box = (await shownPage(page).locator("p").boundingBox())!;
  await page.mouse.click(box.x + 30, box.y + 12);
  await expect(page.getByRole("status", { name: "Picked text" })).toContainText("Two boats");
});

test("a paragraph is made a heading, with what that does to the outline", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html>\n<h1>Fares</h1>\n<p>Adults</p>\n" });
  await pickText(page, "Adults");
  await slip(page).getByRole("combobox", { name: "Element" }).click();
  await page.getByText("heading of level 3").first().click();
  await expect(dialog(page).getByRole("region", { name: "The headings of index.html" })).toContainText("h3 Adults");
  await expect(dialog(page)).toContainText("Level 2 is left out before “Adults”.");
  await dialog(page).getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByRole("heading", { level: 3 })).toHaveText("Adults");
  await expect(page.getByRole("status", { name: "Picked text" })).toContainText("Adults");
});

test("paragraphs in a row are made a list", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html>\n<h1>Fares</h1>\n<p>Adults</p>\n<p>Dogs</p>\n" });
  await pickText(page, "Adults");
  await slip(page).getByRole("combobox", { name: "Element" }).click();
  await page.getByText("these paragraphs in a row: list in any order").first().click();
  await expect(dialog(page)).toContainText("<li>Adults</li>");
  await dialog(page).getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByRole("listitem")).toHaveText(["Adults", "Dogs"]);
});

test("a site from scratch, and a specimen of chosen parts", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: /^New site/ }).click();
  await dialog(page).getByLabel("Name of the site").fill("Piers");
  await dialog(page).getByLabel("Its page").fill("index");
  await dialog(page).getByRole("button", { name: "Open" }).click();
  await expect(dialog(page).getByRole("alert")).toHaveText("A page ends in .html.");
  await dialog(page).getByLabel("Its page").fill("index.html");
  await dialog(page).getByRole("button", { name: "Open" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Piers" })).toBeVisible();
  await page.goto("/");
  await page.getByRole("button", { name: /^Specimen page/ }).click();
  await dialog(page).getByLabel("A form").uncheck();
  await dialog(page).getByLabel("h4").uncheck();
  await dialog(page).getByLabel("A style sheet of its own, linked").uncheck();
  await dialog(page).getByRole("button", { name: "Open" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Heading of level 3" })).toBeVisible();
  await expect(shownPage(page).getByRole("heading", { name: "Heading of level 4" })).toHaveCount(0);
  await expect(shownPage(page).getByRole("button", { name: "Send" })).toHaveCount(0);
  await expect(slip(page).getByRole("button", { name: "Make a style sheet…" })).toBeVisible();
});
