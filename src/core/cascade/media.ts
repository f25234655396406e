/** Media queries (Media Queries 4 and 5). */
import { table } from "../source/table";
import { componentsOf, isDelim, isKeyword, splitAt, type Component } from "../source/css/components";
import { absoluteUnit, evaluateMath, measureOf } from "../source/css/math";
import type { Conditions } from "./conditions";

/** Kleene's logic (Media Queries 4, 3.1): a feature nobody knows is neither true nor false. */
export type Truth = boolean | "unknown";

const not = (value: Truth): Truth => (value === "unknown" ? value : !value);
const and = (values: Truth[]): Truth => firstOf(values, [false, "unknown"]) ?? true;
const or = (values: Truth[]): Truth => firstOf(values, [true, "unknown"]) ?? false;
/** The first of what decides that is among the values. */
const firstOf = (values: Truth[], deciding: Truth[]): Truth | undefined => deciding.find((one) => values.includes(one));

/** Whether a media query list holds; an empty one does. */
export function matchesMedia(text: string, conditions: Conditions): boolean {
  const components = componentsOf(text);
  if (components.length === 0) return true;
  return splitAt(components, ",").some((query) => evaluateQuery(query, conditions) === true);
}

function evaluateQuery(query: readonly Component[], conditions: Conditions): Truth {
  let at = 0;
  const first = query[0];
  const second = query[1];
  let negated = false;
  if (first?.type === "ident" && (isKeyword(first, "not") || isKeyword(first, "only")) && second?.type === "ident") {
    negated = isKeyword(first, "not");
    at = 1;
  }
  const type = query[at];
  if (type?.type !== "ident" || isKeyword(type, "not")) {
    return evaluateCondition(query, (component) => evaluateInParens(component, conditions)) ?? "unknown";
  }
  const name = type.name.toLowerCase();
  if (["and", "or", "not", "only", "layer"].includes(name)) return false;
  let result: Truth = name === "all" || name === conditions.medium;
  const rest = query.slice(at + 1);
  if (rest.length > 0) {
    if (!isKeyword(rest[0], "and") || rest.length < 2 || rest.some((part) => isKeyword(part, "or"))) return false;
    const condition = evaluateCondition(rest.slice(1), (component) => evaluateInParens(component, conditions));
    if (condition === null) return false;
    result = and([result, condition]);
  }
  return negated ? not(result) : result;
}

/**
 * `not X`, `X and Y …`, `X or Y …` over parts in parentheses; null when the words do not form a condition.
 * Used by media, supports and container conditions alike.
 */
export function evaluateCondition(
  parts: readonly Component[],
  inParens: (component: Component) => Truth,
): Truth | null {
  if (isKeyword(parts[0], "not")) return parts.length === 2 ? not(inParens(parts[1]!)) : null;
  if (parts.length === 0 || parts.length % 2 === 0) return null;
  if (parts[0]!.type === "ident") return null;
  const joiner = parts[1]?.type === "ident" ? parts[1].name.toLowerCase() : "and";
  if (joiner !== "and" && joiner !== "or") return null;
  const values: Truth[] = [];
  for (const [at, part] of parts.entries()) {
    if (at % 2 === 0) values.push(inParens(part));
    else if (!isKeyword(part, joiner)) return null;
  }
  return joiner === "and" ? and(values) : or(values);
}

function evaluateInParens(component: Component, conditions: Conditions): Truth {
  if (component.type !== "block" || component.open !== "(") return "unknown";
  const nested = component.args.some((arg) => arg.type === "block") || isKeyword(component.args[0], "not");
  if (nested) return evaluateCondition(component.args, (inner) => evaluateInParens(inner, conditions)) ?? "unknown";
  return evaluateFeature(component.args, conditions);
}

interface RangeFeature {
  kind: "length" | "ratio" | "resolution" | "integer";
  value(conditions: Conditions): number;
}

const rangeFeatures: Readonly<Record<string, RangeFeature>> = table({
  width: { kind: "length", value: ({ width }) => width },
  height: { kind: "length", value: ({ height }) => height },
  "device-width": { kind: "length", value: ({ width }) => width },
  "device-height": { kind: "length", value: ({ height }) => height },
  "aspect-ratio": { kind: "ratio", value: ({ width, height }) => width / height },
  "device-aspect-ratio": { kind: "ratio", value: ({ width, height }) => width / height },
  resolution: { kind: "resolution", value: ({ resolution }) => resolution },
  "-webkit-device-pixel-ratio": { kind: "integer", value: ({ resolution }) => resolution },
  color: { kind: "integer", value: () => 8 },
  "color-index": { kind: "integer", value: () => 0 },
  monochrome: { kind: "integer", value: () => 0 },
});

