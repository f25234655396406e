/** Values of a site replaced by tokens: by what they are, or by custom properties that hold them. */
import { defineAll, pageWithout, referring, rootRule } from "../palette/properties";
import { definedProperties } from "../palette/references";
import { joinColors } from "../palette/rewrite";
import { colorSpots } from "../palette/values";
import { EditError } from "../edits/types";
import type { TextChange } from "../source/changes";
import { sheetTexts } from "../source/declarations";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { groupBy } from "../source/groups";
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
  const keyOf = ({ kind, value }: Pick<Held, "kind" | "value">) => `${kind} ${value}`;
  const asked = new Set(wanted.map(keyOf));
  const held = finished(strayingSteps(site, tokens)).filter((one) => one.nearest && asked.has(keyOf(one)));
  return how === "value" ? held.flatMap((one) => asValue(site, one)) : asProperties(site, held);
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

/** Each token's custom property is defined once, whatever ways its value is written. */
function asProperties(site: Site, held: readonly Held[]): TextChange[] {
  const taken = definedProperties(site);
  const byToken = groupBy(held, ({ nearest }) => nearest!.token);
  const all = [...byToken].map(([token, own]) => ({
    name: propertyOf(token),
    value: own[0]!.nearest!.css,
    spots: own.flatMap(({ spots }) => spots),
  }));
  const [known, made] = [all.filter(({ name }) => taken.has(name)), all.filter(({ name }) => !taken.has(name))];
  for (const { name, value, spots } of known) {
    const { text: own, homes } = atRoot(site, name);
    if (own === null || own.toLowerCase() !== value.toLowerCase())
      throw new EditError(
        `\`${name}\` is a custom property of the site already, and holds ${own === null ? "nothing at the root" : `\`${own}\``} instead of \`${value}\`.`,
      );
    const page = pageWithout(site, spots, homes);
    if (page !== null) throw new EditError(`${page} does not read the sheet that sets \`${name}\`.`);
  }
  return [...defineAll(site, made, taken), ...known.flatMap(({ name, spots }) => referring(site, spots, name))];
}

/** What the first rule for the root sets a custom property to, null where none does; and the files that set it so. */
function atRoot(site: Site, name: string): { text: string | null; homes: ReadonlySet<string> } {
  let text: string | null = null;
  const homes = new Set<string>();
  for (const sheet of [...sheetsOf(site), ...pagesOf(site)].flatMap((file) => sheetTexts(site, file))) {
    const rule = rootRule(sheet);
    const items = rule?.kind === "style" ? rule.items : [];
    for (const item of items) {
      if (item.kind !== "declaration" || item.property !== name) continue;
      homes.add(sheet.file.path);
      text ??= item.valueText.trim();
    }
  }
  return { text, homes };
}
