/** Values of a site replaced by tokens: by what they are, or by custom properties that hold them. */
import { define, rootRule } from "../palette/properties";
import { definedProperties } from "../palette/references";
import { joinColors } from "../palette/rewrite";
import { colorSpots } from "../palette/values";
import { EditError } from "../edits/types";
import { changeBetween, type TextChange } from "../source/changes";
import { sheetTexts } from "../source/declarations";
import { changeSite, pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import { finished } from "../source/steps";
import { strayingSteps, type Held } from "./straying";
import { propertyOf, type Token } from "./types";

export type Replacing = "value" | "property";

/**
 * Puts the nearest token in the place of values, wherever they are written.
 * @param wanted values by kind and text, as `strayingSteps` tells them
 * @throws EditError where a custom property of that name holds something else, or there is no sheet for it
 */
export function replaceByTokens(
  site: Site,
  tokens: readonly Token[],
  wanted: readonly Pick<Held, "kind" | "value">[],
  how: Replacing,
): TextChange[] {
  let current = site;
  for (const { kind, value } of wanted) {
    // Those before it have moved what stands behind them.
    const held = finished(strayingSteps(current, tokens)).find((one) => one.kind === kind && one.value === value);
    if (!held?.nearest) continue;
    current = changeSite(current, how === "value" ? asValue(current, held) : asProperty(current, held));
  }
  return [...current.files.values()].flatMap((file): TextChange[] => {
    const before = textFile(site, file.path);
    if (file.kind === "other" || !before || before.text === file.text) return [];
    const change = changeBetween(file.path, before.text, file.text);
    return change ? [change] : [];
  });
}

function asValue(site: Site, { kind, spots, nearest }: Held): TextChange[] {
  const insert = nearest!.css;
  if (kind !== "color") return spots.map(({ path, start, end }) => ({ path, start, end, insert }));
  const at = new Set(spots.map(({ path, start }) => `${path} ${start}`));
  return joinColors(
    colorSpots(site).filter(({ path, start }) => at.has(`${path} ${start}`)),
    insert,
  );
}

function asProperty(site: Site, { spots, nearest }: Held): TextChange[] {
  const name = propertyOf(nearest!.token);
  const taken = definedProperties(site);
  if (!taken.has(name)) return define(site, spots, name, nearest!.css, taken);
  const own = rootValue(site, name);
  if (own === null || own.toLowerCase() !== nearest!.css.toLowerCase())
    throw new EditError(
      `\`${name}\` is a custom property of the site already, and holds ${own === null ? "nothing at the root" : `\`${own}\``} instead of \`${nearest!.css}\`.`,
    );
  return spots.map(({ path, start, end }) => ({ path, start, end, insert: `var(${name})` }));
}

/** What the first rule for the root sets a custom property to; null where none does. */
function rootValue(site: Site, name: string): string | null {
  for (const sheet of [...sheetsOf(site), ...pagesOf(site)].flatMap((file) => sheetTexts(site, file))) {
    const rule = rootRule(sheet);
    const items = rule?.kind === "style" ? rule.items : [];
    for (const item of items) if (item.kind === "declaration" && item.property === name) return item.valueText.trim();
  }
  return null;
}
