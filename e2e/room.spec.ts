/** What surrounds a text, chosen on the page. */
import { expect, test } from "./support/window";
import { field, openFiles, openRow, pickText, shownPage, slip } from "./support/desk";

test("a paragraph gets a ground, padding and corners, and its ink is judged on them", async ({ sample: page }) => {
  await pickText(page, "The new linkspan is in place");
  const lead = shownPage(page).getByText("The new linkspan is in place");
  const styleOf = (name: string) => lead.evaluate((one, key) => getComputedStyle(one).getPropertyValue(key), name);
  await expect(slip(page).getByLabel("Contrast", { exact: true })).toHaveText(/^1[0-9]\.\d : 1$/);
  await openRow(page, "Own ground");
  await field(page, "Own ground").fill("#333");
  await field(page, "Own ground").press("Enter");
  await expect.poll(() => styleOf("background-color")).toBe("rgb(51, 51, 51)");
  await expect(slip(page).getByLabel("Contrast", { exact: true })).toHaveText(/▲ 1\.\d : 1/);
  for (const [row, value, longhand, computed] of [
    ["Padding", "1em 2em", "padding-left", "40px"],
    ["Corners", "8px", "border-top-left-radius", "8px"],
    ["Edge", "2px solid #123456", "border-left-width", "2px"],
  ] as const) {
    await openRow(page, row);
    await field(page, row).fill(value);
    const group = slip(page).getByRole("group", { name: row, exact: true });
    await expect(group.getByRole("status").first()).toContainText("Changes in css/ferry.css");
    await expect(field(page, row)).toHaveValue(value);
    await expect.poll(() => styleOf(longhand)).toBe(computed);
    await field(page, row).press("Enter");
    await expect(group).toContainText(/ferry\.css|\.lead/);
  }
  const sides = slip(page).getByRole("group", { name: "Padding left", exact: true });
  await expect(sides.getByLabel("Padding left value")).toHaveValue("2em");
});

