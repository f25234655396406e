/** The shapes most longhands share. */
import { colorFromComponent, inScheme, resolveColor, type ColorValue } from "../../color/value";
import { serialiseColor } from "../../color/format";
import { table } from "../../source/table";
import { soleKeyword, splitAt, type Component } from "../../source/css/components";
import {
  absoluteUnit,
  evaluateMath,
  isMath,
  isRelativeLength,
  measureOf,
  UnresolvedPercentage,
  type MathEnvironment,
  type Measure,
} from "../../source/css/math";
import type { ComputeContext, LengthPercentage, Longhand } from "./types";

/** Settings by their tag, each once, the last that is given: as features and axes are computed (CSS Fonts 4, 6.12 and 8.2). */
export const byTag = <Value>(settings: readonly (readonly [tag: string, value: Value])[]): [string, Value][] =>
  [...new Map(settings)].sort(([a], [b]) => Number(a > b) - Number(a < b));

/** The largest number in single precision. */
export const largestSingle = (2 - 2 ** -23) * 2 ** 127;

/** Numbers as browsers serialise them: six significant digits, of single precision. */
export function serialiseNumber(value: number): string {
  if (Number.isNaN(value)) return "NaN";
  const single = Math.fround(value);
  if (!Number.isFinite(single)) return value > 0 ? "infinity" : "-infinity";
  const rounded = sixDigits(single);
  const magnitude = Math.abs(rounded);
  if (magnitude !== 0 && (magnitude >= 1e6 || magnitude < 1e-4)) {
    const [mantissa, exponent] = rounded.toExponential().split("e") as [string, string];
    return `${mantissa}e${exponent[0]}${exponent.slice(1).padStart(2, "0")}`;
  }
  return Object.is(rounded, -0) ? "0" : String(rounded);
}

/**
 * Rounded to six significant digits; what lies half way goes to the even digit, as in C.
 * @param value of single precision
 */
function sixDigits(value: number): number {
  // Most have two decimals at the most, which are as many digits.
  const short = Math.round(value * 100) / 100;
  if (Math.abs(value) < 10_000 && Math.fround(short) === value) return short;
  const up = Number(value.toPrecision(6));
  if (!/500(?:e.*)?$/.test(value.toPrecision(9))) return up;
  const [digits, exponent] = value.toExponential(40).replace("-", "").split("e") as [string, string];
  if (!/^\d\.\d{5}50*$/.test(digits) || Number(digits[6]) % 2 === 1) return up;
  return Math.sign(value) * Number(`${digits.slice(0, 7)}e${exponent}`);
}

/** A length in px as browsers write it. */
export const serialisePx = (value: number) =>
  `${serialiseNumber(Math.min(largestSingle, Math.max(-largestSingle, value)))}px`;

/** A number, written or reckoned; null for anything else. @param unit of an element, where lengths may go by its font */
export function numberOf(
  component: Component | undefined,
  unit: MathEnvironment["unit"] = absoluteUnit,
): number | null {
  if (component?.type === "number") return component.value;
  if (!isMath(component)) return null;
  const quantity = evaluateMath(component, { unit, percentAs: null });
  return quantity && measureOf(quantity) === "number" ? quantity.value : null;
}

/** Whether a component is a number, whatever lengths come to (CSS Values 4, 10.9: they may be divided by each other). */
export const isNumber = (component: Component | undefined): boolean => numberOf(component, anyUnit) !== null;

/** A longhand whose value is the text it is read as, on every element. */
export function wordLonghand(
  name: string,
  inherited: boolean,
  initial: string,
  parse: Longhand<string, string>["parse"],
): Longhand<string, string> {
  return { name, inherited, initial, parse, compute: (value) => value, serialise: (value) => value };
}

/** A longhand of keywords. @param initial one of them @param others the others, parted by blanks */
export function keywords(name: string, inherited: boolean, initial: string, others: string): Longhand<string, string> {
  const known = new Set([initial, ...others.split(" ")]);
  return wordLonghand(name, inherited, initial, (value) => {
    const word = soleKeyword(value);
    return word !== null && known.has(word) ? word : null;
  });
}

