/** Grounds of random pages against pixels: never wrong while certain. A seed makes the pages again. */
import { expect, test } from "@playwright/test";
import { GroundCounts } from "./grounds/count";
import { look } from "./grounds/look";
import { randomGroundPage } from "./grounds/random";

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
  expect(counts.wrong).toEqual([]);
});
