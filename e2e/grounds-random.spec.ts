/** Grounds of random pages against pixels: never wrong while certain. A seed makes the pages again. */
import { expect, test } from "./support/window";
import { GroundCounts } from "./grounds/count";
import { look } from "./grounds/look";
import { randomGroundPage } from "./grounds/random";

/**
 * Known to be told wrong, and open: a few pixels at the edge of a box beside the text come out otherwise in the picture
 * than on the screen, and are told as an end of its range.
 */
const open: readonly string[] = ["seed 14, t26", "seed 5118, t2"];

const pages = Number(process.env.HEVRET_GROUNDS ?? 16) || 16;
const from = Number(process.env.HEVRET_SEED ?? 1);

test(`grounds of ${pages} random pages`, async ({ browser }) => {
  test.setTimeout(60_000 + pages * 5_000);
  const counts = new GroundCounts();
  for (let seed = from; seed < from + pages; seed += 1)
    counts.add(
      await look(browser, randomGroundPage(seed), { scheme: "light", width: 800, height: 900 }),
      `seed ${seed}`,
    );
  console.log(counts.words(`${pages} random pages from seed ${from}`));
  expect(counts.wrong.filter((words) => !open.some((one) => words.startsWith(`${one}:`)))).toEqual([]);
});
