/** What the slip tells of the sample's texts is as it was recorded: `npx vitest run <this file> --update` records it anew, to be read. */
import { expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { documentOf } from "../source/html/document";
import { changeSite, pagesOf, textFile } from "../source/site";
import { finished } from "../source/steps";
import { sampleSite, toldParts } from "../testing/told";
import { refOf, textsOf } from "../text/pageTexts";
import { textStyleKey } from "../text/textStyles";
import type { ElementRef } from "../text/refs";
import type { Edit } from "../edits/types";
import { linkLooks } from "./linkStates";
import { slipAtOnce, slipTargets } from "./slip";
import { groundsUnder, inksOn, judgeChange } from "./stands";
import { trialContrasts } from "./trials";

const site = sampleSite();

/** Texts of the sample, one of each text style. */
function picks(): ElementRef[] {
  const seen = new Set<string>();
  return pagesOf(site).flatMap((file) =>
    textsOf(styledPage(site, file, defaultConditions)).flatMap((style) => {
      const key = textStyleKey(style);
      if (seen.has(key)) return [];
      seen.add(key);
      return [refOf(file.path, style)];
    }),
  );
}

const nameOf = ({ page, index, pseudo }: ElementRef) => `${page} ${index}${pseudo ? ` ${pseudo}` : ""}`;

test("slips", async () => {
  const parts = picks()
    .filter((_, at) => at % 9 === 0)
    .map((ref) => [nameOf(ref), slipAtOnce(site, ref, defaultConditions)] as const);
  await expect(toldParts(parts)).toMatchFileSnapshot("told/slips.txt");
});

test("targets, grounds, inks and trials", async () => {
  const parts = picks()
    .filter((_, at) => at % 9 === 1)
    .flatMap((ref) => {
      const targets = finished(slipTargets(site, ref, defaultConditions));
      const places = targets.flatMap((one) => one.reach?.places ?? []);
      const { target } = targets[0]!;
      const edits = ["#000000", "#777777", "#ffffff"].map((value): Edit[] => [
        { kind: "declare", target, property: "color", value },
      ]);
      return [
        [`targets of ${nameOf(ref)}`, targets] as const,
        [`grounds under ${nameOf(ref)}`, groundsUnder(site, ref, places, defaultConditions, {})] as const,
        [`inks on ${nameOf(ref)}`, inksOn(site, ref, defaultConditions, {})] as const,
        [`trials of ${nameOf(ref)}`, trialContrasts(site, ref, edits, defaultConditions, {})] as const,
      ];
    });
  await expect(toldParts(parts)).toMatchFileSnapshot("told/around.txt");
});

test("what other inks and grounds for all would do to contrast", async () => {
  const texts = pagesOf(site).flatMap((file) =>
    textsOf(styledPage(site, file, defaultConditions)).map((style) => refOf(file.path, style)),
  );
  const parts = ["body { color: #999 }", "main { background: #445 }", "h2, h3, a { color: #fff }"].map((rule) => {
    const path = "css/season.css";
    const { length } = textFile(site, path)!.text;
    const changes = [{ path, start: length, end: length, insert: `\n${rule}\n` }];
    return [rule, judgeChange(site, changeSite(site, changes), changes, texts, defaultConditions, {})] as const;
  });
  await expect(toldParts(parts)).toMatchFileSnapshot("told/judged.txt");
});

test("links in their states", async () => {
  const [page] = pagesOf(site);
  const link = documentOf(page!).elements.find(({ tag }) => tag === "a")!;
  const looks = linkLooks(site, { page: page!.path, index: link.index }, defaultConditions, {});
  const parts = [[page!.path, looks] as const];
  await expect(toldParts(parts)).toMatchFileSnapshot("told/links.txt");
});
