/** Every colour value of a site as it is written, with what it is used for. */
import { attachedDeclarations } from "../cascade/blocks";
import { parseColor } from "../color";
import { serialiseColor } from "../color/format";
import { namedColors } from "../color/names";
import { colorFromComponent, type ColorValue } from "../color/value";
import { attributeSource } from "../edits/attributes";
import { sheetTexts } from "../edits/locate";
import { componentsOf, type Component } from "../source/css/components";
import type { Declaration, Item } from "../source/css/syntax";
import { documentOf } from "../source/html/document";
import { positionAt } from "../source/lines";
import { mixesByNotation, referenceSpots } from "./references";
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";

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
  "font-family", "font", "animation", "animation-name", "grid-area", "content", "will-change", "transition", "transition-property", "counter-reset",
  "view-transition-name", "container", "container-name", "grid-template-areas", "font-palette", "counter-increment", "list-style-type", "page",
]);

const known = new WeakMap<TextFile, ColorSpot[]>();

/** In the order of sheets, then pages; nothing in comments, strings and addresses. */
export function colorSpots(site: Site): ColorSpot[] {
  const names = namesInGradients(site);
  const spots = [...sheetsOf(site), ...pagesOf(site)].flatMap((file) => {
    // Which sheets a page embeds does not depend on other files; its imports do, but those are files of their own.
    let spots = known.get(file);
    if (!spots) known.set(file, (spots = spotsIn(site, file)));
    return spots;
  });
  return names.size ? spots.map((spot) => (names.has(spot.property) ? { ...spot, mixed: true } : spot)) : spots;
}

/** Custom properties that gradients without a space of their own refer to. */
function namesInGradients(site: Site): ReadonlySet<string> {
  return new Set(referenceSpots(site).flatMap(({ name, inGradient }) => (inGradient ? [name] : [])));
}

function spotsIn(site: Site, file: TextFile): ColorSpot[] {
  const spots: ColorSpot[] = [];
  const add = (declaration: Declaration, selector: string, offset: number) => {
    const isCustom = declaration.property.startsWith("--");
    if (withoutColor.has(declaration.property)) return;
    for (const { start, end, mixed } of colorSpans(componentsOf(declaration.valueText), isCustom, false)) {
      const value = declaration.valueText.slice(start, end);
      const color = parseColor(value);
      const at = offset + declaration.value.start + start;
      spots.push({
        value,
        css: color && isFixed(value) ? serialiseColor({ color, legacy: color.space === "srgb" || color.space === "hsl" || color.space === "hwb" }) : null,
        property: declaration.property,
        role: roleOf(declaration.property),
        selector,
        path: file.path,
        start: at,
        end: at + value.length,
        declaration: offset + declaration.start,
        mixed,
        ...positionAt(file.text, at),
      });
    }
  };
  for (const sheet of sheetTexts(site, file)) eachRule(sheet.items, "", (declaration, selector) => add(declaration, selector, sheet.offset));
  if (file.kind !== "html") return spots;
  for (const element of documentOf(file).elements) {
    const attribute = attributeSource(file.text, element, "style");
    // Character references in an attribute move what stands behind them: such values are left alone.
    if (!attribute || file.text.slice(attribute.raw.start, attribute.raw.end) !== attribute.value) continue;
    for (const declaration of attachedDeclarations(element)) add(declaration, `style of ${element.tag}`, attribute.raw.start);
  }
  return spots;
}

/** System colours come out as the reader's system has them. */
const isFixed = (value: string) => value.startsWith("#") || value.includes("(") || namedColors.has(value.toLowerCase()) || value.toLowerCase() === "transparent";

function eachRule(items: readonly Item[], selector: string, visit: (declaration: Declaration, selector: string) => void): void {
  for (const item of items) {
    if (item.kind === "declaration") visit(item, selector);
    else if (item.kind === "style") eachRule(item.items, item.preludeText.replace(/\s+/g, " "), visit);
    else if (item.kind === "at") eachRule(item.items, selector || `@${item.name}`, visit);
  }
}

export function roleOf(property: string): Role {
  if (property.startsWith("--")) return "named";
  if (property === "color" || property === "-webkit-text-fill-color" || property === "-webkit-text-stroke-color" || property === "caret-color") return "ink";
  if (property.startsWith("background")) return "ground";
  if (property.startsWith("border") || property.startsWith("outline") || property.startsWith("column-rule")) return "edge";
  if (property.startsWith("text-decoration")) return "line";
  return property.endsWith("shadow") || property === "filter" ? "shadow" : "other";
}

interface Span {
  start: number;
  end: number;
  mixed: boolean;
}

/** Where colours stand in a value; `currentcolor` and references are not values of their own. */
function colorSpans(components: readonly Component[], isCustom: boolean, mixed: boolean): Span[] {
  return components.flatMap((component) => {
    const color = colorFromComponent(component);
    // In a custom property a word may be anything; it counts when it stands alone.
    if (color && component.type === "ident" && isCustom && components.length > 1) return [];
    if (color && color.kind !== "current") return partsOf(component, color, mixed);
    if (component.type === "function") return colorSpans(component.args, isCustom, mixed || mixesByNotation(component));
    return component.type === "block" ? colorSpans(component.args, isCustom, mixed) : [];
  });
}

/** Of a mix, a relative colour or a pair for two schemes, the colours in it are what can be written otherwise. */
function partsOf(component: Component, color: ColorValue, mixed: boolean): Span[] {
  const derived = color.kind === "mix" || color.kind === "relative" || color.kind === "light-dark";
  if (derived && component.type === "function") return colorSpans(component.args, false, color.kind === "light-dark" && mixed);
  return [{ start: component.start, end: component.end, mixed }];
}
