// The application itself, as it is served: what a person waits for. Times of this machine; printed, never asserted.
import { spawn } from "node:child_process";
import { gzipSync } from "node:zlib";
import { strToU8, zipSync } from "fflate";
import { build as buildApplication, root } from "../setup.mjs";
import { measureMemory } from "./memory.mjs";

const viewport = { width: 1280, height: 800 };

/** From the end of an edit to the painted verdict, and the longest task on the way. */
async function measurePainting(page) {
  const times = [];
  for (const color of ["#111111", "#222222", "#333333", "#444444", "#2a2a2a"]) {
    const field = page.getByLabel("Ink value", { exact: true });
    await field.fill(color);
    await page.evaluate(() => {
      window.longTasks.length = 0;
      window.paintedIn = new Promise((resolve) => {
        addEventListener(
          "keydown",
          () => {
            const started = performance.now();
            let gone = false;
            const look = () => {
              const painted = /as painted/.test(document.querySelector('[aria-label="Slip"]')?.textContent ?? "");
              if (!painted) gone = true;
              else if (gone) return resolve(performance.now() - started);
              requestAnimationFrame(look);
            };
            look();
          },
          { once: true, capture: true },
        );
      });
    });
    await field.press("Enter");
    const took = await page.evaluate(() =>
      Promise.race([window.paintedIn, new Promise((end) => setTimeout(() => end(NaN), 5000))]),
    );
    const tasks = await page.evaluate(() => window.longTasks);
    times.push({ took, longest: Math.max(0, ...tasks) });
  }
  const middle = (list) => list.sort((a, b) => a - b)[Math.floor(list.length / 2)];
  console.log(
    `From the end of an edit to the painted verdict on the framework page: ${middle(times.map(({ took }) => took)).toFixed(0)} ms (median of ${times.length}); the longest task ${Math.max(...times.map(({ longest }) => longest)).toFixed(0)} ms`,
  );
}

/**
 * Measures in the application as it is served.
 * @param sites lists of files: `framework`, one page with a framework's sheet; `large64` and `large300`
 */
export async function measureApplication(browser, sites) {
  await buildApplication();
  const port = 4181;
  const server = spawn(process.execPath, ["scripts/serve.mjs", String(port)], {
    cwd: root,
    stdio: "ignore",
    detached: true,
  });
  try {
    const address = `http://localhost:${port}/`;
    await served(address);
    await measureShelf(browser, address);
    await measureTyping(browser, address, sites.framework);
    await measureLarge(browser, address, sites.large64, 20);
    await measureLarge(browser, address, sites.large300, 0);
  } finally {
    process.kill(-server.pid);
  }
}

/** Typing sizes on the framework page: tasks that keep the interface for more than 50 ms. */
async function measureTyping(browser, address, files) {
  const page = await browser.newPage({ viewport });
  await page.goto(address);
  await page.getByLabel("Files to open").setInputFiles(
    files.map(({ path, text }) => ({
      name: path,
      mimeType: path.endsWith(".css") ? "text/css" : "text/html",
      buffer: Buffer.from(text),
    })),
  );
  await page.frameLocator('iframe[title="The page"]').getByRole("heading", { name: "Sailing 0" }).waitFor();
  const box = await page
    .frameLocator('iframe[title="The page"]')
    .getByRole("heading", { name: "Sailing 0" })
    .boundingBox();
  await page.mouse.click(box.x + 5, box.y + 5);
  const field = page.getByLabel("Size value", { exact: true });
  await field.click();
  await page.evaluate(() => {
    window.longTasks = [];
    new PerformanceObserver((list) =>
      window.longTasks.push(...list.getEntries().map(({ duration }) => duration)),
    ).observe({ entryTypes: ["longtask"] });
  });
  for (const size of ["31px", "2.5rem", "44px", "3em", "40.25px"]) {
    await field.fill("");
    await field.pressSequentially(size, { delay: 120 });
    await page.getByRole("status").filter({ hasText: "Changes in" }).first().waitFor();
  }
  const tasks = await page.evaluate(() => window.longTasks);
  const longest = tasks.length ? `; the longest ${Math.max(...tasks).toFixed(0)} ms` : "";
  console.log(`Typing five sizes on the framework page: ${tasks.length} tasks over 50 ms${longest}`);
  await measurePainting(page);
  await page.close();
}

