/** What the interface asks of others' pages, asked of itself: keys, room, targets, forced colours, paper. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { eachView, openFiles, openRow, openSample, pickText, slip, stage } from "./support/desk";

/** What can be reached by Tab and was not, and where the focus was not to be seen, going once round from the first link. */
async function walked(page: Page): Promise<{ missed: string[]; unseen: string[] }> {
  await page.evaluate(() => {
    document.querySelector<HTMLElement>("header a")!.focus();
    (window as unknown as { reached: Set<Element> }).reached = new Set();
  });
  // Moved on and back by keys, it is shown where it is.
  await page.keyboard.press("Tab");
  await page.keyboard.press("Shift+Tab");
  const unseen: string[] = [];
  for (let stop = 0; stop < 400; stop += 1) {
    const at = await page.evaluate(async () => {
      // The editor draws its focus with the next frame.
      await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      const { reached } = window as unknown as { reached: Set<Element> };
      const here = document.activeElement;
      if (!here || here === document.body || reached.has(here)) return null;
      reached.add(here);
      const around: Element[] = [];
      for (let one: Element | null = here; one && around.length < 4; one = one.parentElement) around.push(one);
      const field = ".ant-select, .ant-input, .ant-input-affix-wrapper, .ant-input-number, .ant-segmented, label";
      const isSeen = around.some((one) => {
        const style = getComputedStyle(one);
        return (style.outlineStyle !== "none" && parseFloat(style.outlineWidth) > 0) || one.matches(field);
      });
      return { isSeen, name: here.getAttribute("aria-label") ?? here.textContent!.slice(0, 40) };
    });
    if (!at) break;
    if (!at.isSeen) unseen.push(at.name);
    await page.keyboard.press("Tab");
  }
  const missed = await page.evaluate(() => {
    const { reached } = window as unknown as { reached: Set<Element> };
    const all = document.querySelectorAll<HTMLElement>(
      "button:not(:disabled), a[href], input:not(:disabled, [type='radio']), summary, textarea, [tabindex='0']",
    );
    return [...all]
      .filter(
        (one) =>
          !reached.has(one) &&
          one.tabIndex >= 0 &&
          one.checkVisibility({ visibilityProperty: true }) &&
          one.offsetWidth > 1,
      )
      .map((one) => one.getAttribute("aria-label") ?? one.textContent!.slice(0, 40));
  });
  return { missed, unseen };
}

test("Tab reaches all there is in every view, and shows where it is", async ({ sample: page }) => {
  test.slow();
  // What comes late comes before what is counted on.
  await expect(page.getByRole("link", { name: /^Findings\s*\d/ })).toBeVisible();
  await expect(page.getByRole("button", { name: "Pause" })).toBeHidden({ timeout: 60_000 });
  await eachView(page, async (view) => {
    expect({ view, ...(await walked(page)) }).toEqual({ view, missed: [], unseen: [] });
  });
});

/** What is wider than the window, and targets under 24 px (WCAG 2.2, 1.4.10 and 2.5.8). */
const misfits = () => {
  const { scrollWidth, clientWidth } = document.documentElement;
  const wide = scrollWidth > clientWidth ? [`the window is ${scrollWidth} wide in ${clientWidth}`] : [];
  const targets = [...document.querySelectorAll<HTMLElement>("button, summary, input, a[href], [role='slider']")];
  const small = targets.flatMap((one) => {
    // Links in sentences, and signs in lines of source that stand in the Findings view too, are exempt.
    if (!one.checkVisibility({ visibilityProperty: true }) || one.closest("p a, li a, td a, th a, .cm-editor"))
      return [];
    if (getComputedStyle(one).clipPath !== "none") return [];
    const field = one.closest("label, .ant-select, .ant-input-number, .ant-input-affix-wrapper, .ant-segmented-item");
    const { width, height } = (one.matches("input") && field ? field : one).getBoundingClientRect();
    const name = one.getAttribute("aria-label") ?? one.textContent!.slice(0, 30);
    return width < 2 || (width >= 23.9 && height >= 23.9) ? [] : [`${name}: ${width} × ${height}`];
  });
  return [...wide, ...small];
};

test("every view is whole at 640 px, which is 200% in a window of 1280, with targets of 24 px", async ({ page }) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await page.goto("/");
  expect(await page.evaluate(misfits)).toEqual([]);
  await openSample(page);
  await eachView(page, async (view) => {
    expect({ view, misfits: await page.evaluate(misfits) }).toEqual({ view, misfits: [] });
  });
});

test("at 1280 px the window has nothing to scroll to, and targets are of 24 px", async ({ sample: page }) => {
  await eachView(page, async (view) => {
    const below = await page.evaluate(() => {
      // Nor has a panel that holds something which scrolls by itself.
      const panels = [document.documentElement, ...document.querySelectorAll(".ant-splitter-panel")];
      return Math.max(...panels.map((one) => one.scrollHeight - one.clientHeight));
    });
    expect({ view, below, misfits: await page.evaluate(misfits) }).toEqual({ view, below: 0, misfits: [] });
  });
});

