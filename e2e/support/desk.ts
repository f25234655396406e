/** What a person does on the desk, by roles and labels. */
import { expect, type Page } from "@playwright/test";
import { readFileSync } from "node:fs";
import { strFromU8, unzipSync } from "fflate";

export async function openSample(page: Page): Promise<void> {
  await page.goto("/");
  await page.getByRole("button", { name: /^Sample site/ }).click();
  await ready(page);
}

/** Waits until the page is shown in its frame. */
export async function ready(page: Page): Promise<void> {
  await expect(page.getByRole("application")).toBeVisible();
}

/** Goes to the shelf: by its address in a window that is new, else as people do. */
export async function toShelf(page: Page): Promise<void> {
  if (page.url() === "about:blank") await page.goto("/");
  else if (new URL(page.url()).pathname !== "/") await page.getByRole("link", { name: "Hevret" }).click();
  await expect(page.getByLabel("Files to open")).toBeAttached();
}

/** Opens files as a site of their own; text or bytes by name. */
export async function openFiles(page: Page, files: Record<string, string | Uint8Array>): Promise<void> {
  await toShelf(page);
  await page.getByLabel("Files to open").setInputFiles(
    Object.entries(files).map(([name, data]) => ({
      name,
      mimeType: name.endsWith(".css") ? "text/css" : name.endsWith(".html") ? "text/html" : "application/octet-stream",
      buffer: Buffer.from(data),
    })),
  );
  await ready(page);
}

/** Opens the chapter of a row of the slip, which is asked for first where nobody set it. */
export async function openRow(page: Page, label: string): Promise<void> {
  const unset = label === "Lines" ? "under, over, through" : label.toLowerCase();
  const ask = slip(page).getByRole("button", { name: unset, exact: true });
  const why = slip(page).getByRole("button", { name: new RegExp(`^${label}: .*Why$`) });
  await expect(ask.or(why)).toBeVisible();
  await ask.or(why).click();
  await expect(why).toHaveAttribute("aria-expanded", "true");
}

export const slip = (page: Page) => page.getByRole("complementary", { name: "Slip" });
export const stage = (page: Page) => page.getByRole("application");
export const field = (page: Page, label: string) => page.getByLabel(`${label} value`, { exact: true });
export const shownPage = (page: Page) => page.frameLocator('iframe[title="The page"]');

/** Picks the first text of the page with these words with the pointer. */
export async function pickText(page: Page, words: string): Promise<void> {
  const text = shownPage(page).getByText(words).filter({ visible: true }).first();
  await text.scrollIntoViewIfNeeded();
  // The middle of a text of two lines is in neither; and the page may be drawn smaller than it is.
  const { first, whole } = await text.evaluate((one) => {
    const range = one.ownerDocument.createRange();
    range.selectNodeContents(one);
    return {
      first: range.getClientRects()[0]!.toJSON() as DOMRect,
      whole: one.getBoundingClientRect().toJSON() as DOMRect,
    };
  });
  const drawn = (await text.boundingBox())!;
  const scale = drawn.width / whole.width;
  const x = drawn.x + (first.left + 4 - whole.left) * scale;
  const y = drawn.y + (first.top + first.height / 2 - whole.top) * scale;
  await page.mouse.click(x, y);
  await expect(page.getByRole("status", { name: "Picked text" })).toContainText(words);
  await page.mouse.move(0, 0);
}

/** Walks through the texts of the page with the keyboard until one with these words is picked. */
export async function pickByKeyboard(page: Page, words: string, most = 60): Promise<void> {
  await stage(page).focus();
  const picked = page.getByRole("status", { name: "Picked text" });
  for (let step = 0; step < most; step += 1) {
    const before = await picked.textContent();
    await page.keyboard.press("ArrowDown");
    await expect(picked).not.toHaveText(before ?? "");
    if ((await picked.textContent())?.includes(words)) return;
  }
  throw new Error(`No text with the words "${words}" was reached.`);
}

/** Runs what starts a download and gives the bytes that came. */
export async function downloaded(page: Page, start: () => Promise<void>): Promise<Uint8Array> {
  const [download] = await Promise.all([page.waitForEvent("download"), start()]);
  return new Uint8Array(readFileSync(await download.path()));
}

export function unzipTexts(bytes: Uint8Array): Record<string, string> {
  return Object.fromEntries(Object.entries(unzipSync(bytes)).map(([path, data]) => [path, strFromU8(data)]));
}

export const sampleFile = (path: string) =>
  readFileSync(new URL(`../../samples/ossel-ferries/${path}`, import.meta.url));

const viewNames = ["Page", "Text styles", "Colours", "Stacks", "Sheets", "Findings", "Changes"] as const;

/** Goes to every view in turn; on the Page view a text is picked. */
export async function eachView(page: Page, look: (view: string) => Promise<void>): Promise<void> {
  await pickText(page, "Winter sailings");
  for (const view of viewNames) {
    const tab = page.getByRole("navigation", { name: "Views" }).getByRole("link", { name: new RegExp(`^${view}`) });
    await tab.click();
    await expect(tab).toHaveAttribute("aria-current", "page");
    await expect(page.getByRole("main").first()).toBeVisible();
    await expect(page.getByText(/^Reading the /)).toHaveCount(0);
    await look(view);
  }
}
