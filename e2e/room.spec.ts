/** What surrounds a text, chosen on the page. */
import { expect, test } from "@playwright/test";
import { field, openFiles, openRow, openSample, pickByKeyboard, shownPage, slip } from "./support/desk";

test("a paragraph gets a ground, padding and corners, and its ink is judged on them", async ({ page }) => {
  await openSample(page);
  await pickByKeyboard(page, "The new linkspan is in place");
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
    await expect.poll(() => styleOf(longhand)).toBe(computed);
    await field(page, row).press("Enter");
    await expect(slip(page).getByRole("group", { name: row, exact: true })).toContainText(/ferry\.css|\.lead/);
  }
  const sides = slip(page).getByRole("group", { name: "Padding left", exact: true });
  await expect(sides.getByLabel("Padding left value")).toHaveValue("2em");
});

test("room is drawn on the page while a row about it is open, and line lengths are offered in characters", async ({
  page,
}) => {
  await openSample(page);
  await pickByKeyboard(page, "The new linkspan is in place");
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
  page,
}) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Sea</title><link rel="stylesheet" href="a.css"><h1>Sea state</h1><p>Moderate.</p>',
    "a.css": "* { box-sizing: border-box } body { background: linear-gradient(#8ab, #fff); color: #fff; margin: 20px }",
  });
  await pickByKeyboard(page, "Sea state");
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

test("margins that meet are told: which one counts and which is swallowed", async ({ page }) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Fares</title><link rel="stylesheet" href="a.css"><h2>Fares</h2><p>Return, adult.</p>',
    "a.css": "h2 { margin-bottom: 10px } p { margin-top: 24px }",
  });
  await pickByKeyboard(page, "Return, adult.");
  await openRow(page, "Room above");
  const note = slip(page).getByRole("group", { name: "Room above", exact: true }).getByRole("note");
  await expect(note).toContainText("they are one of 24 px");
  await expect(note).toContainText("Counts: this one, 24 px. Swallowed: room below h2, 10 px.");
  await field(page, "Room above").fill("-4px");
  await field(page, "Room above").press("Enter");
  await expect(note).toContainText("they are one of 6 px. Counts: room below h2, 10 px. Taken off: this one, −4 px.");
});
