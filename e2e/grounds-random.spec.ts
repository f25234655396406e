/** Grounds of random pages against pixels: never wrong while certain. A seed makes the pages again. */
import { expect, test } from "@playwright/test";
import { apart, look, off } from "./grounds/look";
import { randomGroundPage } from "./grounds/random";

const pages = Number(process.env.HEVRET_GROUNDS ?? 24);
const from = Number(process.env.HEVRET_SEED ?? 1);

test(`grounds of ${pages} random pages`, async ({ browser }) => {
  test.setTimeout(60_000 + pages * 5_000);
  const counts = { right: 0, inside: 0, outside: 0, unjudged: 0, unseen: 0 };
  const wrong: string[] = [];
  const reasons = new Map<string, number>();
  for (let seed = from; seed < from + pages; seed += 1) {
    const seen = await look(browser, randomGroundPage(seed), { scheme: "light", width: 800, height: 900 });
    for (const one of seen) {
      const { id, certain, doubt, darkest, lightest, seenDarkest, seenLightest, unjudged } = one;
      const reason = unjudged ?? doubt;
      if (reason) reasons.set(reason, (reasons.get(reason) ?? 0) + 1);
      if (unjudged) counts.unjudged += 1;
      else if (!seenDarkest || !seenLightest) counts.unseen += 1;
      else {
        const flat = off(seenDarkest, seenLightest) <= 2;
        const differs = one.seen < 1 ? 0 : Math.max(apart(darkest, seenDarkest), apart(lightest, seenLightest));
        if (certain && differs <= (flat ? 2 : 6)) counts.right += 1;
        else if (certain)
          wrong.push(`seed ${seed}, ${id}: said ${darkest} to ${lightest}, seen ${seenDarkest} to ${seenLightest}`);
        else if (differs <= 6) counts.inside += 1;
        else {
          counts.outside += 1;
          if (process.env.HEVRET_SHOW)
            console.log(
              `uncertain: seed ${seed}, ${id}: ${doubt}: said ${darkest} to ${lightest}, seen ${seenDarkest} to ${seenLightest}`,
            );
        }
      }
    }
  }
  console.log(
    `Grounds of ${pages} random pages from seed ${from}: ${counts.right} right and certain, ${counts.inside} uncertain with the truth inside, ${counts.outside} uncertain otherwise, ${wrong.length} wrong while certain; ${counts.unjudged} not judged, ${counts.unseen} off the page.`,
  );
  for (const [reason, count] of [...reasons].sort((a, b) => b[1] - a[1])) console.log(`  ${count}: ${reason}`);
  expect(wrong).toEqual([]);
});
