/** Pages that are looked at out of sight, one after the other in one document, are laid out as each is by itself. */
import { expect, test } from "./support/window";
import { addToPage } from "./support/inPage";
import { nastyPages } from "./fidelity/nasty";
import { pageText, randomPage } from "./fidelity/random";
import { chanceOf } from "./support/random";

const random = Number(process.env.HEVRET_PAGES ?? 16);
const from = Number(process.env.HEVRET_SEED ?? 1);

/** Pages that leave something behind in a document: a preferred set of sheets, a base, a scheme, a focus, a target. */
const leaving = [
  `<style title="calm">h1 { color: navy }</style><h1>Calm</h1>`,
  `<style title="storm">h1 { color: maroon; font-size: 50px }</style><h1>Storm</h1>`,
  `<link rel="stylesheet" title="fog" href="data:text/css,h1{color:gray}"><style title="fog">h1 { width: 3em }</style><h1>Fog</h1>`,
  `<meta name="color-scheme" content="dark"><h1>Night</h1><input>`,
  `<base href="https://example.org/"><meta http-equiv="default-style" content="storm"><h1 id="a">Sea</h1><a href="#a">a</a>`,
  `<style>@layer b, a; @layer a { h1 { color: red } } @layer b { h1 { color: blue } }</style><h1>Layers</h1>`,
  `<style>@layer a, b; @layer a { h1 { color: red } } @layer b { h1 { color: blue } }</style><h1>Layers</h1>`,
  `<style>@property --x { syntax: "<length>"; inherits: false; initial-value: 3px } h1 { margin: var(--x, 9px) }</style><h1>x</h1>`,
  `<style>h1 { --x: 1em; margin: var(--x, 9px) } h1 > b { padding: var(--x) }</style><h1>x<b>y</b></h1>`,
  `<style>@counter-style decimal { system: cyclic; symbols: "~" } li { list-style: decimal inside }</style><ol><li>a<li>b</ol>`,
  `<ol style="list-style: inside"><li>a<li>b</ol><dialog open>d</dialog><input autofocus><style>:focus { color: red }</style>`,
  `<style>@font-face { font-family: Odd; src: local("DejaVu Sans Mono") } p { font-family: Odd }</style><p>iii mmm</p>`,
  `<style>p { font-family: Odd, sans-serif }</style><p>iii mmm</p>`,
  `<body bgcolor="#eee" text="#333" style="direction: rtl; writing-mode: vertical-rl; overflow: hidden"><p>down</p>`,
  `<html style="overflow: scroll; scroll-behavior: smooth"><p style="height: 3000px">long</p>`,
].map((text, at) => ({ path: `leaving ${at}.html`, text: `<!doctype html><html><head>${text}` }));

test("pages come out as each does in a document of its own", async ({ page }) => {
  await page.route("**/empty", (route) => route.fulfill({ contentType: "text/html", body: "<!doctype html><body>" }));
  await page.goto("/empty");
  await addToPage(page, "pagesInPage");
  const chance = chanceOf(from);
  const nasty = nastyPages().flatMap((one) => ("text" in one ? [one] : []));
  const pages = [
    ...leaving,
    ...leaving.map(({ path, text }) => ({ path: `again ${path}`, text })),
    ...nasty.slice(0, 10),
    ...Array.from({ length: random }, (_, at) => ({ path: `${at}.html`, text: pageText(randomPage(from + at)) })),
  ]
    .map((one) => ({ one, at: chance.upTo(1e6) }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
  const { differs, again, compared } = await page.evaluate((all) => window.showOneAfterTheOther(all), pages);
  expect(differs).toBeNull();
  console.log(
    `pages shown one after the other: ${again} of ${pages.length} in a document that was there, ${compared} elements alike`,
  );
  expect(again).toBeGreaterThan(pages.length / 3);
});