test("the interface follows the size of text that the reader chose", async ({ page }) => {
  await page.addInitScript(() => {
    const sheet = new CSSStyleSheet();
    sheet.replaceSync("html { font-size: 24px }");
    document.adoptedStyleSheets = [sheet];
  });
  await openSample(page);
  await pickText(page, "Winter sailings");
  const sizeOf = (words: string) =>
    page
      .getByText(words, { exact: true })
      .first()
      .evaluate((one) => parseFloat(getComputedStyle(one).fontSize));
  expect(await sizeOf("Write to")).toBeCloseTo(13 * 1.5);
  expect(await sizeOf("Rehearse")).toBeCloseTo(13 * 1.5);
  // A select of the library, too.
  const select = page.getByRole("main", { name: "Page" }).getByText("index.html", { exact: true }).first();
  expect(await select.evaluate((one) => parseFloat(getComputedStyle(one).fontSize))).toBeGreaterThanOrEqual(18);
});

test("what pops over takes the focus, and gives it back", async ({ sample: page }) => {
  const button = page.getByRole("button", { name: "Rehearse" });
  await expect(button).toHaveAttribute("aria-expanded", "false");
  await button.press("Enter");
  await expect(button).toHaveAttribute("aria-expanded", "true");
  await expect(page.getByLabel("Reader’s text size in px")).toBeFocused();
  await page.keyboard.press("Escape");
  await expect(button).toBeFocused();
  await expect(page.getByRole("dialog", { name: "Rehearse" })).toBeHidden();
  await button.press("Enter");
  await expect(page.getByLabel("Reader’s text size in px")).toBeFocused();
  await page.keyboard.press("Shift+Tab");
  await expect(button).toBeFocused();

  const mark = page
    .getByRole("list", { name: "Marks" })
    .getByRole("button", { name: /finding/ })
    .first();
  await mark.press("Enter");
  const found = page.getByRole("dialog", { name: "Found here" });
  await expect(found.getByRole("button", { name: "Set it right" }).first()).toBeFocused();
  await expect(mark).toHaveAttribute("aria-expanded", "true");
  await page.keyboard.press("Escape");
  await expect(mark).toBeFocused();
  await expect(found).toBeHidden();
});

test("the edges of slip and source are moved by keys, and stay as they were put", async ({ page }) => {
  await openSample(page);
  const edge = page.getByRole("separator", { name: "Width of the slip" });
  const { width } = (await slip(page).boundingBox())!;
  await edge.press("ArrowLeft");
  await edge.press("Shift+ArrowLeft");
  await expect.poll(async () => (await slip(page).boundingBox())!.width).toBeCloseTo(width + 6 * 16, 0);
  const source = page.getByRole("separator", { name: "Height of the source" });
  const before = Number(await source.getAttribute("aria-valuenow"));
  await source.press("ArrowUp");
  await expect(source).toHaveAttribute("aria-valuenow", String(before + 16));
  await page.reload();
  await expect(edge).toHaveAttribute("aria-valuenow", String(Math.round(width + 6 * 16)));
});

test("charts have names, and their figures as tables", async ({ sample: page }) => {
  await page.getByRole("link", { name: /^Colours/ }).click();
  await page.getByText("Charts", { exact: true }).click();
  const chart = page.getByRole("figure", { name: /^Contrast against size/ });
  await expect(chart.getByRole("application")).toHaveCount(0);
  await chart.getByText("Its figures").click();
  const table = chart.getByRole("table", { name: /^Contrast against size/ });
  await expect(table.getByRole("row", { name: /^Section heading, h2 28 px/ })).toContainText("2.8");
});

test("forced colours leave the site's own as they are, and what is in force to be seen", async ({ page }) => {
  await page.emulateMedia({ forcedColors: "active" });
  await openSample(page);
  const tab = page.getByRole("link", { name: /^Page/ });
  await expect(tab).toHaveCSS("outline-style", "solid");
  const heading = page.frameLocator('iframe[title="The page"]').getByRole("heading", { name: "Winter sailings" });
  expect(await heading.evaluate((one) => getComputedStyle(one).color)).toBe("rgb(138, 154, 166)");
  await page.getByRole("link", { name: /^Colours/ }).click();
  const swatch = page.locator(".true-colors > [style*='background']").first();
  expect(await swatch.evaluate((one) => getComputedStyle(one).backgroundColor)).toMatch(/^rgb/);
  expect(await swatch.evaluate((one) => getComputedStyle(one).forcedColorAdjust)).toBe("none");
});

test("every view is whole on paper", async ({ sample: page }) => {
  await eachView(page, async (view) => {
    await page.emulateMedia({ media: "print" });
    const cut = await page.evaluate(() =>
      [...document.querySelectorAll<HTMLElement>("main, main *")]
        .filter((one) => /auto|scroll/.test(getComputedStyle(one).overflowY) && one.checkVisibility())
        .filter((one) => one.scrollHeight > one.clientHeight + 2 && !one.closest(".cm-editor"))
        .map((one) => `${one.tagName} ${one.className}: ${one.scrollHeight} in ${one.clientHeight}`),
    );
    expect({ view, cut }).toEqual({ view, cut: [] });
    await page.emulateMedia({ media: "screen" });
  });
});