/** The same longhand of keywords, some of which have older names. */
export function withOlderNames(
  longhand: Longhand<string, string>,
  older: Readonly<Record<string, string>>,
): Longhand<string, string> {
  const names = table(older);
  return { ...longhand, parse: (value) => longhand.parse(value) ?? names[soleKeyword(value) ?? ""] ?? null };
}

/** Enough of an environment to tell whether an expression is valid. */
const checking = (absolute: AbsoluteUnits, percent: boolean): MathEnvironment => ({
  unit: (value, unit) => (isRelativeLength(unit) ? { value, measure: "length" } : absolute(value, unit)),
  percentAs: percent ? "length" : null,
});

/** Units where only their measure is asked for, of no element: lengths that go by one count as they are written. */
export const anyUnit = checking(absoluteUnit, false).unit;

export interface LengthRules {
  percent: boolean;
  negative: boolean;
  /** Whether a bare number counts as pixels in quirks mode; kept for the style's own check. */
  unitless?: boolean;
}

/** Whether a component is a length (or percentage) the rules allow. */
export function isLength(component: Component | undefined, rules: LengthRules, absolute: AbsoluteUnits): boolean {
  if (!component) return false;
  switch (component.type) {
    case "number":
      return component.value === 0;
    case "percentage":
      return rules.percent && (rules.negative || component.value >= 0);
    case "dimension":
      if (!rules.negative && component.value < 0) return false;
      return isRelativeLength(component.unit) || absolute(component.value, component.unit)?.measure === "length";
    case "function":
      if (!isMath(component)) return false;
      try {
        const quantity = evaluateMath(component, checking(absolute, rules.percent));
        return quantity !== null && measureOf(quantity) === "length";
      } catch (error) {
        if (error instanceof UnresolvedPercentage) return rules.percent;
        throw error;
      }
    default:
      return false;
  }
}

export type AbsoluteUnits = (value: number, unit: string) => { value: number; measure: Measure } | null;

/** The computed value of a component that `isLength` has let through. */
export function computeLength(
  component: Component,
  context: Pick<ComputeContext, "unit">,
  rules: LengthRules,
  percentBase?: number,
): LengthPercentage {
  if (component.type === "percentage" && percentBase === undefined)
    return component.value === 0 ? { px: 0, percent: 0, isPercentage: true } : { px: 0, percent: component.value };
  try {
    const quantity = evaluateMath(component, {
      unit: context.unit,
      percentAs: rules.percent ? "length" : null,
      percentBase,
    });
    if (!quantity) return { px: 0, percent: 0 };
    const clampAt = (value: number) =>
      rules.negative || !isMath(component) || quantity.percent !== 0 ? value : Math.max(0, value);
    return {
      px: clampAt(finite(quantity.value)),
      percent: rules.negative || quantity.value !== 0 ? quantity.percent : Math.max(0, quantity.percent),
    };
  } catch (error) {
    if (error instanceof UnresolvedPercentage)
      return { px: 0, percent: 0, expression: serialiseExpression(component, context) };
    throw error;
  }
}

/** Chromium lays out in 64ths of a pixel. */
export const inLayout = (px: number): number => Math.floor(Math.fround(px) * 64) / 64;

const largest = 33554432;
const finite = (value: number) => Math.max(-largest, Math.min(largest, value));

/** A length, a percentage, or a sum of both, as browsers write it (CSS Values 4, 10.13). */
export function serialiseLengthPercentage({ px, percent, expression, isPercentage }: LengthPercentage): string {
  if (expression !== undefined) return expression;
  if (percent === 0) return isPercentage ? "0%" : serialisePx(px);
  if (px === 0) return `${serialiseNumber(percent)}%`;
  return `calc(${serialiseNumber(percent)}% ${px < 0 ? "-" : "+"} ${serialisePx(Math.abs(px))})`;
}

