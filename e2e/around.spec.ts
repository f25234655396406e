/** What a text stands in or beside: a list, a table, a picture. */
import type { Page } from "@playwright/test";
import { expect, test } from "./support/window";
import { field, openFiles, openRow, pickText, shownPage, slip } from "./support/desk";

const files = {
  "index.html":
    '<!doctype html><title>Ossel</title><link rel="stylesheet" href="a.css"><ul class="news"><li>Cards are ready</li></ul><table><tr><th>Quay<th>Adult<tr><td>East<td>£4<tr><td>West<td>£5</table><figure><img src="boat.svg" alt="Boat"><figcaption>At her mooring</figcaption></figure>',
  "a.css":
    "body { margin: 2em; color: #333 }\nul.news { list-style: square }\nth { background: #06364f; color: #fff }\n",
  "boat.svg": '<svg xmlns="http://www.w3.org/2000/svg" width="160" height="90"><rect width="160" height="90"/></svg>',
};

const tries = (page: Page, label: string) => slip(page).getByRole("group", { name: `${label}: values to try` });

test("markers are tried on the page and written where the list is set", async ({ shelf: page }) => {
  await openFiles(page, files);
  await pickText(page, "Cards are ready");
  await openRow(page, "Marker");
  await tries(page, "Marker").getByRole("button", { name: "circle" }).click();
  const item = shownPage(page).getByText("Cards are ready");
  await expect(item).toHaveCSS("list-style-type", "circle");
  await slip(page).getByRole("button", { name: "Write", exact: true }).click();
  await expect(field(page, "Marker")).toHaveValue("circle");

  await openRow(page, "Marker ink");
  await field(page, "Marker ink").fill("#a00");
  await field(page, "Marker ink").press("Enter");
  await expect.poll(() => item.evaluate((one) => getComputedStyle(one, "::marker").color)).toBe("rgb(170, 0, 0)");
  await expect(item).toHaveCSS("color", "rgb(51, 51, 51)");
});

test("stripes are given to a table, and its parts are judged together", async ({ shelf: page }) => {
  await openFiles(page, files);
  await pickText(page, "West");
  await openRow(page, "Stripe ground");
  await field(page, "Stripe ground").fill("#444");
  await field(page, "Stripe ground").press("Enter");
  const row = shownPage(page).getByRole("row", { name: "East" });
  await expect(row).toHaveCSS("background-color", "rgb(68, 68, 68)");
  const parts = slip(page).getByRole("list", { name: "How the table is read" });
  await expect(parts.getByRole("listitem").filter({ hasText: "Striped rows" })).toContainText("▲ 1.2 of 4.5");
  await expect(parts.getByRole("listitem").filter({ hasText: "Head cells" })).not.toContainText("▲");
});

test("a picture beside a text is floated in a rule of its own", async ({ shelf: page }) => {
  await openFiles(page, files);
  await pickText(page, "At her mooring");
  await openRow(page, "Picture float");
  await tries(page, "Picture float").getByRole("button", { name: "left" }).click();
  await expect(slip(page).getByText("New rule figure img in a.css: pictures, and no text")).toBeVisible();
  await slip(page).getByRole("button", { name: "Write", exact: true }).click();
  const picture = shownPage(page).getByRole("img", { name: "Boat" });
  await expect(picture).toHaveCSS("float", "left");
});
