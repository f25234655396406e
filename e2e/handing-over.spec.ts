/** What goes out: changes as a diff and in words, findings in open formats. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { downloaded, field, openFiles, openSample, pickText, shownPage } from "./support/desk";

const files = {
  "index.html":
    '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><p>Return, adult.</p>',
  "a.css": "h2 { color: #06364f }\r\np { color: #bbb }\r\n",
};

async function exported(page: Page, name: string): Promise<string> {
  const bytes = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name }).click();
  });
  return Buffer.from(bytes).toString("utf8");
}

test("changes go out as a diff with their own line ends, and in words", async ({ shelf: page }) => {
  await openFiles(page, files);
  await pickText(page, "Return, adult.");
  await field(page, "Ink").fill("#444");
  await field(page, "Ink").press("Enter");
  await expect(page.getByRole("link", { name: /^Changes 1/ })).toBeVisible();
  expect(await exported(page, "Changes as a unified diff, for git apply")).toBe(
    "diff --git a/a.css b/a.css\n--- a/a.css\n+++ b/a.css\n@@ -1,2 +1,2 @@\n h2 { color: #06364f }\r\n-p { color: #bbb }\r\n+p { color: #444 }\r\n",
  );
  expect(await exported(page, "Changes in words, for a message")).toBe(
    "1 file changed; 1 text on 1 page comes out differently.\n\na.css\n  p: color was #bbb, is #444\n",
  );
});

test("findings go out as CSV, SARIF and EARL", async ({ shelf: page }) => {
  await openFiles(page, files);
  expect(await exported(page, "Findings as a table (CSV)")).toContain(",contrast,a.css,2,5,");
  const sarif = JSON.parse(await exported(page, "Findings for builds and editors (SARIF 2.1.0)")) as {
    runs: [{ results: { ruleId: string }[] }];
  };
  expect(sarif.runs[0].results.map(({ ruleId }) => ruleId)).toContain("contrast");
  expect(await exported(page, "Findings with a criterion of WCAG (EARL 1.0)")).toContain("#contrast-minimum");
});

test("the specimen sheet sets a text as the page does, asks for nothing, and goes onto A4", async ({
  sample: page,
  context,
}) => {
  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  const looks = (one: Element) => {
    const { fontFamily, fontSize, fontWeight, lineHeight, color } = getComputedStyle(one);
    return { fontFamily, fontSize, fontWeight, lineHeight, color };
  };
  await expect(heading).toBeVisible();
  const onPage = await heading.evaluate(looks);
  const sheet = await exported(page, "Specimen sheet (HTML, prints on A4)");

  const own = await context.newPage();
  const asked: string[] = [];
  own.on("request", (request) => asked.push(request.url()));
  await own.setContent(sheet, { waitUntil: "load" });
  await expect(own).toHaveTitle("Ossel Island Ferries: specimen sheet");
  await expect(own.getByRole("heading", { level: 2 })).toHaveCount(7);
  // What is alike stands once, with the words of its first place.
  const all = await own.locator("[dir=auto]").evaluateAll((found) =>
    found.map((one) => {
      const { fontFamily, fontSize, fontWeight, lineHeight, color } = getComputedStyle(one);
      return { fontFamily, fontSize, fontWeight, lineHeight, color };
    }),
  );
  expect(all).toContainEqual(onPage);
  expect(asked.filter((address) => !address.startsWith("data:"))).toEqual([]);
  const wide = await own.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(wide).toBe(0);

  const pdf = (await own.pdf({ preferCSSPageSize: true, printBackground: true })).toString("latin1");
  const boxes = [...pdf.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)];
  expect(boxes.length).toBeGreaterThan(3);
  // A4 in points.
  for (const [, width, height] of boxes) {
    expect(Math.abs(Number(width) - 595)).toBeLessThan(2);
    expect(Math.abs(Number(height) - 842)).toBeLessThan(2);
  }
});

test("the site is held against a tokens file: what strays is brought to its token, and the rest is named", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    ...files,
    "a.css": "h2 { color: #06364f; font-size: 1.5rem }\np { color: #074050; font-size: 15px }\n",
  });
  await page.getByRole("link", { name: /^Sheets/ }).click();
  const open = (name: string, json: unknown) =>
    page
      .getByLabel("Tokens file to hold the site against")
      .setInputFiles({ name, mimeType: "application/json", buffer: Buffer.from(JSON.stringify(json)) });
  await open("not.json", { colours: 1 });
  await expect(page.getByText("No design token is in this file")).toBeVisible();
  await open("ossel.tokens.json", {
    sea: { $type: "color", $value: { colorSpace: "srgb", components: [6 / 255, 54 / 255, 79 / 255], alpha: 1 } },
    deep: { $type: "color", $value: { colorSpace: "srgb", components: [7 / 255, 64 / 255, 79 / 255], alpha: 1 } },
    size: {
      $type: "dimension",
      text: { $value: { value: 16, unit: "px" } },
      lead: { $value: { value: 24, unit: "px" } },
    },
    lost: { $type: "color", $value: "{nowhere}" },
  });
  const list = page.getByRole("listbox", { name: "Values against tokens" });
  await expect(list.getByRole("option")).toHaveText([
    /#074050.*deep.*ΔE OK 0\.00\d off.*1 spot$/,
    /15px.*size\.text.*1 px off.*1 spot$/,
    /#06364f.*sea.*equal.*1 spot$/,
    /1\.5rem.*size\.lead.*equal.*1 spot$/,
  ]);
  await page.getByText("1 token could not be read").click();
  await expect(page.getByText("it refers to nowhere, which is not there")).toBeVisible();

  // A value by the keyboard: its token in its place.
  await list.focus();
  await page.keyboard.press("ArrowDown");
  await page.getByRole("button", { name: "Put 16px there…" }).click();
  const dialog = page.getByRole("dialog", { name: "size.text instead of 15px" });
  await dialog.getByRole("button", { name: "Write", exact: true }).click();
  await expect(list.getByRole("option")).toHaveCount(4);
  await expect(list.getByRole("option", { name: /16px/ })).toContainText("equal");

  // What is equal gets its name, and nothing comes out differently.
  await page.getByRole("button", { name: "Name 3 that are equal" }).click();
  const naming = page.getByRole("dialog", { name: "Name 3 values by tokens" });
  await expect(naming.getByText("No text comes out differently")).toBeVisible();
  await naming.getByRole("button", { name: "Write", exact: true }).click();
  await expect(list.getByRole("option")).toHaveText([/#074050/]);
  await page.getByRole("button", { name: "Back to the sheets" }).click();
  await page.getByRole("link", { name: /^Changes 1/ }).click();
  const changed = page.getByRole("article", { name: "a.css" });
  await expect(changed).toContainText("--size-text: 16px");
  await expect(changed).toContainText("font-size: var(--size-lead)");
});

test("design tokens go out and hold the site they came from", async ({ page }) => {
  await openSample(page);
  const json = await exported(page, "Design tokens (JSON)");
  expect(JSON.parse(json)).toMatchObject({ color: { $type: "color", sea: { $value: { hex: "#17445c" } } } });
  await page.getByRole("link", { name: /^Sheets/ }).click();
  await page
    .getByLabel("Tokens file to hold the site against")
    .setInputFiles({ name: "own.tokens.json", mimeType: "application/json", buffer: Buffer.from(json) });
  const list = page.getByRole("listbox", { name: "Values against tokens" });
  await expect(list.getByRole("option", { name: /#17445c/ })).toContainText("equal");
  await expect(page.getByText(/could not be read/)).toHaveCount(0);
});
