/** Which page reads which sheet: looked at, linked, moved, made, renamed and taken out. */
import { expect, test, type Page } from "@playwright/test";
import { downloaded, openFiles, openSample, unzipTexts } from "./support/desk";

const openSheets = (page: Page) => page.getByRole("link", { name: /^Sheets/ }).click();
const table = (page: Page) => page.getByRole("region", { name: "Sheets and pages" });
const dialog = (page: Page) => page.getByRole("dialog");
const write = async (page: Page) => {
  await dialog(page).getByRole("button", { name: "Write" }).click();
  await expect(dialog(page)).toHaveCount(0);
};
const exported = async (page: Page) =>
  unzipTexts(
    await downloaded(page, async () => {
      await page.getByRole("button", { name: "Export" }).click();
      await page.getByRole("menuitem", { name: "Whole site as zip" }).click();
    }),
  );

test("the table says which page reads which sheet, and a cell links the page that has none", async ({ page }) => {
  await openSample(page);
  await openSheets(page);
  await expect(table(page).getByRole("row", { name: /css\/ferry\.css/ })).toContainText("40 rules");
  await expect(table(page).getByRole("row", { name: /css\/prnt\.css/ })).toContainText("line 8");
  await table(page).getByRole("button", { name: "Link notices.html to css/ferry.css" }).click();
  await expect(dialog(page)).toContainText('<link rel="stylesheet" href="css/ferry.css">');
  await expect(dialog(page).getByRole("status")).toContainText("on 1 page");
  await write(page);
  await expect(table(page).getByLabel("notices.html reads css/ferry.css as number 3")).toBeVisible();
  await table(page).getByLabel("notices.html reads css/ferry.css as number 3").click();
  await page
    .getByRole("group", { name: "css/ferry.css on notices.html" })
    .getByRole("button", { name: "Read it earlier" })
    .click();
  await write(page);
  await expect(table(page).getByLabel("notices.html reads css/ferry.css as number 1")).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(table(page).getByRole("button", { name: "Link notices.html to css/ferry.css" })).toBeVisible();
});

test("a sheet's rules stand under their comments, a step from their first place and their lines", async ({ page }) => {
  await openSample(page);
  await openSheets(page);
  const sheet = page.getByRole("region", { name: "Sheet", exact: true });
  await expect(sheet.getByRole("heading", { name: "headings" })).toBeVisible();
  const rule = sheet.getByRole("listitem").filter({ hasText: /^line 42/ });
  await expect(rule).toContainText("font · color · margin");
  await expect(rule).toContainText("cannot be read well");
  await rule.getByRole("button", { name: "12 places" }).click();
  await expect(
    page.getByRole("complementary", { name: "Slip" }).getByText("h2", { exact: true }).first(),
  ).toBeVisible();
});

const bare =
  "<!doctype html>\n<html lang=en>\n<head>\n  <title>Ossel</title>\n</head>\n<body>\n<h1>Sailings</h1>\n</body>\n</html>\n";

test("a bare page gets a new sheet, which is renamed with its links, and taken out again", async ({ page }) => {
  await openFiles(page, { "index.html": bare, "fares.html": bare });
  await page.getByRole("complementary", { name: "Slip" }).getByRole("link", { name: "Make a style sheet…" }).click();
  const name = page.getByLabel("Name, with its folder");
  await name.fill("styles");
  await name.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "styles.css would do" })).toBeVisible();
  await name.fill("css/styles.css");
  await name.press("Enter");
  await expect(dialog(page)).toContainText("css/styles.css is put into the site.");
  await write(page);
  for (const path of ["index.html", "fares.html"])
    await expect(table(page).getByLabel(`${path} reads css/styles.css as number 1`)).toBeVisible();
  const linked = bare.replace("</title>\n", '</title>\n  <link rel="stylesheet" href="css/styles.css">\n');
  expect(await exported(page)).toEqual({ "index.html": linked, "fares.html": linked, "css/styles.css": "" });
  await page.getByRole("button", { name: "Rename…" }).click();
  await page.getByLabel("New name").fill("main.css");
  await page.getByLabel("New name").press("Enter");
  await expect(dialog(page)).toContainText("css/styles.css is taken out of the site.");
  await write(page);
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
  const renamed = linked.replace("css/styles.css", "main.css");
  expect(await exported(page)).toEqual({ "index.html": renamed, "fares.html": renamed, "main.css": "" });
  await page.getByRole("button", { name: "Delete…" }).click();
  await write(page);
  await expect(page.getByText("No style sheet yet.")).toBeVisible();
  expect(await exported(page)).toEqual({ "index.html": bare, "fares.html": bare });
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
  await page.reload();
  await openSheets(page);
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
});

test("what a page holds itself is moved into a sheet, and proven to leave all as it was", async ({ page }) => {
  const head = (style: string) =>
    `<!doctype html>\n<html lang="en">\n<head>\n  <link rel="stylesheet" href="main.css">${style}\n</head>\n`;
  const body = (first: string, second: string) =>
    `<body>\n<h1>Fares</h1>\n<p${first}>One</p>\n<p${second}>Two</p>\n</body>\n</html>\n`;
  const style = "\n  <style>\n    h1 { color: #345 }\n  </style>";
  const red = ' style="color: #900"';
  await openFiles(page, {
    "index.html": head(style) + body(red, red),
    "other.html": head("") + "<h1>Piers</h1>",
    "main.css": "body { color: #222; background: #fff }\n",
  });
  await openSheets(page);
  await table(page).getByLabel("index.html: 2, style attributes").click();
  await page.getByRole("button", { name: "Move into main.css" }).click();
  await expect(dialog(page)).toContainText("No text comes out differently");
  await write(page);
  await table(page).getByLabel("index.html: 1 rule, rules in its head").click();
  await page.getByRole("button", { name: "Move into main.css" }).click();
  await expect(dialog(page)).toContainText("1 text comes out differently, on other.html");
  await write(page);
  expect(await exported(page)).toEqual({
    "index.html": head("") + body(' class="text"', ' class="text"'),
    "other.html": head("") + "<h1>Piers</h1>",
    "main.css": "body { color: #222; background: #fff }\n\n.text {\n  color: #900;\n}\n\nh1 { color: #345 }\n",
  });
});
