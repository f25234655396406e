/** Grounds against pixels: what is said to lie under a text is what a screenshot shows with the text made transparent. */
import { expect, test, type Browser } from "@playwright/test";
import { join } from "node:path";
import { build } from "rolldown";
import type { SaidGround } from "./grounds/inPage";
import { groundPages } from "./grounds/pages";

const address = "http://ground.example/";
const root = new URL("..", import.meta.url).pathname;
let script = "";

test.beforeAll(async () => {
  const file = join(root, "node_modules/.cache/hevret/grounds.js");
  const { output } = await build({
    input: join(root, "e2e/grounds/inPage.ts"),
    resolve: { alias: { "@": join(root, "src") } },
    output: { file, format: "iife" },
    logLevel: "silent",
  });
  script = output[0].code;
});

interface Seen extends SaidGround {
  seenDarkest: number[];
  seenLightest: number[];
}

async function look(browser: Browser, html: string, scheme: "light" | "dark"): Promise<Seen[]> {
  const context = await browser.newContext({ viewport: { width: 800, height: 600 }, colorScheme: scheme });
  const page = await context.newPage();
  await page.route("**/*", (route) =>
    route.request().url() === address
      ? route.fulfill({ body: html, contentType: "text/html" })
      : route.fulfill({ status: 404 }),
  );
  await page.goto(address);
  await page.evaluate(() => Promise.all([...document.images].map((image) => image.decode().catch(() => undefined))));
  await page.addScriptTag({ content: script }).catch(() => undefined);
  // The script must not be among the elements that are counted.
  await page.evaluate(() => document.querySelectorAll("script").forEach((node) => node.remove()));
  const said = await page.evaluate(([text, which]) => window.saidGrounds(text, which), [html, scheme] as const);
  await page.addStyleTag({
    content:
      "*, *::before { color: transparent !important; -webkit-text-fill-color: transparent !important; text-shadow: none !important; text-decoration: none !important }",
  });
  const picture = (await page.screenshot({ fullPage: true })).toString("base64");
  const seen = await page.evaluate(
    async ([data, list]) => {
      const image = new Image();
      image.src = `data:image/png;base64,${data}`;
      await image.decode();
      const canvas = document.createElement("canvas");
      canvas.width = image.width;
      canvas.height = image.height;
      const drawing = canvas.getContext("2d")!;
      drawing.drawImage(image, 0, 0);
      const light = (r: number, g: number, b: number) => {
        const linear = [r, g, b].map((value) =>
          value / 255 <= 0.04045 ? value / 255 / 12.92 : ((value / 255 + 0.055) / 1.055) ** 2.4,
        );
        return 0.2126 * linear[0]! + 0.7152 * linear[1]! + 0.0722 * linear[2]!;
      };
      return list.map((one) => {
        const { left, top, width, height } = one.text;
        const [x, y] = [Math.ceil(left), Math.ceil(top)];
        const pixels = drawing.getImageData(
          x,
          y,
          Math.max(1, Math.floor(left + width) - x),
          Math.max(1, Math.floor(top + height) - y),
        ).data;
        let [low, high] = [0, 0];
        for (let at = 0; at < pixels.length; at += 4) {
          const value = light(pixels[at]!, pixels[at + 1]!, pixels[at + 2]!);
          if (value < light(pixels[low]!, pixels[low + 1]!, pixels[low + 2]!)) low = at;
          if (value > light(pixels[high]!, pixels[high + 1]!, pixels[high + 2]!)) high = at;
        }
        return {
          ...one,
          seenDarkest: [...pixels.slice(low, low + 3)],
          seenLightest: [...pixels.slice(high, high + 3)],
        };
      });
    },
    [picture, said] as const,
  );
  await context.close();
  return seen;
}

const off = (a: number[], b: number[]) => Math.max(...a.map((value, at) => Math.abs(value - b[at]!)));

for (const [name, html, tolerance] of groundPages) {
  for (const scheme of ["light", "dark"] as const) {
    test(`grounds: ${name}, ${scheme}`, async ({ browser }) => {
      const seen = await look(browser, html, scheme);
      expect(seen.length).toBeGreaterThan(0);
      for (const { id, certain, doubt, darkest, lightest, seenDarkest, seenLightest } of seen) {
        const expectsDoubt = id.startsWith("doubt");
        expect(certain, `${id}: ${doubt}`).toBe(!expectsDoubt);
        if (expectsDoubt) continue;
        expect(off(darkest, seenDarkest), `${id}: darkest ${darkest}, seen ${seenDarkest}`).toBeLessThanOrEqual(
          tolerance,
        );
        expect(off(lightest, seenLightest), `${id}: lightest ${lightest}, seen ${seenLightest}`).toBeLessThanOrEqual(
          tolerance,
        );
      }
    });
  }
}
