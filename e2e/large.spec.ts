/** A site of many pages: what is asked is answered at once, and what is counted comes when it is counted. */
import { expect, test } from "./support/window";
import { strToU8, zipSync } from "fflate";
import { handbook } from "./bench/sites";
import { field, openFiles, slip } from "./support/desk";

const pages = 24;

/** In the window: presses on the heading of the page with the first frame in which it stands. */
function pressAsSoonAsSeen(): Promise<void> {
  return new Promise((resolve) => {
    const look = () => {
      const frame = document.querySelector<HTMLIFrameElement>('iframe[title="The page"]');
      const heading = frame?.contentDocument?.querySelector("h1")?.getBoundingClientRect();
      const from = frame?.getBoundingClientRect();
      const [clientX, clientY] = [(from?.x ?? 0) + (heading?.x ?? 0) + 10, (from?.y ?? 0) + (heading?.y ?? 0) + 10];
      const over = heading?.width ? document.elementFromPoint(clientX, clientY) : null;
      if (!over) return void requestAnimationFrame(look);
      over.dispatchEvent(new MouseEvent("click", { bubbles: true, clientX, clientY }));
      resolve();
    };
    look();
  });
}

test("picking, trying and writing on a site of many pages, while the others are counted and looked under", async ({
  page,
}) => {
  const files = handbook({ pages, css: 60_000, seed: 5 });
  const zip = zipSync(Object.fromEntries(files.map(({ path, text }) => [path, strToU8(text)])));
  await page.goto("/");
  // A press counts as soon as the page is seen, before its texts are known.
  const pressed = page.evaluate(pressAsSoonAsSeen);
  await page
    .getByLabel("Files to open")
    .setInputFiles({ name: "handbook.zip", mimeType: "application/zip", buffer: Buffer.from(zip) });
  await pressed;
  // Nothing is said of what is not known yet.
  await expect(page.getByText("no style sheet")).toHaveCount(0);
  await expect(slip(page).getByText(`${pages} places on ${pages} pages`, { exact: true })).toBeVisible();
  await field(page, "Size").fill("3rem");
  await expect(
    slip(page)
      .getByText(/: (\d+) places on \d+ pages$/)
      .last(),
  ).toBeVisible();
  await field(page, "Size").press("Enter");
  await expect(page.getByRole("link", { name: /^Changes ?1$/ })).toBeVisible();
  await expect(page.getByText(`${pages} pages share css/base.css`)).toBeVisible();
  const seen = page.getByText(new RegExp(`^Seen \\d+ of ${pages - 1} other pages$`));
  await expect(seen).toBeVisible();
  // What stops it stays in reach where the bar is narrow.
  await page.setViewportSize({ width: 1024, height: 700 });
  await page.getByRole("button", { name: "Pause" }).click();
  await page.getByRole("button", { name: "Go on" }).click();
  await expect(page.getByRole("button", { name: "Pause" })).toBeVisible();
});

test("what pages that are looked at out of sight leave behind is collected", async ({ page }) => {
  const empty = "<i></i>".repeat(1100);
  const names = Array.from({ length: 16 }, (_, at) => `page${at}`);
  const text = (name: string) =>
    `<!doctype html><title>${name}</title><style>p { color: #777 }</style><p>By sea${empty}`;
  await openFiles(page, Object.fromEntries(names.map((name) => [`${name}.html`, text(name)])));
  await expect(page.getByText(/^Seen \d+ of 15 other pages$/)).toBeVisible();
  await expect(page.getByText(/^Seen \d+ of 15 other pages$/)).toHaveCount(0, { timeout: 60_000 });
  // Two pictures of each page are documents, too.
  const tools = await page.context().newCDPSession(page);
  const documents = async () => (await tools.send("Memory.getDOMCounters")).documents;
  await expect.poll(documents).toBeLessThan(24);
  // Images are loaded in a document that is thrown away.
  await expect(page.locator('iframe[title="Pictures of pages"]')).toHaveCount(1);
});

test("long lists are drawn as they come into view", async ({ shelf: page }) => {
  const colors = Array.from({ length: 450 }, (_, at) => `#${(0x100000 + at * 0x1111).toString(16)}`);
  const css = colors.map((color, at) => `.c${at} { color: ${color} }`).join("\n");
  await openFiles(page, { "index.html": "<link rel=stylesheet href=a.css><h1>Pier</h1>", "a.css": css });
  await page.getByRole("link", { name: /^Colours/ }).click();
  const values = page.getByRole("region", { name: "Values" });
  await expect(values.getByRole("checkbox")).toHaveCount(200);
  for (const count of [400, 450]) {
    await values.hover();
    await page.mouse.wheel(0, 1_000_000);
    await expect(values.getByRole("checkbox")).toHaveCount(count);
  }
});
