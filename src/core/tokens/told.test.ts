/** What tokens are made of the sample, and what strays from them, is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { finished } from "../source/steps";
import { sampleSite, toldParts } from "../testing/told";
import { siteTokenSteps } from "./ofSite";
import { readTokens } from "./read";
import { strayingSteps } from "./straying";

const site = sampleSite();

test("tokens of the sample", async () => {
  const tokens = finished(siteTokenSteps(site, defaultConditions, {}));
  await expect(toldParts([["tokens", tokens]])).toMatchFileSnapshot("told/tokens.txt");
});

test("what strays from a few", async () => {
  const file = {
    sea: {
      $type: "color",
      deep: { $value: { colorSpace: "srgb", components: [0.16, 0.36, 0.47] } },
      pale: { $value: { colorSpace: "oklch", components: [0.92, 0.02, 220], alpha: 0.8 } },
      alias: { $value: "{sea.deep}" },
    },
    text: {
      small: { $type: "dimension", $value: { value: 13, unit: "px" } },
      large: { $type: "dimension", $value: { value: 2, unit: "rem" } },
      bold: { $type: "fontWeight", $value: 700 },
      face: { $type: "fontFamily", $value: ["Bitter", "Georgia", "serif"] },
    },
  };
  const read = readTokens(JSON.stringify(file));
  const parts = [["read", read] as const, ["straying", finished(strayingSteps(site, read.tokens))] as const];
  await expect(toldParts(parts)).toMatchFileSnapshot("told/straying.txt");
});
