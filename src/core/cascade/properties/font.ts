/** Fonts (CSS Fonts 4). */
import { isReserved } from "../wide";
import { table } from "../../source/table";
import { isKeyword, soleKeyword, splitAt, type Component } from "../../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../../source/css/math";
import {
  byTag,
  computeLength,
  inLayout,
  isLength,
  keywords,
  serialiseNumber,
  serialisePx,
  isNumber,
  numberOf,
  wordLonghand,
} from "./kinds";
import type { Longhand } from "./types";

/** One member of a font stack. */
export interface FamilyName {
  name: string;
  generic: boolean;
}

export const genericFamilies: ReadonlySet<string> = new Set([
  "serif",
  "sans-serif",
  "monospace",
  "cursive",
  "fantasy",
  "system-ui",
  "math",
  "ui-serif",
  "ui-sans-serif",
  "ui-monospace",
  "ui-rounded",
  "-webkit-body",
]);

/** The members of a font stack; null when it is not valid (CSS Fonts 4, 2.1). */
export function parseFamilies(value: readonly Component[]): FamilyName[] | null {
  const families: FamilyName[] = [];
  for (const part of splitAt(value, ",")) {
    const [first] = part;
    if (!first) return null;
    if (first.type === "string") {
      if (part.length > 1) return null;
      families.push({ name: first.value, generic: false });
      continue;
    }
    if (part.some((one) => one.type !== "ident")) return null;
    const words = part.map((one) => (one as { name: string }).name);
    const [word = ""] = words;
    const lower = word.toLowerCase();
    const generic = genericFamilies.has(lower);
    if (words.length === 1) {
      if (isReserved(lower)) return null;
      families.push({ name: generic ? lower : word, generic });
    } else {
      // What begins with a generic family that browsers have is no name.
      if (generic && !lower.startsWith("ui-")) return null;
      families.push({ name: words.join(" "), generic: false });
    }
  }
  return families;
}

/** A family as browsers write it (CSSOM, 6.7.2). */
export function serialiseFamily({ name, generic }: FamilyName): string {
  if (generic) return name;
  const plain =
    /^-?[a-z_\u0080-\uffff][-\w\u0080-\uffff]*$/i.test(name) &&
    !genericFamilies.has(name.toLowerCase()) &&
    !isReserved(name.toLowerCase());
  return plain ? name : `"${name.replace(/["\\]/g, "\\$&")}"`;
}

const fontFamily: Longhand<FamilyName[], FamilyName[]> = {
  name: "font-family",
  inherited: true,
  initial: '"Times New Roman"',
  parse: parseFamilies,
  compute: (value) => value,
  serialise: (value) => value.map(serialiseFamily).join(", "),
};

/** Sizes of the keywords at a default of 16 px (CSS Fonts 4, 2.5.1), and at 13 px for monospace alone. */
export const sizeKeywords: readonly string[] = [
  "xx-small",
  "x-small",
  "small",
  "medium",
  "large",
  "x-large",
  "xx-large",
  "xxx-large",
];
const sizes16 = [9, 10, 13, 16, 18, 24, 32, 48];
const sizes13 = [9, 10, 12, 13, 16, 20, 26, 39];
/** In quirks mode the steps for monospace alone are others. */
const sizes13Quirks = [9, 9, 10, 13, 16, 20, 26, 40];
const scales = [0.6, 0.75, 8 / 9, 1, 1.2, 1.5, 2, 3];

/** A size with what a change to or from monospace looks at: its keyword, and whether it was given in absolute units. */
export interface FontSize {
  px: number;
  keyword: number | null;
  absolute: boolean;
}

const defaultMonospace = 13 / 16;
/** Browsers set nothing larger, in px. */
const largestSize = 10_000;

/**
 * The size after a turn to or from monospace alone, which browsers set at 13 px where other text has 16:
 * sizes that go back to absolute units stay.
 */
export function fitMonospace(
  size: FontSize,
  own: boolean,
  parent: boolean,
  defaultSize: number,
  quirks: boolean,
): FontSize {
  if (own === parent || size.absolute) return size;
  if (size.keyword !== null) return { ...size, px: keywordSize(size.keyword, own, defaultSize, quirks) };
  return { ...size, px: own ? size.px * defaultMonospace : size.px / defaultMonospace };
}

