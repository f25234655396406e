/** The analysis of a site as plain data: what the headless command prints and reports are made from. */
import type { ElementRef } from "../text/refs";
import { gatherTexts } from "../text/pageTexts";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { isEntry, rulesOf } from "../cascade/rules";
import { reportedLonghands } from "../cascade/properties";
import { styledPage, type KnownPage } from "../cascade/styledPages";
import { computedValue, type Style } from "../cascade/style";
import { parseColor } from "../color";
import { cssColor } from "../color/format";
import { findingSteps, type Finding } from "../findings";
import { pairsOf } from "../palette/palette";
import { writtenColors } from "../palette/values";
import { pseudoTexts, type PseudoText } from "../text/pseudoTexts";
import { finished } from "../source/steps";
import { pagesOf, type Site } from "../source/site";
import { legibilityOn, textStyleKey, textStyleOf, type Layouts, type TextStyle } from "../text/textStyles";

export interface AnalysedElement {
  index: number;
  tag: string;
  /** Whether it has text of its own: a text node directly in it that is not blank. */
  text: boolean;
  /** Computed values as `getComputedStyle` serialises them. */
  style: Record<string, string>;
  ground: { color: string; range?: [string, string]; certain: boolean; from: number | null };
  /** `unjudged`: why nobody has to be able to read it, where that is so. */
  contrast: { ratio: number; needs: number; passes: boolean; unjudged?: string };
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
  version: 2;
  conditions: { width: number; height: number; scheme: "light" | "dark"; rootSize: number };
  pages: { path: string; sheets: AnalysedSheet[]; elements: AnalysedElement[]; pseudo: AnalysedPseudo[] }[];
  /** Largest first. */
  textStyles: TextStyle[];
  colors: AnalysedColor[];
  /** Those that fail first. */
  pairs: AnalysedPair[];
  stacks: AnalysedStack[];
  findings: Finding[];
}

/**
 * Everything about a site under the given conditions; `only` names the pages to look at, all of them by default;
 * `layouts` tells what the laid-out pages say of what lies under their texts.
 * Never throws on bad HTML or CSS.
 */
export function analyse(
  site: Site,
  conditions: Partial<Conditions> = {},
  only?: readonly string[],
  layouts: Layouts = {},
): Analysis {
  return finished(analysisSteps(site, { ...defaultConditions, ...conditions }, { only: only ?? null, layouts }));
}

/** What is looked at: the pages, all where it is null; whether elements are told; what is known of laid-out pages. */
export interface AnalysisAsked {
  only?: readonly string[] | null;
  elements?: boolean;
  layouts?: Layouts;
}

/** The same in steps, a page each; each tells how many pages are read. */
export function* analysisSteps(
  site: Site,
  all: Conditions,
  { only = null, elements = true, layouts = {} }: AnalysisAsked = {},
): Generator<{ done: number; of: number } | void, Analysis> {
  const files = pagesOf(site).filter(({ path }) => !only || only.includes(path));
  const pages: KnownPage[] = [];
  for (const file of files) {
    pages.push(styledPage(site, file, all));
    yield { done: pages.length, of: files.length };
  }
  const findings = yield* findingSteps({ site, pages, conditions: all, layouts });
  return {
    version: 2,
    conditions: { width: all.width, height: all.height, scheme: all.scheme, rootSize: all.rootSize },
    pages: pages.map((page) => ({
      path: page.file.path,
      sheets: sheetsIn(page),
      elements: elements ? page.styles.map((style) => elementOf(page, style, layouts)) : [],
      pseudo: elements ? pseudoTexts(page).map((text) => pseudoOf(page, text, layouts)) : [],
    })),
    textStyles: textStylesOf(pages, layouts),
    colors: writtenColors(site).map(({ value, ...where }) => ({ value, color: colorOf(value), ...where })),
    pairs: pairsOf(pages, [], layouts).map(({ ink, ground, range, certain, ratio, needs, passes, places }) => ({
      ink,
      ground: range ? range[0] : ground,
      certain,
      ratio,
      needs,
      passes,
      places,
    })),
    stacks: stacksOf(pages),
    findings,
  };
}

function sheetsIn({ sheets, file }: KnownPage): AnalysedSheet[] {
  const found = sheets.owners
    .flatMap((owner) => owner.sheets)
    .map(({ path, kind, items }) => ({ path, kind, rules: rulesOf(items).steps.filter(isEntry).length }));
  const missing = sheets.missing.map(({ address, path }) => ({
    path: address,
    kind: path === file.path ? ("linked" as const) : ("imported" as const),
    rules: 0,
    missing: true as const,
  }));
  return [...found, ...missing];
}

function pseudoOf(page: KnownPage, { index, name, text, style }: PseudoText, layouts: Layouts): AnalysedPseudo {
  return { index, name, text, ...judged(page, style, layouts) };
}

function elementOf(page: KnownPage, style: Style, layouts: Layouts): AnalysedElement {
  const { index, tag, hasText } = style.element;
  return { index, tag, text: hasText, ...judged(page, style, layouts) };
}

function judged(
  page: KnownPage,
  style: Style,
  layouts: Layouts,
): Pick<AnalysedElement, "style" | "ground" | "contrast"> {
  const { ground, ratio, needs, passes, unjudged } = legibilityOn(page, style, layouts);
  const range = ground.range
    ? { range: [cssColor(ground.range[0]), cssColor(ground.range[1])] as [string, string] }
    : {};
  return {
    style: Object.fromEntries(reportedLonghands.map((name) => [name, computedValue(style, name)])),
    ground: { color: cssColor(ground.color), ...range, certain: ground.certain, from: ground.from },
    contrast: { ratio, needs, passes, ...(unjudged === null ? {} : { unjudged }) },
  };
}

function colorOf(value: string): string | null {
  const color = parseColor(value);
  return color && cssColor(color);
}

function stacksOf(pages: readonly KnownPage[]): AnalysedStack[] {
  const stack = (style: Style) => computedValue(style, "font-family");
  return gatherTexts<AnalysedStack>(pages, stack, (style) => ({ stack: stack(style), places: [] })).sort(
    (a, b) => b.places.length - a.places.length,
  );
}

function textStylesOf(pages: readonly KnownPage[], layouts: Layouts): TextStyle[] {
  return gatherTexts(pages, textStyleKey, (style, page) => textStyleOf(page, style, layouts)).sort(
    (a, b) => b.sizePx - a.sizePx || b.weight - a.weight,
  );
}
