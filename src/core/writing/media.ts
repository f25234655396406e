/** Conditions of `@media`: those that the site has first, then the features that there are (Media Queries 4 and 5). */
import { mediaFeatures } from "../cascade/media";
import { sheetTexts } from "../source/declarations";
import type { Item } from "../source/css/syntax";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import type { Here } from "./here";
import { counted, plain, times, type Asked, type WritingOption } from "./types";

/** Of old (Media Queries 4, appendix A), or of use to few. */
const seldom = /device|index|monochrome|^(?:min-|max-)?color$/;
const all = [...mediaFeatures.keys()];
const features = [...all.filter((name) => !seldom.test(name)), ...all.filter((name) => seldom.test(name))];

/** Whole conditions, names of features in a parenthesis, or values of one. */
export function mediaOptions({ site }: Asked, here: Here & { kind: "media" }): WritingOption[] {
  const conditions = conditionsOf(site);
  if (here.feature !== null) {
    const words = mediaFeatures.get(here.feature) ?? [];
    return optionsOf(valuesIn(conditions, here.feature), words);
  }
  if (here.inside) return optionsOf(conditions.flatMap(namesIn), features);
  if (here.before === "") return optionsOf(conditions, ["screen", "print", "all"]);
  return [];
}

/** What is written in the site, most often first, then what else there is. */
function optionsOf(written: readonly string[], others: readonly string[]): WritingOption[] {
  const own = counted(written);
  const known = new Set(own.map(([text]) => text));
  return [
    ...own.map(([text, count]) => plain(text, times(count))),
    ...others.filter((text) => !known.has(text)).map((text) => plain(text)),
  ];
}

/** All conditions of a site's `@media` rules that can be read so far, as they are written. */
function conditionsOf(site: Site): string[] {
  const found: string[] = [];
  const walk = (items: readonly Item[]) => {
    for (const item of items) {
      if (item.kind !== "style" && item.kind !== "at") continue;
      if (item.kind === "at" && item.name === "media" && item.block) found.push(item.preludeText.replace(/\s+/g, " "));
      walk(item.items);
    }
  };
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) for (const { items } of sheetTexts(site, file)) walk(items);
  return found.filter((text) => text !== "");
}

const featurePattern = /\(\s*([-\w]+)\s*(?::|[<>]=?|=|\))\s*([^()<>=]*)/g;

const namesIn = (condition: string): string[] =>
  [...condition.matchAll(featurePattern)]
    .map(([, name]) => name!.toLowerCase())
    .filter((name) => mediaFeatures.has(name));

/** Values that a feature is held against, of its kind: those of `min-width` are of use for `max-width`, too. */
function valuesIn(conditions: readonly string[], feature: string): string[] {
  const kind = (name: string) => name.toLowerCase().replace(/^(?:min|max)-/, "");
  return conditions.flatMap((condition) =>
    [...condition.matchAll(featurePattern)].flatMap(([, name, value]) =>
      value!.trim() !== "" && kind(name!) === kind(feature) ? [value!.trim()] : [],
    ),
  );
}
