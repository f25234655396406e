import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { pickText, shownPage } from "./support/desk";

const source = (page: Page) => page.getByRole("region", { name: "Source" });
const about = (page: Page) => source(page).getByRole("complementary", { name: "About this line" });
const heading = (page: Page) => shownPage(page).getByRole("heading", { name: "Winter sailings" });

/** Puts the cursor behind the ink of the section headings' rule. */
async function behindTheInk(page: Page): Promise<void> {
  await pickText(page, "Winter sailings");
  await source(page).getByText("color: #8a9aa6").click();
  await page.keyboard.press("End");
}

test("a colour is completed with its ratio, and the page follows", async ({ sample: page }) => {
  await behindTheInk(page);
  await page.keyboard.press("ArrowLeft");
  for (let digits = 0; digits < "#8a9aa6".length; digits += 1) await page.keyboard.press("Backspace");
  await page.keyboard.type("darkb");
  const proposal = page.getByRole("option", { name: /^darkblue/ });
  await expect(proposal).toContainText("15.2");
  await expect(proposal).toHaveAttribute("aria-selected", "true");
  await proposal.click();
  await expect(source(page)).toContainText("color: darkblue;");
  await expect(heading(page)).toHaveCSS("color", "rgb(0, 0, 139)");
  await expect(page.getByRole("button", { name: "Undo" })).toBeEnabled();
});

test("a property is completed, says what it does, and goes on with its values", async ({ sample: page }) => {
  await behindTheInk(page);
  await page.keyboard.press("Enter");
  await page.keyboard.type("letter-s");
  await expect(page.getByText("Space added after each letter.")).toBeVisible();
  await page.getByRole("option", { name: /^letter-spacing/ }).click();
  await page.keyboard.type("2p");
  await page.getByRole("option", { name: "2px" }).click();
  await expect(source(page)).toContainText("letter-spacing: 2px;");
  await expect(heading(page)).toHaveCSS("letter-spacing", "2px");
});

test("half a word takes nothing away from the page", async ({ sample: page }) => {
  await behindTheInk(page);
  await page.keyboard.press("Enter");
  await page.keyboard.type("backg");
  await expect(page.getByRole("option", { name: /^background-color/ })).toBeVisible();
  // Without its semicolon the next declaration would be lost.
  await expect(heading(page)).toHaveCSS("margin-bottom", "8px");
});

test("where the cursor is, it says what the rule reaches, what is in force and what the property does", async ({
  sample: page,
}) => {
  await behindTheInk(page);
  await expect(about(page)).toContainText("This rule: 3 texts on this page. color is in force.");
  await expect(about(page).getByRole("note", { name: "About color" })).toContainText("4.5 to 1 against the ground");
  await page.keyboard.press("Control+Home");
  await expect(about(page).getByRole("note")).toHaveCount(0);
});

test("a comment is put round a declaration by a key, and taken off again", async ({ sample: page }) => {
  await behindTheInk(page);
  await page.keyboard.press("Control+/");
  await expect(source(page)).toContainText("/* color: #8a9aa6; */");
  await expect(heading(page)).toHaveCSS("color", "rgb(23, 68, 92)");
  await page.keyboard.press("Control+/");
  await expect(heading(page)).toHaveCSS("color", "rgb(138, 154, 166)");
  await expect(source(page)).toContainText("as it was opened");
});

test("what was typed is taken back by the keys for it, in the one history", async ({ sample: page }) => {
  await behindTheInk(page);
  await page.keyboard.press("Enter");
  await page.keyboard.type("letter-spacing: 3px;");
  await expect(heading(page)).toHaveCSS("letter-spacing", "3px");
  await page.keyboard.press("Control+z");
  await expect(heading(page)).toHaveCSS("letter-spacing", "normal");
  await expect(source(page)).toContainText("as it was opened");
  await page.keyboard.press("Control+y");
  await expect(heading(page)).toHaveCSS("letter-spacing", "3px");
});

test("Tab leaves the source and writes nothing", async ({ sample: page }) => {
  await behindTheInk(page);
  const editor = page.getByRole("textbox", { name: "Source of css/ferry.css" });
  await expect(editor).toBeFocused();
  await page.keyboard.press("Tab");
  await expect(editor).not.toBeFocused();
  await expect(page.getByRole("link", { name: /^Changes ?0$/ })).toBeVisible();
});

test("a page is written in, with the classes of its sheets", async ({ sample: page }) => {
  await source(page).getByRole("combobox", { name: "File" }).click();
  await page.getByTitle("fares.html", { exact: true }).click();
  const text = page.getByRole("textbox", { name: "Source of fares.html" });
  await text.focus();
  await page.keyboard.press("Control+f");
  await page.getByRole("textbox", { name: "Find" }).pressSequentially("<h1");
  await page.keyboard.press("Enter");
  await page.keyboard.press("Escape");
  await page.keyboard.press("ArrowRight");
  await page.keyboard.type(' class="le');
  await page.getByRole("option", { name: /^lead/ }).click();
  await page.keyboard.type('"');
  await expect(source(page)).toContainText('<h1 class="lead"');
});

test("words are found in all files, and others put in their place once every line was seen", async ({
  sample: page,
}) => {
  await source(page).getByRole("button", { name: "Find in all files" }).click();
  const dialog = page.getByRole("dialog", { name: "Find in all files" });
  await dialog.getByLabel("Find", { exact: true }).fill("#17445c");
  await expect(dialog.getByRole("status")).toHaveText(/^\d+ places in \d+ files?\.$/);
  await dialog.getByLabel("As it is written").check();
  await dialog.getByLabel("Put instead").fill("#123456");
  await dialog.getByRole("button", { name: "Look at what would change…" }).click();
  const change = page.getByRole("dialog", { name: "Put “#123456” for “#17445c”" });
  await expect(change.getByRole("status")).toContainText("come out differently");
  await change.getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Mainland to Ossel" })).toHaveCSS(
    "color",
    "rgb(18, 52, 86)",
  );
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Mainland to Ossel" })).toHaveCSS(
    "color",
    "rgb(23, 68, 92)",
  );
});