/** Features with words as values: those known, and the one that holds; "" where none does, null where browsers do not know it. */
const wordFeatures: Readonly<Record<string, { words: string; value(conditions: Conditions): string | null }>> = table({
  orientation: {
    words: "portrait landscape",
    value: ({ width, height }) => (height >= width ? "portrait" : "landscape"),
  },
  "prefers-color-scheme": { words: "light dark", value: ({ scheme }) => scheme },
  "prefers-reduced-motion": {
    words: "no-preference reduce",
    value: ({ reducedMotion }) => (reducedMotion ? "reduce" : "no-preference"),
  },
  "prefers-contrast": { words: "no-preference more less custom", value: ({ contrast }) => contrast },
  "prefers-reduced-data": { words: "no-preference reduce", value: () => null },
  "prefers-reduced-transparency": { words: "no-preference reduce", value: () => "no-preference" },
  "inverted-colors": { words: "none inverted", value: () => null },
  "forced-colors": { words: "none active", value: () => "none" },
  hover: { words: "none hover", value: () => "hover" },
  "any-hover": { words: "none hover", value: () => "hover" },
  pointer: { words: "none coarse fine", value: () => "fine" },
  "any-pointer": { words: "none coarse fine", value: () => "fine" },
  scripting: { words: "none initial-only enabled", value: () => "none" },
  update: { words: "none slow fast", value: ({ medium }) => (medium === "print" ? "none" : "fast") },
  "overflow-block": { words: "none scroll paged", value: ({ medium }) => (medium === "print" ? "paged" : "scroll") },
  "overflow-inline": { words: "none scroll", value: () => "scroll" },
  "display-mode": {
    words: "fullscreen standalone minimal-ui browser picture-in-picture window-controls-overlay",
    value: () => "browser",
  },
  scan: { words: "interlace progressive", value: () => "" },
  "color-gamut": { words: "srgb p3 rec2020", value: () => "srgb" },
  "dynamic-range": { words: "standard high", value: () => "standard" },
  "video-dynamic-range": { words: "standard high", value: () => null },
});

/** Names of features as they are written, each with the words it takes; those that take a measure have none. */
export const mediaFeatures: ReadonlyMap<string, readonly string[]> = new Map<string, readonly string[]>([
  ...Object.keys(rangeFeatures).flatMap((name) =>
    (name.startsWith("-") ? [name] : [`min-${name}`, `max-${name}`, name]).map((one) => [one, []] as const),
  ),
  ...Object.entries(wordFeatures).map(([name, { words }]) => [name, words.split(" ")] as const),
]);

/** Words that count as false when a feature is asked for without a value (Media Queries 4, 2.4.2). */
const absent = new Set(["", "none", "no-preference"]);

/** One feature, with or without a value, from the parts inside its parentheses. */
export function evaluateFeature(parts: readonly Component[], conditions: Conditions): Truth {
  const comparison = readRange(parts, conditions);
  if (comparison !== null) return comparison;
  const [nameText, valueText, more] = splitAt(parts, ":");
  const name = nameText?.length === 1 && nameText[0]!.type === "ident" ? nameText[0]!.name.toLowerCase() : "";
  if (!name || more) return "unknown";
  const words = wordFeatures[name];
  if (words) {
    const actual = words.value(conditions);
    if (actual === null) return "unknown";
    if (!valueText) return !absent.has(actual);
    const wanted = valueText.length === 1 && valueText[0]!.type === "ident" ? valueText[0]!.name.toLowerCase() : "";
    if (!words.words.split(" ").includes(wanted)) return "unknown";
    return wanted === actual || (name === "overflow-block" && wanted === "scroll" && actual === "scroll");
  }
  if (name === "grid" || name === "-webkit-transform-3d") {
    const actual = name === "grid" ? 0 : 1;
    return valueText ? valueText[0]?.type === "number" && valueText[0].value === actual : actual === 1;
  }
  const prefix = /^(-webkit-)?(min|max)-/.exec(name);
  const base = prefix ? (prefix[1] ?? "") + name.slice(prefix[0].length) : name;
  const feature = rangeFeatures[base];
  if (!feature) return "unknown";
  if (!valueText) return prefix ? "unknown" : feature.value(conditions) !== 0;
  const wanted = featureValue(valueText, feature.kind, conditions);
  if (wanted === null) return "unknown";
  const actual = feature.value(conditions);
  if (prefix?.[2] === "min") return actual >= wanted;
  if (prefix?.[2] === "max") return actual <= wanted;
  return Math.abs(actual - wanted) < 1e-6;
}

