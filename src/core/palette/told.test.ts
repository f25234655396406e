/** What is told of colours is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { eyes } from "../color/eyes";
import type { Site } from "../source/site";
import { randomSite } from "../testing/randomSite";
import { sampleSite, toldParts } from "../testing/told";
import { pairsLostTo } from "./lost";
import { pairFixes } from "./pairFixes";
import { paletteOf, twinsIn } from "./palette";
import { proposedNames } from "./properties";
import { colorSpots } from "./values";

function coloursOf(site: Site) {
  const palette = paletteOf(site, defaultConditions);
  const spots = colorSpots(site);
  return [
    ["palette", palette] as const,
    ["spots", spots] as const,
    ["fixes of pairs", palette.pairs.slice(0, 6).map((pair) => pairFixes(pair, palette))] as const,
    [
      "lost to other eyes",
      pairsLostTo(
        palette.pairs,
        eyes.find(({ matrix }) => matrix !== null)!,
      ),
    ] as const,
    ["twins", twinsIn(palette.values)] as const,
    [
      "names proposed",
      [...new Set(spots.map(({ value }) => value))].map((value) => [
        value,
        ...proposedNames(value, ["ink", "ground"], new Set(["blue-ink"])),
      ]),
    ] as const,
  ];
}

test("in the sample", async () => {
  await expect(toldParts(coloursOf(sampleSite()))).toMatchFileSnapshot("told/sample.txt");
});

test("in random sites", async () => {
  const sites = fc.sample(randomSite, { seed: 7, numRuns: 4 });
  await expect(toldParts(sites.flatMap(coloursOf))).toMatchFileSnapshot("told/random.txt");
});
