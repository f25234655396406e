/** What goes out: changes as a diff and in words, findings in open formats. */
import { expect, test, type Page } from "@playwright/test";
import { downloaded, field, openFiles, pickByKeyboard } from "./support/desk";

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
