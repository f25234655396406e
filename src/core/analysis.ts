/** The analysis of a site as plain data: what the headless command prints and reports are made from. */
import { defaultConditions, type Conditions } from "./cascade/conditions";
import { isEntry, rulesOf } from "./cascade/rules";
import { reportedLonghands } from "./cascade/properties";
import { styledPage, type KnownPage } from "./cascade/styledPages";
import { attachedDeclarations } from "./cascade/blocks";
import { computedValue, fontSizeOf, leadingOf, valueOf, type Style } from "./cascade/styles";
import { parseColor } from "./color";
import { serialiseColor } from "./color/format";
import type { Color } from "./color/types";
import { colorFromComponent } from "./color/value";
import { attributeSource } from "./edits/attributes";
import { sheetTexts } from "./edits/locate";
import type { ElementRef } from "./edits/types";
import { declarationsIn, findingsFor, type Finding } from "./findings";
import { componentsOf, type Component } from "./source/css/components";
import type { Declaration } from "./source/css/syntax";
import { documentOf } from "./source/html/document";
import { positionAt } from "./source/lines";
import { pseudoTexts, type PseudoText } from "./pseudoTexts";
import { pagesOf, sheetsOf, type Site } from "./source/site";
import { isPlace, legibilityOn, roleName, textStyleKey, type Layouts } from "./textStyles";

export interface AnalysedElement {
  index: number;
  tag: string;
  /** Whether it has text of its own: a text node directly in it that is not blank. */
  text: boolean;
  /** Computed values as `getComputedStyle` serialises them. */
  style: Record<string, string>;
  ground: { color: string; range?: [string, string]; certain: boolean; from: number | null };
  contrast: { ratio: number; needs: number; passes: boolean };
}

/** A text that a pseudo-element shows or sets in its own way; `index` is that of its element. */
export interface AnalysedPseudo extends Pick<AnalysedElement, "index" | "style" | "ground" | "contrast"> {
  name: PseudoText["name"];
  text: string;
}

export interface AnalysedSheet {
  path: string;
  kind: "linked" | "embedded" | "imported";
  rules: number;
  missing?: true;
}

export interface AnalysedTextStyle {
  role: string;
  sizePx: number;
  leading: number | null;
  weight: number;
  stack: string;
  ink: string;
  ground: string;
  ratio: number;
  needs: number;
  places: ElementRef[];
}

/** A colour value as it is written in a sheet or a style attribute. */
export interface AnalysedColor {
  value: string;
  /** What it comes to, where it is the same everywhere; null where it depends on its place. */
  color: string | null;
  property: string;
  path: string;
  line: number;
  column: number;
}

/** An ink on a ground that really occurs. */
export interface AnalysedPair {
  ink: string;
  ground: string;
  certain: boolean;
  ratio: number;
  needs: number;
  passes: boolean;
  places: ElementRef[];
}

export interface AnalysedStack {
  stack: string;
  places: ElementRef[];
}

export interface Analysis {
  version: 1;
  conditions: { width: number; height: number; scheme: "light" | "dark"; rootSize: number };
  pages: { path: string; sheets: AnalysedSheet[]; elements: AnalysedElement[]; pseudo: AnalysedPseudo[] }[];
  /** Largest first. */
  textStyles: AnalysedTextStyle[];
  colors: AnalysedColor[];
  /** Those that fail first. */
  pairs: AnalysedPair[];
  stacks: AnalysedStack[];
  findings: Finding[];
}

const css = (color: Color) => serialiseColor({ color, legacy: true });

/**
 * Everything about a site under the given conditions; `only` names the pages to look at, all of them by default;
 * `layouts` tells what the laid-out pages say of what lies under their texts.
 * Never throws on bad HTML or CSS.
 */
export function analyse(site: Site, conditions: Partial<Conditions> = {}, only?: readonly string[], layouts: Layouts = {}): Analysis {
  const all: Conditions = { ...defaultConditions, ...conditions };
  const pages = pagesOf(site)
    .filter(({ path }) => !only || only.includes(path))
    .map((file) => styledPage(site, file, all));
  return {
    version: 1,
    conditions: { width: all.width, height: all.height, scheme: all.scheme, rootSize: all.rootSize },
    pages: pages.map((page) => ({ path: page.file.path, sheets: sheetsIn(page), elements: page.styles.map((style) => elementOf(page, style, layouts)), pseudo: pseudoTexts(page).map((text) => pseudoOf(page, text, layouts)) })),
    textStyles: textStylesOf(pages, layouts),
    colors: colorsIn(site),
    pairs: pairsOf(pages, layouts),
    stacks: stacksOf(pages),
    findings: findingsFor({ site, pages, conditions: all, layouts }),
  };
}

function sheetsIn({ sheets, file }: KnownPage): AnalysedSheet[] {
  const found = sheets.owners.flatMap((owner) => owner.sheets).map(({ path, kind, items }) => ({ path, kind, rules: rulesOf(items).steps.filter(isEntry).length }));
  const missing = sheets.missing.map(({ address, path }) => ({ path: address, kind: path === file.path ? ("linked" as const) : ("imported" as const), rules: 0, missing: true as const }));
  return [...found, ...missing];
}

