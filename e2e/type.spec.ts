/** How text is set: stacks, sizes, leading, lines, and the styles of the whole site. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { matchedFallback, readFontFile } from "../src/core";
import { field, openFiles, openRow, pickText, ready, sampleFile, shownPage, slip, stage } from "./support/desk";

const heading = (page: Page) => shownPage(page).getByRole("heading", { name: "Winter sailings" });

test("what is typed is still shown on the page once something else was written, or taken back", async ({
  sample: page,
}) => {
  await pickText(page, "Winter sailings");
  const heading = shownPage(page).getByText("Winter sailings").first();
  const size = () => heading.evaluate((one) => getComputedStyle(one).fontSize);
  await openRow(page, "Weight");
  await field(page, "Weight").fill("400");
  await field(page, "Weight").press("Enter");
  await openRow(page, "Size");
  await field(page, "Size").fill("51px");
  await expect.poll(size).toBe("51px");
  await page.getByRole("button", { name: "Undo", exact: true }).click();
  await expect(page.getByRole("button", { name: "Redo", exact: true })).toBeEnabled();
  await expect(field(page, "Size")).toHaveValue("51px");
  await expect.poll(size).toBe("51px");
  await field(page, "Size").press("Escape");
  await expect.poll(size).not.toBe("51px");
});

test("a stack is built by keyboard", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Stack");
  const members = slip(page).getByRole("list", { name: "Members of the stack" }).getByRole("listitem");
  await expect(members).toHaveCount(3);
  await slip(page).getByLabel("Add a face").fill("Charter");
  await slip(page).getByLabel("Add a face").press("Enter");
  await expect(members).toHaveCount(4);
  await expect(field(page, "Stack")).toHaveValue('Georgia, "Times New Roman", Charter, serif');
  await members.nth(2).press("Alt+ArrowUp");
  await members.nth(1).press("Alt+ArrowUp");
  await members.nth(2).press("Delete");
  await expect(field(page, "Stack")).toHaveValue("Charter, Georgia, serif");
  await members.nth(0).press("Enter");
  await expect(heading(page)).toHaveCSS("font-family", "Charter, Georgia, serif");
  await expect(slip(page).getByText(/Android: Noto Serif/)).toBeVisible();
});

test("faults of a stack are told and mended", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Stack");
  await field(page, "Stack").fill("Georga");
  await expect(slip(page).getByText(/Is Georgia meant/)).toBeVisible();
  await expect(slip(page).getByText(/No generic family ends the stack/)).toBeVisible();
  await expect(slip(page).getByText(/^Changes in css\/ferry.css/)).toBeVisible();
  await slip(page).getByRole("button", { name: "Write Georgia", exact: true }).click();
  await slip(page).getByRole("button", { name: "Write Georgia, serif" }).click();
  await expect(field(page, "Stack")).toHaveValue("Georgia, serif");
});

test("five sizes are tried on the page by keyboard, with the lines that follow, and one is written", async ({
  sample: page,
}) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Size");
  const trials = slip(page).getByRole("radiogroup", { name: "Trials of size" }).getByRole("radio");
  await expect(trials).toHaveCount(5);
  await trials.nth(2).focus();
  await trials.nth(2).press("ArrowDown");
  await expect(heading(page)).toHaveCSS("font-size", "32px");
  const onPage = page.getByRole("radiogroup", { name: "Trials of size on the page" }).getByRole("radio");
  await expect(onPage).toHaveCount(5);
  await expect(onPage.nth(3)).toBeChecked();
  const sizes = ["22px", "25px", "28px", "32px", "37px"];
  for (const [at, size] of sizes.entries()) {
    await expect(onPage.nth(at)).toContainText(/1 line, \d+ px/);
    const frame = onPage.nth(at).frameLocator("iframe");
    await expect(frame.getByRole("heading", { name: "Winter sailings" })).toHaveCSS("font-size", size);
    // Two lines of what follows stand under it.
    const [strip, shown, paragraph] = await Promise.all([
      onPage.nth(at).locator("iframe").locator("..").boundingBox(),
      frame.getByRole("heading", { name: "Winter sailings" }).boundingBox(),
      frame.getByText("From the first of November").boundingBox(),
    ]);
    expect(shown!.y).toBeGreaterThanOrEqual(strip!.y);
    expect(paragraph!.y + 2 * 20).toBeLessThanOrEqual(strip!.y + strip!.height);
  }
  await onPage.nth(3).focus();
  await onPage.nth(3).press("ArrowDown");
  await expect(heading(page)).toHaveCSS("font-size", "37px");
  await expect(onPage.nth(4)).toBeFocused();
  await onPage.nth(4).press("Enter");
  await expect(onPage).toHaveCount(0);
  await expect(field(page, "Size")).toHaveValue("37px");
  await slip(page)
    .getByRole("group", { name: "The same size in other units" })
    .getByRole("button", { name: "2.3125rem", exact: true })
    .click();
  await expect(field(page, "Size")).toHaveValue("2.3125rem");
  await expect(heading(page)).toHaveCSS("font-size", "37px");
});

test("a fluid size is set and seen at three widths", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><link rel=stylesheet href=a.css><h1>Slipway</h1>",
    "a.css": "h1 { font-size: 30px; }",
  });
  await pickText(page, "Slipway");
  await openRow(page, "Size");
  await slip(page).getByText("Fluid, between two widths").click();
  for (const [label, value] of [
    ["Size when narrow", "20"],
    ["Narrow width", "400"],
    ["Size when wide", "44"],
    ["Wide width", "1200"],
  ] as const)
    await slip(page).getByLabel(label).fill(value);
  await slip(page).getByRole("button", { name: "Write it" }).click();
  await expect(field(page, "Size")).toHaveValue("clamp(1.25rem, 0.5rem + 3vw, 2.75rem)");
  for (const [width, size] of [
    ["400", "20px"],
    ["800", "32px"],
    ["1280", "44px"],
  ] as const) {
    await page.getByLabel("Page width in px").fill(width);
    await page.getByLabel("Page width in px").press("Enter");
    await expect(shownPage(page).getByRole("heading")).toHaveCSS("font-size", size);
  }
});

test("a leading given as a length is made a number", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Leading");
  await expect(slip(page).getByText(/As a length it is inherited as 32 px/)).toBeVisible();
  await slip(page).getByRole("button", { name: "Write 1.143" }).click();
  await expect(field(page, "Leading")).toHaveValue("1.143");
});

test("a link's hover is styled beside its other states", async ({ sample: page }) => {
  const link = shownPage(page).getByRole("link", { name: "foot passengers" });
  const box = (await link.boundingBox())!;
  await page.mouse.click(box.x + 10, box.y + 6);
  await openRow(page, "Lines");
  await expect(slip(page).getByText(/Only its colour tells this link/)).toBeVisible();
  const states = slip(page).getByRole("group", { name: "States of the link" });
  await states.getByRole("button", { name: /hover/ }).click();
  await expect(link).toHaveCSS("text-decoration-line", "underline");
  // All of them stand on the page, in their sentence.
  const onPage = page.getByRole("radiogroup", { name: "Trials of link state on the page" }).getByRole("radio");
  await expect(onPage).toHaveCount(5);
  const shownAt = (at: number) => onPage.nth(at).frameLocator("iframe").getByRole("link", { name: "foot passengers" });
  await expect(shownAt(0)).toHaveCSS("text-decoration-line", "none");
  await expect(shownAt(2)).toHaveCSS("text-decoration-line", "underline");
  await expect(onPage.nth(2)).toBeChecked();
  await page.getByRole("main", { name: "Page" }).getByRole("button", { name: "Back to the page" }).click();
  await expect(onPage).toHaveCount(0);
  await slip(page).getByRole("checkbox", { name: "over" }).check();
  await expect(link).toHaveCSS("text-decoration-line", /underline overline/);
  await slip(page).getByRole("button", { name: "Write", exact: true }).first().click();
  await expect(field(page, "Lines")).toHaveValue(/underline overline/);
  await states.getByRole("button", { name: /at rest/ }).click();
  await expect(link).toHaveCSS("text-decoration-line", "none");
});

for (const [motion, moves] of [
  ["no-preference", true],
  ["reduce", false],
] as const) {
  test(`a state of a link ${moves ? "passes there from rest" : "is there at once for who wishes for less motion"}`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: motion });
    await openFiles(page, {
      "index.html":
        "<!doctype html><style>a{color:#04c;transition:color 60s}a:hover{color:#a00}</style><p>See <a href=fares.html>the fares</a> first.</p>",
    });
    await pickText(page, "the fares");
    await openRow(page, "Lines");
    await slip(page).getByRole("group", { name: "States of the link" }).getByRole("button", { name: /hover/ }).click();
    const hover = page
      .getByRole("radiogroup", { name: "Trials of link state on the page" })
      .getByRole("radio", { name: "hover" });
    const link = hover.frameLocator("iframe").getByRole("link");
    const running = () => link.evaluate((node) => node.getAnimations().length);
    await expect(hover).toContainText("1 line");
    if (moves) await expect.poll(running).toBe(1);
    else await expect(link).toHaveCSS("color", "rgb(170, 0, 0)");
    // Another state is looked at in the same frames: nothing is laid out anew.
    const frame = await hover.locator("iframe").evaluate((one: HTMLIFrameElement) => one.src);
    await hover.press("ArrowUp");
    await expect(hover).not.toBeChecked();
    await expect(link).toHaveCSS("color", "rgb(170, 0, 0)");
    expect(await hover.locator("iframe").evaluate((one: HTMLIFrameElement) => one.src)).toBe(frame);
  });
}

const twins = {
  "index.html":
    "<!doctype html><link rel=stylesheet href=a.css><h1>One</h1><h2>Two</h2><h3>Three</h3><h4>Four</h4><p>Text</p>",
  "a.css":
    "body { font: 16px/1.5 serif }\nh1 { font-size: 39px; line-height: 1.2 }\nh2 { font-size: 1.9rem; line-height: 1.2 }\nh3 { font-size: 18px; line-height: 1.2 }\nh4 { font-size: 17.6px; line-height: 1.2 }\n",
};
const row = (page: Page, name: RegExp) => page.getByRole("row", { name });

test("twins among the text styles are joined", async ({ shelf: page }) => {
  await openFiles(page, twins);
  await page.getByRole("link", { name: /^Text styles/ }).click();
  await expect(row(page, /Heading, level 4, 17.6 px/)).toContainText("twin of 18");
  await row(page, /Heading, level 4/).click();
  await page.getByRole("button", { name: "Set this one as 18 px" }).click();
  await page.getByRole("dialog").getByRole("button", { name: "Write" }).click();
  await expect(row(page, /Heading, level 3, 18 px, 2 places/)).toBeVisible();
  await expect(page.getByText("twin of")).toHaveCount(0);
});

test("four headings are snapped to a scale, each in its own unit", async ({ shelf: page }) => {
  await openFiles(page, twins);
  await page.getByRole("link", { name: /^Text styles/ }).click();
  await page.getByRole("button", { name: "Line up steps" }).click();
  await page.getByLabel("Steps by").click();
  await page.getByTitle("Major third, 1.25", { exact: true }).last().click();
  await expect(row(page, /Main heading, 39.06 px/)).toBeVisible();
  await page.getByRole("button", { name: "Snap 4 styles" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("status")).toContainText("4 places on 1 page come out differently");
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(page.getByText("Every size that a rule of the site sets lies on a step.")).toBeVisible();
  await page.getByRole("link", { name: "Changes" }).click();
  await expect(page.getByText(/font-size: 1.953rem/)).toBeVisible();
});

test("a stack is written everywhere, named, and its first font switched off", async ({ sample: page }) => {
  await page.getByRole("link", { name: /^Stacks/ }).click();
  const stack = page.getByRole("region", { name: 'Stack Bitter, Georgia, "Times New Roman", serif' });
  await expect(stack).toBeVisible();
  await stack
    .getByRole("row", { name: /^Bitter/ })
    .getByRole("button", { name: "Switch off" })
    .click();
  await page.getByRole("link", { name: "Page", exact: true }).click();
  await ready(page);
  await expect(page.getByRole("button", { name: "Rehearse: no Bitter" })).toBeVisible();
  await expect(shownPage(page).getByRole("heading", { name: "Mainland to Ossel" })).toHaveCSS(
    "font-family",
    'Georgia, "Times New Roman", serif',
  );
  await page.getByRole("button", { name: /^Rehearse/ }).click();
  await page.getByRole("button", { name: "Change nothing" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Mainland to Ossel" })).toHaveCSS("font-family", /^Bitter/);

  await page.getByRole("link", { name: /^Stacks/ }).click();
  await stack.getByLabel(/^Name for/).fill("--display");
  await stack.getByRole("button", { name: "Name it…" }).click();
  await expect(page.getByRole("status").filter({ hasText: "no place comes out differently" })).toBeVisible();
  await page.getByRole("dialog").getByRole("button", { name: "Write" }).click();
  await page.getByRole("link", { name: "Changes" }).click();
  await expect(page.getByText(/font-family: var\(--display\);/)).toBeVisible();
});

test("which member is used here is what the browser really uses", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><style>p{font-family:Nope,'DejaVu Sans Mono',serif}</style><p>words</p>",
  });
  await stage(page).focus();
  await pickText(page, "words");
  await openRow(page, "Stack");
  await expect(
    slip(page).getByRole("listitem", { name: /^DejaVu Sans Mono, 2 of 3, used on this machine/ }),
  ).toBeVisible();
  const session = await page.context().newCDPSession(page);
  await page.evaluate(() => {
    const probe = document.createElement("p");
    probe.id = "probe";
    probe.style.fontFamily = "Nope,'DejaVu Sans Mono',serif";
    probe.textContent = "words";
    document.body.append(probe);
  });
  await session.send("DOM.enable");
  await session.send("CSS.enable");
  const { root } = await session.send("DOM.getDocument");
  const { nodeId } = await session.send("DOM.querySelector", { nodeId: root.nodeId, selector: "#probe" });
  const { fonts } = await session.send("CSS.getPlatformFontsForNode", { nodeId });
  expect(fonts[0]!.familyName).toBe("DejaVu Sans Mono");
});

test("two words get a span with a class of their own, and lose it again", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><link rel=stylesheet href=a.css><p>The late boat leaves at half past six.</p>",
    "a.css": "p { color: #333 }\n",
  });
  await pickText(page, "The late boat");
  await stage(page).press("Shift+ArrowRight");
  await stage(page).press("Shift+ArrowRight");
  await stage(page).press("Shift+ArrowRight");
  await stage(page).press("Alt+Shift+ArrowRight");
  const words = page.getByRole("group", { name: "Picked words" });
  await expect(words).toContainText("late boat");
  await words.getByLabel("Class for the words").fill("hot");
  await words.getByRole("button", { name: "Give them a class" }).click();
  const span = shownPage(page).locator("span.hot");
  await expect(span).toHaveText("late boat");
  await expect(slip(page).getByText("span.hot")).toBeVisible();
  await slip(page).getByRole("button", { name: "New rule" }).click();
  await field(page, "Ink").fill("#a03000");
  await field(page, "Ink").press("Enter");
  await expect(span).toHaveCSS("color", "rgb(160, 48, 0)");
  await slip(page).getByRole("button", { name: "Take the span away" }).click();
  await expect(span).toHaveCount(0);
  await expect(shownPage(page).getByText("The late boat leaves at half past six.")).toBeVisible();
});

test("words are picked with the mouse", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html><p style='font:20px monospace'>The late boat leaves</p>" });
  const box = (await shownPage(page).getByText("The late boat").boundingBox())!;
  await page.mouse.move(box.x + 12 * 4.5, box.y + 12);
  await page.mouse.down();
  await page.mouse.move(box.x + 12 * 7, box.y + 12);
  await page.mouse.move(box.x + 12 * 11, box.y + 12, { steps: 3 });
  await page.mouse.up();
  await expect(page.getByRole("group", { name: "Picked words" })).toContainText("late boat");
});

test("a font file is added and declared; a broken one is refused with the reason", async ({ shelf: page }) => {
  await openFiles(page, twins);
  await page.getByRole("link", { name: /^Stacks/ }).click();
  const input = page.getByLabel("Font file to add");
  await input.setInputFiles({ name: "no.woff2", mimeType: "font/woff2", buffer: Buffer.from("wOF2 and then nothing") });
  await expect(page.getByRole("alert").filter({ hasText: "no.woff2: The font file is broken" })).toBeVisible();
  await input.setInputFiles({
    name: "bitter.woff2",
    mimeType: "font/woff2",
    buffer: sampleFile("fonts/bitter-bold.woff2"),
  });
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText(/src: url\("fonts\/bitter.woff2"\) format\("woff2"\);/)).toBeVisible();
  await dialog.getByRole("button", { name: "Write" }).click();
  await page.getByRole("link", { name: "Changes" }).click();
  await expect(page.getByRole("article", { name: "fonts/bitter.woff2" })).toContainText("A new file.");
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(page.getByRole("article", { name: "fonts/bitter.woff2" })).toBeHidden();
  await page.getByRole("button", { name: "Redo" }).click();
  await expect(page.getByRole("article", { name: "fonts/bitter.woff2" })).toContainText("A new file.");
});

test("a matched fallback brings the shift down", async ({ page }) => {
  const bitter = readFontFile(new Uint8Array(sampleFile("fonts/bitter-bold.woff2"))).metrics;
  const local = {
    family: "DejaVu Serif",
    unitsPerEm: 2048,
    ascent: 1901,
    descent: -483,
    lineGap: 0,
    xHeight: 1063,
    capHeight: 1493,
    averageWidth: 1049,
    zeroWidth: 1303,
    ideographWidth: null,
  };
  const matched = matchedFallback(bitter, local, "Matched")
    .declarations.map(([property, value]) => `${property}:${value}`)
    .join(";");
  const words =
    "From the first of November the late boat leaves the mainland at half past six and cars should be in lane by ten past";
  const data = sampleFile("fonts/bitter-bold.woff2").toString("base64");
  await page.setContent(`<style>@font-face{font-family:B;src:url(data:font/woff2;base64,${data})}@font-face{${matched}} span{font-size:20px;white-space:nowrap} p{line-height:normal;margin:0;font-size:20px}</style>
    ${["B", "DejaVu Serif", "Matched"].map((family) => `<p style="font-family:'${family}'"><span>${words}</span></p>`).join("")}`);
  await page.evaluate(() => document.fonts.ready);
  const sizes = await page.evaluate(() =>
    [...document.querySelectorAll("p")].map((p) => ({
      width: p.firstElementChild!.getBoundingClientRect().width,
      height: p.getBoundingClientRect().height,
    })),
  );
  const [wanted, plain, made] = sizes as [(typeof sizes)[0], (typeof sizes)[0], (typeof sizes)[0]];
  console.log(
    `a matched fallback: width ${wanted.width.toFixed(0)} wanted, ${plain.width.toFixed(0)} plain, ${made.width.toFixed(0)} matched`,
  );
  expect(Math.abs(made.width - wanted.width)).toBeLessThan(Math.abs(plain.width - wanted.width) / 2);
  expect(Math.abs(made.height - wanted.height)).toBeLessThanOrEqual(1);
});

test("a font is switched off while rehearsing, the page says how far it moves, and fixed texts are marked", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      "<!doctype html><style>p{font:16px/normal 'DejaVu Serif',monospace;width:300px}h1{font-size:2rem}</style><h1>Pier</h1><p>From the first of November the late boat leaves the mainland at half past six. Cars should be in lane by ten past; foot passengers may board until the ramp is lifted, and dogs travel on the open deck.</p>",
  });
  await page.getByRole("button", { name: /^Rehearse/ }).click();
  await page.getByRole("checkbox", { name: "DejaVu Serif" }).check();
  await expect(shownPage(page).getByRole("paragraph")).toHaveCSS("font-family", "monospace");
  await expect(
    page.getByRole("status").filter({ hasText: /page (?:\d+ lines? (?:more|less), )?\d+ px (?:higher|lower)/ }),
  ).toBeVisible();
  await page.getByRole("checkbox", { name: "DejaVu Serif" }).uncheck();
  await page.getByLabel("Reader’s text size in px").fill("20");
  await page.getByLabel("Reader’s text size in px").press("Enter");
  const marks = page.getByRole("list", { name: "Marks" }).getByRole("button");
  await expect(marks).toHaveCount(1);
  await expect(marks).toHaveAccessibleName(/the size does not follow the reader's, p/);
});

test("a shadow is built of layers", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html><style>h1{text-shadow:none}</style><h1>Pier</h1>" });
  await pickText(page, "Pier");
  await openRow(page, "Shadow");
  await slip(page).getByRole("button", { name: "Add a layer" }).click();
  await slip(page).getByRole("button", { name: "Add a layer" }).click();
  await slip(page).getByLabel("Across of layer 2").fill("3px");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS(
    "text-shadow",
    "rgba(0, 0, 0, 0.4) 0px 1px 2px, rgba(0, 0, 0, 0.4) 3px 1px 2px",
  );
  await slip(page).getByLabel("Across of layer 2").press("Enter");
  await expect(field(page, "Shadow")).toHaveValue("0 1px 2px rgb(0 0 0 / 40%), 3px 1px 2px rgb(0 0 0 / 40%)");
});

test("a shorthand is unfolded and folded again", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><link rel=stylesheet href=a.css><h1>Pier</h1>",
    "a.css": "h1 {\n  font: 700 30px/1.2 serif;\n}\n",
  });
  await pickText(page, "Pier");
  await openRow(page, "Size");
  await slip(page).getByRole("button", { name: "Unfold font" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("status")).toContainText("no place comes out differently");
  await expect(dialog.getByText(/font had set back/)).toBeVisible();
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(field(page, "Leading")).toHaveValue("1.2");
  await slip(page).getByRole("button", { name: "Fold into font" }).click();
  await expect(page.getByRole("dialog").getByText("font: 700 30px/1.2 serif;")).toBeVisible();
});

test("a value is copied to another text style", async ({ shelf: page }) => {
  await openFiles(page, twins);
  await pickText(page, "Three");
  await openRow(page, "Leading");
  await slip(page).getByLabel("Copy leading to another text style").click();
  await page.getByTitle("p, 16 px", { exact: true }).last().click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByRole("status")).toContainText("1 place on 1 page comes out differently");
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByText("Text", { exact: true })).toHaveCSS("line-height", "19.2px");
});

test("the longest line is told in the table of text styles as in the slip", async ({ shelf: page }) => {
  const words =
    "From the first of November the late boat leaves the mainland at half past six. Cars should be in lane by ten past; <a href='#'>foot passengers</a> may board until the ramp is lifted, and dogs travel on the open deck.";
  await openFiles(page, {
    "index.html": `<!doctype html><style>p{font:18px/1.5 serif;width:420px;text-align:justify}a{font-size:13px}</style><p>${words}</p>`,
  });
  await pickText(page, "From the first");
  const longest = await slip(page).getByLabel("Longest line").textContent();
  expect(Number.parseInt(longest!, 10)).toBeGreaterThan(30);
  await page.getByRole("link", { name: /^Text styles/ }).click();
  await expect(
    page.getByRole("row", { name: /^Paragraph/ }).getByRole("cell", { name: longest!, exact: true }),
  ).toBeVisible();
});
