/** What drafts come to is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { definedProperties } from "../palette/references";
import type { Site } from "../source/site";
import { finished } from "../source/steps";
import { randomSite } from "../testing/randomSite";
import { sampleSite, toldParts } from "../testing/told";
import { draftSteps } from "./draft";
import { draftKindNames } from "./kinds";
import { writeDraft } from "./write";

const draftsOf = (site: Site) =>
  draftKindNames.flatMap((kind) =>
    [0.3].flatMap((lift) => {
      const draft = finished(draftSteps(site, defaultConditions, { kind, lift, chosen: {} }));
      const taken = definedProperties(site);
      const written = () => {
        try {
          return writeDraft(site, draft, taken, { way: "media", sheet: null }).changes;
        } catch (error) {
          return (error as Error).message;
        }
      };
      return [[`${kind}, lift ${lift}`, draft] as const, [`${kind}, lift ${lift}, written`, written()] as const];
    }),
  );

test("of the sample", async () => {
  await expect(toldParts(draftsOf(sampleSite()))).toMatchFileSnapshot("told/sample.txt");
}, 120_000);

test("of random sites", async () => {
  const sites = fc.sample(randomSite, { seed: 11, numRuns: 2 });
  await expect(toldParts(sites.flatMap(draftsOf))).toMatchFileSnapshot("told/random.txt");
}, 120_000);