async function served(address) {
  for (let tries = 0; ; tries += 1) {
    if (await fetch(address).catch(() => null)) return;
    if (tries > 200) throw new Error("The application does not start.");
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}

const shownPage = (page) => page.frameLocator('iframe[title="The page"]');

/** @returns bytes, compressed */
const sizeOf = async (bodies) => (await Promise.all([...bodies])).reduce((sum, body) => sum + gzipSync(body).length, 0);
const kilobytes = (bytes) => (bytes / 1024).toFixed(0);

/** What is loaded before the shelf can be used, and how long it is from the sample to its page, each time with nothing kept from before. */
async function measureShelf(browser, address) {
  const opened = [];
  for (let at = 0; at < 5; at += 1) {
    const context = await browser.newContext({ viewport });
    opened.push(await openSample(await context.newPage(), address));
    await context.close();
  }
  // What is loaded ahead may come before the button is seen.
  const loaded = opened.reduce((least, one) => (one.shelf < least.shelf ? one : least));
  const sorted = opened.map(({ shown }) => shown).sort((a, b) => a - b);
  console.log(
    `Script before the shelf is usable: ${kilobytes(loaded.shelf)} KB compressed; from "Sample site" to its page ${sorted[2].toFixed(0)} ms (median of five; ${sorted[0].toFixed(0)} to ${sorted[4].toFixed(0)}), with ${kilobytes(loaded.rest)} KB more by the time it is quiet`,
  );
}

async function openSample(page, address) {
  const scripts = [];
  page.on("response", (response) => {
    if (response.request().resourceType() === "script") scripts.push(response.body().catch(() => Buffer.alloc(0)));
  });
  const ahead = page.waitForEvent("worker");
  await page.goto(address);
  const sample = page.getByRole("button", { name: "Sample site" });
  await sample.waitFor();
  const shelf = await sizeOf(scripts);
  // Whoever looks at the shelf for a moment has the rest loaded meanwhile.
  await ahead;
  await page.waitForLoadState("networkidle");
  const started = performance.now();
  await sample.click();
  await shownPage(page).locator("h1").first().waitFor();
  const shown = performance.now() - started;
  await page.waitForLoadState("networkidle");
  return { shelf, shown, rest: (await sizeOf(scripts)) - shelf };
}

/** A large site: opening it, picking while it is counted, all counts, and what it takes. */
async function measureLarge(browser, address, files, picks) {
  const page = await browser.newPage({ viewport });
  await page.goto(address);
  const zip = zipSync(Object.fromEntries(files.map(({ path, text }) => [path, strToU8(text)])));
  const started = performance.now();
  await page
    .getByLabel("Files to open")
    .setInputFiles([{ name: "handbook.zip", mimeType: "application/zip", buffer: Buffer.from(zip) }]);
  await shownPage(page).locator("h1").first().waitFor();
  const opened = performance.now() - started;
  const took = [];
  for (let at = 0; at < picks; at += 1) took.push(await pick(page, at));
  const views = page.getByRole("navigation", { name: "Views" });
  while (!/Stacks\s*\d/.test((await views.textContent()) ?? ""))
    await new Promise((resolve) => setTimeout(resolve, 100));
  const counted = performance.now() - started;
  const pages = files.filter(({ path }) => path.endsWith(".html")).length;
  const sorted = took.sort((a, b) => a - b);
  const figures = picks
    ? `; from a click to the slip while it is counted ${sorted[picks >> 1].toFixed(0)} ms (median of ${picks}), 95% of them within ${sorted[Math.ceil(picks * 0.95) - 1].toFixed(0)} ms, the slowest ${sorted[picks - 1].toFixed(0)} ms`
    : "";
  console.log(
    `The application with ${pages} pages: the page is shown after ${(opened / 1000).toFixed(1)} s, all is counted after ${(counted / 1000).toFixed(1)} s${figures}`,
  );
  await page.close();
  await measureMemory(address, zip, pages, picks ? null : 60);
}

/** Milliseconds from pressing on one of two texts, in turn, to its slip. */
async function pick(page, at) {
  const text = shownPage(page)
    .locator(at % 2 ? "p.lead" : "h1")
    .first();
  const box = await text.boundingBox();
  await page.evaluate(() => {
    window.slipShown = new Promise((resolve) => {
      const said = () => document.querySelector('[aria-label="Slip"] code')?.textContent;
      const before = said();
      const press = () => {
        const started = performance.now();
        const look = () => {
          const took = performance.now() - started;
          if (said() !== before || took > 5000) resolve(took);
          else requestAnimationFrame(look);
        };
        look();
      };
      addEventListener("pointerdown", press, { once: true, capture: true });
    });
  });
  await page.mouse.click(box.x + 20, box.y + box.height / 2);
  return page.evaluate(() => window.slipShown);
}
