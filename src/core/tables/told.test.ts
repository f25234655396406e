/** What tables tell of the sample is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { sheetsOf } from "../source/site";
import { finished } from "../source/steps";
import { sampleSite, toldParts } from "../testing/told";
import { rhythmSteps } from "./rhythm";
import { sheetOutlineSteps } from "./sheetOutline";
import { sheetTable } from "./sheetTable";
import { stackTable } from "./stackTable";
import { textStyleTable } from "./styleTable";

const site = sampleSite();

test("text styles", async () => {
  const rows = textStyleTable(site, defaultConditions);
  await expect(toldParts([["text styles", rows.filter((_, at) => at % 2 === 0)]])).toMatchFileSnapshot(
    "told/styles.txt",
  );
});

test("stacks, sheets, steps of room and outlines", async () => {
  const parts = [
    ["stacks", stackTable(site, defaultConditions)] as const,
    ["sheets", sheetTable(site)] as const,
    ["room", finished(rhythmSteps(site, defaultConditions))] as const,
    ...sheetsOf(site).map(({ path }) => [`outline of ${path}`, finished(sheetOutlineSteps(site, path))] as const),
  ];
  await expect(toldParts(parts)).toMatchFileSnapshot("told/others.txt");
});