/** `(width >= 30em)`, `(20em < width <= 40em)`; null when there is no comparison sign. */
function readRange(parts: readonly Component[], conditions: Conditions): Truth | null {
  const pieces: Component[][] = [[]];
  const signs: string[] = [];
  for (let at = 0; at < parts.length; at += 1) {
    const part = parts[at]!;
    if (part.type === "delim" && "<>=".includes(part.value)) {
      const next = parts[at + 1];
      const paired = part.value !== "=" && isDelim(next, "=") && !next!.spaced;
      signs.push(paired ? `${part.value}=` : part.value);
      if (paired) at += 1;
      pieces.push([]);
    } else pieces[pieces.length - 1]!.push(part);
  }
  if (signs.length === 0) return null;
  const featureOf = (piece: readonly Component[]) =>
    piece.length === 1 && piece[0]!.type === "ident" ? rangeFeatures[piece[0]!.name.toLowerCase()] : undefined;
  const at = pieces.findIndex((piece) => featureOf(piece));
  const feature = at < 0 ? undefined : featureOf(pieces[at]!);
  if (!feature || signs.length > 2 || (signs.length === 2 && at !== 1)) return "unknown";
  if (signs.length === 2 && signs[0]![0] !== signs[1]![0]) return "unknown";
  const numbers = pieces.map((piece, index) =>
    index === at ? feature.value(conditions) : featureValue(piece, feature.kind, conditions),
  );
  if (numbers.includes(null)) return "unknown";
  return signs.every((sign, index) => compare(numbers[index]!, sign, numbers[index + 1]!));
}

function compare(a: number, sign: string, b: number): boolean {
  switch (sign) {
    case "<":
      return a < b;
    case "<=":
      return a <= b;
    case ">":
      return a > b;
    case ">=":
      return a >= b;
    default:
      return Math.abs(a - b) < 1e-6;
  }
}

function featureValue(parts: readonly Component[], kind: RangeFeature["kind"], conditions: Conditions): number | null {
  const unit = (value: number, name: string) => {
    // Lengths are relative to the reader's default size, not to the page's (Media Queries 4, 1.3).
    const em: Record<string, number> = {
      em: 1,
      rem: 1,
      ex: 0.5,
      ch: 0.5,
      rex: 0.5,
      rch: 0.5,
      ic: 1,
      lh: 1.2,
      rlh: 1.2,
    };
    if (name in em) return { value: value * em[name]! * conditions.rootSize, measure: "length" as const };
    if (name === "vw") return { value: (value * conditions.width) / 100, measure: "length" as const };
    if (name === "vh") return { value: (value * conditions.height) / 100, measure: "length" as const };
    return absoluteUnit(value, name);
  };
  const number = (part: Component | undefined) => {
    const quantity = part ? evaluateMath(part, { unit, percentAs: null }) : null;
    return quantity ? { value: quantity.value, measure: measureOf(quantity) } : null;
  };
  if (kind === "ratio") {
    const [over, under, more] = splitAt(parts, "/");
    const a = over?.length === 1 ? number(over[0]) : null;
    const b = under ? number(under[0]) : { value: 1, measure: "number" };
    const isPart = (one: typeof a | typeof b) => one?.measure === "number" && one.value >= 0;
    return !more && isPart(a) && isPart(b) ? a!.value / b!.value : null;
  }
  if (parts.length !== 1) return null;
  const only = number(parts[0]);
  if (!only) return null;
  if (kind === "length")
    return only.measure === "length" || (only.measure === "number" && only.value === 0) ? only.value : null;
  if (kind === "resolution") return only.measure === "resolution" && only.value >= 0 ? only.value : null;
  return only.measure === "number" ? only.value : null;
}