function pseudoOf(page: KnownPage, { index, name, text, style }: PseudoText, layouts: Layouts): AnalysedPseudo {
  return { index, name, text, ...judged(page, style, layouts) };
}

function elementOf(page: KnownPage, style: Style, layouts: Layouts): AnalysedElement {
  const { index, tag, hasText } = style.element;
  return { index, tag, text: hasText, ...judged(page, style, layouts) };
}

function judged(page: KnownPage, style: Style, layouts: Layouts): Pick<AnalysedElement, "style" | "ground" | "contrast"> {
  const { ground, ratio, needs, passes } = legibilityOn(page, style, layouts);
  const range = ground.range ? { range: [css(ground.range[0]), css(ground.range[1])] as [string, string] } : {};
  return {
    style: Object.fromEntries(reportedLonghands.map((name) => [name, computedValue(style, name)])),
    ground: { color: css(ground.color), ...range, certain: ground.certain, from: ground.from },
    contrast: { ratio, needs, passes },
  };
}

function colorsIn(site: Site): AnalysedColor[] {
  const colors: AnalysedColor[] = [];
  const add = (declaration: Declaration, path: string, text: string, offset: number) => {
    if (descriptorsWithoutColor.has(declaration.property)) return;
    for (const { start, end } of colorSpans(componentsOf(declaration.valueText))) {
      const value = declaration.valueText.slice(start, end);
      const color = parseColor(value);
      const where = positionAt(text, offset + declaration.value.start + start);
      colors.push({ value, color: color && css(color), property: declaration.property, path, ...where });
    }
  };
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    for (const sheet of sheetTexts(site, file)) for (const declaration of declarationsIn(sheet.items)) add(declaration, file.path, file.text, sheet.offset);
    if (file.kind !== "html") continue;
    for (const element of documentOf(file).elements) {
      const attribute = attributeSource(file.text, element, "style");
      if (attribute) for (const declaration of attachedDeclarations(element)) add(declaration, file.path, file.text, attribute.raw.start);
    }
  }
  return colors;
}

/** Properties in which a colour's name is a word of its own. */
const descriptorsWithoutColor = new Set(["font-family", "font", "animation", "animation-name", "grid-area", "content", "will-change", "transition", "transition-property", "counter-reset", "view-transition-name"]);

function colorSpans(components: readonly Component[]): { start: number; end: number }[] {
  return components.flatMap((component) => {
    if (colorFromComponent(component)) return [{ start: component.start, end: component.end }];
    return component.type === "function" || component.type === "block" ? colorSpans(component.args) : [];
  });
}

/** Places gathered by what they have in common. */
function gather<Group extends { places: ElementRef[] }>(pages: readonly KnownPage[], keyOf: (style: Style, page: KnownPage) => string, make: (style: Style, page: KnownPage) => Group): Group[] {
  const groups = new Map<string, Group>();
  for (const page of pages) {
    for (const style of page.styles) {
      if (!isPlace(style)) continue;
      const key = keyOf(style, page);
      const group = groups.get(key) ?? make(style, page);
      group.places.push({ page: page.file.path, index: style.element.index });
      groups.set(key, group);
    }
  }
  return [...groups.values()];
}

function pairsOf(pages: readonly KnownPage[], layouts: Layouts): AnalysedPair[] {
  const parts = (style: Style, page: KnownPage) => {
    const { ink, ground, ratio, needs, passes } = legibilityOn(page, style, layouts);
    return { ink: css(ink), ground: css(ground.color), certain: ground.certain, ratio, needs, passes };
  };
  return gather<AnalysedPair>(pages, (style, page) => JSON.stringify(parts(style, page)), (style, page) => ({ ...parts(style, page), places: [] })).sort(
    (a, b) => Number(a.passes) - Number(b.passes) || a.ratio / a.needs - b.ratio / b.needs,
  );
}

function stacksOf(pages: readonly KnownPage[]): AnalysedStack[] {
  const stack = (style: Style) => computedValue(style, "font-family");
  return gather<AnalysedStack>(pages, stack, (style) => ({ stack: stack(style), places: [] })).sort((a, b) => b.places.length - a.places.length);
}

export function textStylesOf(pages: readonly KnownPage[], layouts: Layouts = {}): AnalysedTextStyle[] {
  const make = (style: Style, page: KnownPage): AnalysedTextStyle => {
    const { ground, ink, ratio, needs } = legibilityOn(page, style, layouts);
    const sizePx = fontSizeOf(style);
    const leading = leadingOf(style);
    return {
      role: roleName(style),
      sizePx,
      leading: leading === null ? null : leading / sizePx,
      weight: valueOf<number>(style, "font-weight"),
      stack: computedValue(style, "font-family"),
      ink: css(ink),
      ground: css(ground.color),
      ratio,
      needs,
      places: [],
    };
  };
  return gather(pages, textStyleKey, make).sort((a, b) => b.sizePx - a.sizePx || b.weight - a.weight);
}