/**
 * What a keyword for a size comes to, CSS px (CSS Fonts 4, 2.5).
 * @param index from `xx-small`
 * @param rootSize the reader's default
 */
export function keywordSize(index: number, monospace: boolean, rootSize: number, quirks: boolean): number {
  const base = monospace ? (rootSize * 13) / 16 : rootSize;
  if (base === 16) return sizes16[index]!;
  if (base === 13) return (quirks ? sizes13Quirks : sizes13)[index]!;
  return base * scales[index]!;
}

/** Whether a stack is the generic monospace and nothing else, which browsers set smaller. */
export function isMonospaceAlone(families: readonly FamilyName[]): boolean {
  return families.length === 1 && families[0]!.generic && families[0]!.name === "monospace";
}

/** Sizes that follow the reader's are not set smaller than this, px (Chromium's smallest logical size). */
const smallestRelative = 6;

/** Smaller than this is nothing (what single precision tells from 0 beside 1). */
const nothing = 2 ** -23;

/** The size letters come out in; units and descendants follow the size before. @param zoom of all around them */
export function usedSize({ px, absolute }: Pick<FontSize, "px" | "absolute">, zoom: number): number {
  if (px < nothing) return 0;
  return Math.min(largestSize / zoom, absolute ? px : Math.max(smallestRelative, px));
}

const sizeRules = { percent: true, negative: false };

/** Units that follow the parent's font. */
const ofElement = new Set(["em", "ex", "ch", "cap", "ic", "lh"]);

const fontSize: Longhand<Component, FontSize> = {
  name: "font-size",
  inherited: true,
  initial: "medium",
  parse: ([only, more]) => (!more && only && isFontSize(only) ? only : null),
  compute: (value, context) => {
    const own = isMonospaceAlone(context.own("font-family"));
    const parent = context.hasParent && isMonospaceAlone(context.parent("font-family"));
    const parentSize = context.hasParent ? context.parent("font-size") : null;
    const absolute = parentSize?.absolute ?? false;
    const fitted = (size: FontSize) => fitMonospace(size, own, parent, context.defaultSize, context.quirks);
    if (value.type === "ident") {
      const word = value.name.toLowerCase();
      const keyword = word === "-webkit-xxx-large" ? 7 : sizeKeywords.indexOf(word);
      if (keyword >= 0)
        return { px: keywordSize(keyword, own, context.defaultSize, context.quirks), keyword, absolute: false };
      const px =
        word === "math" ? context.parentFontSize : context.parentFontSize * (word === "larger" ? 1.2 : 1 / 1.2);
      return fitted({ px, keyword: null, absolute });
    }
    const { px } = computeLength(value, context, sizeRules, context.parentFontSize);
    const relative = value.type === "percentage" || (value.type === "dimension" && ofElement.has(value.unit));
    return fitted({
      px: Math.min(largestSize, Math.max(0, px)),
      keyword: null,
      absolute: absolute || !relative,
    });
  },
  serialise: (value, { zoom }) => serialisePx(usedSize(value, zoom)),
};

/** Whether a component is a size of letters (CSS Fonts 4, 2.5). */
export function isFontSize(component: Component): boolean {
  if (component.type === "ident")
    return [...sizeKeywords, "larger", "smaller", "math", "-webkit-xxx-large"].includes(component.name.toLowerCase());
  return isLength(component, sizeRules, absoluteUnit);
}

/** What a weight under another comes to; one beyond them all stays, as does the thinnest (CSS Fonts 4, 2.2.1). */
const weightSteps: Readonly<Record<"bolder" | "lighter", readonly (readonly [under: number, to: number | null])[]>> = {
  bolder: [
    [350, 400],
    [550, 700],
    [900, 900],
  ],
  lighter: [
    [100, null],
    [550, 100],
    [750, 400],
    [Infinity, 700],
  ],
};

/** Weights, widths and slants of fonts are kept in quarters, what is beyond them cut off. */
const inQuarters = (value: number): number => Math.trunc(value * 4) / 4;

