// Our work and Chromium's own on the same pages in one browser session; times and ratios. Not part of the tests.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { spawn } from "node:child_process";
import { build as buildApplication, filesBelow, installBrowser, installPackages, root } from "./setup.mjs";

installPackages();
installBrowser();
const { build } = await import("rolldown");
const { chromium } = await import("@playwright/test");

const bundle = join(root, "node_modules/.cache/hevret/bench.js");
await build({
  input: join(root, "e2e/bench/worker.ts"),
  resolve: { alias: { "@": join(root, "src") } },
  output: { file: bundle, format: "iife", minify: true },
  logLevel: "silent",
});

const origin = "http://bench.example";
const sampleFolder = join(root, "samples/ossel-ferries");
const sample = filesBelow(sampleFolder)
  .filter((path) => /\.(?:html|css)$/.test(path))
  .map((path) => ({ path, text: readFileSync(join(sampleFolder, path), "utf8") }));

/** A card of a framework's parts; about 28 elements. */
const card = (
  at,
) => `<section class="container py-3"><div class="row g-2"><div class="col-md-4 text-center"><h2 class="display-6 fw-light">Sailing ${at}</h2><p class="lead text-body-secondary">Two boats, <em>eleven</em> sailings</p></div>
<div class="col"><div class="card text-bg-dark mb-3"><div class="card-header">Tern</div><div class="card-body"><h5 class="card-title">Departs</h5><p class="card-text">At <strong>half past</strong> six <a href="#" class="link-info">see</a></p><a href="#" class="btn btn-primary btn-lg">Book</a></div></div></div></div>
<ul class="list-group"><li class="list-group-item active">One</li><li class="list-group-item">Two <span class="badge text-bg-success">new</span></li></ul><table class="table table-striped"><tbody><tr><td>06:40</td><td>07:20</td></tr></tbody></table><p class="fs-6 text-uppercase">Foot</p></section>`;
const framework = readFileSync(join(root, "node_modules/bootstrap/dist/css/bootstrap.css"), "utf8");
const large = (times) => [
  {
    path: "index.html",
    text: `<!doctype html><html lang="en"><head><link rel="stylesheet" href="framework.css"></head><body>${Array.from({ length: 50 * times }, (_, at) => card(at)).join("\n")}</body></html>`,
  },
  { path: "framework.css", text: framework },
];

const browser = await chromium.launch({
  executablePath: "/usr/bin/chromium",
  args: [
    "--no-sandbox",
    "--disable-gpu",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
});

async function measure(name, files, rule) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.route("**/*", (route) => {
    const path = new URL(route.request().url()).pathname.slice(1);
    if (path === "bench.js") return route.fulfill({ path: bundle, contentType: "text/javascript" });
    if (path === "") return route.fulfill({ body: "<!doctype html>", contentType: "text/html" });
    const file = files.find((one) => one.path === path);
    return file
      ? route.fulfill({ body: file.text, contentType: path.endsWith(".css") ? "text/css" : "text/html" })
      : route.fulfill({ status: 404 });
  });
  const page = await context.newPage();
  await page.goto(`${origin}/`);
  const start = files.find(({ path }) => path === rule.path).text.indexOf(rule.text);
  const ours = await page.evaluate(
    ([files, rule, values]) =>
      new Promise((resolve) => {
        const worker = new Worker("/bench.js");
        worker.onmessage = ({ data }) => resolve(data);
        worker.postMessage({ files, rule, values });
      }),
    [files, { path: rule.path, start }, ["1px", "2px", "3px", "4px", "5px"]],
  );
  let theirs = 0;
  for (const { path } of files.filter((one) => one.path.endsWith(".html"))) {
    await page.goto(`${origin}/${path}`);
    theirs += await page.evaluate((names) => {
      const elements = [...document.querySelectorAll("*")];
      const rounds = [15, 17, 16, 18, 16].map((size) => {
        document.documentElement.style.fontSize = `${size}px`;
        const start = performance.now();
        for (const element of elements) {
          const style = getComputedStyle(element);
          for (const name of names) style.getPropertyValue(name);
        }
        return performance.now() - start;
      });
      return rounds.sort((a, b) => a - b)[2];
    }, longhands);
  }
  await context.close();
  const ms = (value) => `${value.toFixed(1)} ms`;
  console.log(
    `${name}: ${ours.elements} elements; Chromium ${ms(theirs)}; full analysis ${ms(ours.full)} (${(ours.full / theirs).toFixed(2)} of Chromium's), the first in a cold worker ${ms(ours.first)}; ` +
      `after one declaration ${ms(ours.again)} (${(ours.again / theirs).toFixed(2)}); reading files ${ms(ours.read)}`,
  );
}

const { reportedLonghands: longhands } = await importCore();

/** The list of longhands, from a bundle of the core for Node. */
async function importCore() {
  const file = join(root, "node_modules/.cache/hevret/core.mjs");
  await build({
    input: join(root, "src/core/index.ts"),
    platform: "node",
    external: (id) => !id.startsWith(".") && !id.startsWith("@/") && !id.startsWith("/"),
    output: { file, format: "esm" },
    logLevel: "silent",
  });
  const core = await import(`file://${file}`);
  const started = performance.now();
  core.itemsOf({ kind: "css", path: "framework.css", text: framework, encoding: { name: "utf-8", bom: false } });
  console.log(
    `Reading a sheet of ${Math.round(framework.length / 1024)} KB: ${(performance.now() - started).toFixed(1)} ms (in Node, cold)`,
  );
  return core;
}

await measure("sample", sample, { path: "css/ferry.css", text: "h2 {" });
for (const times of [1, 4, 16])
  await measure(`framework page, ${times}x`, large(times), { path: "framework.css", text: ".lead {" });
await measureTyping();
await browser.close();

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

/** Typing sizes on the framework page in the application itself: tasks that keep the interface for more than 50 ms. */
async function measureTyping() {
  await buildApplication();
  const port = 4190;
  const server = spawn(process.execPath, ["scripts/serve.mjs", String(port)], {
    cwd: root,
    stdio: "ignore",
    detached: true,
  });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    for (let tries = 0; ; tries += 1) {
      const reached = await page.goto(`http://localhost:${port}/`).catch(() => null);
      if (reached) break;
      if (tries > 200) throw new Error("The application does not start.");
      await new Promise((resolve) => setTimeout(resolve, 100));
    }
    const files = large(1).map(({ path, text }) => ({
      name: path,
      mimeType: path.endsWith(".css") ? "text/css" : "text/html",
      buffer: Buffer.from(text),
    }));
    await page.getByLabel("Files to open").setInputFiles(files);
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
  } finally {
    process.kill(-server.pid);
  }
}
