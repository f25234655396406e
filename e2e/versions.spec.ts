/** Versions of a site: kept, compared, and gone back to; pages against pages. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { downloaded, field, openFiles, pickText } from "./support/desk";

const files = {
  "index.html":
    '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><p>Return, adult.</p>',
  "map.html": '<!doctype html><title>Map</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><b>Pier</b>',
  "a.css": "h2 { color: #06364f; font-size: 24px }\np { color: #bbb }\n",
};

const side = (page: Page, when: string, name = "index.html") =>
  page.frameLocator(`iframe[title="${when}: ${name}"]`).getByRole("heading", { name: "Fares" });

async function setSize(page: Page, size: string): Promise<void> {
  await page.getByRole("link", { name: "Page", exact: true }).click();
  await field(page, "Size").fill(size);
  await field(page, "Size").press("Enter");
  await page.getByRole("link", { name: /^Changes/ }).click();
}

async function choose(page: Page, what: string, name: RegExp): Promise<void> {
  await page.getByRole("combobox", { name: what }).click();
  await page.getByRole("option", { name }).or(page.getByTitle(name)).last().click();
}

test("a version is kept, compared with what came later, and gone back to; going back can be undone", async ({
  page,
}) => {
  await openFiles(page, files);
  await pickText(page, "Fares");
  await setSize(page, "30px");
  await page.getByRole("button", { name: "Keep this version…" }).click();
  const keeping = page.getByRole("dialog", { name: "Keep the site as it is now" });
  await keeping.getByLabel("Name of the version").fill(" ");
  await keeping.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(keeping.getByText("A version needs a name.")).toBeVisible();
  await keeping.getByLabel("Name of the version").fill("Larger");
  await keeping.getByRole("button", { name: "Keep", exact: true }).click();
  await expect(keeping).toHaveCount(0);
  await setSize(page, "40px");

  // Against the opening, then against the version.
  const styles = page.getByRole("region", { name: "Text styles" });
  await expect(styles).toContainText(/24 px.*40 px/s);
  await expect(side(page, "Before")).toHaveCSS("font-size", "24px");
  await expect(side(page, "After")).toHaveCSS("font-size", "40px");
  await choose(page, "Version before", /^Larger/);
  await expect(styles).toContainText(/30 px.*40 px/s);
  await expect(page.getByRole("article", { name: "a.css" })).toContainText("font-size: 30px");
  await expect(side(page, "Before")).toHaveCSS("font-size", "30px");

  // Under a slider that keys move.
  await page.getByText("Under a slider").click();
  const slider = page.getByRole("slider", { name: "How much of the page after is seen" });
  await slider.press("Home");
  await expect(slider).toHaveValue("0");
  await slider.press("End");
  await expect(slider).toHaveValue("100");

  // Back, as a step.
  await page.getByText("Versions", { exact: true }).click();
  await page.getByRole("button", { name: "Go back… to Larger" }).click();
  const back = page.getByRole("dialog", { name: "Go back to “Larger”" });
  await expect(back).toContainText("font-size: 30px");
  await back.getByRole("button", { name: "Write", exact: true }).click();
  await expect(side(page, "After")).toHaveCSS("font-size", "30px");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(side(page, "After")).toHaveCSS("font-size", "40px");

  // It is there after a reload, and goes when it is deleted.
  await page.reload();
  await page.getByText("Versions", { exact: true }).click();
  await page.getByRole("button", { name: "Delete Larger" }).click();
  await expect(page.getByText("No version is kept yet.")).toBeVisible();
});

test("a sheet that was deleted is told, goes out in the diff, and comes back", async ({ shelf: page }) => {
  await openFiles(page, { ...files, "print.css": "p { color: #000 }\n" });
  await page.getByRole("link", { name: /^Sheets/ }).click();
  await page.getByRole("button", { name: "print.css", exact: true }).click();
  await page.getByText("More…", { exact: true }).click();
  await page.getByRole("button", { name: "Delete it…" }).click();
  const deleting = page.getByRole("dialog", { name: "Delete print.css" });
  await deleting.getByRole("button", { name: "Write", exact: true }).click();
  await page.getByRole("link", { name: /^Changes/ }).click();
  await expect(page.getByRole("article", { name: "print.css" })).toContainText("A file that is gone.");
  const diff = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: "Changes as a unified diff, for git apply" }).click();
  });
  expect(Buffer.from(diff).toString("utf8")).toContain("deleted file mode 100644\n--- a/print.css\n+++ /dev/null\n");
  await page.getByText("Versions", { exact: true }).click();
  await page.getByRole("button", { name: "Go back… to the opening" }).click();
  const back = page.getByRole("dialog", { name: "Go back to the opening" });
  await back.getByRole("button", { name: "Write", exact: true }).click();
  await expect(page.getByRole("link", { name: /^Sheets 2/ })).toBeVisible();
});

test("two pages are compared: the styles that only one of them has", async ({ sample: page }) => {
  await page.getByRole("link", { name: /^Changes/ }).click();
  await choose(page, "Page after", /^timetable\.html/);
  const styles = page.getByRole("region", { name: "Text styles" });
  await expect(styles).toContainText(/\d+ differ, \d+ are the same/);
  // Versions are not laid out: what is told of findings does not say more than it knows.
  await expect(page.getByRole("region", { name: "Findings" })).toContainText(/that the files alone tell are the same/);
  await expect(styles).toContainText("before: ");
  await expect(styles).toContainText("after: ");
  await expect(page.locator('iframe[title="After: timetable.html"]')).toBeVisible();
  await expect(page.getByText(/changed\.$/)).toHaveCount(0);
});
