import type { Locator } from "@playwright/test";
import { expect, test } from "./support/window";
import { field, openFiles, openSample, pickText, ready, shownPage, slip, stage, openRow } from "./support/desk";

test("the room of the page is known before it stands: it is asked for once", async ({ sample: page }) => {
  const again = await page.context().newPage();
  await again.addInitScript(() => {
    const names: string[] = ((window as unknown as { asked: string[] }).asked = []);
    const post = Worker.prototype.postMessage;
    Worker.prototype.postMessage = function (this: Worker, ...sent: unknown[]) {
      names.push(String((sent[0] as { path?: string[] } | null)?.path));
      return (post as (...all: unknown[]) => void).apply(this, sent);
    };
  });
  for (const size of [
    { width: 1280, height: 800 },
    { width: 1920, height: 1080 },
  ]) {
    await again.setViewportSize(size);
    await again.goto(page.url());
    await expect(stage(again)).toBeVisible();
    await expect(again.getByRole("navigation", { name: "Views" })).toContainText(/Stacks\s*\d/);
    const asked = await again.evaluate(() => (window as unknown as { asked: string[] }).asked);
    expect(asked.filter((name) => name === "page" || name === "patch")).toEqual(["page"]);
  }
});

test("hover shows, a click picks, and keys walk to the parent and back", async ({ sample: page }) => {
  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  const box = (await heading.boundingBox())!;
  await page.mouse.move(box.x + 10, box.y + 10);
  await expect(page.getByRole("main", { name: "Page" }).getByText("h2", { exact: true })).toBeVisible();
  await page.mouse.click(box.x + 10, box.y + 10);
  const picked = page.getByRole("status", { name: "Picked text" });
  await expect(picked).toHaveText("Section heading: Winter sailings");
  await stage(page).press("ArrowLeft");
  await expect(slip(page).getByText("main", { exact: true }).first()).toBeVisible();
  await stage(page).press("ArrowRight");
  await expect(picked).toHaveText("Section heading: Winter sailings");
  await stage(page).press("Escape");
  await expect(slip(page).getByRole("heading", { name: "Pick a text" })).toBeVisible();
});

test("a mark picks its text", async ({ sample: page }) => {
  await page
    .getByRole("list", { name: "Marks" })
    .getByRole("button", { name: /Fails: contrast 2.8, needs 3, h2/ })
    .first()
    .click();
  await expect(slip(page).getByRole("heading", { name: "Section heading" })).toBeVisible();
});

test("styles come off and on with one key", async ({ sample: page }) => {
  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  await stage(page).press("u");
  await expect(heading).toHaveCSS("color", "rgb(0, 0, 0)");
  await expect(page.getByRole("button", { name: "Rehearse: without styles" })).toBeVisible();
  await stage(page).press("u");
  await expect(heading).toHaveCSS("color", "rgb(138, 154, 166)");
});

test("the width is dragged, stepped and typed, and the page and its figures follow", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await page.getByLabel("Page width in px").fill("500");
  await page.getByLabel("Page width in px").press("Enter");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("22 px");
  const end = page.getByRole("slider", { name: "Page width" });
  await end.press("Shift+ArrowRight");
  await expect(end).toHaveAttribute("aria-valuenow", "510");
  const box = (await end.boundingBox())!;
  await page.mouse.move(box.x + 4, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 4 + 110, box.y + 10);
  await page.mouse.up();
  await expect(end).toHaveAttribute("aria-valuenow", "620");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("28 px");
});

test("a page in a window of another size is looked at anew", async ({ sample: page }) => {
  await pickText(page, "The new linkspan is in place");
  const verdict = slip(page).getByText(/^needs 4\.5, passes/);
  await expect(verdict).toHaveText("needs 4.5, passes, as painted");
  const fromStylesAlone = page.waitForFunction(() =>
    [...document.querySelectorAll('[aria-label="Slip"] dt')].some((one) => one.textContent === "needs 4.5, passes"),
  );
  await page.setViewportSize({ width: 1150, height: 800 });
  await fromStylesAlone;
  await expect(verdict).toHaveText("needs 4.5, passes, as painted");
});