/** A math function with its lengths in px and its percentages left (CSS Values 4, 10.13). */
function serialiseExpression(component: Component, context: Pick<ComputeContext, "unit">): string {
  switch (component.type) {
    case "dimension": {
      const known = context.unit(component.value, component.unit);
      return known ? serialisePx(known.value) : "0px";
    }
    case "percentage":
      return `${serialiseNumber(component.value)}%`;
    case "number":
      return serialiseNumber(component.value);
    case "ident":
      return component.name.toLowerCase();
    case "delim":
      return component.value;
    case "block":
    case "function": {
      const inner = component.args.map((arg) => ({ arg, text: serialiseExpression(arg, context) }));
      let text = "";
      for (const { arg, text: one } of inner) {
        const isComma = arg.type === "delim" && arg.value === ",";
        text += isComma ? ", " : `${text === "" || text.endsWith(", ") ? "" : " "}${one}`;
      }
      return component.type === "function" ? `${component.name}(${text})` : `(${text})`;
    }
    default:
      return "";
  }
}

/** A longhand that holds one colour. */
export function colorLonghand(name: string, initial: string): Longhand<ColorValue, ColorValue> {
  return {
    name,
    inherited: false,
    initial,
    parse: (value) => (value.length === 1 ? colorFromComponent(value[0]!) : null),
    compute: (value, { scheme }) => inScheme(value, scheme),
    serialise: (value, context) =>
      serialiseColor(resolveColor(value, { current: context.color, scheme: context.scheme })),
  };
}

/** A word in lower case; empty for anything else. */
export const wordOf = (part: Component | undefined) => (part?.type === "ident" ? part.name.toLowerCase() : "");

/** One word alone, or at most one word of each group in any order; written in the order of the groups. */
export function severalWords(
  name: string,
  inherited: boolean,
  initial: string,
  alone: string,
  groups: readonly string[],
): Longhand<string, string> {
  const single = new Set([initial, ...alone.split(" ")]);
  const kinds = groups.map((group) => group.split(" "));
  return wordLonghand(name, inherited, initial, (value) => {
    const only = soleKeyword(value);
    if (only && single.has(only)) return only;
    const words = value.map(wordOf);
    const kept = kinds.flatMap((group) => words.filter((word) => group.includes(word)));
    const isEachOnce = kinds.every((group) => words.filter((word) => group.includes(word)).length <= 1);
    return kept.length === words.length && kept.length > 0 && isEachOnce ? kept.join(" ") : null;
  });
}

/** A word, or one length or percentage. */
export function lengthOr(
  name: string,
  inherited: boolean,
  initial: string,
  words: string,
  rules: LengthRules,
): Longhand<Component, LengthPercentage | string> {
  const known = new Set(words.split(" "));
  return {
    name,
    inherited,
    initial,
    parse: ([only, more]) => {
      if (more || !only) return null;
      if (only.type === "ident") return known.has(only.name.toLowerCase()) ? only : null;
      return isLength(only, rules, absoluteUnit) ? only : null;
    },
    compute: (value, context) =>
      value.type === "ident" ? value.name.toLowerCase() : computeLength(value, context, rules),
    serialise: (value) => (typeof value === "string" ? value : serialiseLengthPercentage(value)),
  };
}

/** A colour, or a word that stands for none. */
export function colorOr(
  name: string,
  inherited: boolean,
  initial: string,
  word: string,
): Longhand<ColorValue | string, ColorValue | string> {
  const plain = colorLonghand(name, initial);
  return {
    ...plain,
    inherited,
    parse: (value) => (soleKeyword(value) === word ? word : plain.parse(value)),
    compute: (value, context) => (typeof value === "string" ? value : plain.compute(value, context)),
    serialise: (value, context) => (typeof value === "string" ? value : plain.serialise(value, context)),
  };
}

/** Strings as browsers write them back (CSSOM, 2.1). */
export function serialiseString(text: string): string {
  return `"${text.replace(/["\\]/g, "\\$&").replace(/[\u0001-\u001f\u007f]/g, (one) => `\\${one.charCodeAt(0).toString(16)} `)}"`;
}

/** A list of layers parted by commas, each read alone. */
export function layersOf<Layer>(
  value: readonly Component[],
  read: (layer: readonly Component[]) => Layer | null,
): Layer[] | null {
  const layers = splitAt(value, ",").map(read);
  return layers.includes(null) ? null : (layers as Layer[]);
}
