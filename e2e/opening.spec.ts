import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { mkdirSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { zipSync, strToU8 } from "fflate";
import {
  openFiles,
  downloaded,
  field,
  openSample,
  pickText,
  ready,
  shownPage,
  slip,
  stage,
  toShelf,
  unzipTexts,
} from "./support/desk";

/** A small site unlike the sample: minified sheet, old encoding, CRLF, a folder for pages. */
const pier = {
  "pages/about.html": Buffer.from(
    '<!doctype html>\r\n<meta charset="windows-1252">\r\n<link rel=stylesheet href="../s/main.css">\r\n<h1 class=big>Caf\xe9 on the pier</h1>\r\n<p>Open daily.</p>\r\n',
    "latin1",
  ),
  "s/main.css": Buffer.from("body{font:16px/1.4 Verdana,sans-serif;color:#222}h1{font-size:2em;color:#bbb}", "latin1"),
  "notes.txt": Buffer.from("not a page"),
};

async function changeHeading(page: Page): Promise<void> {
  await ready(page);
  await pickText(page, "Café on the pier");
  await field(page, "Size").fill("40px");
  await field(page, "Size").press("Enter");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("40 px");
}

const changedSheet = pier["s/main.css"].toString("latin1").replace("font-size:2em", "font-size:40px");

test("a folder of another site, through the directory input", async ({ shelf: page }, info) => {
  const folder = join(info.outputPath("pier"));
  for (const [path, bytes] of Object.entries(pier)) {
    mkdirSync(dirname(join(folder, path)), { recursive: true });
    writeFileSync(join(folder, path), bytes);
  }
  await toShelf(page);
  await page.getByLabel("Folder to open").setInputFiles(folder);
  await changeHeading(page);
  const zip = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: /Changed files/ }).click();
  });
  expect(unzipTexts(zip)).toEqual({ "s/main.css": changedSheet });
});

test("a zip, changed and taken out whole with every other byte as it was", async ({ shelf: page }) => {
  const archive = zipSync(
    Object.fromEntries(Object.entries(pier).map(([path, bytes]) => [`pier/${path}`, new Uint8Array(bytes)])),
  );
  await toShelf(page);
  await page
    .getByLabel("Files to open")
    .setInputFiles({ name: "pier.zip", mimeType: "application/zip", buffer: Buffer.from(archive) });
  await changeHeading(page);
  // Into the page itself, which is in an old encoding.
  await page.getByLabel("Write to").click();
  await page
    .getByTitle("style attribute")
    .last()
    .locator("..")
    .getByText("style attribute", { exact: true })
    .last()
    .click();
  await field(page, "Ink").fill("#333333");
  await field(page, "Ink").press("Enter");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("color", "rgb(51, 51, 51)");
  const { unzipSync } = await import("fflate");
  const files = unzipSync(
    await downloaded(page, async () => {
      await page.getByRole("button", { name: "Export" }).click();
      await page.getByRole("menuitem", { name: "Whole site as zip" }).click();
    }),
  );
  const bytes = (path: string) => Buffer.from(files[path]!).toString("latin1");
  expect(bytes("pages/about.html")).toBe(
    pier["pages/about.html"].toString("latin1").replace("<h1 class", '<h1 style="color: #333333" class'),
  );
  expect(bytes("s/main.css")).toBe(changedSheet);
  expect(bytes("notes.txt")).toBe("not a page");
});

test("a folder with leave to write: saved back, and asked first where a file changed meanwhile", async ({ page }) => {
  await page.addInitScript(() => {
    const root = () => navigator.storage.getDirectory();
    Object.assign(window, { showDirectoryPicker: async () => (await root()).getDirectoryHandle("site") });
  });
  await page.goto("/");
  await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site", { create: true });
    const put = async (name: string, text: string) => {
      const stream = await (await folder.getFileHandle(name, { create: true })).createWritable();
      await stream.write(text);
      await stream.close();
    };
    await put("index.html", "<!doctype html><link rel=stylesheet href=a.css><h1>Pier</h1>");
    await put("a.css", "h1 { color: #333; }\n");
    Object.assign(window, { put });
  });
  const read = (name: string) =>
    page.evaluate(async (file) => {
      const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site");
      return (await (await folder.getFileHandle(file)).getFile()).text();
    }, name);
  await page.getByRole("button", { name: /^Folder/ }).click();
  await ready(page);
  await pickText(page, "Pier");
  const write = async (value: string) => {
    await field(page, "Ink").fill(value);
    await field(page, "Ink").press("Enter");
    await expect(slip(page).getByRole("group", { name: "Ink", exact: true })).toContainText(value);
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: "Write back into site" }).click();
  };
  await write("#444444");
  await expect(page.getByText("1 file written to site.")).toBeVisible();
  expect(await read("a.css")).toBe("h1 { color: #444444; }\n");

  // Where it is not followed, what another program writes is not seen until it would be written over.
  await page.getByRole("link", { name: /^Changes/ }).click();
  await page.getByText("Folder", { exact: true }).click();
  await page.getByRole("checkbox", { name: "Follow the folder site" }).uncheck();
  await page.getByRole("link", { name: "Page", exact: true }).click();
  await page.evaluate(async () => {
    const folder = await (await navigator.storage.getDirectory()).getDirectoryHandle("site");
    const stream = await (await folder.getFileHandle("a.css")).createWritable();
    await stream.write("/* somebody else */");
    await stream.close();
  });
  await write("#555555");
  await expect(page.getByRole("dialog")).toContainText("a.css is no longer as last read");
  await page.getByRole("button", { name: "Leave the folder alone" }).click();
  expect(await read("a.css")).toBe("/* somebody else */");
});

