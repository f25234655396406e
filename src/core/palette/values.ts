/** Every colour value of a site as it is written, with what it is used for. */
import { append } from "../source/groups";
import { declarationsOfSite, declarationSteps, type DeclarationInFile } from "../source/declarations";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { namedColors } from "../color/names";
import { colorFromComponent } from "../color/value";
import { componentsOf, type Component } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import { positionAt } from "../source/lines";
import { pagesOf, sheetsOf, textFile, type Site, type TextFile } from "../source/site";
import { eachInSteps, finished } from "../source/steps";
import { mixesByNotation, referenceSpots } from "./references";

export type Role = "ink" | "ground" | "edge" | "line" | "shadow" | "named" | "other";

/** One colour value where it stands. Offsets of the file. */
export interface ColorSpot {
  value: string;
  /** What it comes to, where that is the same everywhere, as `rgb()`; null where it depends on its place. */
  css: string | null;
  property: string;
  role: Role;
  /** Selector of the rule, or the element of a style attribute. */
  selector: string;
  path: string;
  start: number;
  end: number;
  line: number;
  column: number;
  /** Start of the declaration, as declarations are told apart. */
  declaration: number;
  /** Whether it is mixed with others in a space that follows from how they are written: in a gradient that names none. */
  mixed: boolean;
}

/** Properties in which a colour's name is a word of its own. */
const withoutColor = new Set([
  "font-family",
  "font",
  "animation",
  "animation-name",
  "grid-area",
  "content",
  "will-change",
  "transition",
  "transition-property",
  "counter-reset",
  "view-transition-name",
  "container",
  "container-name",
  "grid-template-areas",
  "font-palette",
  "counter-increment",
  "list-style-type",
  "page",
]);

const known = new WeakMap<TextFile, ColorSpot[]>();

/** A colour as it is written, whole: a mix, a relative colour or a pair for two schemes is one. */
export interface WrittenColor {
  value: string;
  property: string;
  path: string;
  line: number;
  column: number;
}

/** Every colour of a site as it is written, in the order of sheets, then pages. */
export function writtenColors(site: Site): WrittenColor[] {
  const colors: WrittenColor[] = [];
  for (const { declaration, file, offset } of declarationsOfSite(site)) {
    const { property, value, valueText } = declaration;
    for (const { start, end, kind } of spansIn(declaration)) {
      if (kind !== "part")
        colors.push({
          value: valueText.slice(start, end),
          property,
          path: file.path,
          ...positionAt(file.text, offset + value.start + start),
        });
    }
  }
  return colors;
}

/**
 * Every colour value of a site that can be written otherwise, in the order of sheets, then pages: those a mix is made
 * of instead of the mix, and nothing in comments, strings and addresses.
 */
export function colorSpots(site: Site): ColorSpot[] {
  return finished(colorSpotSteps(site));
}

/** The same in steps between which others are let in. */
export function* colorSpotSteps(site: Site): Generator<void, ColorSpot[]> {
  const spots: ColorSpot[] = [];
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    append(spots, yield* knownSpotSteps(site, file));
    yield;
  }
  const names = namesInGradients(site);
  return names.size ? spots.map((spot) => (names.has(spot.property) ? { ...spot, mixed: true } : spot)) : spots;
}

/** The same of one file. */
export function colorSpotsIn(site: Site, path: string): readonly ColorSpot[] {
  const file = textFile(site, path);
  return file ? finished(knownSpotSteps(site, file)) : [];
}

/** Which sheets a page embeds does not depend on other files; its imports do, but those are files of their own. */
function* knownSpotSteps(site: Site, file: TextFile): Generator<void, readonly ColorSpot[]> {
  const before = known.get(file);
  if (before) return before;
  const spots: ColorSpot[] = [];
  yield* eachInSteps(yield* declarationSteps(site, file), (one) => append(spots, spotsIn(one)));
  known.set(file, spots);
  return spots;
}

/** Custom properties that gradients without a space of their own refer to. */
function namesInGradients(site: Site): ReadonlySet<string> {
  return new Set(referenceSpots(site).flatMap(({ name, inGradient }) => (inGradient ? [name] : [])));
}

function spotsIn({ declaration, selector, file, offset, exact }: DeclarationInFile): ColorSpot[] {
  if (!exact) return [];
  const { property, value: where, valueText } = declaration;
  return spansIn(declaration).flatMap(({ start, end, kind, mixed }): ColorSpot[] => {
    if (kind === "whole") return [];
    const value = valueText.slice(start, end);
    const color = isFixed(value) ? parseColor(value) : null;
    const at = offset + where.start + start;
    return [
      {
        value,
        css: color && cssColor(color),
        property,
        role: roleOf(property),
        selector,
        path: file.path,
        start: at,
        end: at + value.length,
        declaration: offset + declaration.start,
        mixed,
        ...positionAt(file.text, at),
      },
    ];
  });
}

/** System colours come out as the reader's system has them. */
const isFixed = (value: string) =>
  value.startsWith("#") ||
  value.includes("(") ||
  namedColors.has(value.toLowerCase()) ||
  value.toLowerCase() === "transparent";

function roleOf(property: string): Role {
  if (property.startsWith("--")) return "named";
  if (
    property === "color" ||
    property === "-webkit-text-fill-color" ||
    property === "-webkit-text-stroke-color" ||
    property === "caret-color"
  )
    return "ink";
  if (property.startsWith("background")) return "ground";
  if (property.startsWith("border") || property.startsWith("outline") || property.startsWith("column-rule"))
    return "edge";
  if (property.startsWith("text-decoration")) return "line";
  return property.endsWith("shadow") || property === "filter" ? "shadow" : "other";
}

interface Span {
  start: number;
  end: number;
  /** A colour by itself; one that is worked out from others, or from its place; or one that such a one is made of. */
  kind: "single" | "whole" | "part";
  mixed: boolean;
}

function spansIn({ property, valueText }: Declaration): Span[] {
  if (withoutColor.has(property)) return [];
  return colorSpans(componentsOf(valueText), { isCustom: property.startsWith("--"), mixed: false, kind: "single" });
}

interface Within {
  isCustom: boolean;
  mixed: boolean;
  kind: "single" | "part";
}

/** Where colours stand in a value. */
function colorSpans(components: readonly Component[], within: Within): Span[] {
  return components.flatMap((component): Span[] => {
    const color = colorFromComponent(component);
    const { start, end } = component;
    const { isCustom, mixed, kind } = within;
    // In a custom property a word may be anything; it counts when it stands alone.
    if (color && component.type === "ident" && isCustom && components.length > 1) return [];
    if (color?.kind === "current") return kind === "part" ? [] : [{ start, end, mixed, kind: "whole" }];
    const isMade = color?.kind === "mix" || color?.kind === "relative" || color?.kind === "light-dark";
    if (isMade && component.type === "function") {
      // Only of a pair for two schemes the colour taken goes on to be mixed as it is written.
      const parts = colorSpans(component.args, {
        isCustom: false,
        mixed: mixed && color.kind === "light-dark",
        kind: "part",
      });
      return kind === "part" ? parts : [{ start, end, mixed, kind: "whole" }, ...parts];
    }
    if (color) return [{ start, end, mixed, kind }];
    if (component.type === "function")
      return colorSpans(component.args, { ...within, mixed: mixed || mixesByNotation(component) });
    return component.type === "block" ? colorSpans(component.args, within) : [];
  });
}
