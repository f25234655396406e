import type { PlaywrightTestArgs, PlaywrightTestOptions } from "@playwright/test";
import { expect, test } from "./support/window";
import { openFiles, ready, shownPage, toShelf } from "./support/desk";

const far = "https://far.example";
const run = "top.ran = 1; parent.ran = 1; window.ran = 1";

const html = `<!doctype html><html onload="${run}"><head><base href="${far}/">
<meta http-equiv="refresh" content="0;url=${far}/refresh"><meta http-equiv="Content-Security-Policy" content="default-src *">
<script>${run}</script><script src="${far}/x.js"></script><script type="module">import "${far}/m.js"; ${run}</script>
<link rel="stylesheet" href="${far}/sheet.css"><link rel="preload" as="font" href="${far}/font"><link rel="dns-prefetch" href="${far}"><link rel="icon" href="${far}/icon">
<link rel="stylesheet" href="/hostile.css"><style>@import url(${far}/i.css); @font-face{font-family:F;src:url(${far}/f.woff2)} body{background:url("${far}/bg.png");font-family:F}</style></head>
<body onload="${run}" onpageshow="${run}"><h1>Hostile</h1>
<img src="${far}/a.png" srcset="${far}/b.png 2x" onerror="${run}"><img src=x onerror="${run}"><svg onload="${run}"><script>${run}</script><image href="${far}/s.png"/><use href="${far}/u.svg#a"/></svg>
<iframe src="${far}/frame"></iframe><iframe srcdoc="<script>${run}</script>"></iframe><object data="${far}/o"></object><embed src="${far}/e"><frameset><frame src="${far}/f"></frameset>
<a href="javascript:${run}" autofocus onfocus="${run}" id="go">Run</a> <a href="${far}/page" id="leave" target="_top">Leave</a> <a href="${far}/ping" ping="${far}/pinged">Ping</a>
<form action="${far}/form" id="f"><input name=q autofocus onfocus="${run}"><button>Send</button></form><details open ontoggle="${run}">x</details>
<video src="${far}/v.mp4" poster="${far}/p.png" autoplay></video><audio src="${far}/a.mp3" autoplay></audio><input type="image" src="${far}/i.png">
<p style="background:url(${far}/p.png);background-image:image-set('${far}/set.png' 1x)">Styled</p><svg width="9" height="9"><rect fill="url(${far}/fill.svg#a)" mask="url(${far}/mask.svg#m)" width="9" height="9"/><filter id="q"><feImage href="${far}/fe.png"/></filter><text style="cursor:url(${far}/t.cur),auto">t</text><animate attributeName="href" to="${far}/anim"/></svg><table background="${far}/table.png"><td background="${far}/td.png">d</table><link rel="stylesheet" href="data:text/css,@import url(${far}/data.css)"><math><maction actiontype="statusline#${far}" xlink:href="javascript:${run}">m</maction></math>
<template shadowrootmode="open"><script>${run}</script></template><marquee onstart="${run}">m</marquee><style><img src=x onerror="${run}"></style><noscript><p title="</noscript><img src=x onerror=${run}>"></noscript></body></html>`;

const css = `@import "${far}/deep.css"; h1 { background: url('${far}/h.png'); cursor: url(${far}/c.cur), auto; } h1 ~ hr { content: url(${far}/t.png) }
@media screen { @import "${far}/late.css"; } @font-face { font-family: "X"; src: local("x"), url("${far}/x.woff2") }
h1::before { content: "</style><script>${run}</script>" } p { --u: url(${far}/var.png); background: var(--u); list-style: url(\\68ttps://far.example/esc.png) }
h1 { --s: "${far}/string.png"; background: image-set(var(--s) 1x); mask: image-set("${far}/m.png" type("image/png")); border-image: u\\72l(${far}/u.png) 1 }
h1::after { content: image("${far}/i.png") / "x"; background-image: cross-fade(url(${far}/x1.png), url(${far}/x2.png)); cursor: src("${far}/src.cur"), auto }
@property --p { syntax: "<url>"; inherits: true; initial-value: url(${far}/prop.png) } h2 { background: var(--p) }
@import"${far}/bare.css"layer(x)supports(display:grid)screen; @import url("${far}/late2.css") print, screen; @namespace url(${far}/ns);
@counter-style c { system: cyclic; symbols: url(${far}/symbol.png) } li { list-style: c; background: -webkit-image-set(url(${far}/w.png) 1x) } @layer { li { shape-outside: url(${far}/shape.png); filter: url(${far}/f.svg#x); clip-path: url("${far}/c.svg#x") } }`;

/** The cleaner and the sandbox stand without the policies, too. */
for (const without of [false, true]) {
  test.describe(without ? "without the policies" : "with the policies", () => {
    test.use({ bypassCSP: without });
    test("a hostile site runs nothing and asks for nothing", asksNothing);
  });
}