test("pasted HTML and CSS, and the specimen page", async ({ shelf: page }) => {
  await toShelf(page);
  await page.getByRole("button", { name: /^Paste HTML/ }).click();
  await page.getByRole("textbox", { name: "HTML" }).fill("<h1>Pasted</h1>");
  await page.getByRole("textbox", { name: "CSS" }).fill("h1 { color: rgb(10 20 30) }");
  await page.getByRole("button", { name: "Open", exact: true }).click();
  await ready(page);
  await expect(shownPage(page).getByRole("heading", { name: "Pasted" })).toHaveCSS("color", "rgb(10, 20, 30)");

  await page.getByRole("link", { name: "Hevret" }).click();
  await page.getByRole("button", { name: /^Specimen page/ }).click();
  await page.getByLabel("Words of filler text").fill("60");
  await page.getByRole("button", { name: "Open", exact: true }).click();
  await ready(page);
  for (const level of [1, 2, 3, 4, 5, 6])
    await expect(shownPage(page).getByRole("heading", { name: `Heading of level ${level}` })).toBeVisible();
});

test("what cannot be opened is refused in plain words and nothing is lost", async ({ shelf: page }) => {
  await toShelf(page);
  await page
    .getByLabel("Files to open")
    .setInputFiles({ name: "x.zip", mimeType: "application/zip", buffer: Buffer.from("not a zip") });
  await expect(page.getByRole("main").getByRole("alert")).toHaveText("x.zip could not be unpacked: it is not a zip.");
  await page
    .getByLabel("Files to open")
    .setInputFiles({ name: "a.png", mimeType: "image/png", buffer: Buffer.from("x") });
  await expect(page.getByRole("main").getByRole("alert")).toContainText("no page and no style sheet");
  const half = zipSync({ "index.html": strToU8("<h1>x</h1>"), "old.css": Uint8Array.of(0xff, 0xfe, 1) });
  await page
    .getByLabel("Files to open")
    .setInputFiles({ name: "half.zip", mimeType: "application/zip", buffer: Buffer.from(half) });
  await ready(page);
  await page.getByRole("link", { name: /^Findings/ }).click();
  await page.getByText("1 file was left out on opening").click();
  await expect(page.getByText("odd number of bytes")).toBeVisible();
});

test("the shelf keeps, renames, copies, deletes and brings back", async ({ page }) => {
  await openSample(page);
  await page.getByRole("link", { name: "Hevret" }).click();
  const rows = page.getByRole("table").getByRole("row");
  const act = async (name: string, action: string) => {
    await page.getByRole("button", { name: `Actions for ${name}` }).click();
    await page.getByRole("menuitem", { name: action }).click();
    // The menu is gone before the next one is opened.
    await expect(page.getByRole("menu")).toHaveCount(0);
  };
  await expect(rows.filter({ hasText: "Ossel Island Ferries" })).toContainText("4 pages, 3 sheets");
  await act("Ossel Island Ferries", "Rename");
  await page.getByRole("textbox", { name: "Name" }).fill("Ferries");
  await page.getByRole("button", { name: "Rename" }).click();
  await act("Ferries", "Duplicate");
  await expect(page.getByRole("link", { name: "Ferries, copy" })).toBeVisible();
  await act("Ferries, copy", "Delete");
  await expect(page.getByRole("link", { name: "Ferries, copy" })).toHaveCount(0);
  await page.getByRole("button", { name: "Bring it back" }).click();
  await page.getByRole("link", { name: "Ferries, copy" }).click();
  await expect(stage(page)).toBeVisible();
});

test("the whole shelf goes out as one archive with its history, and comes in again", async ({ page }) => {
  const linked = '<!doctype html><link rel="stylesheet" href="a.css"><h1>Pier</h1>';
  await openFiles(page, { "index.html": linked, "a.css": "h1 { color: #333333 }" });
  await pickText(page, "Pier");
  await field(page, "Ink").fill("#111111");
  await field(page, "Ink").press("Enter");
  await expect(page.getByRole("link", { name: /^Changes 1/ })).toBeVisible();
  await page.getByRole("link", { name: "Hevret" }).click();
  const archive = Buffer.from(
    await downloaded(page, () => page.getByRole("button", { name: "Take the whole shelf out" }).click()),
  );
  const takeIn = (name: string, buffer: Buffer) =>
    page.getByLabel("Shelf to take in").setInputFiles({ name, mimeType: "application/zip", buffer });
  await takeIn("shelf.zip", Buffer.from("nonsense"));
  await expect(page.getByText("shelf.zip could not be unpacked: it is not a zip.")).toBeVisible();
  await takeIn("shelf.zip", archive);
  await expect(page.getByText("1 site taken in.")).toBeVisible();
  const sites = page.getByRole("link", { name: /^index/ });
  await expect(sites).toHaveCount(2);
  await sites.first().click();
  await ready(page);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("link", { name: /^Changes 0/ })).toBeVisible();
});
