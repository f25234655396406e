/** From finding to fix: everything wrong or doubtful on the site, walked through by keyboard and set right. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { downloaded, openFiles, openSample, shownPage, slip, unzipTexts } from "./support/desk";

const list = (page: Page) => page.getByRole("listbox", { name: "Findings" });
const chosen = (page: Page) => list(page).getByRole("option", { selected: true });
const detail = (page: Page) => page.getByRole("region", { name: "Finding", exact: true });
const tab = (page: Page) => page.getByRole("navigation", { name: "Views" }).getByRole("link", { name: /^Findings/ });

async function openFindings(page: Page): Promise<void> {
  await expect(tab(page)).toHaveText(/Findings\d+/);
  await tab(page).click();
  await expect(list(page)).toBeVisible();
}

/** Walks down the list by keyboard until a finding with these words is chosen. */
async function walkTo(page: Page, words: string, most = 40): Promise<void> {
  await list(page).focus();
  await page.keyboard.press("Home");
  for (let step = 0; step < most; step += 1) {
    await expect(chosen(page)).toHaveCount(1);
    const said = (await chosen(page).textContent())!;
    if (said.includes(words)) return expect(detail(page).getByRole("heading")).toContainText(words);
    await page.keyboard.press("ArrowDown");
    await expect(chosen(page)).not.toHaveText(said);
  }
  throw new Error(`No finding says "${words}".`);
}

async function changedFile(page: Page, path: string): Promise<string> {
  const zip = await downloaded(page, async () => {
    await page.getByRole("button", { name: "Export" }).click();
    await page.getByRole("menuitem", { name: /Changed files/ }).click();
  });
  return unzipTexts(zip)[path]!;
}

test("three findings of three groups are set right by keyboard, one is left, and all of it stays", async ({ page }) => {
  await openSample(page);
  await openFindings(page);
  const titles = ["Cannot be read", "Does nothing, or not what was meant", "Lost for some readers", "Could be one"];
  for (const title of titles) await expect(page.getByRole("heading", { name: new RegExp(`^${title}`) })).toBeVisible();

  await walkTo(page, "Section heading h2 cannot be read well");
  await expect(detail(page).getByRole("img", { name: /^as it is: Foot passengers/ })).toBeVisible();
  await expect(detail(page).getByRole("img", { name: /^set right: Foot passengers/ })).toBeVisible();
  await expect(detail(page).getByText("8 places on 3 pages change").first()).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(list(page).getByText("Section heading h2 cannot be read well")).toHaveCount(0);

  await walkTo(page, "letter-spacing: 1 sets nothing");
  await expect(detail(page).getByRole("table").getByText("letter-spacing: 1px;")).toBeVisible();
  await page.keyboard.press("Enter");
  await expect(list(page).getByText("letter-spacing: 1 sets nothing")).toHaveCount(0);

  await walkTo(page, "Links in running text are told by their colour alone");
  await expect(detail(page).getByRole("radio", { name: /Put a line under them/ })).toBeChecked();
  await page.keyboard.press("Enter");
  await expect(list(page).getByText("told by their colour alone")).toHaveCount(0);

  await walkTo(page, "level 3 is left out");
  const said = (await detail(page).getByRole("heading").textContent())!.slice(2);
  await detail(page).getByRole("button", { name: "Leave it…" }).click();
  await detail(page).getByLabel("Why it stays").fill("Meant so");
  await detail(page).getByLabel("Why it stays").press("Enter");
  const left = list(page).getByRole("group", { name: /^Left as they are/ });
  await expect(left.getByRole("option")).toHaveCount(1);
  await expect(left).toContainText("Meant so");
  await expect(left).toContainText(said.slice(0, 20));

  const sheet = await changedFile(page, "css/ferry.css");
  expect(sheet).toContain("color: #8797a3;");
  expect(sheet).toContain("letter-spacing: 1px;");

  await page.reload();
  await expect(
    list(page)
      .getByRole("group", { name: /^Left as they are/ })
      .getByRole("option"),
  ).toHaveCount(1);
  await expect(list(page).getByText("letter-spacing: 1 sets nothing")).toHaveCount(0);
  await page.getByRole("button", { name: "Undo" }).click();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(list(page).getByText("letter-spacing: 1 sets nothing")).toBeVisible();

  await left.getByRole("option").click();
  await detail(page).getByRole("button", { name: "Take it back" }).click();
  await expect(left).toHaveCount(0);
});

const mistaken = {
  "index.html":
    '<!doctype html><html lang="en"><head><link rel="stylesheet" href="main.css"></head><body><h1>Ossel</h1><p>Fares</p></body></html>',
  "main.css":
    "body { color: #222; background: #fff }\np {\n  colour: #333;\n  fontsize: 18px;\n  text-align: centre;\n}\n",
};

test("all findings of one kind are looked at and set right together", async ({ shelf: page }) => {
  await openFiles(page, mistaken);
  await openFindings(page);
  await walkTo(page, "colour is not a property");
  await detail(page).getByRole("button", { name: "Set all 3 like this right…" }).click();
  const dialog = page.getByRole("dialog", { name: "Set 3 of 3 findings right" });
  await expect(dialog.getByText("font-size: 18px;")).toBeVisible();
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(dialog).toBeHidden();
  await expect(list(page).getByRole("option", { name: /Error/ })).toHaveCount(0);
  expect(await changedFile(page, "main.css")).toContain("color: #333;\n  font-size: 18px;\n  text-align: center;");
});

