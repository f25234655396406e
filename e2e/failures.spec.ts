/** What fails is said, and nothing is lost by it. */
import { expect, test, type BrowserContext, type Page } from "@playwright/test";
import { field, openSample, ready, shownPage, slip } from "./support/desk";

async function pick(page: Page, level: number): Promise<void> {
  const box = (await shownPage(page).getByRole("heading", { level }).first().boundingBox())!;
  await page.mouse.click(box.x + 5, box.y + box.height / 2);
}

async function setSize(page: Page, value: string): Promise<void> {
  await field(page, "Size").fill(value);
  await page.keyboard.press("Enter");
}

const saved = (page: Page) => page.getByRole("status").filter({ hasText: /^Saved/ });
const unsaved = (page: Page) => page.getByRole("status").filter({ hasText: /^Not saved/ });

/** The texts of sheets as they are stored. */
const stored = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string>((resolve) => {
        const opening = indexedDB.open("hevret");
        opening.onsuccess = () => {
          const all = opening.result.transaction("files").objectStore("files").getAll();
          all.onsuccess = () => {
            opening.result.close();
            resolve(all.result.map(({ file }: { file: { text?: string } }) => file.text ?? "").join("\n"));
          };
        };
      }),
  );

/** The browser says that its storage is full for as long as it is told to. */
const mayBeFull = () => {
  const put = IDBObjectStore.prototype.put;
  IDBObjectStore.prototype.put = function (...asking: Parameters<typeof put>) {
    if ((window as { full?: boolean }).full) throw new DOMException("full", "QuotaExceededError");
    return put.apply(this, asking);
  };
};
const setFull = (page: Page, full: boolean) =>
  page.evaluate((is) => {
    (window as { full?: boolean }).full = is;
  }, full);

/** The sample's main heading in another size, which there is no room to save. */
async function setWithoutRoom(page: Page, value: string): Promise<void> {
  await page.addInitScript(mayBeFull);
  await openSample(page);
  await pick(page, 1);
  await expect(field(page, "Size")).toBeVisible();
  await setFull(page, true);
  await setSize(page, value);
  await expect(unsaved(page)).toBeVisible();
}

/** A heading in another size, written from another window. */
async function setElsewhere(context: BrowserContext, url: string, level: number, value: string): Promise<void> {
  const other = await context.newPage();
  await other.goto(url);
  await ready(other);
  await pick(other, level);
  await setSize(other, value);
  await expect(saved(other)).toBeVisible();
}

test("a worker that ends is noticed at once, said, and started anew with the files as they are", async ({ page }) => {
  await openSample(page);
  await pick(page, 1);
  await setSize(page, "44px");
  await expect(saved(page)).toBeVisible();
  await page.workers()[0]!.evaluate(() => self.close());
  await expect(page.getByRole("alert").filter({ hasText: "started anew" })).toBeVisible();
  await pick(page, 2);
  await expect(field(page, "Size")).not.toHaveValue("44px");
  await pick(page, 1);
  await expect(field(page, "Size")).toHaveValue("44px");
  expect(await stored(page)).toContain("44px");
});

test("what could not be saved is put upon what another window wrote, and undone while it is not saved", async ({
  page,
  context,
}) => {
  await setWithoutRoom(page, "44px");
  await setSize(page, "45px");
  // The figure beside the field is that of what is written.
  await expect(slip(page).getByRole("group", { name: "Size", exact: true })).toContainText("45px");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(field(page, "Size")).toHaveValue("44px");
  await expect(unsaved(page)).toBeVisible();

  await setElsewhere(context, page.url(), 2, "31px");
  await expect
    .poll(async () => {
      await pick(page, 2);
      return field(page, "Size").inputValue();
    })
    .toBe("31px");

  await setFull(page, false);
  await setSize(page, "32px");
  await expect(saved(page)).toBeVisible();
  await expect.poll(() => stored(page)).toContain("32px");
  expect(await stored(page)).toContain("font-size: 44px");
});

test("where both changed the same place, what was not saved is kept as a site of its own", async ({
  page,
  context,
}) => {
  await setWithoutRoom(page, "44px");
  await setFull(page, false);
  await setElsewhere(context, page.url(), 1, "51px");
  await expect(page.getByRole("alert").filter({ hasText: "kept on the shelf" })).toBeVisible();
  await pick(page, 1);
  await expect(field(page, "Size")).toHaveValue("51px");
  const texts = await stored(page);
  expect(texts).toContain("font-size: 44px");
  expect(texts).toContain("font-size: 51px");
});
