/** The text styles of a site as a table: how each is set, what sets it, which are nearly alike. */
import type { ElementRef } from "../text/refs";
import { specimenOf, type Specimen } from "../text/look";
import { gatherTexts, styleAt } from "../text/pageTexts";
import type { Conditions } from "../cascade/conditions";
import { schemesOf, type Scheme } from "../cascade/schemes";
import { spotOf } from "../cascade/explain";
import { styledPage } from "../cascade/styledPages";
import { computedValue, fontSizeOf, rootOf, type Style } from "../cascade/style";
import { type StyledPage } from "../cascade/styles";
import { parseColor } from "../color";
import type { Color } from "../color/types";
import { cssColor } from "../color/format";
import { differenceOk } from "../color/gamut";
import type { Edit, Target } from "../edits/types";
import { inkOf } from "../ground/backgrounds";
import type { Verdict } from "../ground/types";
import { plainSelector } from "../source/html/document";
import { pagesOf, textFile, type Site } from "../source/site";
import { wordsOf } from "../text/pseudoTexts";
import { legibilityOn, textStyleKey, textStyleOf, type Layouts, type TextStyle } from "../text/textStyles";
import { sizeIn, unitOf } from "../type/lengths";
import { nearestStep, onGrid } from "../type/scale";

export interface StyleRow extends TextStyle {
  key: string;
  /** Element and first class of its first place. */
  selector: string;
  /** 1 to 6 for headings, null otherwise. */
  level: number | null;
  /** Words of its first place. */
  text: string;
  /** Declarations that set a specimen as the text is set. */
  specimen: Specimen;
  /** The ink as it is declared, before it is painted over its ground. */
  color: string;
  range: [string, string] | null;
  verdict: Verdict;
  /** The worst of its places as readers with the other scheme have them; null where the site has one scheme. */
  inOther: { scheme: Scheme; ratio: number; verdict: Verdict } | null;
  pages: string[];
  /** Characters of the longest line of all its places, as far as they have been laid out; null before. */
  longest: number | null;
  /** The rule or style attribute that sets its size, and the size as written; null where the browser does. */
  sizeFrom: { target: Target; written: string; inherited: boolean } | null;
  /** Whether the site sets anything of how it is set: its stack, size, weight or leading. */
  ownType: boolean;
  parentPx: number;
  rootPx: number;
  /** The key of a style so alike that one would do. */
  twin: string | null;
}

/** Largest first. */
export function textStyleTable(site: Site, conditions: Conditions, layouts: Layouts = {}): StyleRow[] {
  const [, other] = schemesOf(site, conditions);
  const pages = pagesOf(site).map((file) => styledPage(site, file, conditions));
  const rows = gatherTexts<StyleRow>(
    pages,
    textStyleKey,
    (style, page) => rowFor(page, style, layouts),
    (row, style, page) => {
      if (!row.pages.includes(page.file.path)) row.pages.push(page.file.path);
      const { ratio, verdict } = legibilityOn(page, style, layouts);
      const longest = layouts[page.file.path]?.[style.element.index]?.longest;
      if (longest != null) row.longest = Math.max(row.longest ?? 0, longest);
      if (ratio < row.ratio) [row.ratio, row.verdict] = [ratio, verdict];
      if (other) row.inOther = worseIn(site, page, style, { ...conditions, scheme: other }, row.inOther);
    },
  ).sort(inTable);
  for (const [row, twin] of twinStyles(rows)) row.twin = twin.key;
  return rows;
}

/** How a text is read under other conditions, or another of its style, where that is read worse. */
function worseIn(
  site: Site,
  { file }: StyledPage,
  { element, pseudo }: Style,
  conditions: Conditions,
  known: StyleRow["inOther"],
): StyleRow["inOther"] {
  const then = styledPage(site, file, conditions);
  const style = styleAt(then, { index: element.index, ...(pseudo === null ? {} : { pseudo }) });
  if (!style) return known;
  const { ratio, verdict } = legibilityOn(then, style, {});
  if (verdict === "unjudged" || (known && known.ratio <= ratio)) return known;
  return { scheme: conditions.scheme, ratio, verdict };
}

/** Largest first. */
export const inTable = (a: StyleRow, b: StyleRow): number =>
  b.sizePx - a.sizePx || b.weight - a.weight || b.places.length - a.places.length;

/** A text style as the table has it, with no places yet. */
export function rowFor(page: StyledPage, style: Style, layouts: Layouts): StyleRow {
  const { element } = style;
  const { ground, verdict } = legibilityOn(page, style, layouts);
  const base = textStyleOf(page, style, layouts);
  return {
    ...base,
    key: textStyleKey(style),
    selector: plainSelector(element),
    level: /^h[1-6]$/.test(element.tag) ? Number(element.tag[1]) : null,
    text: wordsOf(page, style).slice(0, 200),
    specimen: specimenOf(style, ["text-align", "text-indent"]),
    color: cssColor(inkOf(style)),
    range: ground.range ? [cssColor(ground.range[0]), cssColor(ground.range[1])] : null,
    verdict,
    inOther: null,
    pages: [],
    longest: null,
    sizeFrom: sizeSource(page, style),
    ownType: typeLonghands.some((name) => setting(style, name)?.winner.block.origin === "author"),
    parentPx: style.parent ? fontSizeOf(style.parent) : base.sizePx,
    rootPx: fontSizeOf(rootOf(style)),
    twin: null,
  };
}

const typeLonghands = ["font-family", "font-size", "font-weight", "line-height"];

/** What a value that is inherited comes from: the style itself, or the nearest around it that has a declaration. */
function setting(style: Style, property: string) {
  for (let holder: Style | null = style; holder; holder = holder.parent) {
    const winner = holder.shared.winners.get(property);
    if (winner) return { holder, winner };
  }
  return null;
}

