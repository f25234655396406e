/** What edits of the sample change and reach is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { pagesOf, textFile } from "../source/site";
import { finished } from "../source/steps";
import { slipTargets } from "../slip/slip";
import { sampleSite, toldParts } from "../testing/told";
import { refOf, textsOf } from "../text/pageTexts";
import { completions } from "./completion";
import { planEdit } from "./plan";
import { rulePlaces } from "./rulePlaces";
import type { Edit } from "./types";

const site = sampleSite();

test("plans at every target of some texts", async () => {
  const [file] = pagesOf(site);
  const texts = textsOf(styledPage(site, file!, defaultConditions)).filter((_, at) => at % 9 === 2);
  const values = [
    ["font-size", "1.3em"],
    ["margin", "1em 2em"],
    ["color", null],
  ] as const;
  const parts = texts.flatMap((style) => {
    const ref = refOf(file!.path, style);
    return finished(slipTargets(site, ref, defaultConditions)).flatMap(({ label, target }, at) => {
      const [property, value] = values[at % values.length]!;
      const edit: Edit = { kind: "declare", target, property, value, place: ref };
      const planned = () => {
        try {
          return planEdit(site, edit);
        } catch (error) {
          return (error as Error).message;
        }
      };
      return [[`${ref.index}: ${property}: ${value} at ${label}`, planned()] as const];
    });
  });
  await expect(toldParts(parts)).toMatchFileSnapshot("told/plans.txt");
});

test("completions and places for rules", async () => {
  const parts = [
    ...["color", "font-weight", "font-family", "text-decoration", "line-height", "display"].map(
      (property) => [property, ["", "n", "b"].flatMap((typed) => completions(property, typed))] as const,
    ),
    ["places of rules", rulePlaces(site, "css/ferry.css", "h2")] as const,
    ["switched off", planEdit(site, { kind: "toggle", path: "css/ferry.css", start: switched })] as const,
  ];
  await expect(toldParts(parts)).toMatchFileSnapshot("told/others.txt");
});

const switched = textFile(site, "css/ferry.css")!.text.indexOf("font-size");