test("who gives a text a ground of its own goes on in the row that tells of it; one that comes back takes nobody away", async ({
  sample: page,
}) => {
  await pickText(page, "The new linkspan is in place");
  await openRow(page, "Own ground");
  const own = field(page, "Own ground");
  await expect(own).toBeFocused();
  // What lets through all that is beneath needs no other.
  const chapter = slip(page).getByRole("group", { name: "Own ground", exact: true });
  await expect(chapter.getByText(/^under #2b2b2b, paragraph/)).toBeVisible();
  await expect(chapter.getByRole("slider", { name: "Lightness" })).toHaveAttribute("aria-valuetext", /: 14\.1$/);
  await expect(chapter.getByRole("button", { name: /^Write the nearest/ })).toHaveCount(0);
  // Taken hold of, it is a colour that is seen.
  await chapter.getByRole("slider", { name: "Lightness" }).press("ArrowLeft");
  await expect(own).toHaveValue(/^#f[0-9a-f]f[0-9a-f]f[0-9a-f]$/);
  await own.fill("#345");
  await own.press("Enter");
  await expect(own).toHaveCount(0);
  await expect(field(page, "Ground")).toBeFocused();
  const undo = page.getByRole("button", { name: /^Undo/ });
  await undo.focus();
  await undo.press("Enter");
  await expect(own).toHaveValue("");
  await expect(own).not.toBeFocused();
  await openRow(page, "Corners");
  await expect(field(page, "Corners")).toBeFocused();
});

test("room is drawn on the page while a row about it is open, and line lengths are offered in characters", async ({
  sample: page,
}) => {
  await pickText(page, "The new linkspan is in place");
  const room = page.getByRole("application").locator("svg");
  await expect(room).toHaveCount(0);
  await openRow(page, "Room below");
  await expect(room).toHaveCount(1);
  await slip(page)
    .getByRole("button", { name: /^Room below: / })
    .click();
  await expect(room).toHaveCount(0);
  await openRow(page, "Widest");
  const sixty = slip(page).getByRole("group", { name: "60 characters a line" });
  await sixty.getByRole("button", { name: /ch$/ }).click();
  const lead = shownPage(page).getByText("The new linkspan is in place");
  await expect.poll(() => lead.evaluate((one) => one.getBoundingClientRect().width)).toBeLessThan(640);
  await expect(slip(page).getByLabel("Longest line")).toHaveText(/^(?:5\d|6[0-4]) ch$/);
});

test("a gradient on the body stops tiling, is changed stop by stop, and a veil makes its text readable", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Sea</title><link rel="stylesheet" href="a.css"><h1>Sea state</h1><p>Moderate.</p>',
    "a.css": "* { box-sizing: border-box } body { background: linear-gradient(#8ab, #fff); color: #fff; margin: 20px }",
  });
  await pickText(page, "Sea state");
  await openRow(page, "Gradient or picture");
  const chapter = slip(page).getByRole("group", { name: "Gradient or picture", exact: true });
  const html = shownPage(page).locator("html");
  await expect(chapter.getByRole("region", { name: "Where it is painted" })).toContainText(/it starts anew/);
  await chapter.getByRole("button", { name: /min-height on html/ }).click();
  await expect.poll(() => html.evaluate((one) => one.getBoundingClientRect().height >= window.innerHeight)).toBe(true);
  await expect(chapter.getByText(/it starts anew/)).toBeHidden();
  // The root alone is told so, not all that its rules are for.
  const heading = shownPage(page).getByRole("heading", { name: "Sea state" });
  expect(await heading.evaluate((one) => getComputedStyle(one).minHeight)).toBe("0px");

  const body = shownPage(page).locator("body");
  const image = () => body.evaluate((one) => getComputedStyle(one).backgroundImage);
  await chapter.getByLabel("Colour of stop 2").fill("#123456");
  await expect.poll(image).toBe("linear-gradient(rgb(136, 170, 187), rgb(18, 52, 86))");
  await slip(page).getByRole("button", { name: "Put back" }).first().click();
  await chapter.getByRole("button", { name: /^black, \d+%$/ }).click();
  await expect.poll(image).toMatch(/^linear-gradient\(rgba\(0, 0, 0, 0\.\d+\)/);
  // Tried again it is no second veil over the first.
  await chapter.getByRole("button", { name: /^black, \d+%$/ }).click();
  await expect.poll(async () => (await image()).split("linear-gradient").length).toBe(3);
  await chapter.getByRole("button", { name: "Write it" }).click();
  await expect(slip(page).getByLabel("Contrast", { exact: true })).toHaveText(/^(?:[5-9]|1\d|4\.[5-9])[\d.]* : 1$/);
});

test("margins that meet are told: which one counts and which is swallowed", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><p>Return, adult.</p>',
    "a.css": "h2 { margin-bottom: 10px } p { margin-top: 24px }",
  });
  await pickText(page, "Return, adult.");
  await openRow(page, "Room above");
  const note = slip(page).getByRole("group", { name: "Room above", exact: true }).getByRole("note");
  await expect(note).toContainText("they are one of 24 px");
  await expect(note).toContainText("Counts: this one, 24 px. Swallowed: room below h2, 10 px.");
  await field(page, "Room above").fill("-4px");
  await field(page, "Room above").press("Enter");
  await expect(note).toContainText("they are one of 6 px. Counts: room below h2, 10 px. Taken off: this one, −4 px.");
});

