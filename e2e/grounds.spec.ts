/** Grounds against pixels: what is said to lie under a text is what a screenshot shows with the text made transparent. */
import { expect, test } from "./support/window";
import { groundKinds } from "./grounds/kinds";
import { apart, look, off } from "./grounds/look";
import { groundPages } from "./grounds/pages";

for (const [name, html, tolerance] of groundPages) {
  for (const scheme of ["light", "dark"] as const) {
    test(`grounds: ${name}, ${scheme}`, async ({ browser }) => {
      const seen = await look(browser, html, { scheme, width: 800, height: 600 });
      expect(seen.length).toBeGreaterThan(0);
      for (const { id, certain, doubt, darkest, lightest, seenDarkest, seenLightest } of seen) {
        if (!id.startsWith("doubt")) expect(certain, `${id}: ${doubt}`).toBe(true);
        if (!certain || !seenDarkest || !seenLightest) continue;
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

for (const [name, html] of groundKinds) {
  test(`kinds of grounds: ${name}`, async ({ browser }) => {
    const seen = await look(browser, html, { scheme: "light", width: 800, height: 900 });
    expect(seen.length).toBeGreaterThan(0);
    for (const {
      id,
      hidden,
      certain,
      doubt,
      verdict,
      unjudged,
      darkest,
      lightest,
      seenDarkest,
      seenLightest,
    } of seen) {
      expect(unjudged !== null, `${id}: ${unjudged}`).toBe(hidden);
      if (id === "covered") expect(verdict, id).toBe("doubtful");
      if (id.startsWith("sure")) expect(certain, `${id}: ${doubt}`).toBe(true);
      if (!certain || hidden || !seenDarkest || !seenLightest) continue;
      const words = `${id}: said ${darkest} to ${lightest}, seen ${seenDarkest} to ${seenLightest}`;
      const flat = off(seenDarkest, seenLightest) <= 2;
      expect(Math.max(apart(darkest, seenDarkest), apart(lightest, seenLightest)), words).toBeLessThanOrEqual(
        flat ? 2 : 6,
      );
    }
  });
}