test("what lies under a text is what lies there at this width, though no style is another", async ({ shelf: page }) => {
  await openFiles(page, {
    "a.html":
      "<!doctype html><style>html { height: 100% } body { margin: 0; background: linear-gradient(90deg, white 400px, black 400px) } p { position: absolute; right: 0; width: 100px; color: black }</style><p>Pier</p>",
  });
  const width = page.getByLabel("Page width in px");
  const contrast = slip(page).getByLabel("Contrast", { exact: true });
  for (const [pixels, ratio] of [
    ["560", /▲ 1\.0 : 1/],
    ["420", /21\.0 : 1/],
    ["540", /▲ 1\.0 : 1/],
  ] as const) {
    await width.fill(pixels);
    await width.press("Enter");
    await pickText(page, "Pier");
    await expect(contrast).toHaveText(ratio);
  }
});

test("the dark scheme changes page and figures", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await page.getByLabel("Colour scheme").click();
  await page.getByText("Dark", { exact: true }).click();
  await expect(slip(page).getByRole("group", { name: "Ground" })).toContainText("#10191e");
  await expect(shownPage(page).locator("body")).toHaveCSS("background-color", "rgb(16, 25, 30)");
  await page.getByLabel("Colour scheme").click();
  await page.getByTitle("Light", { exact: true }).last().click();
  await expect(slip(page).getByRole("group", { name: "Ground" })).not.toContainText("#10191e");
});

test("a page is seen at 1280 px in a window of 1280, smaller to fit, and a text is picked there", async ({
  sample: page,
}) => {
  const width = page.getByLabel("Page width in px");
  await width.fill("1280");
  await width.press("Enter");
  const frame = page.locator('iframe[title="The page"]');
  const scaled = page.getByRole("button", { name: /^at \d+%/ });
  await expect(scaled).toBeVisible();
  await expect.poll(() => frame.evaluate((one: HTMLIFrameElement) => one.contentWindow!.innerWidth)).toBe(1280);
  const box = (await shownPage(page).getByRole("heading", { name: "Winter sailings" }).boundingBox())!;
  expect((await frame.boundingBox())!.width).toBeLessThan(700);
  await page.mouse.click(box.x + 20, box.y + box.height / 2);
  await expect(slip(page).getByRole("heading", { name: "Section heading" })).toBeVisible();
  // The site's own condition is a notch on the ruler, and a width to go to.
  await page.getByRole("button", { name: /^\d+ px: .*(?:begins to hold|no longer holds)/ }).click();
  await expect(width).not.toHaveValue("1280 px");
  await width.fill("1280");
  await width.press("Enter");
  await stage(page).press("t");
  await expect(page.getByRole("button", { name: "at true size" })).toBeVisible();
  await expect.poll(async () => (await frame.boundingBox())!.width).toBe(1280);
});

test("a glass shows the picked text several times as large, as it is tried", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await stage(page).press("g");
  const glass = page.getByRole("region", { name: "Glass" });
  const text = glass.frameLocator("iframe").getByRole("heading", { name: "Winter sailings" });
  const heightOf = async () => (await text.boundingBox())!.height;
  await expect.poll(heightOf).toBeGreaterThan(100);
  // It stands where it can be seen.
  const pane = (await glass.getByRole("img", { name: /^The picked text/ }).boundingBox())!;
  await expect.poll(async () => Math.abs((await text.boundingBox())!.y - pane.y)).toBeLessThan(60);
  const before = await heightOf();
  await glass.getByLabel("How much larger").click();
  await page.getByTitle("8 times as large", { exact: true }).click();
  await expect.poll(heightOf).toBeCloseTo(before * 2, 0);
  await field(page, "Ink").fill("#00f");
  await expect(text).toHaveCSS("color", "rgb(0, 0, 255)");
  await glass.getByRole("button", { name: "Put the glass away" }).click();
  await expect(glass).toHaveCount(0);
});

