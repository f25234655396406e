/** Colours and grounds against the browser's own: what it serialises, and the pixels it paints. */
import { expect, test } from "@playwright/test";
import fc from "fast-check";
import { convertColor, defaultConditions, isPlace, legibility, openSite, pagesOf, parseColor, stylePage, type Space } from "../src/core";

const number = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true }).map((value) => Number(value.toFixed(4)));
/** Colours that a screen could show or nearly so: far beyond, the browser clips on the way. */
const written = fc.oneof(
  fc.tuple(number(0, 255), number(0, 255), number(0, 255)).map(([r, g, b]) => `rgb(${Math.round(r)} ${Math.round(g)} ${Math.round(b)})`),
  fc.tuple(number(0, 360), number(0, 100), number(0, 100)).map(([h, s, l]) => `hsl(${h} ${s}% ${l}%)`),
  fc.tuple(number(0, 360), number(0, 100), number(0, 100)).map(([h, w, b]) => `hwb(${h} ${w}% ${b}%)`),
  fc.tuple(number(20, 90), number(-40, 40), number(-40, 40)).map(([l, a, b]) => `lab(${l} ${a} ${b})`),
  fc.tuple(number(20, 90), number(0, 40), number(0, 360)).map(([l, c, h]) => `lch(${l} ${c} ${h})`),
  fc.tuple(number(0.2, 0.9), number(-0.1, 0.1), number(-0.1, 0.1)).map(([l, a, b]) => `oklab(${l} ${a} ${b})`),
  fc.tuple(number(0.2, 0.9), number(0, 0.1), number(0, 360)).map(([l, c, h]) => `oklch(${l} ${c} ${h})`),
  fc.tuple(fc.constantFrom("srgb", "srgb-linear", "display-p3", "a98-rgb", "prophoto-rgb", "rec2020", "xyz-d50", "xyz-d65"), number(0, 1), number(0, 1), number(0, 1)).map(([space, a, b, c]) => `color(${space} ${a} ${b} ${c})`),
);
const spaces: Space[] = ["srgb", "srgb-linear", "lab", "oklab", "display-p3", "a98-rgb", "prophoto-rgb", "xyz-d50", "xyz-d65"];

test("conversions agree with the browser's", async ({ page }) => {
  const runs = Number(process.env.HEVRET_RUNS ?? 400);
  const colors = fc.sample(written, { numRuns: runs, seed: 20261123 });
  await page.setContent("<p>");
  const theirs = await page.evaluate(
    ([list, into]) => {
      const probe = document.querySelector("p")!;
      return list.map((text) =>
        into.map((space) => {
          probe.style.color = `color-mix(in ${space}, ${text} 100%, ${text})`;
          return getComputedStyle(probe).color;
        }),
      );
    },
    [colors, spaces] as const,
  );
  let biggest = 0;
  for (const [at, text] of colors.entries()) {
    const color = parseColor(text)!;
    for (const [into, space] of spaces.entries()) {
      const ours = convertColor(color, space).channels;
      const numbers = theirs[at]![into]!.replace(/^color\([-\w]+|^[a-z]+\(/, "").match(/-?[\d.]+(?:e[+-]?\d+)?|none/g)!.slice(0, 3).map(Number);
      const scale = space === "lab" ? 100 : 1;
      const difference = Math.max(...ours.map((value, channel) => Math.abs((value ?? 0) - (numbers[channel] || 0)) / scale));
      biggest = Math.max(biggest, difference);
      // The browser computes in single precision and by rounded matrices, which shows most near black in steep curves.
      expect(difference, `${text} in ${space}: ${ours.join(" ")}, browser ${theirs[at]![into]}`).toBeLessThan(0.012);
    }
  }
  console.log(`colours: ${colors.length} in ${spaces.length} spaces, biggest difference ${biggest.toFixed(6)}`);
});

const grounds = `<!doctype html><style>body{background:#eef;margin:0}div{padding:10px}p{margin:0;width:200px;height:40px}
.a{background:rgb(0 0 0/40%)} .b{background:#123;opacity:.6} .c{background:oklch(70% .1 200/.5)} .d{background:hsl(20 50% 50%)} .e{opacity:.3} .f{background:rgb(255 255 255/.7)}</style>
<div class=a><p>one</p></div><div class=b><p>two</p></div><div class=c><div class=f><p>three</p></div></div><div class=d><div class=e><p class=a>four</p></div></div><p>five</p><div class=b><div class=b><p class=f>six</p></div></div>`;

test("grounds are the pixels behind the text", async ({ page }) => {
  const site = openSite([{ path: "index.html", text: grounds }]);
  const { styles } = stylePage(site, pagesOf(site)[0]!, defaultConditions);
  await page.setContent(grounds.replace("</style>", "p{color:transparent!important}</style>"));
  let compared = 0;
  for (const style of styles.filter(isPlace)) {
    const box = (await page.evaluate((index) => document.querySelectorAll("*")[index]!.getBoundingClientRect().toJSON(), style.element.index)) as { x: number; y: number };
    const picture = (await page.screenshot({ clip: { x: box.x + 5, y: box.y + 5, width: 1, height: 1 } })).toString("base64");
    const pixel = await page.evaluate(async (data) => {
      const image = await createImageBitmap(await (await fetch(`data:image/png;base64,${data}`)).blob());
      const canvas = new OffscreenCanvas(1, 1).getContext("2d")!;
      canvas.drawImage(image, 0, 0);
      return [...canvas.getImageData(0, 0, 1, 1).data.slice(0, 3)];
    }, picture);
    const ours = legibility(style).ground.color.channels.map((channel) => Math.round(channel! * 255));
    // Each translucent layer is rounded to 8 bits when it is painted.
    ours.forEach((value, at) => expect(Math.abs(value - pixel[at]!), `${style.element.tag} ${style.element.index}: ${ours} and ${pixel}`).toBeLessThanOrEqual(2));
    compared += 1;
  }
  expect(compared).toBe(6);
});