async function asksNothing({ page, context, baseURL }: PlaywrightTestArgs & PlaywrightTestOptions): Promise<void> {
  const asked: string[] = [];
  context.on("request", (request) => asked.push(request.url()));
  const popups: string[] = [];
  context.on("page", (popup) => popups.push(popup.url()));
  await page.goto("/");
  await page.getByLabel("Files to open").setInputFiles([
    { name: "index.html", mimeType: "text/html", buffer: Buffer.from(html) },
    { name: "hostile.css", mimeType: "text/css", buffer: Buffer.from(css) },
  ]);
  await ready(page);
  await expect(shownPage(page).getByRole("heading", { name: "Hostile" })).toBeVisible();
  await expect(page.getByRole("link", { name: /about this page/ })).toBeVisible();

  // Where the links are, a click only picks.
  for (const words of ["Run", "Leave", "Ping"]) {
    const box = (await shownPage(page).getByText(words, { exact: true }).boundingBox())!;
    await page.mouse.click(box.x + 3, box.y + 3);
    await expect(page.getByRole("status", { name: "Picked text" })).toContainText(words);
  }
  await page.keyboard.press("Enter");
  await page.getByRole("link", { name: /Changes/ }).click();
  await expect(page.getByRole("heading", { name: "Nothing is changed." })).toBeVisible();

  expect(await page.evaluate(() => (window as { ran?: number }).ran)).toBeUndefined();
  const outside = asked.filter(
    (url) => !url.startsWith(`${baseURL}/`) && !url.startsWith("blob:") && !url.startsWith("data:"),
  );
  expect(outside).toEqual([]);
  expect(asked.some((url) => url.includes("hostile.css"))).toBe(false);
  expect(popups).toEqual([]);
  expect(page.url()).toMatch(/\/site\/[^/]+\/changes$/);
}

test("nothing of an open site is in what is asked of the server, on no way through it", async ({ page, context }) => {
  const asked: string[] = [];
  context.on("request", (request) => {
    if (!request.url().startsWith("blob:")) asked.push(request.url() + JSON.stringify(request.headers()));
  });
  await openFiles(page, {
    "secret-plans.html":
      '<!doctype html><link rel=stylesheet href="secret-sheet.css"><h1 class="secret-class">Plans</h1><p>Words',
    "secret-other.html": '<link rel=stylesheet href="secret-sheet.css"><p>Others',
    "secret-sheet.css": ".secret-class { color: #777; colour: red } p { color: #999 }",
  });
  await page.getByRole("combobox", { name: "Page", exact: true }).click();
  await page.getByTitle("secret-plans.html", { exact: true }).last().click();
  await expect(shownPage(page).getByText("Words")).toBeVisible();
  await page.getByRole("link", { name: /about this page/ }).click();
  await expect(page.getByRole("main", { name: "Findings" })).toBeVisible();
  await page.getByRole("button", { name: "See it on the page" }).first().click();
  await ready(page);
  const loaded = asked.length;
  for (const view of ["Text styles", "Colours", "Stacks", "Sheets", "Findings", "Changes", "Page"]) {
    await page
      .getByRole("navigation", { name: "Views" })
      .getByRole("link", { name: new RegExp(`^${view}`) })
      .click();
    await expect(page.getByRole("main", { name: view, exact: true })).toBeVisible();
  }
  // Between views only files of the build are asked for, if any; browsers ask for the icon of each address.
  expect(asked.slice(loaded).filter((one) => !/\/_next\/static\/|\/icon\.svg/.test(one))).toEqual([]);
  await page.goBack();
  await page.goBack();
  await expect(page.getByRole("main", { name: "Findings" })).toBeVisible();
  await page.reload();
  await expect(page.getByRole("main", { name: "Findings" })).toBeVisible();
  expect(asked.filter((one) => one.includes("secret"))).toEqual([]);
});

test("elements named like members of the DOM leave a page that can be picked and painted", async ({ shelf: page }) => {
  const names =
    "fonts defaultView createRange documentElement body createTreeWalker getAnimations elementFromPoint querySelectorAll scrollingElement append children style parentElement childNodes getBoundingClientRect localName setAttribute getAttribute textContent closest checkVisibility removeAttribute ownerDocument".split(
      " ",
    );
  const images = names.map((name) => `<img name="${name}" alt=""><form name="${name}"></form>`).join("");
  const controls = names.map((name) => `<input name="${name}"><select id="${name}"></select>`).join("");
  const text = `<!doctype html><style>form{color:#555} p{color:#333}</style><h1>Named</h1><form>Own words <p>Inside</p>${controls}</form>${images}<img id="style" name="x" alt="">`;
  const problems: string[] = [];
  page.on("pageerror", (error) => problems.push(error.message));
  await toShelf(page);
  await page
    .getByLabel("Files to open")
    .setInputFiles([{ name: "index.html", mimeType: "text/html", buffer: Buffer.from(text) }]);
  await ready(page);
  for (const words of ["Named", "Inside"]) {
    const box = (await shownPage(page).getByText(words).boundingBox())!;
    await page.mouse.click(box.x + 4, box.y + box.height / 2);
    await expect(page.getByRole("complementary", { name: "Slip" })).toContainText("as painted");
  }
  expect(problems).toEqual([]);
});
