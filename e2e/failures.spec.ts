/** What fails is said, and nothing is lost by it. */
import { chromium, type BrowserContext, type Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { field, openFiles, openSample, ready, shownPage, slip, openRow } from "./support/desk";

async function pick(page: Page, level: number): Promise<void> {
  const heading = shownPage(page).getByRole("heading", { level }).first();
  // The page may be put up anew just now, in a frame that begins anew.
  await expect(async () => {
    const box = await heading.boundingBox();
    await page.mouse.click(box!.x + 5, box!.y + box!.height / 2);
  }).toPass();
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
  for (const name of ["put", "add"] as const) {
    const write = IDBObjectStore.prototype[name];
    IDBObjectStore.prototype[name] = function (...asking: Parameters<typeof write>) {
      if ((window as { full?: boolean }).full) throw new DOMException("full", "QuotaExceededError");
      return write.apply(this, asking);
    };
  }
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
  // What a field would hold without a draft is what is written.
  await expect(field(page, "Size")).toHaveAttribute("placeholder", "45px");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(field(page, "Size")).toHaveValue("44px");
  await expect(unsaved(page)).toBeVisible();

  await setElsewhere(context, page.url(), 2, "31px");
  await expect(shownPage(page).getByRole("heading", { level: 2 }).first()).toHaveCSS("font-size", "31px");
  await pick(page, 2);
  await expect(field(page, "Size")).toHaveValue("31px");

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

/** What the browser may do with its storage, before anything of the page runs. */
const withoutStorage: readonly (readonly [name: string, unusable: () => void, words: RegExp])[] = [
  [
    "missing",
    () => {
      for (const name of ["indexedDB", "webkitIndexedDB"]) Object.defineProperty(window, name, { value: undefined });
    },
    /IndexedDB is missing or switched off/,
  ],
  [
    "refused",
    () => {
      IDBFactory.prototype.open = () => {
        throw new DOMException("no", "SecurityError");
      };
    },
    /does not let Hevret keep sites here/,
  ],
];

for (const [name, unusable, words] of withoutStorage) {
  test(`storage that is ${name} is told in plain words, on the shelf and where a site is opened`, async ({ page }) => {
    await page.addInitScript(unusable);
    await page.goto("/");
    await expect(page.getByRole("alert").filter({ hasText: words }).first()).toBeVisible();
    await page.getByRole("button", { name: /^Sample site/ }).click();
    await expect(page.getByRole("alert").filter({ hasText: words })).toHaveCount(2);
    await page.goto("/site/nowhere/page");
    await expect(page.getByRole("heading", { name: "This site could not be read" })).toBeVisible();
    await expect(page.getByRole("alert").filter({ hasText: words })).toBeVisible();
  });
}

test("sites that a newer version keeps are not touched", async ({ page }) => {
  await page.goto("/favicon.ico");
  await page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const opening = indexedDB.open("hevret", 90);
        opening.onupgradeneeded = () => opening.result.createObjectStore("sites", { keyPath: "id" });
        opening.onsuccess = () => {
          opening.result.close();
          resolve();
        };
      }),
  );
  await page.goto("/");
  await expect(page.getByRole("alert").filter({ hasText: "kept by a newer Hevret" })).toBeVisible();
});

test("where the storage is taken away meanwhile, what is open stays, can be undone and exported", async ({ page }) => {
  await page.addInitScript(() => {
    const { transaction } = IDBDatabase.prototype;
    IDBDatabase.prototype.transaction = function (...asking: Parameters<typeof transaction>) {
      if ((window as { gone?: boolean }).gone) throw new DOMException("closing", "InvalidStateError");
      return transaction.apply(this, asking);
    };
  });
  await openSample(page);
  await pick(page, 1);
  await expect(field(page, "Size")).toBeVisible();
  await page.evaluate(() => {
    (window as { gone?: boolean }).gone = true;
  });
  await setSize(page, "46px");
  await expect(page.getByRole("alert").filter({ hasText: "storage was closed" })).toBeVisible();
  await expect(unsaved(page)).toBeVisible();
  const download = page.waitForEvent("download");
  await page.getByRole("button", { name: "Export" }).click();
  await page.getByRole("menuitem", { name: /zip/ }).first().click();
  expect((await download).suggestedFilename()).toMatch(/\.zip$/);
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(field(page, "Size")).not.toHaveValue("46px");
});

test("a site that there is no room for is not kept by halves, and that is said", async ({ page }) => {
  await page.addInitScript(mayBeFull);
  await page.goto("/");
  await setFull(page, true);
  await page.getByRole("button", { name: /^Sample site/ }).click();
  await expect(page.getByRole("alert").filter({ hasText: "Nothing of this site is kept" })).toBeVisible();
  await setFull(page, false);
  expect(await stored(page)).toBe("");
  await openSample(page);
});

test("addresses that lead nowhere, or cannot be read, get our page with our headers", async ({ page }) => {
  for (const address of ["/nowhere", "/site/%", "/%ff%fe"]) {
    const answer = await page.goto(address);
    expect(answer!.status()).toBe(404);
    expect(answer!.headers()["content-security-policy"]).toContain("default-src 'self'");
    await expect(page.getByRole("heading", { level: 1 })).toBeVisible();
    await page.getByRole("link", { name: /shelf/i }).click();
    await expect(page.getByRole("heading", { name: "Open a site" })).toBeVisible();
  }
});