const fontWeight: Longhand<Component | number | "bolder" | "lighter", number> = {
  name: "font-weight",
  inherited: true,
  initial: "400",
  parse: ([only, more]) => {
    if (more || !only) return null;
    if (only.type === "ident") {
      const word = only.name.toLowerCase();
      if (word === "bolder" || word === "lighter") return word;
      if (word === "normal") return 400;
      return word === "bold" ? 700 : null;
    }
    if (isMath(only)) return isNumber(only) ? only : null;
    const weight = numberOf(only);
    return weight !== null && weight >= 1 && weight <= 1000 ? inQuarters(weight) : null;
  },
  compute: (value, context) => {
    if (typeof value === "number") return value;
    if (typeof value === "object") return inQuarters(Math.min(1000, Math.max(1, numberOf(value, context.unit) ?? 400)));
    const from = context.hasParent ? context.parent("font-weight") : 400;
    return weightSteps[value].find(([under]) => from < under)?.[1] ?? from;
  },
  serialise: serialiseNumber,
};

const fontStyle = wordLonghand("font-style", true, "normal", ([first, second, more]) => {
  if (more || first?.type !== "ident") return null;
  const word = first.name.toLowerCase();
  if (!second) return ["normal", "italic", "oblique"].includes(word) ? word : null;
  if (word !== "oblique") return null;
  const angle = second.type === "block" ? null : evaluateMath(second, { unit: absoluteUnit, percentAs: null });
  if (!angle || (measureOf(angle) !== "angle" && !(second.type === "number" && second.value === 0))) return null;
  if (Math.abs(angle.value) > 90 && !isMath(second)) return null;
  const slant = inQuarters(Math.min(90, Math.max(-90, angle.value)));
  if (slant === 14) return "oblique";
  return slant === 0 ? "normal" : `oblique ${serialiseNumber(slant)}deg`;
});

export const stretchKeywords: Readonly<Record<string, number>> = table({
  "ultra-condensed": 50,
  "extra-condensed": 62.5,
  condensed: 75,
  "semi-condensed": 87.5,
  normal: 100,
  "semi-expanded": 112.5,
  expanded: 125,
  "extra-expanded": 150,
  "ultra-expanded": 200,
});

const fontStretch: Longhand<number, number> = {
  name: "font-stretch",
  inherited: true,
  initial: "normal",
  parse: ([only, more]) => {
    if (more || !only) return null;
    if (only.type === "ident") return stretchKeywords[only.name.toLowerCase()] ?? null;
    if (only.type === "percentage") return only.value >= 0 ? inQuarters(only.value) : null;
    const share = isMath(only) ? evaluateMath(only, { unit: absoluteUnit, percentAs: null }) : null;
    return share && measureOf(share) === "percent" ? inQuarters(Math.max(0, share.value)) : null;
  },
  compute: (value) => value,
  serialise: (value) => `${serialiseNumber(value)}%`,
};

/** What letters are measured by, and the unit that tells it (CSS Fonts 5, 2.4). */
const adjustMetrics: Readonly<Record<string, string>> = table({
  "ex-height": "ex",
  "cap-height": "cap",
  "ch-width": "ch",
  "ic-width": "ic",
  "ic-height": "ic",
});

/** A metric, and how it stands to the size; null as the first font has it. */
interface SizeAdjust {
  metric: string;
  share: number | null;
}

const fontSizeAdjust: Longhand<SizeAdjust, SizeAdjust> = {
  name: "font-size-adjust",
  inherited: true,
  initial: "none",
  parse: (value) => {
    if (soleKeyword(value) === "none") return { metric: "none", share: 0 };
    const [first, ...rest] = value;
    const named = first?.type === "ident" && first.name.toLowerCase() in adjustMetrics;
    const metric = named ? first.name.toLowerCase() : "ex-height";
    const [only, more] = named ? rest : value;
    if (!only || more) return null;
    if (isKeyword(only, "from-font")) return { metric, share: null };
    const share = numberOf(only);
    return share === null || (share < 0 && !isMath(only)) ? null : { metric, share: Math.max(0, share) };
  },
  compute: (value, context) => {
    if (value.share !== null) return value;
    const unit = adjustMetrics[value.metric]!;
    return { ...value, share: context.unit(1, unit)!.value / context.usedFontSize };
  },
  serialise: ({ metric, share }) => {
    if (metric === "none") return metric;
    return metric === "ex-height" ? serialiseNumber(share!) : `${metric} ${serialiseNumber(share!)}`;
  },
};

