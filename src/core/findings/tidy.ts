import type { Declaration } from "../source/css/syntax";
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { twinsIn } from "../palette/palette";
import { constantProperties, inTaken, pageWithout, referring } from "../palette/properties";
import { colorSpots, colorSpotSteps, type ColorSpot } from "../palette/values";
import { joinColors } from "../palette/rewrite";
import { groupBy } from "../source/groups";
import { documentOf } from "../source/html/document";
import type { Site } from "../source/site";
import { leadBefore } from "../source/lines";
import { classNameFor, gatherAttributes, gatherRules, isClassTaken } from "../edits/gather";
import { EditError } from "../edits/types";
import { sheetForNew } from "../edits/locate";
import { usesSteps } from "./variables";
import { blocksOf, declarationsOf, filesOf, type Block } from "./blocks";
import { quoted, takenOut } from "./texts";
import { at, inSite, type Check, type CheckContext, type Found, type Way } from "./types";

/** Colours so alike that one would do. */
export const colorTwins: Check = {
  name: "color-twins",
  group: "tidy",
  *onSite({ site }) {
    const byCss = groupBy(
      (yield* colorSpotSteps(site)).filter(({ css }) => css !== null),
      ({ css }) => css!,
    );
    yield;
    const twins = new Map<string, string[]>();
    for (const { a, b } of twinsIn([...byCss.keys()].map((css) => ({ css, value: css }))))
      for (const [one, other] of [[a, b] as const, [b, a] as const]) twins.set(one, [...(twins.get(one) ?? []), other]);
    yield;
    const taken = new Set<string>();
    const byUse = [...byCss.keys()].sort((a, b) => byCss.get(b)!.length - byCss.get(a)!.length);
    return byUse.flatMap((css) => {
      const others = taken.has(css) ? [] : (twins.get(css) ?? []).filter((other) => !taken.has(other));
      for (const other of others) taken.add(other);
      return others.map((other) => nearlyAnother(site, byCss.get(other)!, byCss.get(css)![0]!));
    });
  },
};

/** @param spots of a colour @param usual where the one it is so near to stands first */
function nearlyAnother(site: Site, spots: readonly ColorSpot[], usual: ColorSpot): Found {
  const { value } = usual;
  const { value: own, path, start } = spots[0]!;
  // What it comes to elsewhere may depend on where it stands.
  const written = isAbsolute(value) ? value : formatColor(parseColor(usual.css!)!, "hex");
  return {
    level: "note",
    message: `\`${own}\` is so near to \`${value}\` that no eye tells them apart: one would do.`,
    because: "Two colours that look like one have to be kept and changed twice (OKLab, under 0.02 apart).",
    ...inSite(site, path, start),
    causes: spots.map((spot) => ({
      ...inSite(site, spot.path, spot.start),
      text: `${spot.property}: ${spot.value}`,
    })),
    ways: () => [
      {
        label: `Write \`${written}\` for it (${spots.length === 1 ? "once" : `${spots.length} times`})`,
        changes: joinColors(spots, written),
      },
    ],
  };
}

const isAbsolute = (value: string) => parseColor(value) !== null;