test("slip and source are folded away, and come back as they were, also after a reload", async ({ page }) => {
  await openSample(page);
  await page.getByRole("button", { name: "Fold the slip away" }).click();
  await page.getByRole("button", { name: "Fold the source away" }).click();
  await expect(slip(page)).toHaveCount(0);
  await expect(page.getByRole("region", { name: "Source" })).toHaveCount(0);
  await expect(page.getByLabel("Page width in px")).toHaveValue(/^11\d\d px$/);
  await page.reload();
  await expect(stage(page)).toBeVisible();
  await expect(slip(page)).toHaveCount(0);
  await page.getByRole("button", { name: "← Slip" }).click();
  await page.getByRole("button", { name: "↑ Source" }).click();
  await expect(slip(page)).toBeVisible();
  await expect(page.getByRole("region", { name: "Source" })).toBeVisible();
  await expect(page.getByLabel("Page width in px")).toHaveValue(/^6\d\d px$/);
});

test("all that is set of a heading, and all sections, fit without scrolling", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  for (const name of ["Face", "Colour", "Lines", "Spacing", "Room"])
    await expect(slip(page).getByRole("region", { name, exact: true })).toBeInViewport({ ratio: 1 });
  expect(await slip(page).evaluate((panel) => panel.scrollHeight - panel.clientHeight)).toBe(0);
  // A row that opens stays where it was clicked.
  const why = (label: string) => slip(page).getByRole("button", { name: new RegExp(`^${label}: .*Why$`) });
  await why("Stack").click();
  await expect(slip(page).getByRole("radiogroup", { name: "Trials of stack" })).toBeVisible();
  // Who gets which face, and what was found, comes a moment later and takes room of its own.
  await expect(
    slip(page)
      .getByText(/^Windows: /)
      .first(),
  ).toBeVisible();
  await expect(page.getByRole("link", { name: /^Findings \d/ })).toBeVisible();
  await expect(
    slip(page)
      .getByRole("list", { name: /^Found about / })
      .first(),
  ).toBeVisible();
  await why("Ground").scrollIntoViewIfNeeded();
  const before = (await why("Ground").boundingBox())!.y;
  await why("Ground").click();
  await expect(why("Ground")).toHaveAttribute("aria-expanded", "true");
  expect(Math.abs((await why("Ground").boundingBox())!.y - before)).toBeLessThan(2);
});

test("another page is opened, and the address keeps it", async ({ page }) => {
  await openSample(page);
  await page.getByLabel("Page", { exact: true }).and(page.getByRole("combobox")).click();
  await page.getByTitle("fares.html", { exact: true }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Fares" })).toBeVisible();
  await page.goBack();
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings" })).toBeVisible();
  await page.goForward();
  await expect(shownPage(page).getByRole("heading", { name: "Fares" })).toBeVisible();
  await page.reload();
  await ready(page);
  await expect(shownPage(page).getByRole("heading", { name: "Fares" })).toBeVisible();
});

test("a bad value stays with its reason and nothing is written", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await field(page, "Size").fill("28");
  await expect(slip(page).getByText("font-size: 28 sets nothing: it lacks its unit. Meant: 28px.")).toBeVisible();
  await field(page, "Size").press("Enter");
  await expect(field(page, "Size")).toHaveValue("28");
  await expect(page.getByRole("button", { name: "Undo" })).toBeDisabled();
  await field(page, "Size").press("Escape");
  await expect(field(page, "Size")).toHaveValue("28px");
});

test("the name of what is picked stands among the marks, over none of them", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  const marks = page.getByRole("list", { name: "Marks" });
  // What is found comes after what can be told of the page alone.
  await expect(marks.getByRole("button", { name: /^1 finding/ }).first()).toBeVisible();
  const boxOf = async (one: Locator) => (await one.boundingBox())!;
  const name = await boxOf(marks.getByText("h2", { exact: true }));
  for (const mark of await marks.getByRole("button").all()) {
    const { y, height } = await boxOf(mark);
    expect(y + height <= name.y || y >= name.y + name.height).toBe(true);
  }
});

test("what is on trial leaves the page with the text it was tried on, and with the view", async ({ sample: page }) => {
  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  const toAnotherView = async () => {
    await page.getByRole("link", { name: /^Stacks/ }).click();
    await expect(stage(page)).toHaveCount(0);
    await page.getByRole("link", { name: /^Page/ }).click();
    await ready(page);
  };
  for (const leave of [() => stage(page).press("Escape"), () => stage(page).press("ArrowDown"), toAnotherView]) {
    await stage(page).press("Escape");
    await pickText(page, "Winter sailings");
    await field(page, "Ink").fill("#ff0000");
    await expect(heading).toHaveCSS("color", "rgb(255, 0, 0)");
    await leave();
    await expect(heading).toHaveCSS("color", "rgb(138, 154, 166)");
  }
});

