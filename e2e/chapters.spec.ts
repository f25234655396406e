/** What the slip's chapters say and do besides the first of each: trials, axes, longhands, what texts inside get. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { testFont } from "../src/core/testing/font";
import { field, openFiles, openRow, pickText, sampleFile, shownPage, slip } from "./support/desk";

const trialsOf = (page: Page, label: string) =>
  slip(page)
    .getByRole("radiogroup", { name: `Trials of ${label}` })
    .getByRole("radio");

test("each trial of opacity says what contrast it leaves", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html><style>p{color:#555}</style><p>Boats</p>" });
  await pickText(page, "Boats");
  await openRow(page, "Opacity");
  const trials = trialsOf(page, "opacity");
  await expect(trials.nth(0)).toContainText("7.4");
  await expect(trials.nth(4)).toContainText("▲ 2.3 of 4.5");
  await trials.nth(4).click();
  await expect(slip(page).getByText(/contrast falls from 7.4 to 2.3, and 4.5 is needed/)).toBeVisible();
});

test("the room above is tried beside the text above", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><style>h2{font-size:20px;margin-top:10px}</style><p>Fares</p><h2>Boats</h2>",
  });
  await pickText(page, "Boats");
  await openRow(page, "Room above");
  await expect(slip(page).getByText(/^10 px, 0.5 of the size, /)).toBeVisible();
  const trials = trialsOf(page, "room above");
  await trials.nth(0).focus();
  await trials.nth(0).press("ArrowUp");
  await expect(page.getByRole("radiogroup", { name: "Trials of room above on the page" })).toBeVisible();
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("margin-top", "30px");
  await expect(page.getByRole("status").filter({ hasText: /^page \d+ px higher$/ })).toBeVisible();
  await trials.nth(4).press("Enter");
  await expect(field(page, "Room above")).toHaveValue("1.5em");
});

test("the site's own sizes are tried side by side, and kept for this kind of text", async ({ page }) => {
  await openFiles(page, {
    "index.html":
      "<!doctype html><style>h1{font-size:40px}h2{font-size:30px}p{font-size:16px}</style><h1>Pier</h1><h2>Boats</h2><p>Words</p>",
  });
  await pickText(page, "Boats");
  await openRow(page, "Size");
  await slip(page).getByRole("button", { name: "Try the site’s own sizes" }).click();
  await expect(trialsOf(page, "size")).toHaveText([/16px/, /30px.*now/, /40px/]);
  await slip(page).getByText("Keywords", { exact: true }).click();
  await slip(page).getByRole("button", { name: "x-large 24 px" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Boats" })).toHaveCSS("font-size", "24px");
  await field(page, "Size").press("Escape");
  await page.reload();
  await pickText(page, "Boats");
  await openRow(page, "Size");
  await expect(trialsOf(page, "size")).toHaveCount(3);
  await pickText(page, "Words");
  await openRow(page, "Size");
  await expect(trialsOf(page, "size")).toHaveCount(5);
});

test("lines are written as longhands, so that the rest stays", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><link rel=stylesheet href=a.css><h1>Pier</h1>",
    "a.css": "h1 {\n  text-decoration-color: red;\n}\n",
  });
  await pickText(page, "Pier");
  await openRow(page, "Lines");
  await slip(page).getByRole("checkbox", { name: "under" }).check();
  await slip(page).getByLabel("Thickness of the lines").fill("3px");
  await slip(page)
    .getByRole("button", { name: /^Write line, (?:color, )?thickness as longhands/ })
    .click();
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("text-decoration-thickness", "3px");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("text-decoration-color", "rgb(255, 0, 0)");
  await page.getByRole("link", { name: /^Changes/ }).click();
  await expect(page.getByText("text-decoration-line: underline;")).toBeVisible();
});

test("leading given as a length says what the texts inside get", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html":
      "<!doctype html><style>div{font-size:16px;line-height:20px}b{font-size:40px}</style><div>Boats <b>today</b></div>",
  });
  await pickText(page, "Boats");
  await openRow(page, "Leading");
  await expect(slip(page).getByText(/bold words at 40 px: 0.5 of the size \(1 place\)/)).toBeVisible();
  await pickText(page, "today");
  await openRow(page, "Leading");
  await slip(page).getByRole("button", { name: "Write 1.25 in div" }).click();
  await expect(shownPage(page).getByText("today")).toHaveCSS("line-height", "50px");
});

test("axes of a variable font are set with sliders, each its own way", async ({ shelf: page }) => {
  const axes = [
    { tag: "wght", name: "Weight", min: 100, default: 400, max: 900 },
    { tag: "wdth", name: "Width", min: 75, default: 100, max: 125 },
    { tag: "GRAD", name: "Grade", min: -50, default: 0, max: 100 },
  ];
  await openFiles(page, {
    "index.html":
      "<!doctype html><style>@font-face{font-family:Flex;src:url(flex.ttf);font-weight:100 900;font-stretch:75% 125%}h1{font:40px Flex,serif}</style><h1>Pier</h1><p>Boats</p>",
    "flex.ttf": testFont("Ossel Flex", axes),
  });
  await pickText(page, "Pier");
  await openRow(page, "Width");
  await slip(page).getByRole("slider", { name: "Width axis" }).fill("80");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("font-stretch", "80%");
  await slip(page).getByRole("slider", { name: "Width axis" }).press("Enter");
  await expect(field(page, "Width")).toHaveValue("80%");
  await openRow(page, "Axes");
  await slip(page).getByLabel("Grade as a number").fill("25");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("font-variation-settings", '"GRAD" 25');
  await slip(page).getByLabel("Grade as a number").press("Enter");
  await expect(field(page, "Axes")).toHaveValue('"GRAD" 25');
  await field(page, "Axes").fill('"GRAD" 25, "wght" 500');
  await expect(slip(page).getByText(/has a property of its own, font-weight/)).toBeVisible();
  await slip(page).getByRole("button", { name: "Leave it out" }).click();
  await expect(field(page, "Axes")).toHaveValue('"GRAD" 25');
  await pickText(page, "Boats");
  await expect(field(page, "Axes")).toHaveCount(0);
});

test("figures that are as usual are there, too, with what is usual", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await slip(page)
    .getByText(/other figures as usual/)
    .click();
  await expect(slip(page).getByRole("list", { name: "As usual" })).toContainText(
    "Size: 28 px. Usual: not under 12 px.",
  );
});

test("leading goes onto a grid with the sizes", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><link rel=stylesheet href=a.css><h1>Pier</h1><p>Words</p>",
    "a.css": "h1 { font-size: 33px; line-height: 1.2 }\np { font-size: 16px; line-height: 1.5 }\n",
  });
  await page.getByRole("link", { name: /^Text styles/ }).click();
  await page.getByRole("button", { name: "Line up steps" }).click();
  await page.getByLabel("Steps by").click();
  await page.getByTitle("A grid", { exact: true }).click();
  await page.getByLabel("Grid in px").fill("8");
  const moves = page.getByRole("list", { name: "What snaps" });
  await expect(moves.getByRole("listitem")).toHaveCount(1);
  await expect(moves).toContainText("h1 33 → 32");
  await page.getByRole("button", { name: "Snap 1 style" }).click();
  const dialog = page.getByRole("dialog");
  await expect(dialog.getByText(/font-size: 32px; line-height: 1.25/)).toBeVisible();
});

test("what a stack shifts without its first member, and what a matched fallback brings back", async ({
  shelf: page,
}) => {
  const words =
    "From the first of November the late boat leaves the mainland at half past six, and cars should be in lane by ten past; foot passengers may board until the ramp is lifted. ".repeat(
      4,
    );
  await openFiles(page, {
    "index.html": `<!doctype html><link rel=stylesheet href=a.css><p>${words}</p>`,
    "a.css":
      '@font-face { font-family: Bitter; src: url(bitter.woff2) }\np { font: 17px/normal Bitter, "DejaVu Serif", serif; width: 480px }\n',
    "bitter.woff2": sampleFile("fonts/bitter-bold.woff2"),
  });
  await page.getByRole("link", { name: /^Stacks/ }).click();
  await page.getByRole("button", { name: "What shifts without the first members" }).click();
  const shifts = page.getByRole("status", { name: "What shifts on index.html" });
  await expect(shifts).toContainText(
    /without Bitter, in DejaVu Serif\d+ lines? more, \d+ px higher; the words (?:8|9|1\d)(?:\.\d)?% wider/,
  );
  await page
    .getByRole("row", { name: /^DejaVu Serif/ })
    .getByRole("button", { name: "Match to the first" })
    .click();
  const effect = page.getByRole("dialog").getByRole("status", { name: "What shifts on index.html" });
  await expect(effect).toContainText(
    /with the matched fallback.*the words (?:as wide|[0-2](?:\.\d)?% (?:wider|narrower))/,
  );
});

test("fonts that come from nowhere or are loaded for nothing are told where stacks are seen", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      "<!doctype html><style>@font-face{font-family:Unused;src:url(flex.ttf)}p{font-family:Nowhere Grotesk,serif}</style><p>Words</p>",
    "flex.ttf": testFont("Unused"),
  });
  await page.getByRole("link", { name: /^Stacks/ }).click();
  const findings = page.getByRole("list", { name: "Findings about fonts" });
  await expect(findings.getByRole("listitem")).toHaveCount(2);
  await expect(findings).toContainText("Unused is loaded, but no text is set in it.");
  await findings.getByRole("button", { name: "index.html line 1" }).first().click();
  await expect(page.getByRole("application")).toBeVisible();
});

test("where the style attribute holds the value, it can be written there with one step", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": '<!doctype html><link rel=stylesheet href=a.css><p style="letter-spacing: .1em">Boats</p>',
    "a.css": "p { color: #333 }\n",
  });
  await pickText(page, "Boats");
  await field(page, "Letter spacing").fill("2px");
  await expect(slip(page).getByText(/the style attribute in index.html line 1 beats it/)).toBeVisible();
  await slip(page).getByRole("button", { name: "Write to the style attribute instead" }).click();
  await expect(slip(page).getByText("Style attribute: 1 place on 1 page")).toBeVisible();
  await expect(shownPage(page).getByText("Boats")).toHaveCSS("letter-spacing", "2px");
  await field(page, "Letter spacing").press("Enter");
  await expect(field(page, "Letter spacing")).toHaveValue("2px");
  await page.getByRole("link", { name: /^Changes/ }).click();
  await expect(page.getByText('style="letter-spacing: 2px"')).toBeVisible();
});

test("what is tried stays tried while the page is rehearsed for another reader", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html": "<!doctype html><style>h1{font:20px 'DejaVu Serif',monospace}</style><h1>Pier</h1>",
  });
  await pickText(page, "Pier");
  await field(page, "Size").fill("33px");
  const heading = shownPage(page).getByRole("heading");
  await expect(heading).toHaveCSS("font-size", "33px");
  await page.getByRole("button", { name: /^Rehearse/ }).click();
  await page.getByRole("checkbox", { name: "DejaVu Serif" }).check();
  await expect(heading).toHaveCSS("font-family", "monospace");
  await expect(heading).toHaveCSS("font-size", "33px");
  await field(page, "Size").press("Escape");
  await expect(heading).toHaveCSS("font-size", "20px");
  await expect(heading).toHaveCSS("font-family", "monospace");
});
