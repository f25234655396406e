/** Two programs on one folder; the browser's private file system stands in for the disk. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { field, openFiles, pickText, ready, shownPage } from "./support/desk";

const files = {
  "index.html": "<!doctype html><link rel=stylesheet href=a.css><h1>Pier</h1><p>Boats</p>",
  "a.css": "h1 { color: #333333; }\n\np { color: #444444; }\n",
};

/** The other program. */
const inFolder = (page: Page) => ({
  write: (path: string, text: string) =>
    page.evaluate(
      async ([name, content]) => {
        const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site", { create: true });
        const stream = await (await folder.getFileHandle(name, { create: true })).createWritable();
        await stream.write(content);
        await stream.close();
      },
      [path, text] as const,
    ),
  remove: (path: string) =>
    page.evaluate(async (name) => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site");
      await folder.removeEntry(name);
    }, path),
  read: (path: string) =>
    page.evaluate(async (name) => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site");
      const handle = await folder.getFileHandle(name).catch(() => null);
      // What is written while it is read is read at the next look.
      const text = async () => (await handle!.getFile()).text();
      return handle && (await text().catch(() => "being written"));
    }, path),
});

async function openFolder(page: Page) {
  await page.addInitScript(() => {
    Object.assign(window, {
      showDirectoryPicker: async () => (await navigator.storage.getDirectory()).getDirectoryHandle("site"),
    });
  });
  await page.goto("/");
  const folder = inFolder(page);
  for (const [path, text] of Object.entries(files)) await folder.write(path, text);
  await page.getByRole("button", { name: /^Folder/ }).click();
  await ready(page);
  return folder;
}

const ink = (page: Page, tag: "h1" | "p", color: string) =>
  expect(shownPage(page).locator(tag)).toHaveCSS("color", color);

async function setInk(page: Page, words: string, color: string): Promise<void> {
  await pickText(page, words);
  await field(page, "Ink").fill(color);
  await field(page, "Ink").press("Enter");
}

test("what another program writes appears as a step, joined with what was changed here", async ({ page }) => {
  const folder = await openFolder(page);
  await ink(page, "h1", "rgb(51, 51, 51)");
  await folder.write("a.css", files["a.css"].replace("#333333", "#111111"));
  await ink(page, "h1", "rgb(17, 17, 17)");
  await page.getByRole("button", { name: "Undo" }).click();
  await ink(page, "h1", "rgb(51, 51, 51)");
  await page.getByRole("button", { name: "Redo" }).click();

  await setInk(page, "Boats", "#222222");
  await ink(page, "p", "rgb(34, 34, 34)");
  await folder.write("a.css", files["a.css"].replace("#333333", "#060606"));
  await ink(page, "h1", "rgb(6, 6, 6)");
  await ink(page, "p", "rgb(34, 34, 34)");
});

test("in the same lines both are shown, and one is chosen", async ({ page }) => {
  const folder = await openFolder(page);
  await setInk(page, "Pier", "#222222");
  await ink(page, "h1", "rgb(34, 34, 34)");
  await folder.write("a.css", files["a.css"].replace("#333333", "#060606").replace("#444444", "#070707"));
  const dialog = page.getByRole("dialog", { name: "Changed here and in the folder, in the same lines" });
  await expect(dialog).toContainText("h1 { color: #222222; }");
  await dialog.getByRole("radio", { name: /As it is in the folder/ }).check();
  await dialog.getByRole("button", { name: "Join", exact: true }).click();
  await ink(page, "h1", "rgb(6, 6, 6)");
  await ink(page, "p", "rgb(7, 7, 7)");
});

test("files that come, go and are renamed are followed", async ({ page }) => {
  const folder = await openFolder(page);
  const sheets = page.getByRole("link", { name: /^Sheets/ });
  await expect(sheets).toHaveText(/1$/);
  await folder.write("b.css", "h1 { color: #010101 }");
  await expect(sheets).toHaveText(/2$/);
  await folder.write("c.css", "h1 { color: #010101 }");
  await folder.remove("b.css");
  await sheets.click();
  await expect(page.getByRole("button", { name: "c.css", exact: true })).toBeVisible();
  await expect(page.getByRole("button", { name: "b.css", exact: true })).toHaveCount(0);
});

test("a picture that is another is shown, in a page and behind a text", async ({ page }) => {
  const folder = await openFolder(page);
  const svg = (width: number) => `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="40"/>`;
  await folder.write("pier.svg", svg(40));
  await folder.write("a.css", "h1 { background: url(pier.svg) }");
  await folder.write("index.html", `${files["index.html"]}<img src="pier.svg" alt="The pier">`);
  const picture = shownPage(page).getByRole("img", { name: "The pier" });
  const width = () => picture.evaluate((one: HTMLImageElement) => one.naturalWidth).catch(() => 0);
  const behind = () =>
    shownPage(page)
      .locator("h1")
      .evaluate(async (one) => {
        const picture = new Image();
        picture.src = getComputedStyle(one).backgroundImage.slice(5, -2);
        await picture.decode();
        return picture.naturalWidth;
      })
      .catch(() => 0);
  await expect.poll(width).toBe(40);
  await expect.poll(behind).toBe(40);
  await folder.write("pier.svg", svg(80));
  await expect.poll(width).toBe(80);
  await expect.poll(behind).toBe(80);
});

test("every step is written through at once, deletions too", async ({ page }) => {
  const folder = await openFolder(page);
  await page.getByRole("link", { name: /^Changes/ }).click();
  await page.getByText("Folder", { exact: true }).click();
  await page.getByRole("checkbox", { name: "Write as I go" }).check();
  await page.getByRole("link", { name: "Page", exact: true }).click();
  await setInk(page, "Pier", "#222222");
  await expect.poll(() => folder.read("a.css")).toContain("h1 { color: #222222; }");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect.poll(() => folder.read("a.css")).toBe(files["a.css"]);
  await page.getByRole("link", { name: /^Sheets/ }).click();
  await page.getByRole("button", { name: "a.css", exact: true }).click();
  await page.getByText("More…", { exact: true }).click();
  await page.getByRole("button", { name: "Delete it…" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Write", exact: true }).click();
  await expect.poll(() => folder.read("a.css")).toBe(null);
});

test("without leave, files are read again by hand and joined", async ({ shelf: page }) => {
  await openFiles(page, files);
  await setInk(page, "Boats", "#222222");
  await page.getByRole("link", { name: /^Changes/ }).click();
  await page.getByText("Folder", { exact: true }).click();
  const again = page.getByLabel("Read a zip or files again…");
  const sheet = (text: string) => [{ name: "a.css", mimeType: "text/css", buffer: Buffer.from(text) }];
  await again.setInputFiles(sheet(files["a.css"]));
  await expect(page.getByText("Nothing is another there.")).toBeVisible();
  await again.setInputFiles(sheet(files["a.css"].replace("#333333", "#060606")));
  await page.getByText("Differences", { exact: true }).click();
  const changed = page.getByRole("article", { name: "a.css" });
  await expect(changed).toContainText("h1 { color: #060606; }");
  await expect(changed).toContainText("p { color: #222222; }");
});