test("values are completed from the grammar and stepped with the arrow keys", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Case");
  await field(page, "Case").fill("upp");
  await page.getByTitle("uppercase", { exact: true }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings" })).toHaveCSS(
    "text-transform",
    "uppercase",
  );
  await field(page, "Case").press("Escape");
  await field(page, "Size").focus();
  await field(page, "Size").press("Home");
  await field(page, "Size").press("Shift+ArrowUp");
  await expect(field(page, "Size")).toHaveValue("38px");
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings" })).toHaveCSS("font-size", "38px");
});

test("losers are shown with the reason; a declaration is switched off and on again", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  const ink = slip(page).getByRole("group", { name: "Ink", exact: true });
  await ink.getByRole("button", { name: /Why/ }).click();
  await expect(ink).toContainText("comes after h1, h2, h3 in css/ferry.css line 33, equally specific");
  await ink.getByRole("button", { name: "Switch off" }).first().click();
  const heading = shownPage(page).getByRole("heading", { name: "Winter sailings" });
  await expect(heading).toHaveCSS("color", "rgb(23, 68, 92)");
  await expect(page.getByRole("region", { name: "Source" })).toContainText("/* color: #8a9aa6; */");
  await ink.getByRole("button", { name: "Switch on" }).click();
  await expect(heading).toHaveCSS("color", "rgb(138, 154, 166)");
});

test("a rule that would be beaten is named, and a new rule's reach is shown before it is written", async ({
  sample: page,
}) => {
  await pickText(page, "Winter sailings");
  await page.getByLabel("Write to").click();
  await page.getByText("h1, h2, h3", { exact: true }).click();
  await field(page, "Ink").fill("#123456");
  await expect(
    slip(page).getByText("h2 in css/ferry.css line 44 beats it, so the picked text does not change."),
  ).toBeVisible();
  await page.getByRole("button", { name: "New rule" }).click();
  await page.getByLabel("Selectors").fill("main h2, main h3");
  await expect(
    slip(page).getByText(/New rule main h2, main h3 in css\/ferry.css: \d+ places on 3 pages/),
  ).toBeVisible();
  await field(page, "Ink").press("Enter");
  await expect(shownPage(page).getByRole("heading", { name: "Mainland to Ossel" })).toHaveCSS(
    "color",
    "rgb(18, 52, 86)",
  );
});

test("a class is given to all places like it", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await page.getByLabel("Write to").click();
  await page.getByText(/given to all like it/).click();
  await page.getByLabel("Class", { exact: true }).fill("section-title");
  await openRow(page, "Letter spacing");
  await field(page, "Letter spacing").fill("1px");
  await expect(slip(page).getByText(/Class section-title, rule in css\/ferry.css: 8 places on 3 pages/)).toBeVisible();
  await field(page, "Letter spacing").press("Enter");
  await expect(shownPage(page).getByRole("heading", { name: "If the wind is up" })).toHaveCSS("letter-spacing", "1px");
  await page.getByRole("link", { name: /Changes/ }).click();
  await expect(page.getByRole("heading", { name: "4 files changed." })).toBeVisible();
  await expect(page.getByRole("article", { name: "fares.html" })).toContainText('<h2 class="section-title" id="book">');
});

test("the source is edited and the slip follows", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  const source = page.getByRole("textbox", { name: "Source of css/ferry.css" });
  await expect(source).toContainText("font: 28px/32px");
  await source.getByText("#8a9aa6").dblclick();
  await page.keyboard.press("End");
  await page.keyboard.press("Shift+Home");
  await page.keyboard.type("  color: #444444;");
  await expect(field(page, "Ink")).toHaveValue("#444444");
  await expect(page.getByText("1 line changed since opening")).toBeVisible();
});