/** Where the declaration stands that a style's size comes from, its own or an ancestor's. */
function sizeSource(page: StyledPage, style: Style): StyleRow["sizeFrom"] {
  const { holder, winner } = setting(style, "font-size") ?? {};
  if (!holder || winner?.block.origin !== "author") return null;
  const inherited = holder !== style;
  const written = computedValue(style, "font-size");
  if (winner.block.attached)
    return {
      target: { kind: "style-attribute", element: { page: page.file.path, index: holder.element.index } },
      written: winner.declaration.valueText,
      inherited,
    };
  const spot = spotOf(page, holder.element, winner.block, winner.declaration);
  if (!spot || spot.rule === null) return null;
  const own =
    winner.declaration.property === "font-size"
      ? winner.declaration.valueText
      : (/(?:^|\s)([\d.]+(?:px|rem|em|%|pt|vw))(?=[\s/]|$)/i.exec(winner.declaration.valueText)?.[1] ?? written);
  return { target: { kind: "rule", path: spot.path, start: spot.rule }, written: own, inherited };
}

/** Sizes nearer than this, by proportion, are hard to tell apart. */
const twinSize = 0.06;
const twinLeading = 0.08;
const twinInk = 0.02;

/** What has to be the same, and what nearly, for two styles to be twins. */
interface Looks {
  same: string;
  size: number;
  leading: number;
  ink: Color | null;
}

const looksOf = ({ stack, weight, ground, specimen, sizePx, leading, ink }: StyleRow): Looks => ({
  same: [stack, weight, ground, ...specimen.filter(([name]) => /style|caps|transform|decoration-line/.test(name))].join(
    "|",
  ),
  size: sizePx,
  leading: leading ?? 1.2,
  ink: parseColor(ink),
});

/** Text styles, largest first, each with the first before it that is so alike that one would do. */
export function twinStyles<Row extends StyleRow>(rows: readonly Row[]): [Row, Row][] {
  const looks = rows.map(looksOf);
  const twins: [Row, Row][] = [];
  let first = 0;
  for (const [at, own] of looks.entries()) {
    while (Math.log(looks[first]!.size / own.size) >= twinSize) first += 1;
    let twin = first;
    while (twin < at && !areTwins(looks[twin]!, own)) twin += 1;
    if (twin < at) twins.push([rows[at]!, rows[twin]!]);
  }
  return twins;
}

function areTwins(a: Looks, b: Looks): boolean {
  return (
    a.same === b.same &&
    Math.abs(a.leading - b.leading) < twinLeading &&
    a.ink !== null &&
    b.ink !== null &&
    differenceOk(a.ink, b.ink) < twinInk
  );
}

/** Headings of a lower level that are set larger than one above it. */
export function contradictions(
  rows: readonly StyleRow[],
): { level: number; px: number; above: number; abovePx: number }[] {
  const largest = new Map<number, number>();
  const smallest = new Map<number, number>();
  for (const { level, sizePx } of rows) {
    if (level === null) continue;
    largest.set(level, Math.max(largest.get(level) ?? 0, sizePx));
    smallest.set(level, Math.min(smallest.get(level) ?? Infinity, sizePx));
  }
  return [...largest]
    .flatMap(([level, px]) => {
      const above = [...smallest].filter(([other, size]) => other < level && size < px).sort((a, b) => b[0] - a[0])[0];
      return above ? [{ level, px, above: above[0], abovePx: above[1] }] : [];
    })
    .sort((a, b) => a.level - b.level);
}

/** A style moved onto a scale or a grid. */
export interface Snapped {
  sizePx: number;
  /** Ratio to the size; null for `normal`. */
  leading: number | null;
}

/** A size goes to the nearest step, if a rule of the site sets it; leading to the nearest line of a grid of px, if there is one. Null where both stay. */
export function snapped(
  { sizePx, leading, sizeFrom }: Pick<StyleRow, "sizePx" | "leading" | "sizeFrom">,
  steps: readonly number[],
  grid: number | null,
): Snapped | null {
  const step = sizeFrom ? nearestStep(sizePx, steps) : null;
  const size = step === null || Math.abs(step - sizePx) < 0.005 ? sizePx : step;
  const lined = leading === null || grid === null ? leading : onGrid(leading * size, grid) / size;
  const moves = lined !== null && Math.abs(lined - leading!) * size >= 0.05;
  return size === sizePx && !moves ? null : { sizePx: size, leading: moves ? lined : leading };
}

/** The edit that gives a style another size, in the unit it is written in; null where no rule of the site sets it. */
export function resize({ sizeFrom, parentPx, rootPx }: StyleRow, px: number, width: number): Edit | null {
  if (!sizeFrom) return null;
  const unit = unitOf(sizeFrom.written) ?? "px";
  // What an ancestor sets in em refers to another parent than the text's own.
  const safe = sizeFrom.inherited && (unit === "em" || unit === "%") ? "rem" : unit;
  return {
    kind: "declare",
    target: sizeFrom.target,
    property: "font-size",
    value: sizeIn(px, safe, { parent: parentPx, root: rootPx, width }),
  };
}

/** The size of a text at several widths of the window, px. */
export function sizesAt(site: Site, ref: ElementRef, widths: readonly number[], conditions: Conditions): number[] {
  const file = textFile(site, ref.page);
  if (file?.kind !== "html") return [];
  return widths.map((width) => {
    const style = styledPage(site, file, { ...conditions, width }).styles[ref.index];
    return style ? fontSizeOf(style) : 0;
  });
}
