/** A page as the product says it is, beside what a screenshot of it shows. */
import type { Browser, Page } from "@playwright/test";
import { join } from "node:path";
import { build } from "rolldown";
import type { SaidGround } from "./inPage";

const root = new URL("../..", import.meta.url).pathname;
const address = "http://ground.example/";
const host = "http://ground.example/host";

export interface SeenGround extends SaidGround {
  /** Of the screenshot's pixels along the text's lines; null where none of it is on the page. */
  seenDarkest: number[] | null;
  seenLightest: number[] | null;
}

let script: Promise<string> | null = null;

/** The product's own code, for a page of its own. */
export function productScript(): Promise<string> {
  script ??= build({
    input: join(root, "e2e/grounds/inPage.ts"),
    resolve: { alias: { "@": join(root, "src") } },
    output: { file: join(root, "node_modules/.cache/hevret/grounds.js"), format: "iife" },
    logLevel: "silent",
  }).then(({ output }) => output[0].code);
  return script;
}

export interface View {
  scheme: "light" | "dark";
  width: number;
  height: number;
}

interface Windows {
  /** What is served at the address. */
  html: string;
  /** Has the product's code. */
  desk: Page;
  /** Shows the page as anybody sees it. */
  page: Page;
}

/** Kept for all pages that are looked at in a browser: to load the product's code takes longer than to use it. */
const kept = new WeakMap<Browser, Promise<Windows>>();

async function windowsIn(browser: Browser): Promise<Windows> {
  const context = await browser.newContext();
  const windows: Windows = { html: "", desk: await context.newPage(), page: await context.newPage() };
  await context.route("**/*", (route) => {
    const url = route.request().url();
    if (url === address) return route.fulfill({ body: windows.html, contentType: "text/html; charset=utf-8" });
    if (url === host)
      return route.fulfill({ body: "<!doctype html><body style='margin:0'>", contentType: "text/html" });
    return route.fulfill({ status: 404 });
  });
  await windows.desk.goto(host);
  await windows.desk.addScriptTag({ content: await productScript() });
  return windows;
}

export async function look(browser: Browser, html: string, { scheme, width, height }: View): Promise<SeenGround[]> {
  if (!kept.has(browser)) kept.set(browser, windowsIn(browser));
  const windows = await kept.get(browser)!;
  windows.html = html;
  const { desk, page } = windows;
  for (const one of [desk, page]) {
    await one.setViewportSize({ width, height });
    await one.emulateMedia({ colorScheme: scheme });
  }
  const said = await desk.evaluate((all) => window.saidGrounds(...all), [html, scheme, width, height] as [
    string,
    "light" | "dark",
    number,
    number,
  ]);
  await page.goto(address);
  await page.evaluate(() => {
    for (const animation of document.getAnimations()) {
      try {
        animation.finish();
      } catch {
        animation.cancel();
      }
    }
    return Promise.all([...document.images].map((image) => image.decode().catch(() => undefined)));
  });
  await page.addStyleTag({
    content:
      "*, *::before, *::after, *::first-line, *::first-letter, *::marker, *::placeholder { -webkit-text-fill-color: transparent !important; text-decoration-color: transparent !important; text-shadow: none !important; caret-color: transparent !important }",
  });
  // On a busy machine the browser may refuse a screenshot: it is asked for once more.
  const shoot = () => page.screenshot({ fullPage: true });
  const picture = (await shoot().catch(shoot)).toString("base64");
  return page.evaluate(readBands, [picture, said] as const);
}

async function readBands([data, list]: readonly [string, SaidGround[]]): Promise<SeenGround[]> {
  const image = new Image();
  image.src = `data:image/png;base64,${data}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = image.width;
  canvas.height = image.height;
  const drawing = canvas.getContext("2d", { willReadFrequently: true })!;
  drawing.drawImage(image, 0, 0);
  const light = (pixels: Uint8ClampedArray, at: number) => {
    const linear = [0, 1, 2].map((channel) => {
      const value = pixels[at + channel]! / 255;
      return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
    });
    return 0.2126 * linear[0]! + 0.7152 * linear[1]! + 0.0722 * linear[2]!;
  };
  return list.map((one) => {
    let low: [number, number[]] | null = null;
    let high: [number, number[]] | null = null;
    for (const { left, top, right, bottom } of one.bands) {
      const [x, y] = [Math.max(0, Math.ceil(left)), Math.max(0, Math.ceil(top))];
      const w = Math.min(image.width - x, Math.max(1, Math.floor(right) - x));
      const h = Math.min(image.height - y, Math.max(1, Math.floor(bottom) - y));
      if (right <= 0 || bottom <= 0 || w <= 0 || h <= 0) continue;
      const pixels = drawing.getImageData(x, y, w, h).data;
      for (let at = 0; at < pixels.length; at += 4) {
        const value = light(pixels, at);
        if (!low || value < low[0]) low = [value, [...pixels.slice(at, at + 3)]];
        if (!high || value > high[0]) high = [value, [...pixels.slice(at, at + 3)]];
      }
    }
    return { ...one, seenDarkest: low?.[1] ?? null, seenLightest: high?.[1] ?? null };
  });
}

function luminance(bytes: readonly number[]): number {
  const [r, g, b] = bytes.map((byte) =>
    byte / 255 <= 0.04045 ? byte / 255 / 12.92 : ((byte / 255 + 0.055) / 1.055) ** 2.4,
  );
  return 0.2126 * r! + 0.7152 * g! + 0.0722 * b!;
}

/** The same, but 0 for colours that are as light as each other: which of them is called the darkest is chance. */
export function apart(a: readonly number[], b: readonly number[]): number {
  const [x, y] = [luminance(a), luminance(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05) < 1.02 ? Math.min(off(a, b), 2) : off(a, b);
}

/** Largest difference in one channel. */
export const off = (a: readonly number[], b: readonly number[]) =>
  Math.max(...a.map((value, at) => Math.abs(value - b[at]!)));
