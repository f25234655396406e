/** Rules that are exchanged in the frame leave the sheet a browser would read: random versions of random sheets. */
import { expect, test } from "./support/window";
import { addToPage } from "./support/inPage";
import { sheetVersions } from "./support/sheetVersions";

const seeds = 60;

test("sheets come out as a browser reads them", async ({ page }) => {
  await addToPage(page, "sheetsInPage");
  const sum = { same: 0, exchanged: 0 };
  for (let seed = 1; seed <= seeds; seed += 1) {
    const { differs, exchanged, same } = await page.evaluate(
      (versions) => window.putOneAfterTheOther(versions),
      sheetVersions(seed, 30),
    );
    expect(differs, `seed ${seed}`).toBeNull();
    sum.same += same;
    sum.exchanged += exchanged;
  }
  console.log(`Versions of sheets: ${sum.same} as read anew, ${sum.exchanged} of them by exchanging rules.`);
  expect(sum.exchanged).toBeGreaterThan(sum.same / 3);
});