/** Line height: a number multiplies each descendant's own size, a length is inherited as it is (CSS Inline 3, 4.2). */
export type LineHeight = { kind: "normal" } | { kind: "number"; value: number } | { kind: "px"; value: number };

const leadingRules = { percent: true, negative: false };

/** Whether a component is a line height (CSS Inline 3, 5.1). */
export function isLineHeight(component: Component): boolean {
  if (isKeyword(component, "normal")) return true;
  if (component.type === "number") return component.value >= 0;
  return isLength(component, leadingRules, absoluteUnit) || isNumber(component);
}

const lineHeight: Longhand<Component, LineHeight> = {
  name: "line-height",
  inherited: true,
  initial: "normal",
  parse: ([only, more]) => (!more && only && isLineHeight(only) ? only : null),
  compute: (value, context) => {
    if (value.type === "ident") return { kind: "normal" };
    const number = numberOf(value, context.unit);
    if (number !== null) return { kind: "number", value: Math.max(0, number) };
    const { px, percent, expression } = computeLength(value, context, leadingRules);
    if (expression === undefined && percent === 0) return { kind: "px", value: px };
    // Chromium takes whole percents where the value is nothing else, and sums with a percentage as it lays out.
    if (expression === undefined && px === 0)
      return { kind: "px", value: (Math.trunc(percent) * context.usedFontSize) / 100 };
    const size = inLayout(context.usedFontSize);
    return { kind: "px", value: inLayout(computeLength(value, context, leadingRules, size).px) };
  },
  serialise: (value, context) =>
    value.kind === "normal" ? "normal" : serialisePx(leadingPx(value, context.usedFontSize)!),
};

/** Line height in px; null for `normal`, which only the font knows. */
export function leadingPx(value: LineHeight, size: number): number | null {
  if (value.kind === "normal") return null;
  return value.kind === "number" ? value.value * size : value.value;
}

/** Axes of a variable font by their tags: of a tag given twice the last counts, and they are in order (CSS Fonts 4, 6.13). */
const fontVariations: Longhand<readonly [tag: string, value: Component][], readonly [tag: string, value: number][]> = {
  name: "font-variation-settings",
  inherited: true,
  initial: "normal",
  parse: (value) => {
    if (soleKeyword(value) === "normal") return [];
    const axes: [string, Component][] = [];
    for (const [tag, amount, more] of splitAt(value, ",")) {
      if (more || tag?.type !== "string" || !amount || !isNumber(amount) || !/^[ -~]{4}$/.test(tag.value)) return null;
      axes.push([tag.value, amount]);
    }
    return axes;
  },
  compute: (value, context) => byTag(value.map(([tag, amount]) => [tag, numberOf(amount, context.unit) ?? 0])),
  serialise: (value) => value.map(([tag, amount]) => `"${tag}" ${serialiseNumber(amount)}`).join(", ") || "normal",
};

/** Keywords of `font-variant-caps` besides `normal`. */
export const capsKeywords = "small-caps all-small-caps petite-caps all-petite-caps unicase titling-caps";

/** In the order in which they are computed: the size needs the family, line height the size. */
export const fontLonghands: readonly Longhand<never, never>[] = [
  fontFamily,
  fontSize,
  fontWeight,
  fontStyle,
  fontStretch,
  keywords("font-variant-caps", true, "normal", capsKeywords),
  fontSizeAdjust,
  fontVariations,
  lineHeight,
  keywords("font-kerning", true, "auto", "normal none"),
  keywords("font-optical-sizing", true, "auto", "none"),
  keywords("font-variant-position", true, "normal", "sub super"),
  keywords("font-synthesis-weight", true, "auto", "none"),
  keywords("font-synthesis-style", true, "auto", "none"),
  keywords("font-synthesis-small-caps", true, "auto", "none"),
] as unknown as Longhand<never, never>[];