test("filters show what is about a page, a sheet, a group, or says a word", async ({ sample: page }) => {
  await openFindings(page);
  const options = list(page).getByRole("option");
  const all = await options.count();
  await page.getByLabel("Search").fill("leading");
  await expect(options).toHaveCount(1);
  await page.getByLabel("Search").fill("nothing says this");
  await expect(page.getByText("Nothing is like that.")).toBeVisible();
  await page.getByLabel("Search").fill("");
  await expect(options).toHaveCount(all);
  await page.getByRole("combobox", { name: "Group" }).click();
  await page.getByTitle("Could be one", { exact: true }).click();
  await expect(list(page).getByRole("group")).toHaveCount(1);
});

test("what is found hangs beside its place, in the margin, in the source and in the slip, a step from its fix", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    ...mistaken,
    "main.css": "body { color: #222; background: #fff }\np {\n  font-size: 8px;\n  colour: maroon;\n}\n",
  });
  const marks = page.getByRole("list", { name: "Marks" });
  const mark = marks.getByRole("button", { name: "1 finding, p" });
  // What pops over comes while the button is held down.
  const box = (await mark.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + 4);
  await page.mouse.down();
  await expect(page.getByRole("dialog", { name: "Found here" })).toBeVisible();
  await page.mouse.up();
  const size = slip(page).getByRole("list", { name: "Found about Size" });
  await slip(page).getByRole("list", { name: "Found here" }).getByRole("button", { name: "Size" }).click();
  await expect(size).toBeFocused();
  await expect(size).toContainText("Text of 8px is smaller");
  await size.getByRole("button", { name: "Set it right" }).click();
  await size.getByRole("list", { name: "Ways to set it right" }).getByRole("button").first().click();
  await expect(shownPage(page).getByText("Fares")).toHaveCSS("font-size", "12px");
  await expect(size).toHaveCount(0);
  const source = page.getByRole("region", { name: "Source" });
  await source.getByTitle(/colour is not a property/).click();
  const here = source.getByRole("group", { name: "Found in this line" });
  await expect(here).toContainText("colour is not a property");
  await page.keyboard.press("Alt+m");
  await expect(here.getByRole("button", { name: /^Write color: maroon/ })).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(source.getByRole("textbox")).toBeFocused();
  await page.keyboard.press("Alt+m");
  await expect(here.getByRole("button", { name: /^Write color: maroon/ })).toBeFocused();
  await page.keyboard.press("Enter");
  await expect(shownPage(page).getByText("Fares")).toHaveCSS("color", "rgb(128, 0, 0)");
  await expect(here).toHaveCount(0);
});

test("the shelf says how many findings a site has", async ({ shelf: page }) => {
  await openFiles(page, mistaken);
  await openFindings(page);
  const count = (await tab(page).textContent())!.replace(/\D/g, "");
  await page.getByRole("link", { name: "Hevret" }).click();
  await expect(page.getByRole("row").filter({ hasText: `${count} findings` })).toBeVisible();
});

test("pages are measured as some readers have them: narrow, at twice the size, with more room", async ({
  shelf: page,
}) => {
  const style =
    "body { color: #222; background: #fff } .bar { width: 700px } .box { width: 18em; height: 1.3em; overflow: hidden } .wide { width: 60%; height: 2.6em; overflow: hidden } .tight { width: 60%; height: 2.6em; margin: 0 } .under { margin: 0 }";
  await openFiles(page, {
    "index.html": `<!doctype html><html lang="en"><head><style>${style}</style></head><body><h1>Ossel</h1><p class="bar">Fares and sailings</p><p class="box">No sailings in fog</p><p class="wide">The late boat leaves the outer island at half past six, and waits for nobody on the quay.</p><p class="tight">The early boat leaves the main island at half past five, and waits for the post from the hill.</p><p class="under">Dogs sail free</p></body></html>`,
  });
  await tab(page).click();
  const says = (words: RegExp) => expect(list(page).getByText(words)).toBeVisible({ timeout: 30_000 });
  // What is not known yet is said.
  const unseen = page.getByText("1 page still to be seen as readers have them.");
  await expect(unseen).toBeVisible();
  await says(/At 320px of width index.html scrolls both ways: .bar reaches beyond the window/);
  await says(/The late boat leaves .* is cut off at twice the size/);
  await says(/No sailings in fog.* cut off where a reader gives lines, words and letters more room/);
  await says(/At twice the size The early boat.* and Dogs sail free lie over each other/);
  await expect(unseen).toHaveCount(0);
  await list(page)
    .getByText(/scrolls both ways/)
    .click();
  await expect(detail(page)).toContainText("max-width: 700px");
  await detail(page).getByRole("button", { name: "Write", exact: true }).click();
  await expect(list(page).getByText(/scrolls both ways/)).toHaveCount(0);
});
