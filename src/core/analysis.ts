/** The analysis of a site as plain data: what the headless command prints and reports are made from. */
import { defaultConditions, type Conditions } from "./cascade/conditions";
import { isEntry, rulesOf } from "./cascade/rules";
import { reportedLonghands } from "./cascade/properties";
import { styledPage, type KnownPage } from "./cascade/styledPages";
import { computedValue, fontSizeOf, leadingOf, valueOf, type Style } from "./cascade/styles";
import { serialiseColor } from "./color/format";
import type { Color } from "./color/types";
import type { ElementRef } from "./edits/types";
import { findingsFor, type Finding } from "./findings";
import { pagesOf, type Site } from "./source/site";
import { isPlace, legibility, roleName, textStyleKey } from "./textStyles";

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

export interface Analysis {
  version: 1;
  conditions: { width: number; height: number; scheme: "light" | "dark"; rootSize: number };
  pages: { path: string; sheets: AnalysedSheet[]; elements: AnalysedElement[] }[];
  /** Largest first. */
  textStyles: AnalysedTextStyle[];
  findings: Finding[];
}

const css = (color: Color) => serialiseColor({ color, legacy: true });

export function analyse(site: Site, conditions: Partial<Conditions> = {}): Analysis {
  const all: Conditions = { ...defaultConditions, ...conditions };
  const pages = pagesOf(site).map((file) => styledPage(site, file, all));
  return {
    version: 1,
    conditions: { width: all.width, height: all.height, scheme: all.scheme, rootSize: all.rootSize },
    pages: pages.map((page) => ({ path: page.file.path, sheets: sheetsIn(page), elements: page.styles.map(elementOf) })),
    textStyles: textStylesOf(pages),
    findings: findingsFor({ site, pages, conditions: all }),
  };
}

function sheetsIn({ sheets, file }: KnownPage): AnalysedSheet[] {
  const found = sheets.owners.flatMap((owner) => owner.sheets).map(({ path, kind, items }) => ({ path, kind, rules: rulesOf(items).steps.filter(isEntry).length }));
  const missing = sheets.missing.map(({ address, path }) => ({ path: address, kind: path === file.path ? ("linked" as const) : ("imported" as const), rules: 0, missing: true as const }));
  return [...found, ...missing];
}

function elementOf(style: Style): AnalysedElement {
  const { ground, ratio, needs, passes } = legibility(style);
  const range = ground.range ? { range: [css(ground.range[0]), css(ground.range[1])] as [string, string] } : {};
  return {
    index: style.element.index,
    tag: style.element.tag,
    text: style.element.hasText,
    style: Object.fromEntries(reportedLonghands.map((name) => [name, computedValue(style, name)])),
    ground: { color: css(ground.color), ...range, certain: ground.certain, from: ground.from },
    contrast: { ratio, needs, passes },
  };
}

export function textStylesOf(pages: readonly KnownPage[]): AnalysedTextStyle[] {
  const byKey = new Map<string, AnalysedTextStyle>();
  for (const page of pages) {
    for (const style of page.styles) {
      if (!isPlace(style)) continue;
      const key = textStyleKey(style);
      const place = { page: page.file.path, index: style.element.index };
      const known = byKey.get(key);
      if (known) {
        known.places.push(place);
        continue;
      }
      const { ground, ink, ratio, needs } = legibility(style);
      const sizePx = fontSizeOf(style);
      const leading = leadingOf(style);
      byKey.set(key, {
        role: roleName(style),
        sizePx,
        leading: leading === null ? null : leading / sizePx,
        weight: valueOf<number>(style, "font-weight"),
        stack: computedValue(style, "font-family"),
        ink: css(ink),
        ground: css(ground.color),
        ratio,
        needs,
        places: [place],
      });
    }
  }
  return [...byKey.values()].sort((a, b) => b.sizePx - a.sizePx || b.weight - a.weight);
}