test("a view that could not be fetched is said to have stopped, and comes once it can", async ({ page }) => {
  await openSample(page);
  let isAway = true;
  await page.route("**/_next/static/chunks/**", (route) => (isAway ? route.abort() : route.continue()));
  await page.getByRole("link", { name: /^Colours/ }).click();
  await expect(page.getByRole("alert").filter({ hasText: "This view stopped" })).toBeVisible();
  isAway = false;
  await page.getByRole("button", { name: "Show it again" }).click();
  await expect(page.getByRole("main", { name: "Colours" })).toBeVisible();
});

test("where the desk could not be fetched that is said, and the site is there once it can", async ({ page }) => {
  let isAway = true;
  await page.route("**/_next/static/chunks/*.js", async (route) => {
    const answer = await route.fetch();
    const isOfDesk = (await answer.text()).includes('"aria-label":"Views"');
    await (isAway && isOfDesk ? route.abort() : route.fulfill({ response: answer }));
  });
  await page.goto("/");
  await page.getByRole("button", { name: /^Sample site/ }).click();
  const said = page.getByRole("alert").filter({ hasText: "This site could not be shown" });
  await expect(said).toContainText("Your sites are kept as they were last saved.");
  await said.getByRole("link", { name: "Go to the shelf" }).click();
  await expect(said).toHaveCount(0);
  await page
    .getByRole("row")
    .getByRole("link", { name: /^Ossel Island Ferries/ })
    .click();
  await expect(said).toBeVisible();
  isAway = false;
  await page.getByRole("button", { name: "Load Hevret again" }).click();
  await ready(page);
  await expect(shownPage(page).getByRole("heading", { level: 1 }).first()).toBeVisible();
  // What is loaded ahead may still be on its way.
  await page.unrouteAll({ behavior: "ignoreErrors" });
});

test("files of the build come with our headers, those of the worker too, and compressed", async ({ page }) => {
  const addresses: string[] = [];
  page.on("request", (request) => void (request.resourceType() === "script" && addresses.push(request.url())));
  const worker = page.waitForEvent("worker");
  await page.goto("/");
  addresses.push((await worker).url());
  expect(addresses.length).toBeGreaterThan(5);
  for (const address of addresses) {
    const answer = await page.request.get(address, { headers: { "accept-encoding": "gzip" } });
    expect(answer.headers(), address).toMatchObject({
      "content-encoding": "gzip",
      "content-security-policy": expect.stringContaining("connect-src 'self'"),
      "x-content-type-options": "nosniff",
    });
  }
});

test("values that are not closed are refused with the reason, and an open end of a sheet is closed first", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html": '<!doctype html><link rel="stylesheet" href="a.css"><h1>Pier</h1><p>By day</p>',
    "a.css": "h1 { font-size: 20px }\n@media screen { p { color: navy",
  });
  await pick(page, 1);
  for (const value of ["calc(1em + 2px", "30px; color: red", "30px } p { color: red", "30px /* so"]) {
    await setSize(page, value);
    const said = slip(page).getByRole("group", { name: "Size", exact: true }).getByRole("status");
    await expect(said).toContainText(/does not end|sets nothing/);
    await expect(said).toBeInViewport();
  }
  // What is said stands under the value, wherever its row is.
  await openRow(page, "Lines");
  await field(page, "Line place").fill("not(closed");
  const below = slip(page).getByRole("group", { name: "Line place", exact: true }).getByRole("status");
  await expect(below).toContainText(/does not end|sets nothing/);
  await expect(below.getByRole("paragraph")).toBeInViewport({ ratio: 1 });
  await page.keyboard.press("Escape");
  await setSize(page, "31px");
  await expect(saved(page)).toBeVisible();
  const heading = shownPage(page).getByRole("heading", { level: 1 });
  await expect(heading).toHaveCSS("font-size", "31px");
  await slip(page).getByRole("button", { name: "New rule" }).click();
  await openRow(page, "Letter spacing");
  await field(page, "Letter spacing").fill("2px");
  await expect(slip(page)).toContainText("that is closed first");
  await page.keyboard.press("Enter");
  await expect(heading).toHaveCSS("letter-spacing", "2px");
  await expect(shownPage(page).getByText("By day")).toHaveCSS("color", "rgb(0, 0, 128)");
  expect(await stored(page)).toContain("@media screen { p { color: navy");
});

test("what was saved is there after the browser was killed", async ({ baseURL }, info) => {
  const folder = info.outputPath("profile");
  const { executablePath, args } = info.project.use.launchOptions!;
  const start = () =>
    chromium.launchPersistentContext(folder, { executablePath, args, viewport: { width: 1280, height: 800 } });
  const first = await start();
  const page = await first.newPage();
  await page.goto(baseURL!);
  await page.getByRole("button", { name: /^Sample site/ }).click();
  await ready(page);
  await pick(page, 1);
  await setSize(page, "47px");
  await expect(saved(page)).toBeVisible();
  await expect.poll(() => stored(page)).toContain("47px");
  const address = page.url();
  // The browser ends at once, as if it were killed.
  const session = await first.newCDPSession(page);
  await session.send("Browser.crash").catch(() => undefined);
  await first.close().catch(() => undefined);
  const second = await start();
  const again = await second.newPage();
  await again.goto(address);
  await ready(again);
  await pick(again, 1);
  await expect(field(again, "Size")).toHaveValue("47px");
  await second.close();
});
