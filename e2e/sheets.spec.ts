/** Which page reads which sheet: looked at, linked, moved, made, renamed and taken out. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { downloaded, openFiles, unzipTexts } from "./support/desk";

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

test("the table says which page reads which sheet, and a cell links the page that has none", async ({
  sample: page,
}) => {
  await openSheets(page);
  await expect(table(page).getByRole("row", { name: /css\/ferry\.css/ })).toContainText("40 rules");
  await expect(table(page).getByRole("row", { name: /css\/prnt\.css/ })).toContainText("line 8");
  await table(page).getByRole("button", { name: "Link notices.html to css/ferry.css" }).click();
  await expect(dialog(page)).toContainText('<link rel="stylesheet" href="css/ferry.css">');
  await expect(dialog(page).getByRole("status").first()).toContainText("on 1 page");
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

test("a sheet's rules stand under their comments, a step from their first place and their lines", async ({
  sample: page,
}) => {
  await openSheets(page);
  const sheet = page.getByRole("region", { name: "Sheet", exact: true });
  await expect(sheet.getByRole("heading", { name: "headings" })).toBeVisible();
  const rule = sheet.getByRole("listitem").filter({ hasText: /^line 42/ });
  await expect(rule).toContainText("font · color · margin");
  await expect(rule).toContainText("cannot be read well");
  await rule.getByRole("button", { name: "8 places" }).click();
  await expect(
    page.getByRole("complementary", { name: "Slip" }).getByText("h2", { exact: true }).first(),
  ).toBeVisible();
});

const bare =
  "<!doctype html>\n<html lang=en>\n<head>\n  <title>Ossel</title>\n</head>\n<body>\n<h1>Sailings</h1>\n</body>\n</html>\n";

test("a bare page gets a new sheet, which is renamed with its links, and taken out again", async ({ page }) => {
  await openFiles(page, { "index.html": bare, "fares.html": bare, "guide.html": bare });
  await page.getByRole("complementary", { name: "Slip" }).getByRole("button", { name: "Make a style sheet…" }).click();
  const name = page.getByLabel("Name, with its folder");
  await name.fill("styles");
  await name.press("Enter");
  await expect(page.getByRole("alert").filter({ hasText: "styles.css would do" })).toBeVisible();
  await name.fill("css/styles.css");
  await name.press("Enter");
  await expect(dialog(page)).toContainText("css/styles.css is put into the site.");
  await write(page);
  await openSheets(page);
  for (const path of ["index.html", "fares.html", "guide.html"])
    await expect(table(page).getByLabel(`${path} reads css/styles.css as number 1`)).toBeVisible();
  const linked = bare.replace("</title>\n", '</title>\n  <link rel="stylesheet" href="css/styles.css">\n');
  expect(await exported(page)).toEqual({
    "index.html": linked,
    "fares.html": linked,
    "guide.html": linked,
    "css/styles.css": "",
  });
  await page.getByRole("button", { name: "Rename…" }).click();
  await page.getByLabel("New name").fill("main.css");
  await page.getByLabel("New name").press("Enter");
  await expect(dialog(page)).toContainText("css/styles.css is taken out of the site.");
  await write(page);
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
  const renamed = linked.replace("css/styles.css", "main.css");
  expect(await exported(page)).toEqual({
    "index.html": renamed,
    "fares.html": renamed,
    "guide.html": renamed,
    "main.css": "",
  });
  await page.getByText("More…", { exact: true }).click();
  await page.getByRole("button", { name: "Delete it…" }).click();
  await write(page);
  await expect(page.getByText("No style sheet yet.")).toBeVisible();
  expect(await exported(page)).toEqual({ "index.html": bare, "fares.html": bare, "guide.html": bare });
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
  await page.reload();
  await openSheets(page);
  await expect(table(page).getByLabel("fares.html reads main.css as number 1")).toBeVisible();
});

test("what a page holds itself is moved into a sheet, and proven to leave all as it was", async ({ shelf: page }) => {
  const head = (style: string) =>
    `<!doctype html>\n<html lang="en">\n<head>\n  <link rel="stylesheet" href="main.css">${style}\n</head>\n`;
  const body = (first: string, second: string) =>
    `<body>\n<h1>Fares</h1>\n<p${first}>One</p>\n<p${second}>Two</p>\n<p${first}>Three</p>\n<p${second}>Four</p>\n</body>\n</html>\n`;
  const style = "\n  <style>\n    h1 { color: #345 }\n  </style>";
  const red = ' style="color: #900"';
  await openFiles(page, {
    "index.html": head(style) + body(red, red),
    "other.html": head("") + "<h1>Piers</h1>",
    "main.css": "body { color: #222; background: #fff }\n",
  });
  await openSheets(page);
  await table(page).getByLabel("index.html: 4, style attributes").click();
  await page.getByRole("button", { name: "Move into main.css" }).click();
  const selector = page.getByLabel("Selector for color: #900");
  await expect(selector).toHaveValue("body p");
  await selector.fill(".text");
  await page.getByRole("button", { name: "Look at it" }).click();
  await expect(dialog(page)).toContainText("No text comes out differently");
  await write(page);
  await table(page).getByLabel("index.html: 1 rule, rules in its head").click();
  await page.getByRole("button", { name: "Move into main.css" }).click();
  await expect(dialog(page)).toContainText("1 text comes out differently, on other.html");
  await expect(dialog(page).getByRole("list", { name: "How they come out" })).toContainText(
    "“Piers” in other.html: color was rgb(34, 34, 34), is rgb(51, 68, 85)",
  );
  await write(page);
  expect(await exported(page)).toEqual({
    "index.html": head("") + body(' class="text"', ' class="text"'),
    "other.html": head("") + "<h1>Piers</h1>",
    "main.css": "body { color: #222; background: #fff }\n\n.text {\n  color: #900;\n}\n\nh1 { color: #345 }\n",
  });
});

test("rules are copied, split, put elsewhere and gathered by hand, each proven", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": '<!doctype html>\n<link rel="stylesheet" href="a.css">\n<h1>One</h1>\n<h2>Two</h2>\n<h3>Three</h3>\n',
    "a.css": "h1, h2 { color: #345 }\nh3 { color: #345; margin: 0 }\n",
  });
  await openSheets(page);
  const sheet = page.getByRole("region", { name: "Sheet", exact: true });
  const rule = async (name: string, step: string) => {
    await sheet.getByLabel(`What can be done with ${name}`, { exact: true }).click();
    await sheet
      .getByRole("group", { name: `Rule ${name}`, exact: true })
      .getByRole("button", { name: step })
      .click();
  };
  await rule("h1, h2", "Split by selector…");
  await dialog(page).getByLabel("h2", { exact: true }).check();
  await dialog(page).getByRole("button", { name: "Look at it" }).click();
  await expect(dialog(page)).toContainText("No text comes out differently");
  await write(page);
  await rule("h2", "The same for another selector…");
  await dialog(page).getByLabel("Selectors of the new rule").fill("h4 {");
  await dialog(page).getByRole("button", { name: "Look at it" }).click();
  await expect(dialog(page).getByRole("alert")).toContainText("is not a selector");
  await dialog(page).getByLabel("Selectors of the new rule").fill("h4");
  await dialog(page).getByLabel("Selectors of the new rule").press("Enter");
  await write(page);
  expect((await exported(page))["a.css"]).toBe(
    "h1 { color: #345 }\nh2 { color: #345 }\nh4 { color: #345 }\nh3 { color: #345; margin: 0 }\n",
  );
  await rule("h4", "Put it behind the one below");
  await write(page);
  for (const name of ["h1", "h3"]) await rule(name, "Choose it, to gather with others");
  await sheet.getByRole("button", { name: "Declare once what they have alike…" }).click();
  await expect(dialog(page)).toContainText("No text comes out differently");
  await write(page);
  expect((await exported(page))["a.css"]).toBe(
    "h1, h3 { color: #345 }\nh2 { color: #345 }\nh3 { margin: 0 }\nh4 { color: #345 }\n",
  );
});

test("a sheet is read earlier and given a medium on all pages that have it", async ({ shelf: page }) => {
  const links = '<link rel="stylesheet" href="a.css">\n<link rel="stylesheet" href="b.css">\n';
  await openFiles(page, {
    "x.html": `${links}<p>x</p>`,
    "y.html": `${links}<p>y</p>`,
    "a.css": "",
    "b.css": "p { top: 0 }",
  });
  await openSheets(page);
  const sheet = page.getByRole("region", { name: "Sheet", exact: true });
  await table(page).getByRole("button", { name: "b.css", exact: true }).click();
  await sheet.getByText("More…", { exact: true }).click();
  await page
    .getByRole("group", { name: "b.css on all pages" })
    .getByRole("button", { name: "Read it earlier" })
    .click();
  await write(page);
  await sheet.getByText("More…", { exact: true }).click();
  await sheet.getByRole("button", { name: "For whom it is…" }).click();
  await dialog(page).getByLabel("Media condition; empty for everybody").fill("print");
  await dialog(page).getByLabel("Media condition; empty for everybody").press("Enter");
  await write(page);
  const moved = '<link rel="stylesheet" href="b.css" media="print">\n<link rel="stylesheet" href="a.css">\n';
  expect(await exported(page)).toMatchObject({ "x.html": `${moved}<p>x</p>`, "y.html": `${moved}<p>y</p>` });
});

test("many pages that are dressed alike are one column, which is linked as one", async ({ shelf: page }) => {
  const files = Object.fromEntries(
    Array.from({ length: 14 }, (_, at) => [
      `p${at}.html`,
      at < 13 ? "<p>x</p>" : '<link rel="stylesheet" href="a.css">',
    ]),
  );
  await openFiles(page, { ...files, "a.css": "p { color: #333 }" });
  await openSheets(page);
  await table(page).getByRole("button", { name: "Link p0.html and 12 more to a.css" }).click();
  await write(page);
  await expect(table(page).getByLabel("p0.html and 13 more reads a.css as number 1")).toBeVisible();
  await page.getByLabel("Pages whose path holds").fill("p13");
  await expect(table(page).getByLabel("p13.html reads a.css as number 1")).toBeVisible();
});
