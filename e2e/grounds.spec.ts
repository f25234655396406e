/** Grounds against pixels: what is said to lie under a text is what a screenshot shows with the text made transparent. */
import { expect, test } from "@playwright/test";
import { look, off } from "./grounds/look";
import { groundPages } from "./grounds/pages";

for (const [name, html, tolerance] of groundPages) {
  for (const scheme of ["light", "dark"] as const) {
    test(`grounds: ${name}, ${scheme}`, async ({ browser }) => {
      const seen = await look(browser, html, { scheme, width: 800, height: 600 });
      expect(seen.length).toBeGreaterThan(0);
      for (const { id, certain, doubt, darkest, lightest, seenDarkest, seenLightest } of seen) {
        const expectsDoubt = id.startsWith("doubt");
        expect(certain, `${id}: ${doubt}`).toBe(!expectsDoubt);
        if (expectsDoubt || !seenDarkest || !seenLightest) continue;
        expect(off(darkest, seenDarkest), `${id}: darkest ${darkest}, seen ${seenDarkest}`).toBeLessThanOrEqual(
          tolerance,
        );
        expect(off(lightest, seenLightest), `${id}: lightest ${lightest}, seen ${seenLightest}`).toBeLessThanOrEqual(
          tolerance,
        );
      }
    });
  }
}