test("the page is seen at three widths in step, and an edit on all of them", async ({ shelf: page }) => {
  const sailings = Array.from(
    { length: 60 },
    (_, at) => `<h2>Sailing ${at}</h2><p>${"The boat leaves. ".repeat(20)}</p>`,
  );
  await openFiles(page, {
    "index.html": `<!doctype html><title>Sailings</title><link rel="stylesheet" href="a.css">${sailings.join("")}`,
    "a.css": "h2 { font-size: 28px; color: #8a9aa6 } @media (max-width: 600px) { h2 { font-size: 22px } }",
  });
  await pickText(page, "Sailing 0");
  const more = page.getByRole("button", { name: "See another width beside" });
  await more.click();
  await more.click();
  await expect(more).toBeHidden();
  const narrow = page.frameLocator('iframe[title="The page at 360 px"]');
  const wide = page.frameLocator('iframe[title="The page at 1024 px"]');
  const main = page.frameLocator('iframe[title="The page"]');
  const heading = (frame: typeof main, at: number) =>
    frame.getByRole("heading", { name: `Sailing ${at}`, exact: true });
  const size = (frame: typeof main) => heading(frame, 0).evaluate((one) => getComputedStyle(one).fontSize);
  await expect.poll(() => size(narrow)).toBe("22px");
  await expect.poll(() => size(wide)).toBe("28px");
  const field = slip(page).getByLabel("Ink value", { exact: true });
  await field.fill("#334455");
  const ink = (frame: typeof main) => heading(frame, 0).evaluate((one) => getComputedStyle(one).color);
  for (const frame of [main, narrow, wide]) await expect.poll(() => ink(frame)).toBe("rgb(51, 68, 85)");
  // In step: what is picked stands at one height.
  await pickText(page, "Sailing 20");
  const top = (frame: typeof main) => heading(frame, 20).evaluate((one) => one.getBoundingClientRect().top);
  for (const frame of [narrow, wide])
    await expect.poll(async () => Math.abs((await top(main)) - (await top(frame)))).toBeLessThan(2);
  await page.getByRole("button", { name: "Put the width of 360 px away" }).click();
  await expect(page.locator('iframe[title="The page at 360 px"]')).toHaveCount(0);
});

test("the sample is a key away, and the worst that was found a step", async ({ page }) => {
  await page.goto("/");
  await expect(page.getByRole("img", { name: /A page with marks in its margin/ })).toBeVisible();
  await page.keyboard.press("s");
  await expect(stage(page)).toBeVisible();
  const worst = slip(page).getByRole("region", { name: "The worst found here" });
  await expect(worst).toContainText("cannot be read well");
  await worst.getByRole("button", { name: "Pick that text" }).click();
  await expect(slip(page).getByRole("heading", { level: 2 })).toHaveText("Section heading");
});

test("where nothing is there yet, a view says what will be, and how it gets there", async ({ shelf: page }) => {
  await openFiles(page, { "index.html": "<!doctype html><title>Bare</title>", "a.css": "" });
  const words = new Map([
    ["Text styles", /Every look that text has/],
    ["Colours", /Every colour that the sheets write/],
    ["Stacks", /Every font stack stands here/],
    ["Changes", /What you edit shows up here/],
  ]);
  for (const [view, said] of words) {
    await page.getByRole("link", { name: new RegExp(`^${view}`) }).click();
    await expect(page.getByText(said)).toBeVisible();
  }
});

test("selects tell what is chosen, a refusal is tied to its field, a dialog begins on its field", async ({ page }) => {
  await page.goto("/");
  await page.getByRole("button", { name: /^Paste HTML and CSS/ }).click();
  await expect(page.getByRole("textbox", { name: "HTML" })).toBeFocused();
  await page.keyboard.press("Escape");
  await openSample(page);
  await expect(page.getByRole("combobox", { name: "Page", exact: true })).toHaveAccessibleDescription("index.html");
  await pickText(page, "Winter sailings");
  const size = slip(page).getByLabel("Size value", { exact: true });
  await size.fill("1banana");
  await expect(size).toHaveAttribute("aria-invalid", "true");
  await expect(size).toHaveAccessibleDescription(
    /1banana has no unit that CSS knows, and font-size takes a length such as 16px/,
  );
});

test("a member of a stack that is moved keeps the focus", async ({ sample: page }) => {
  await pickText(page, "Winter sailings");
  await openRow(page, "Stack");
  const members = slip(page).getByRole("list", { name: "Members of the stack" });
  await members.getByRole("listitem", { name: /^Georgia/ }).press("Alt+ArrowDown");
  await expect(members.getByRole("listitem", { name: /^Georgia, 2 of 3/ })).toBeFocused();
  const up = members.getByRole("button", { name: "Move serif up" });
  await up.press("Enter");
  await expect(up).toBeFocused();
  await expect(members.getByRole("listitem", { name: /^serif, 2 of 3/ })).toBeVisible();
  await up.press("Escape");
  await expect(members.getByRole("listitem", { name: /^Georgia, 1 of 3/ })).toBeVisible();
});