/** Custom properties that nobody asks for, and values that one of them holds already. */
export const customProperties: Check = {
  name: "custom-property",
  group: "tidy",
  *onSite({ site }) {
    const asked = new Set<string>();
    const files = filesOf(site);
    for (const file of files) {
      for (const { name } of (yield* usesSteps(site, file)).asked) asked.add(name);
      for (const [, name] of file.text.matchAll(/var\(\s*(--[\w-]+)/g)) asked.add(name!);
      yield;
    }
    const found: Found[] = [];
    for (const file of files) {
      yield;
      const unused = blocksOf(site, file).flatMap((block) =>
        declarationsOf(block)
          .filter(({ property }) => property.startsWith("--") && !asked.has(property))
          .map((declaration) => ({ block, declaration })),
      );
      if (unused.length) found.push(neverAsked(unused));
    }
    return [...found, ...heldAlready(site)];
  },
};

/** The custom properties of a file that nobody asks for, told once. */
function neverAsked(unused: readonly { block: Block; declaration: Declaration }[]): Found {
  const names = [...new Set(unused.map(({ declaration }) => declaration.property))];
  const { block, declaration } = unused[0]!;
  const where = (one: (typeof unused)[number]) => at(one.block.file, one.block.offset + one.declaration.start);
  return {
    level: "note",
    message:
      names.length === 1
        ? `\`${names[0]}\` is set and never asked for.`
        : `${names.length} custom properties of ${block.file.path} are set and never asked for.`,
    because: "A name that nobody uses looks as if something hung on it.",
    ...where({ block, declaration }),
    causes: unused.map((one) => ({ ...where(one), text: `${one.declaration.property}: ${one.declaration.valueText}` })),
    ways: () => [
      {
        label: unused.length === 1 ? "Take it out" : "Take them out",
        changes: unused.map(({ block: own, declaration: one }) => takenOut(own, one)),
      },
    ],
  };
}

/** Colours written out that a custom property of the root holds, on pages that know it. */
function heldAlready(site: Site): Found[] {
  const spots = colorSpots(site);
  const constant = constantProperties(site);
  const held = new Map<string, ColorSpot>();
  for (const spot of spots)
    if (spot.css && constant.has(spot.property) && !held.has(spot.css)) held.set(spot.css, spot);
  const holder = ({ css, role, selector }: ColorSpot) =>
    css === null || role === "named" || selector.startsWith("style of") ? undefined : held.get(css);
  const writtenOut = inTaken(
    site,
    spots.filter((spot) => holder(spot)),
  );
  const known = groupBy(writtenOut, (spot) => holder(spot)!);
  const byName = [...known].flatMap(([name, all]): [ColorSpot, ColorSpot[]][] => {
    const homes = new Set([constant.get(name.property)!]);
    const within = [...groupBy(all, ({ path }) => path).values()].flatMap((own) =>
      pageWithout(site, own.slice(0, 1), homes) === null ? own : [],
    );
    return within.length ? [[name, within]] : [];
  });
  return byName.map(([name, all]) => ({
    level: "note" as const,
    message: `\`${all[0]!.value}\` is written out ${all.length === 1 ? "once" : `${all.length} times`}, and \`${name.property}\` holds it.`,
    because: "What has a name is changed in one place.",
    ...inSite(site, all[0]!.path, all[0]!.start),
    causes: all.map((spot) => ({ ...inSite(site, spot.path, spot.start), text: `${spot.property}: ${spot.value}` })),
    ways: () => [
      {
        label: `Write \`var(${name.property})\``,
        changes: referring(site, all, name.property),
      },
    ],
  }));
}

const fewest = 3;

/** The same declarations in several rules, and the same style attribute on several elements. */
export const sameDeclarations: Check = {
  name: "same-declarations",
  group: "tidy",
  inFile: (file, site) => {
    const candidates = blocksOf(site, file).filter(
      (block) =>
        block.depth === 1 && block.rule?.kind !== "at" && declarationsOf(block).length >= (block.element ? 1 : fewest),
    );
    // Most are told apart by how many declarations they have: what those say is asked of the others alone.
    const alike = severalIn(candidates, (block) => `${kindOf(block)} ${declarationsOf(block).length}`).flatMap(
      (blocks) => severalIn(blocks, (block) => `${kindOf(block)} ${sayingOf(block)}`),
    );
    return alike.flatMap((blocks): Found[] => {
      const inline = blocks[0]!.element !== null;
      if (inline && blocks.length < fewest) return [];
      const start = (block: Block) => block.offset + (block.rule?.start ?? 0);
      const names = blocks
        .map(({ selector }) => quoted(selector))
        .slice(0, 4)
        .join(", ");
      return [
        {
          level: "note",
          message: inline
            ? `${blocks.length} elements have the same style attribute: ${quoted(blocks[0]!.text)}.`
            : `${names} set just the same: one rule with a list would do.`,
          because: "What is written several times has to be changed several times.",
          ...at(file, start(blocks[0]!)),
          causes: blocks.map((block) => ({ ...at(file, start(block)), text: block.selector })),
          ways: (context) => (inline ? attributeWays(context, blocks) : ruleWays(context, blocks)),
        },
      ];
    });
  },
};

const kindOf = ({ element }: Block) => (element ? "style" : "rule");

/** What a block says, whatever the order. */
const sayingOf = (block: Block) =>
  declarationsOf(block)
    .map(({ property, valueText, important }) => `${property}:${valueText}${important ? "!" : ""}`)
    .sort()
    .join(";");

/** Groups of more than one. */
const severalIn = (blocks: readonly Block[], keyOf: (block: Block) => string): Block[][] =>
  [...groupBy(blocks, keyOf).values()].filter(({ length }) => length > 1);

function ruleWays({ site }: CheckContext, blocks: readonly Block[]): Way[] {
  const starts = blocks.map(({ offset, rule }) => offset + rule!.start);
  const list = quoted(blocks.map(({ selector }) => selector).join(", "));
  return (["first", "last"] as const).map((into) => ({
    label: `Make it one rule for ${list}, where the ${into} stands`,
    changes: gatherRules(site, blocks[0]!.file.path, starts, into),
    proof: "nothing",
  }));
}

function attributeWays({ site, pages }: CheckContext, blocks: readonly Block[]): Way[] {
  const { file } = blocks[0]!;
  const page = pages.find((one) => one.file.path === file.path);
  const sheet = page && sheetForNew(page.sheets);
  if (!sheet) return [];
  const elements = blocks.map(({ element }) => element!);
  const name = classNameFor(elements, (one) => isClassTaken(filesOf(site), one));
  const refs = elements.map(({ index }) => ({ page: file.path, index }));
  try {
    const changes = gatherAttributes(site, refs, sheet, name);
    return [{ label: `Give them the class \`${name}\`, with a rule in ${sheet}`, changes, proof: "nothing" }];
  } catch (error) {
    if (error instanceof EditError) return [];
    throw error;
  }
}

/** A sheet that a page asks for twice. */
export const sheetTwice: Check = {
  name: "sheet-twice",
  group: "tidy",
  *onSite({ pages }) {
    const found: Found[] = [];
    for (const page of pages) {
      yield;
      const seen = new Set<string>();
      for (const { element, sheets } of page.sheets.owners) {
        const own = sheets.find(({ kind }) => kind === "linked");
        if (!own) continue;
        const tag = documentOf(page.file).elements[element]?.source?.startTag;
        if (seen.has(`${own.path} ${own.media.join()}`) && tag)
          found.push({
            level: "note",
            message: `${own.path} is asked for twice.`,
            because: "The second reading sets all of it again, over what stands between (CSS Cascade 5, 6.1).",
            ...at(page.file, tag.start),
            ways: () => {
              const { path, text } = page.file;
              const change = { path, start: leadBefore(text, tag.start), end: tag.end, insert: "" };
              return [{ label: "Take the second link out", changes: [change] }];
            },
          });
        seen.add(`${own.path} ${own.media.join()}`);
      }
    }
    return found;
  },
};
