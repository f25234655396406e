/** What goes out: changes as a diff and in words, findings in open formats. */
import { expect, test, type Page } from "@playwright/test";
import { downloaded, field, openFiles, openSample, pickByKeyboard, shownPage } from "./support/desk";

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

test("changes go out as a diff with their own line ends, and in words", async ({ page }) => {
  await openFiles(page, files);
  await pickByKeyboard(page, "Return, adult.");
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

test("findings go out as CSV, SARIF and EARL", async ({ page }) => {
  await openFiles(page, files);
  expect(await exported(page, "Findings as a table (CSV)")).toContain(",contrast,a.css,2,5,");
  const sarif = JSON.parse(await exported(page, "Findings for builds and editors (SARIF 2.1.0)")) as {
    runs: [{ results: { ruleId: string }[] }];
  };
  expect(sarif.runs[0].results.map(({ ruleId }) => ruleId)).toContain("contrast");
  expect(await exported(page, "Findings with a criterion of WCAG (EARL 1.0)")).toContain("#contrast-minimum");
});

test("the specimen sheet sets a text as the page does, asks for nothing, and goes onto A4", async ({
  page,
  context,
}) => {
  await openSample(page);
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
