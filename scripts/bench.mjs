// Our work and Chromium's own on the same pages in one browser session; times and ratios. Not part of the tests.
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { measureApplication } from "./bench/application.mjs";
import { filesBelow, installBrowser, installPackages, root } from "./setup.mjs";

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
  const inWorker = (asked) =>
    page.evaluate(
      (message) =>
        new Promise((resolve) => {
          const worker = new Worker("/bench.js");
          worker.onmessage = ({ data }) => {
            worker.terminate();
            resolve(data);
          };
          worker.postMessage(message);
        }),
      asked,
    );
  const values = ["1px", "2px", "3px", "4px", "5px"];
  const ours = await inWorker({ files, rule: { path: rule.path, start }, values });
  const ready = [await inWorker({ ready: files }), await inWorker({ ready: files }), await inWorker({ ready: files })];
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
    `${name}: ${ours.elements} elements; Chromium ${ms(theirs)}; full analysis ${ms(ours.full)} (${(ours.full / theirs).toFixed(2)} of Chromium's), ${ms(ours.next)} in the first five after the very first (${(ours.next / theirs).toFixed(2)}), the first in a cold worker ${ms(ours.first)}, in one that is ready as the application's is ${ms(ready.sort((a, b) => a - b)[1])} (${(ready[1] / theirs).toFixed(2)}); ` +
      `after one declaration ${ms(ours.again)} (${(ours.again / theirs).toFixed(2)}); reading files ${ms(ours.read)}`,
  );
}

const { reportedLonghands: longhands } = await importCore();
const { handbook } = await imported("sites", "e2e/bench/sites.ts");

/** A module of ours, from a bundle for Node. */
async function imported(name, path) {
  const file = join(root, `node_modules/.cache/hevret/${name}.mjs`);
  await build({
    input: join(root, path),
    platform: "node",
    external: (id) => !id.startsWith(".") && !id.startsWith("@/") && !id.startsWith("/"),
    output: { file, format: "esm" },
    logLevel: "silent",
  });
  return import(`file://${file}`);
}

/** A large site in a worker: styling all of it once, counting it, planning edits. */
async function measureSite(size) {
  const context = await browser.newContext();
  await context.route("**/*", (route) =>
    new URL(route.request().url()).pathname === "/bench.js"
      ? route.fulfill({ path: bundle, contentType: "text/javascript" })
      : route.fulfill({ body: "<!doctype html>", contentType: "text/html" }),
  );
  const page = await context.newPage();
  await page.goto(`${origin}/`);
  const timing = await page.evaluate(
    (files) =>
      new Promise((resolve) => {
        const worker = new Worker("/bench.js");
        worker.onmessage = ({ data }) => resolve(data);
        worker.postMessage({ site: files });
      }),
    handbook(size),
  );
  await context.close();
  const { elements, style, count, again, longest, slip, first, whole } = timing;
  const ms = (value) => `${value.toFixed(0)} ms`;
  console.log(
    `Site of ${size.pages} pages, ${Math.round(size.css / 1000)} KB of sheets, ${elements} elements: styling all pages once ${ms(style)}; ` +
      `counting and findings ${ms(count)} (${(count / style).toFixed(2)} of styling; ${((style + count) / style).toFixed(2)} with it), the longest step ${ms(longest)}; ` +
      `after one declaration ${ms(again)}; a slip ${ms(slip)}; planning: first answer ${ms(first)}, all pages ${ms(whole)} (medians)`,
  );
}

/** The list of longhands, from a bundle of the core for Node. */
async function importCore() {
  const core = await imported("core", "src/core/index.ts");
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
const large64 = { pages: 64, css: 400_000, seed: 1 };
const large300 = { pages: 300, css: 1_000_000, seed: 1 };
await measureSite(large64);
await measureApplication(browser, { framework: large(1), large64: handbook(large64), large300: handbook(large300) });
await browser.close();