test("two windows on one site follow each other", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  const other = await page.context().newPage();
  await other.goto(page.url());
  await ready(other);
  await field(page, "Size").fill("30px");
  await field(page, "Size").press("Enter");
  await expect(shownPage(other).getByRole("heading", { name: "Winter sailings" })).toHaveCSS("font-size", "30px");
  await other.getByRole("button", { name: "Undo" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings" })).toHaveCSS("font-size", "28px");
});

test("in a room of 1024 everything still fits", async ({ sample: page }) => {
  // Nothing stands out of the window, in the widest view of the mat either.
  const fits = () =>
    page.evaluate(
      () =>
        Math.max(...[...document.querySelectorAll("header *")].map((one) => one.getBoundingClientRect().right)) -
        innerWidth,
    );
  await expect(page.getByRole("link", { name: /^Findings ?\d/ })).toBeVisible();
  expect(await fits()).toBeLessThanOrEqual(0);
  await page.setViewportSize({ width: 1024, height: 768 });
  expect(await fits()).toBeLessThanOrEqual(0);
  await pickText(page, "Winter sailings");
  const overflow = await page.evaluate(
    () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
  );
  expect(overflow).toBeLessThanOrEqual(0);
  await expect(page.getByRole("button", { name: "Export" })).toBeInViewport();
  // Over the page nothing lies upon anything else, nor is it cut off.
  const apart = await page.getByRole("main", { name: "Page" }).evaluate((main) => {
    const bar = main.firstElementChild!;
    const boxes = [...bar.children].map((one) => one.getBoundingClientRect()).filter(({ width }) => width > 0);
    const gaps = boxes.slice(1).map(({ left }, at) => left - boxes[at]!.right);
    return Math.min(...gaps, bar.getBoundingClientRect().right - boxes.at(-1)!.right);
  });
  expect(apart).toBeGreaterThanOrEqual(0);
});

test("container rules follow the container's size on the page", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: /^Paste HTML/ }).click();
  await page.getByLabel("HTML").fill('<div id="box"><h1>Boxed</h1></div><a class="box"><b>In a line</b></a>');
  await page
    .getByLabel("CSS")
    .fill(
      "#box, .box { container-type: inline-size; width: 50%; } @container (max-width: 290px) { h1, b { font-size: 15px; } }",
    );
  await page.getByRole("button", { name: "Open", exact: true }).click();
  await ready(page);
  await pickText(page, "Boxed");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("32 px");
  await page.getByLabel("Page width in px").fill("500");
  await page.getByLabel("Page width in px").press("Enter");
  await expect(shownPage(page).getByRole("heading")).toHaveCSS("font-size", "15px");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("15 px");
  // What is in a line has no size to ask for.
  await pickText(page, "In a line");
  await expect(shownPage(page).getByText("In a line")).toHaveCSS("font-size", "16px");
  await expect(slip(page).getByLabel("Computed size")).toHaveText("16 px");
});

test("a state is forced on the picked text: page, figures and rules to write to follow", async ({ sample: page }) => {
  const link = shownPage(page).getByRole("link", { name: "foot passengers" });
  await expect(link).toHaveCSS("text-decoration-line", "none");
  const box = (await link.boundingBox())!;
  await page.mouse.click(box.x + 10, box.y + 6);
  await slip(page).getByLabel("State").click();
  await page.getByText("hover", { exact: true }).click();
  await expect(link).toHaveCSS("text-decoration-line", "underline");
  await expect(slip(page).getByText("a:hover", { exact: true }).first()).toBeVisible();
  await expect(field(page, "Lines")).toHaveValue("underline");
  await field(page, "Ink").fill("#b03020");
  await field(page, "Ink").press("Enter");
  await expect(link).toHaveCSS("color", "rgb(176, 48, 32)");
  await stage(page).press("Escape");
  await expect(link).toHaveCSS("color", "rgb(26, 111, 160)");
});