test("a margin snaps to a step of the site or to lines of a grid, and a step that is nearly another is brought to it", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><p>Return, adult.</p><p class="note">Weather permitting.</p>',
    "a.css": "h2 { margin: 30px 0 16px } p { margin: 0 0 16px; line-height: 24px } .note { margin-top: 17px }",
  });
  await pickText(page, "Weather permitting.");
  await openRow(page, "Room above");
  const rhythm = slip(page).getByRole("region", { name: "Rhythm of the site" });
  await expect(rhythm.getByRole("list", { name: "Steps" }).getByRole("listitem")).toHaveText(["16", "17", "30"]);
  await rhythm.getByRole("button", { name: "Nearest line: 24 px" }).click();
  const note = shownPage(page).getByText("Weather permitting.");
  await expect(note).toHaveCSS("margin-top", "24px");
  await slip(page).getByRole("button", { name: "Put back" }).first().click();
  await rhythm.getByRole("checkbox", { name: /Lines over the page/ }).check();
  await expect(page.getByTestId("grid-lines")).toHaveCSS("background-size", "100% 24px");
  await rhythm.getByRole("button", { name: "Bring 1 use to it" }).click();
  const dialog = page.getByRole("dialog", { name: "Bring 17 px to 16 px" });
  await dialog.getByRole("button", { name: "Write", exact: true }).click();
  await expect(note).toHaveCSS("margin-top", "16px");
  await expect(rhythm.getByRole("list", { name: "Steps" }).getByRole("listitem")).toHaveText(["16", "30"]);
});

test("percentages say what they are of, and a line centred by its leading what breaks that", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><div><p>Return, adult.</p></div>',
    "a.css":
      "body { margin: 0 } div { width: 400px; padding: 0 10px } p { margin-left: 10%; height: 48px; line-height: 48px }",
  });
  await pickText(page, "Return, adult.");
  await openRow(page, "Room beside");
  const beside = slip(page).getByRole("group", { name: "Room beside", exact: true });
  // What is measured on the page comes a moment later, and moves what stands below it.
  await expect(beside.getByRole("note").first()).toContainText("On the page it comes to");
  await beside.getByRole("button", { name: /^Room left: .*Why$/ }).click();
  await expect(beside.getByRole("group", { name: "Room left" }).getByRole("note")).toHaveText(
    "A percentage is of the width of what it stands in, the div of 400 px. On the page it comes to 40px.",
  );
  await openRow(page, "Leading");
  await expect(slip(page).getByText(/that centres one line/)).toBeVisible();
  await slip(page).getByRole("button", { name: "Write 1.3 with 13.6 px of room above and below" }).click();
  const text = shownPage(page).getByText("Return, adult.");
  await expect(text).toHaveCSS("padding-top", "13.6px");
  await expect.poll(() => text.evaluate((one) => one.getBoundingClientRect().height)).toBeCloseTo(48, 0);
});

test("a picture of the site is put under a text, and a veil of any colour or another ink makes it readable", async ({
  shelf: page,
}) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Sea</title><link rel="stylesheet" href="a.css"><h1>Sea state</h1><p>Moderate.</p>',
    "a.css": "body { background: linear-gradient(#8ab, #9bc); color: #fff; margin: 20px }",
    "sea.svg":
      '<svg xmlns="http://www.w3.org/2000/svg" width="60" height="40"><rect width="60" height="40" fill="#8ab"/></svg>',
  });
  await pickText(page, "Sea state");
  await openRow(page, "Gradient or picture");
  const chapter = slip(page).getByRole("group", { name: "Gradient or picture", exact: true });
  const image = () =>
    shownPage(page)
      .locator("body")
      .evaluate((one) => getComputedStyle(one).backgroundImage);
  await chapter.getByRole("combobox", { name: "Add a picture of the site" }).click();
  await page.getByTitle("sea.svg", { exact: true }).click();
  await expect.poll(image).toMatch(/^url\("blob:[^"]+"\), linear-gradient/);
  await slip(page).getByRole("button", { name: "Put back" }).first().click();
  await chapter.getByLabel("Colour of the veil").fill("#06364f");
  await chapter.getByRole("button", { name: /^#06364f, \d+%$/ }).click();
  await expect.poll(image).toMatch(/^linear-gradient\(rgba\(6, 54, 79, 0\.\d+\)/);
  await slip(page).getByRole("button", { name: "Put back" }).first().click();
  await chapter.getByRole("button", { name: /^Ink #/ }).click();
  await expect(slip(page).getByLabel("Contrast", { exact: true })).toHaveText(/^(?:[3-9]|1\d)[\d.]* : 1$/);
});
