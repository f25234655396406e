/**
 * Windows that the tests of one worker share: to load the application and to open the sample costs more than most of them
 * do. Those that need a window of their own, or leave something behind that is not undone here, ask for `page`.
 */
import { expect, test as base, type Browser, type Page, type TestInfo, type WorkerInfo } from "@playwright/test";
import { openSample, ready, slip, stage, toShelf } from "./desk";

export { expect };

interface Lent {
  /** The sample, opened by others before, as it is opened. */
  sample: Page;
  /** The shelf, from which others opened their sites before. */
  shelf: Page;
}

interface Kept {
  sampleWindow: Page;
  shelfWindow: Page;
}

type Lend = (page: Page) => Promise<void>;

export const test = base.extend<Lent, Kept>({
  sampleWindow: [
    async ({ browser }, lend, worker) => {
      const page = await windowOf(browser, worker);
      await openSample(page);
      await lend(page);
      await page.context().close();
    },
    { scope: "worker" },
  ],
  shelfWindow: [
    async ({ browser }, lend, worker) => {
      const page = await windowOf(browser, worker);
      await lend(page);
      await page.context().close();
    },
    { scope: "worker" },
  ],
  sample: ({ sampleWindow }, lend, test) => lendOut(sampleWindow, lend, test, putBack),
  shelf: ({ shelfWindow }, lend, test) => lendOut(shelfWindow, lend, test, toShelf),
});

async function windowOf(browser: Browser, { project }: WorkerInfo): Promise<Page> {
  const { baseURL, viewport, serviceWorkers } = project.use;
  const context = await browser.newContext({ baseURL, viewport, serviceWorkers });
  return context.newPage();
}

/** @param clear leaves the window as the next one expects it */
async function lendOut(page: Page, lend: Lend, test: TestInfo, clear: Lend): Promise<void> {
  await lend(page);
  // After a test that failed the worker ends, and its windows with it.
  if (test.status !== test.expectedStatus) return;
  for (const other of page.context().pages()) if (other !== page) await other.close();
  await page.setViewportSize(test.project.use.viewport!);
  await page.mouse.move(0, 0);
  const dialogs = page.getByRole("dialog").filter({ visible: true });
  for (let open = await dialogs.count(); open > 0; open -= 1) await page.keyboard.press("Escape");
  await expect(dialogs).toHaveCount(0);
  await clear(page);
}

/** Undoes what was written, and leaves the desk as it is when the site is opened. */
async function putBack(page: Page): Promise<void> {
  const views = page.getByRole("navigation", { name: "Views" });
  const stacks = views.getByRole("link", { name: /^Stacks/ });
  // The view that is left forgets what was opened, folded out and typed in it.
  await stacks.click();
  await expect(stacks).toHaveAttribute("aria-current", "page");
  const undo = page.getByRole("button", { name: "Undo", exact: true });
  await expect(async () => {
    if (await undo.isEnabled()) await undo.click({ timeout: 2000 });
    await expect(undo).toBeDisabled({ timeout: 200 });
  }).toPass({ intervals: [50] });
  await views.getByRole("link", { name: /^Page/ }).click();
  await ready(page);
  const shown = page.getByRole("main", { name: "Page" }).getByTitle("index.html", { exact: true }).first();
  if (!(await shown.isVisible())) {
    await page.getByRole("combobox", { name: "Page", exact: true }).click();
    await page.getByTitle("index.html", { exact: true }).last().click();
    await expect(shown).toBeVisible();
    await ready(page);
  }
  await stage(page).press("Escape");
  await expect(slip(page).getByRole("heading", { name: "Pick a text" })).toBeVisible();
  // What the page is under, a test takes back itself.
  await expect(page.getByRole("button", { name: "Rehearse", exact: true })).toBeVisible();
  await expect(page.getByRole("combobox", { name: "Colour scheme" })).toHaveAccessibleDescription("Light");
}
