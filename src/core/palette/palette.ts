/** The colours of a site: values, what they are used for, which are alike, and the pairs that occur. */
import { refKey, type ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { sides } from "../cascade/properties/sides";
import { spotOf } from "../cascade/explain";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { valueOf, type Style } from "../cascade/style";
import { type StyledPage } from "../cascade/styles";
import type { Winner } from "../cascade/blocks";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { okLab } from "../color/gamut";
import { oklch } from "../color/ladder";
import { notationOf } from "../color/written";
import { inkOf } from "../ground/backgrounds";
import type { Ground } from "../ground/types";
import { groundName } from "../ground/name";
import { pagesOf, type Site } from "../source/site";
import { gatherTexts, refOf, textsOf } from "../text/pageTexts";
import { isShown, legibilityOn, type Layouts } from "../text/textStyles";
import { propertiesOf } from "./properties";
import { schemesOf, type Scheme } from "../cascade/schemes";
import { referenceSpots } from "./references";
import { colorSpots, type ColorSpot, type Role } from "./values";

export interface PaletteUse extends ColorSpot {
  places: ElementRef[];
  /** Whether text with it cannot be read well enough somewhere. */
  failing: boolean;
}

/** A value as it is written, with all the places it is written at. */
export interface PaletteValue {
  value: string;
  css: string | null;
  notation: string;
  /** OKLCh: lightness 0 to 1, chroma, hue in degrees; null where the colour depends on its place. */
  lightness: number | null;
  chroma: number | null;
  hue: number | null;
  uses: PaletteUse[];
  places: number;
  roles: Role[];
  failing: boolean;
  /** "ground of nav, ink of .fare" */
  words: string;
}

/** An ink on a ground that really occurs. */
export interface PalettePair {
  ink: string;
  inkName: string;
  ground: string;
  groundName: string;
  range: [string, string] | null;
  /** Worst and best. */
  ratio: number;
  best: number;
  needs: number;
  passes: boolean;
  certain: boolean;
  /** The schemes in which it occurs; null where the site has one for all readers. */
  schemes: Scheme[] | null;
  places: ElementRef[];
}

export interface CustomProperty {
  name: string;
  values: { value: string; css: string | null; selector: string; path: string; line: number; start: number }[];
  /** How often sheets and style attributes refer to it. */
  references: number;
}

export interface Palette {
  values: PaletteValue[];
  pairs: PalettePair[];
  properties: CustomProperty[];
}

const roleWords: Readonly<Record<Role, string>> = {
  ink: "ink",
  ground: "ground",
  edge: "edge",
  line: "line",
  shadow: "shadow",
  named: "value of",
  other: "colour",
};

/** The site as one scheme has it. */
interface InScheme {
  scheme: Scheme;
  pages: readonly KnownPage[];
  /** What was painted was painted in the scheme that is looked at. */
  layouts: Layouts;
}

/**
 * The colours of a site: every value with its uses, twins, pairs that occur and custom properties, over both schemes
 * where it has two.
 */
export function paletteOf(site: Site, conditions: Conditions, layouts: Layouts = {}): Palette {
  const all = schemesOf(site, conditions).map((scheme): InScheme => ({
    scheme,
    pages: pagesOf(site).map((file) => styledPage(site, file, { ...conditions, scheme })),
    layouts: scheme === conditions.scheme ? layouts : {},
  }));
  const spots = colorSpots(site);
  const places = placesByDeclaration(all);
  const references = referencesIn(site);
  const uses = spots.map((spot): PaletteUse => {
    const found = spot.role === "named" ? namedPlaces(spot, spots, places, references) : places.get(keyOf(spot));
    return {
      ...spot,
      places: [...((found?.places.size ? found.places : found?.elements)?.values() ?? [])],
      failing: found?.failing ?? false,
    };
  });
  return { values: valuesOf(uses), pairs: pairsInSchemes(all, uses), properties: propertiesOf(uses, references) };
}

interface PlacesOfDeclaration {
  /** Texts that it colours, or that stand on it. */
  places: Map<string, ElementRef>;
  /** Elements it is in force on, whether they show text or not. */
  elements: Map<string, ElementRef>;
  failing: boolean;
}

const keyOf = ({ path, declaration }: { path: string; declaration: number }) => `${path}:${declaration}`;

/** For each declaration, the elements it gives a colour. */
function placesByDeclaration(schemes: readonly InScheme[]): Map<string, PlacesOfDeclaration> {
  const all = new Map<string, PlacesOfDeclaration>();
  const add = (
    page: KnownPage,
    holder: Style,
    winner: Winner | undefined,
    place: Style,
    into: "places" | "elements",
    failing = false,
  ) => {
    const spot = winner && spotOf(page, holder.element, winner.block, winner.declaration);
    if (!spot) return;
    const key = `${spot.path}:${spot.offset}`;
    const known = all.get(key) ?? { places: new Map(), elements: new Map(), failing: false };
    all.set(key, known);
    const ref = refOf(page.file.path, place);
    known[into].set(refKey(ref), ref);
    known.failing ||= failing;
  };
  for (const { page, layouts } of schemes.flatMap(({ pages, layouts }) => pages.map((page) => ({ page, layouts })))) {
    for (const style of textsOf(page)) {
      const { passes, ground } = legibilityOn(page, style, layouts);
      let holder: Style = style;
      while (!holder.shared.winners.has("color") && holder.parent) holder = holder.parent;
      add(page, holder, holder.shared.winners.get("color"), style, "places", !passes);
      const giver = ground.from === null ? null : page.styles[ground.from]!;
      for (const property of giver ? ["background-color", "background-image"] : [])
        add(page, giver!, giver!.shared.winners.get(property), style, "places", !passes);
    }
    for (const style of page.styles) {
      if (!isShown(style)) continue;
      for (const [property, winner] of style.shared.winners) {
        if (property === "color" || !/color|image|shadow/.test(property)) continue;
        if (winner.block.origin === "browser" || (property.startsWith("border") && !drawsBorder(style, property)))
          continue;
        add(page, style, winner, style, "elements");
      }
    }
  }
  return all;
}

function drawsBorder(style: Style, property: string): boolean {
  const side = sides.find((one) => property === `border-${one}-color`);
  return side === undefined || valueOf(style, `border-${side}-style`) !== "none";
}

/** References to custom properties, by name: where they stand and what they stand in. */
type References = Map<string, { path: string; declaration: number; property: string }[]>;

/** A custom property's colour is used where the declarations that refer to it are in force. */
function namedPlaces(
  spot: ColorSpot,
  spots: readonly ColorSpot[],
  places: ReadonlyMap<string, PlacesOfDeclaration>,
  references: References,
): PlacesOfDeclaration {
  const result: PlacesOfDeclaration = { places: new Map(), elements: new Map(), failing: false };
  const others = new Set(
    spots
      .filter(({ property, css: color }) => property === spot.property && color !== spot.css)
      .map(({ css: color }) => color),
  );
  const seen = new Set<string>();
  const follow = (name: string) => {
    if (seen.has(name)) return;
    seen.add(name);
    for (const reference of references.get(name) ?? []) {
      if (reference.property.startsWith("--")) follow(reference.property);
      const found = places.get(keyOf(reference));
      for (const [key, ref] of found?.places ?? []) result.places.set(key, ref);
      for (const [key, ref] of found?.elements ?? []) result.elements.set(key, ref);
      // Which of several values is in force there is not told by the reference alone.
      if (others.size === 0) result.failing ||= found?.failing ?? false;
    }
  };
  follow(spot.property);
  return result;
}

function referencesIn(site: Site): References {
  const references: References = new Map();
  for (const { path, declaration, property, name } of referenceSpots(site)) {
    const list = references.get(name) ?? [];
    list.push({ path, declaration, property });
    references.set(name, list);
  }
  return references;
}

function valuesOf(uses: readonly PaletteUse[]): PaletteValue[] {
  const groups = new Map<string, PaletteUse[]>();
  for (const use of uses) groups.set(use.value, [...(groups.get(use.value) ?? []), use]);
  return [...groups.entries()]
    .map(([value, own]): PaletteValue => {
      const color = own[0]!.css === null ? null : parseColor(value);
      const [lightness, chroma, hue] = color ? oklch(color) : [null, null, null];
      return {
        value,
        css: own[0]!.css,
        notation: notationOf(value)?.notation ?? "other",
        lightness,
        chroma,
        hue,
        uses: own,
        places: new Set(own.flatMap(({ places }) => places.map(({ page, index }) => `${page}:${index}`))).size,
        roles: [...new Set(own.map(({ role }) => role))],
        failing: own.some(({ failing }) => failing),
        words: wordsFor(own),
      };
    })
    .sort((a, b) => b.places - a.places || b.uses.length - a.uses.length);
}

function wordsFor(uses: readonly PaletteUse[]): string {
  const parts = [
    ...new Set(
      uses.map(({ role, selector, property }) =>
        role === "named" ? `${roleWords.named} ${property}` : `${roleWords[role]} of ${selector}`,
      ),
    ),
  ];
  return parts.length > 3 ? `${parts.slice(0, 2).join(", ")} and ${parts.length - 2} more` : parts.join(", ");
}

/** The pairs of ink and ground that occur, those that fail first; texts that are not judged make none. */
export function pairsOf(pages: readonly KnownPage[], uses: readonly PaletteUse[], layouts: Layouts): PalettePair[] {
  const written = new Map<string, string>();
  for (const { css: color, value } of uses) if (color && !written.has(color)) written.set(color, value);
  const nameOf = (color: string) => written.get(color) ?? color;
  const keyOf = (style: Style, page: StyledPage) => {
    const { ground, needs } = legibilityOn(page, style, layouts);
    return JSON.stringify([cssColor(inkOf(style)), groundKey(page, ground), needs]);
  };
  const make = (style: Style, page: StyledPage): PalettePair => {
    const ink = cssColor(inkOf(style));
    const { ground, ratio, best, needs, passes } = legibilityOn(page, style, layouts);
    const key = groundKey(page, ground);
    const range: [string, string] | null = ground.range && [cssColor(ground.range[0]), cssColor(ground.range[1])];
    return {
      ink,
      inkName: nameOf(ink),
      ground: key,
      groundName: nameOf(key),
      range,
      ratio,
      best,
      needs,
      passes,
      certain: ground.certain,
      schemes: null,
      places: [],
    };
  };
  return gatherTexts(
    pages,
    keyOf,
    make,
    (pair, style, page) => {
      const { ratio, best, passes, ground } = legibilityOn(page, style, layouts);
      pair.ratio = Math.min(pair.ratio, ratio);
      pair.best = Math.max(pair.best, best);
      pair.passes &&= passes;
      pair.certain &&= ground.certain;
    },
    judgedTexts(layouts),
  ).sort(worstFirst);
}

const worstFirst = (a: PalettePair, b: PalettePair) =>
  Number(a.passes) - Number(b.passes) || a.ratio / a.needs - b.ratio / b.needs;

/** The pairs of all schemes; those that occur in both are one. */
function pairsInSchemes(schemes: readonly InScheme[], uses: readonly PaletteUse[]): PalettePair[] {
  const found = schemes.map(({ pages, layouts }) => pairsOf(pages, uses, layouts));
  if (found.length === 1) return found[0]!;
  const pairs = new Map<string, PalettePair>();
  for (const [at, { scheme }] of schemes.entries())
    for (const pair of found[at]!) {
      const key = JSON.stringify([pair.ink, pair.ground, pair.needs]);
      const known = pairs.get(key);
      pairs.set(key, known ? together(known, pair, scheme) : { ...pair, schemes: [scheme] });
    }
  return [...pairs.values()].sort(worstFirst);
}

function together(a: PalettePair, b: PalettePair, scheme: Scheme): PalettePair {
  const places = new Map([...a.places, ...b.places].map((ref) => [refKey(ref), ref]));
  return {
    ...a,
    ratio: Math.min(a.ratio, b.ratio),
    best: Math.max(a.best, b.best),
    passes: a.passes && b.passes,
    certain: a.certain && b.certain,
    schemes: [...a.schemes!, scheme],
    places: [...places.values()],
  };
}

const judgedTexts = (layouts: Layouts) => (page: KnownPage) =>
  textsOf(page).filter((style) => legibilityOn(page, style, layouts).verdict !== "unjudged");

/** Grounds that vary a little under every text are known by what makes them. */
function groundKey(page: StyledPage, ground: Ground): string {
  return ground.range ? groundName(ground, page.styles) : cssColor(ground.color);
}

/** Two colours no further apart than this, and equally opaque, are hard to tell apart. */
export const usualTwinDistance = 0.02;

export interface Twins {
  a: string;
  b: string;
  distance: number;
}

/** Values of different colours that are nearly alike, nearest first. @param within distance in OKLab */
export function twinsIn(
  values: readonly Pick<PaletteValue, "css" | "value">[],
  within: number = usualTwinDistance,
): Twins[] {
  const colors = [
    ...new Map(values.flatMap((value) => (value.css === null ? [] : [[value.css, value.value] as const]))),
  ].map(([, value]) => ({ value, color: parseColor(value)! }));
  // Colours further apart in lightness alone are no twins: each is compared with the next ones only.
  const sorted = colors
    .filter(({ color }) => color.alpha !== 0)
    .map((one, at) => ({ ...one, at, ok: okLab(one.color) }))
    .sort((a, b) => a.ok[0] - b.ok[0]);
  const twins: Twins[] = [];
  for (const [first, a] of sorted.entries()) {
    for (let next = first + 1; next < sorted.length && sorted[next]!.ok[0] - a.ok[0] <= within; next += 1) {
      const b = sorted[next]!;
      if (Math.abs((a.color.alpha ?? 0) - (b.color.alpha ?? 0)) > 0.005) continue;
      const distance = Math.hypot(...a.ok.map((value, channel) => value - b.ok[channel]!));
      const [earlier, later] = a.at < b.at ? [a, b] : [b, a];
      if (distance <= within) twins.push({ a: earlier.value, b: later.value, distance });
    }
  }
  return twins.sort((a, b) => a.distance - b.distance);
}