test("a reader with larger text, and the page on paper, are rehearsed and taken back", async ({ sample: page }) => {
  const lead = shownPage(page).locator(".lead").first();
  await expect(lead).toHaveCSS("font-size", "20px");
  await page.getByRole("button", { name: /^Rehearse/ }).click();
  const size = page.getByLabel("Reader’s text size in px");
  await size.fill("24");
  await size.press("Enter");
  await expect(lead).toHaveCSS("font-size", "30px");
  await page.getByRole("checkbox", { name: "On paper" }).check();
  await expect(page.getByRole("button", { name: "Rehearse: text 24 px, print" })).toBeVisible();
  await page.getByRole("button", { name: "Change nothing" }).click();
  await expect(lead).toHaveCSS("font-size", "20px");
  await expect(page.getByRole("button", { name: "Rehearse", exact: true })).toBeVisible();
});

test("a press in the slip counts though lines above it come between its down and its up", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  const size = slip(page).getByRole("button", { name: /^Size: .*Why$/ });
  const { x, y } = (await size.boundingBox())!;
  const push = (above: string) =>
    slip(page).evaluate((one, padding) => {
      one.style.paddingTop = padding;
    }, above);
  await page.mouse.move(x + 5, y + 5);
  await page.mouse.down();
  await push("80px");
  await page.mouse.up();
  await expect(size).toHaveAttribute("aria-expanded", "true");
  // One that is dragged away is none.
  await push("0");
  await page.mouse.move(x + 5, y + 5);
  await page.mouse.down();
  await page.mouse.move(x + 5, y + 60);
  await page.mouse.up();
  await expect(size).toHaveAttribute("aria-expanded", "true");
  // Nor does one count twice.
  await size.click();
  await expect(size).toHaveAttribute("aria-expanded", "false");
});

test("a heading is made one of another level, this one or all that are alike, in its tags alone", async ({
  sample: page,
}) => {
  await pickText(page, "Winter sailings");
  const choose = async (group: "one" | "all", tag: string) => {
    await slip(page).getByRole("combobox", { name: "Element" }).click();
    const options = page.locator(".ant-select-dropdown").getByText(tag, { exact: true });
    await options.nth(group === "one" ? 0 : 1).click();
  };
  await choose("one", "h3");
  const dialog = page.getByRole("dialog");
  await expect(dialog).toContainText("Make this h2 h3");
  await expect(dialog).toContainText("2 tags in 1 file");
  // A frame that began anew would be empty for a moment.
  const before = await page
    .getByTitle("The page", { exact: true })
    .evaluateHandle((frame: HTMLIFrameElement) => frame.contentDocument);
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings", level: 3 })).toBeVisible();
  expect(await before.evaluate((document) => document!.defaultView !== null)).toBe(true);
  await expect(shownPage(page).getByRole("heading", { name: "If the wind is up", level: 2 })).toBeVisible();
  await page.getByRole("button", { name: "Undo" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "Winter sailings", level: 2 })).toBeVisible();
  await choose("all", "h3");
  await expect(dialog).toContainText("Make all h2 h3");
  await dialog.getByRole("button", { name: "Write" }).click();
  await expect(shownPage(page).getByRole("heading", { name: "If the wind is up", level: 3 })).toBeVisible();
});

test("the page is seen with other eyes, and pairs that only they lose are named", async ({ shelf: page }) => {
  await openFiles(page, {
    "index.html":
      '<!doctype html><title>Fog</title><link rel="stylesheet" href="a.css"><h1>Fog</h1><p>No sailings.</p>',
    "a.css": "h1 { color: #111 } p { color: #6f6f6f }",
  });
  await page.getByRole("button", { name: "Rehearse" }).click();
  const rehearse = page.getByRole("dialog", { name: "Rehearse" });
  await rehearse.getByLabel("Seen", { exact: true }).click();
  await page.getByTitle("in glare: a quarter of white on all", { exact: true }).click();
  const frame = page.locator('iframe[title="The page"]');
  await expect(frame).toHaveCSS("filter", 'url("#eyes-glare")');
  await expect(rehearse.getByRole("group", { name: "Lost to them alone" })).toContainText(
    /#6f6f6f on .*: 5\.0 becomes [23]\./,
  );
  await expect(page.getByRole("button", { name: "Rehearse: glare" })).toBeVisible();
  await rehearse.getByRole("button", { name: "Change nothing" }).click();
  await expect(frame).toHaveCSS("filter", "none");
});
