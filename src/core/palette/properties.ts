/** Custom properties that hold colours: those there are, names for new ones, and colours put under a name. */
import { invalidReason } from "../cascade/declarations";
import { rulesOf } from "../cascade/rules";
import {
  declarationsOfFile,
  declarationsOfSite,
  isForScreens,
  sheetTexts,
  type SheetText,
} from "../source/declarations";
import { parseColor } from "../color";
import { oklch } from "../color/ladder";
import { nearestName } from "../color/format";
import { setDeclaration, isMinified } from "../edits/block";
import { ruleLike, type Declarations } from "../edits/ruleText";
import { EditError } from "../edits/types";
import type { TextChange } from "../source/changes";
import { sheetsOfPage } from "../source/html/sheets";
import { groupBy } from "../source/groups";
import { indentAt, lineEndOf } from "../source/lines";
import { pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import type { CustomProperty, PaletteUse } from "./palette";
import type { ColorSpot } from "./values";

/** Custom properties that some value gives a colour. */
export function propertiesOf(
  uses: readonly PaletteUse[],
  references: ReadonlyMap<string, readonly unknown[]>,
): CustomProperty[] {
  const properties = new Map<string, CustomProperty>();
  for (const { property, role, value, css, selector, path, line, start } of uses) {
    if (role !== "named") continue;
    const known = properties.get(property) ?? {
      name: property,
      values: [],
      references: references.get(property)?.length ?? 0,
    };
    known.values.push({ value, css, selector, path, line, start });
    properties.set(property, known);
  }
  return [...properties.values()].sort((a, b) => (a.name < b.name ? -1 : 1));
}

const hues: readonly [upTo: number, word: string][] = [
  [15, "pink"],
  [45, "red"],
  [75, "orange"],
  [115, "yellow"],
  [160, "green"],
  [200, "teal"],
  [275, "blue"],
  [315, "purple"],
  [361, "pink"],
];

const shades: readonly [below: number, word: string][] = [
  [0.32, "deep"],
  [0.5, "dark"],
  [0.72, "mid"],
  [0.88, "light"],
  [Infinity, "pale"],
];

/** What a colour is called: "blue", "grey". @param hue in degrees */
export function hueWord(lightness: number, chroma: number, hue: number): string {
  if (lightness > 0.99) return "white";
  if (lightness < 0.01) return "black";
  return chroma < 0.018 ? "grey" : hues.find(([upTo]) => hue <= upTo)![1];
}

/** Names for a colour that no custom property has yet, from its lightness, its hue and what it is used for. */
export function proposedNames(value: string, roles: readonly string[], taken: ReadonlySet<string>): string[] {
  const color = parseColor(value);
  if (!color) return [];
  const [lightness, chroma, hue] = oklch(color);
  const shade = shades.find(([below]) => lightness < below)![1];
  const word = hueWord(lightness, chroma, hue);
  const plain = word === "white" || word === "black" ? word : `${shade}-${word}`;
  const role = roles.find((one) => one === "ink" || one === "ground" || one === "edge" || one === "line");
  const proposals = [plain, ...(role ? [`${word}-${role}`, `${role}`] : []), nearestName(color).name];
  return [...new Set(proposals.map((name) => freeName(`--${name}`, taken)))];
}

/** A name, or with a number behind it where it is taken. */
export function freeName(name: string, taken: ReadonlySet<string>): string {
  if (!taken.has(name)) return name;
  for (let number = 2; ; number += 1) if (!taken.has(`${name}-${number}`)) return `${name}-${number}`;
}

/** Colours put under a name; see `define`. @throws EditError */
export function nameColor(
  site: Site,
  spots: readonly ColorSpot[],
  name: string,
  taken: ReadonlySet<string>,
): TextChange[] {
  const [first] = spots;
  if (!first) throw new EditError("There is no colour to name.");
  if (spots.some(({ property }) => property === name)) throw new EditError(`${name} would refer to itself.`);
  return define(site, spots, name, first.value, taken);
}

interface Spot {
  path: string;
  start: number;
  end: number;
}

/** A value that gets a name, and where it stands. */
export interface Definition {
  name: string;
  value: string;
  spots: readonly Spot[];
}

/** Puts one value under a name; see `defineAll`. @throws EditError */
export const define = (
  site: Site,
  spots: readonly Spot[],
  name: string,
  value: string,
  taken: ReadonlySet<string>,
): TextChange[] => defineAll(site, [{ name, value, spots }], taken);

/**
 * Puts values under names and lets all their spots refer to them. A name is given in a sheet that every page with a spot
 * has: in its `:root` rule, or a new one at its start. Names that no declaration would refer to are not given.
 * @throws EditError when there is no such sheet, no declaration would count, or a name is taken or not one
 */
export function defineAll(site: Site, wanted: readonly Definition[], taken: ReadonlySet<string>): TextChange[] {
  const definitions = wanted.filter(({ spots }) => spots.length === 0 || inTaken(site, spots).length > 0);
  if (definitions.length === 0 && wanted.length > 0)
    throw new EditError(`Browsers drop every declaration that would refer to ${wanted[0]!.name}.`);
  const made = new Set<string>();
  const bySheet = groupBy(definitions, ({ name, spots }) => {
    if (!/^--[-_a-zA-Z0-9\u0080-\uffff]+$/.test(name))
      throw new EditError(
        `"${name}" is not a name of a custom property: it starts with two hyphens, then letters, digits, - and _.`,
      );
    if (taken.has(name)) throw new EditError(`${name} is already a custom property of the site.`);
    if (made.has(name)) throw new EditError(`Two values would be called ${name}.`);
    made.add(name);
    return commonSheet(site, spots);
  });
  return [
    ...[...bySheet].flatMap(([sheet, named]) =>
      definitionsIn(
        sheet,
        named.map(({ name, value }) => [name, value]),
      ),
    ),
    ...definitions.flatMap(({ name, spots }) => referring(site, spots, name)),
  ];
}

/**
 * References to a custom property in the place of values. A declaration that browsers drop keeps its own: with a reference
 * in it, it would win and come to nothing instead (CSS Variables 1, 3.1).
 */
export const referring = (site: Site, spots: readonly Spot[], name: string): TextChange[] =>
  inTaken(site, spots).map(({ path, start, end }) => ({ path, start, end, insert: `var(${name})` }));

/** Those of some places in sheets and style attributes whose declarations browsers take. */
export function inTaken<Place extends Spot>(site: Site, spots: readonly Place[]): Place[] {
  const dropped = new Set<Place>();
  for (const [path, own] of groupBy(spots, ({ path }) => path)) {
    const file = textFile(site, path);
    const declarations = (file ? [...declarationsOfFile(site, file)] : [])
      .map(({ declaration, offset }) => ({ declaration, start: offset + declaration.start }))
      .sort((a, b) => a.start - b.start);
    let at = -1;
    for (const spot of own.sort((a, b) => a.start - b.start)) {
      while (at + 1 < declarations.length && declarations[at + 1]!.start <= spot.start) at += 1;
      const { property, valueText } = declarations[at]?.declaration ?? { property: "--", valueText: "" };
      if (invalidReason(property, valueText) !== null) dropped.add(spot);
    }
  }
  return spots.filter((spot) => !dropped.has(spot));
}

/** The sheets that a page reads, by path. */
interface Reading {
  page: string;
  all: ReadonlySet<string>;
  /** Those that are for every reader at a screen, in order. */
  plain: readonly string[];
}

/** What the pages read on which some places count: in their sheets, or in themselves. */
function readingsOf(site: Site, spots: readonly { path: string }[]): Reading[] {
  const paths = new Set(spots.map(({ path }) => path));
  const pages = pagesOf(site);
  const own = pages.filter(({ path }) => paths.has(path));
  // What stands in pages counts on these alone.
  return (own.length === paths.size ? own : pages)
    .map((file): Reading => {
      const sheets = sheetsOfPage(site, file).owners.flatMap((owner) => owner.sheets);
      const plain = sheets.filter(({ media }) => media.every(isForScreens));
      return { page: file.path, all: new Set(sheets.map(({ path }) => path)), plain: plain.map(({ path }) => path) };
    })
    .filter(({ page, all }) => paths.has(page) || [...paths].some((path) => all.has(path)));
}

/** A page on which one of some places counts, and that reads none of some sheets for every reader; null without one. */
export const pageWithout = (
  site: Site,
  spots: readonly { path: string }[],
  homes: ReadonlySet<string>,
): string | null => readingsOf(site, spots).find(({ plain }) => !plain.some((path) => homes.has(path)))?.page ?? null;

/**
 * A sheet that all pages load whose sheets or style attributes have one of the spots.
 * @param holds what the sheet would rather have in it already
 */
export function commonSheet(
  site: Site,
  spots: readonly { path: string }[],
  holds: (sheet: SheetText) => boolean = (sheet) => rootRule(sheet) !== undefined,
): SheetText {
  const [sample, ...others] = readingsOf(site, spots).map(({ plain }) => plain);
  const paths = sample ?? spots.map(({ path }) => path);
  const shared = [...new Set(paths)].filter((path) => others.every((list) => list.includes(path)));
  const candidates = shared.flatMap((path) => {
    const file = textFile(site, path);
    return file ? sheetTexts(site, file) : [];
  });
  const sheet = candidates.find(holds) ?? candidates[0];
  if (!sheet)
    throw new EditError(
      "No style sheet is shared by all the pages that use this value, so there is no one place to write it.",
    );
  return sheet;
}

/**
 * Custom properties that hold one value wherever it is read: set once on the site, in a rule for the root that is under no
 * condition, and inherited. Each with the path of its sheet.
 */
export function constantProperties(site: Site): Map<string, string> {
  const definitions = groupBy(
    [...declarationsOfSite(site)].filter(({ declaration }) => declaration.property.startsWith("--")),
    ({ declaration }) => declaration.property,
  );
  const sheets = [...sheetsOf(site), ...pagesOf(site)].flatMap((file) => sheetTexts(site, file));
  const registered = new Set(sheets.flatMap(({ items }) => rulesOf(items).registered.map(({ name }) => name)));
  const constant = new Map<string, string>();
  for (const sheet of sheets) {
    const rule = isForScreens(sheet.media) ? rootRule(sheet) : undefined;
    for (const item of rule?.kind === "style" ? rule.items : [])
      if (item.kind === "declaration" && definitions.get(item.property)?.length === 1 && !registered.has(item.property))
        constant.set(item.property, sheet.file.path);
  }
  return constant;
}

/** The first rule of a sheet for the root alone. */
export function rootRule({ items }: SheetText) {
  return items.find((item) => item.kind === "style" && /^(?::root|html)$/i.test(item.preludeText.trim()));
}

function definitionsIn(sheet: SheetText, named: Declarations): TextChange[] {
  const { file, text, offset } = sheet;
  const rule = rootRule(sheet);
  if (rule?.kind !== "style") return [atSheetStart(sheet, ":root", named)];
  const indent = indentAt(text, rule.start);
  const where = { text, block: rule.block, items: rule.items, indent };
  return named.flatMap(([name, value]) =>
    setDeclaration(where, name, value).map(({ start, end, insert }) => ({
      path: file.path,
      start: start + offset,
      end: end + offset,
      insert,
    })),
  );
}

/**
 * A rule put at the start of a sheet, behind what has to stand first (CSS Syntax 3, 3.2; CSS Cascade 5, 2), written as
 * the sheet is.
 */
export function atSheetStart(sheet: SheetText, prelude: string, declarations: Declarations): TextChange {
  const { file, text } = sheet;
  const { at, before } = sheetStart(sheet);
  const own = ruleLike(text, prelude, declarations);
  const space = isMinified(text) ? "" : lineEndOf(text).repeat(2);
  return { path: file.path, start: at, end: at, insert: before ? `${space}${own}` : `${own}${space}` };
}

/** Where the first rule of a sheet can stand, an offset of the file, and what has to stand before it. */
export function sheetStart({ offset, items }: SheetText) {
  const before = items.findLast((item) => item.kind === "at" && ["charset", "import", "namespace"].includes(item.name));
  return { at: offset + (before?.end ?? 0), before };
}
