/** Math functions (CSS Values 4, section 10), evaluated over component values. */
import { table } from "../table";
import { isDelim, splitAt, type Component, type ComponentOf } from "./components";

/** What a unit measures; percentages keep to themselves unless the property resolves them. */
export type Measure = "length" | "angle" | "time" | "frequency" | "resolution" | "flex" | "percent";

/** An exponent for each measure; empty for plain numbers. */
export type Dimensions = Partial<Record<Measure, number>>;

/**
 * A value in canonical units: px, deg, s, Hz, dppx. `percent` is the part that waits for a basis the
 * property resolves later ("calc(10px + 5%)": value 10, percent 5).
 */
export interface Quantity {
  value: number;
  percent: number;
  dimensions: Dimensions;
}

export interface MathEnvironment {
  /** The value of a dimension in canonical units; null for an unknown unit. */
  unit(value: number, unit: string): { value: number; measure: Measure } | null;
  /** Whether percentages stand for another measure (lengths, mostly) or only for themselves. */
  percentAs: Measure | null;
  /** What 100% is, where that is known already: percentages are values then. */
  percentBase?: number;
  /** Values of keywords, for the channels of relative colours. */
  keywords?: Readonly<Record<string, number>>;
}

/** Marks an expression that is valid but whose value depends on a percentage not known yet. */
export class UnresolvedPercentage extends Error {}

const mathFunctions = new Set([
  "calc",
  "-webkit-calc",
  "min",
  "max",
  "clamp",
  "round",
  "mod",
  "rem",
  "sin",
  "cos",
  "tan",
  "asin",
  "acos",
  "atan",
  "atan2",
  "pow",
  "sqrt",
  "hypot",
  "log",
  "exp",
  "abs",
  "sign",
]);

const constants: Readonly<Record<string, number>> = table({
  e: Math.E,
  pi: Math.PI,
  infinity: Infinity,
  "-infinity": -Infinity,
  nan: NaN,
});

/** Whether a component is a mathematical function (CSS Values 4, 10). */
export function isMath(component: Component | undefined): component is ComponentOf<"function"> {
  return component?.type === "function" && mathFunctions.has(component.name);
}

/**
 * Evaluates a math function, or a bare number, percentage or dimension.
 * Null when it is not valid. NaN becomes 0 at the top level (CSS Values 4, 10.12).
 * @throws UnresolvedPercentage when the result is not a sum of a length and a percentage
 */
export function evaluateMath(component: Component, environment: MathEnvironment): Quantity | null {
  const result = value(component, environment);
  if (!result) return null;
  const tidy = (number: number) => (Number.isNaN(number) ? 0 : number);
  return { ...result, value: tidy(result.value), percent: tidy(result.percent) };
}

/** The single measure of a quantity, "number", or null for anything mixed. */
export function measureOf({ dimensions }: Quantity): Measure | "number" | null {
  const used = Object.entries(dimensions).filter(([, power]) => power !== 0);
  if (used.length === 0) return "number";
  return used.length === 1 && used[0]![1] === 1 ? (used[0]![0] as Measure) : null;
}

function value(component: Component, environment: MathEnvironment): Quantity | null {
  switch (component.type) {
    case "number":
      return number(component.value);
    case "percentage":
      if (environment.percentAs && environment.percentBase !== undefined)
        return {
          value: (component.value * environment.percentBase) / 100,
          percent: 0,
          dimensions: { [environment.percentAs]: 1 },
        };
      if (environment.percentAs)
        return { value: 0, percent: component.value, dimensions: { [environment.percentAs]: 1 } };
      return { value: component.value, percent: 0, dimensions: { percent: 1 } };
    case "dimension": {
      const known = environment.unit(component.value, component.unit);
      return known && { value: known.value, percent: 0, dimensions: { [known.measure]: 1 } };
    }
    case "ident": {
      const word = component.name.toLowerCase();
      const known = environment.keywords?.[word] ?? constants[word];
      return known === undefined ? null : number(known);
    }
    case "block":
      return component.open === "(" ? sum(component.args, environment) : null;
    case "function":
      return mathFunctions.has(component.name) ? call(component, environment) : null;
    default:
      return null;
  }
}

function number(amount: number): Quantity {
  return { value: amount, percent: 0, dimensions: {} };
}

function sum(parts: readonly Component[], environment: MathEnvironment): Quantity | null {
  const terms: { sign: number; parts: Component[] }[] = [{ sign: 1, parts: [] }];
  for (const [at, part] of parts.entries()) {
    const isSign = isDelim(part, "+") || isDelim(part, "-");
    if (isSign && part.spaced && parts[at + 1]?.spaced) terms.push({ sign: isDelim(part, "+") ? 1 : -1, parts: [] });
    else if (isSign) return null;
    else terms[terms.length - 1]!.parts.push(part);
  }
  let total: Quantity | null = null;
  for (const term of terms) {
    const amount = product(term.parts, environment);
    if (!amount) return null;
    const signed = scale(amount, term.sign);
    if (total && !sameDimensions(total, signed)) return null;
    total = total
      ? { value: total.value + signed.value, percent: total.percent + signed.percent, dimensions: total.dimensions }
      : signed;
  }
  return total;
}

function product(parts: readonly Component[], environment: MathEnvironment): Quantity | null {
  const first = parts[0];
  let total = first ? value(first, environment) : null;
  for (let at = 1; total && at < parts.length; at += 2) {
    const divides = isDelim(parts[at], "/");
    if (!divides && !isDelim(parts[at], "*")) return null;
    const operand = parts[at + 1];
    const next = operand ? value(operand, environment) : null;
    if (!next) return null;
    total = multiply(total, next, divides);
  }
  return total;
}

function multiply(a: Quantity, b: Quantity, divides: boolean): Quantity {
  if (b.percent !== 0 && (divides || a.percent !== 0)) throw new UnresolvedPercentage();
  const dimensions: Dimensions = { ...a.dimensions };
  for (const [measure, power] of Object.entries(b.dimensions) as [Measure, number][]) {
    dimensions[measure] = (dimensions[measure] ?? 0) + (divides ? -power : power);
    if (dimensions[measure] === 0) delete dimensions[measure];
  }
  // Nothing of a percentage stays nothing, also by infinity.
  const times = (percent: number, factor: number) => (percent === 0 ? 0 : percent * factor);
  if (divides) return { value: a.value / b.value, percent: times(a.percent, 1 / b.value), dimensions };
  return {
    value: a.value * b.value,
    percent: times(a.percent, b.value) + times(b.percent, a.value),
    dimensions,
  };
}

function scale(quantity: Quantity, factor: number): Quantity {
  return { ...quantity, value: quantity.value * factor, percent: quantity.percent * factor };
}

function sameDimensions(a: Quantity, b: Quantity): boolean {
  const measures = new Set([...Object.keys(a.dimensions), ...Object.keys(b.dimensions)]) as Set<Measure>;
  return [...measures].every((measure) => (a.dimensions[measure] ?? 0) === (b.dimensions[measure] ?? 0));
}

const roundings: Readonly<Record<string, (quotient: number) => number>> = table({
  nearest: (quotient) => Math.floor(quotient + 0.5),
  up: Math.ceil,
  down: Math.floor,
  "to-zero": Math.trunc,
});

/** To a whole number of steps; without end, either of them has rules of its own (CSS Values 4, 10.3.1). */
function rounded(value: number, step: number, rounding: string): number {
  if (step === 0 || Number.isNaN(value)) return NaN;
  if (!Number.isFinite(value)) return Number.isFinite(step) ? value : NaN;
  const size = Math.abs(step);
  if (Number.isFinite(size)) return roundings[rounding]!(value / size) * size;
  if (rounding === "up" && value > 0) return Infinity;
  return rounding === "down" && value < 0 ? -Infinity : 0;
}

/** What is left over has the sign of what it is divided by (CSS Values 4, 10.3). */
function modulo(value: number, by: number): number {
  const left = value % by;
  if (left === 0 || left < 0 === by < 0) return left;
  return Number.isFinite(by) ? left + by : NaN;
}

/** As IEEE 754 has it: 1 stays 1, whatever the power, and so does −1 without end. */
const power = (base: number, exponent: number): number =>
  base === 1 || (base === -1 && Math.abs(exponent) === Infinity) ? 1 : base ** exponent;

/** What a function is given, once none of it is a percentage that has to be resolved first. */
interface Given {
  values: readonly Quantity[];
  /** The first, and the second where there is one. */
  a: Quantity;
  b: Quantity | undefined;
  /** Whether all are of one type, and whether all are plain numbers. */
  sameType: boolean;
  plain: boolean;
  rounding: string;
}

type MathFunction = (given: Given) => Quantity | null;

const like = ({ dimensions }: Quantity, value: number): Quantity => ({ value, percent: 0, dimensions });
const degrees = (radians: number): Quantity =>
  like({ value: 0, percent: 0, dimensions: { angle: 1 } }, (radians * 180) / Math.PI);
const radians = (angle: Quantity) => (measureOf(angle) === "angle" ? (angle.value * Math.PI) / 180 : angle.value);

const ofAngle =
  (reckon: (radians: number) => number): MathFunction =>
  ({ values, a }) => {
    const isAngle = ["angle", "number"].includes(measureOf(a) ?? "");
    return values.length === 1 && isAngle ? number(reckon(radians(a))) : null;
  };
const ofNumber =
  (reckon: (value: number) => Quantity): MathFunction =>
  ({ values, a, plain }) =>
    values.length === 1 && plain ? reckon(a.value) : null;
const ofTwo =
  (reckon: (a: Quantity, b: Quantity) => Quantity): MathFunction =>
  ({ values, a, b, sameType }) =>
    values.length === 2 && sameType ? reckon(a, b!) : null;

/** Functions that need to know what their arguments come to (CSS Values 4, 10.3 to 10.6). */
const functions: Readonly<Record<string, MathFunction>> = table({
  round: ({ values, a, b, sameType, plain, rounding }) => {
    if (values.length > 2 || !sameType || (values.length === 1 && !plain)) return null;
    return like(a, rounded(a.value, b ? b.value : 1, rounding));
  },
  mod: ofTwo((a, b) => like(a, modulo(a.value, b.value))),
  rem: ofTwo((a, b) => like(a, a.value % b.value)),
  sin: ofAngle(Math.sin),
  cos: ofAngle(Math.cos),
  tan: ofAngle(Math.tan),
  asin: ofNumber((value) => degrees(Math.asin(value))),
  acos: ofNumber((value) => degrees(Math.acos(value))),
  atan: ofNumber((value) => degrees(Math.atan(value))),
  atan2: ofTwo((a, b) => degrees(Math.atan2(a.value, b.value))),
  pow: ({ values, a, b, plain }) => (values.length === 2 && plain ? number(power(a.value, b!.value)) : null),
  sqrt: ofNumber((value) => number(Math.sqrt(value))),
  exp: ofNumber((value) => number(Math.exp(value))),
  log: ({ values, a, b, plain }) => {
    if (values.length > 2 || !plain) return null;
    return number(b ? Math.log(a.value) / Math.log(b.value) : Math.log(a.value));
  },
  hypot: ({ values, a, sameType }) => (sameType ? like(a, Math.hypot(...values.map((one) => one.value))) : null),
  abs: ({ values, a }) => (values.length === 1 ? like(a, Math.abs(a.value)) : null),
  sign: ({ values, a }) => (values.length === 1 ? number(Math.sign(a.value)) : null),
});

function call(component: ComponentOf<"function">, environment: MathEnvironment): Quantity | null {
  const { name } = component;
  const { parts, rounding } = argumentsOf(component);
  if (name === "clamp") return clamp(parts, environment);
  const values: Quantity[] = [];
  for (const part of parts) {
    const one = sum(part, environment);
    if (!one) return null;
    values.push(one);
  }
  const [a, b] = values;
  if (!a) return null;
  if (name === "calc" || name === "-webkit-calc") return values.length === 1 ? a : null;
  const sameType = consistent(values);
  if (name === "min" || name === "max") return sameType ? choose(values, name) : null;
  if (values.some((one) => one.percent !== 0)) throw new UnresolvedPercentage();
  const plain = values.every((one) => measureOf(one) === "number");
  return functions[name]?.({ values, a, b, sameType, plain, rounding }) ?? null;
}

/** What stands between the commas; a way of rounding that comes first is none of it. */
function argumentsOf({ name, args }: ComponentOf<"function">): { parts: Component[][]; rounding: string } {
  const parts = splitAt(args, ",");
  const [first, more] = parts[0] ?? [];
  const word = name === "round" && first?.type === "ident" && !more ? first.name.toLowerCase() : "";
  return word in roundings ? { parts: parts.slice(1), rounding: word } : { parts, rounding: "nearest" };
}

function clamp(parts: readonly Component[][], environment: MathEnvironment): Quantity | null {
  if (parts.length !== 3) return null;
  const bounds = parts.map((part) => {
    const only = part[0];
    return part.length === 1 && only?.type === "ident" && only.name.toLowerCase() === "none"
      ? "none"
      : sum(part, environment);
  });
  const [low, middle, high] = bounds;
  if (!middle || middle === "none" || !low || !high) return null;
  const upper = high === "none" ? [middle] : [middle, high];
  const lower = low === "none" ? [] : [low];
  if (!consistent([...upper, ...lower])) return null;
  const under = choose(upper, "min");
  return lower.length ? choose([under, ...lower], "max") : under;
}

function consistent(values: readonly Quantity[]): boolean {
  return values.every((one) => sameDimensions(one, values[0]!));
}

function choose(values: readonly Quantity[], name: "min" | "max"): Quantity {
  if (values.length > 1 && values.some((one) => one.percent !== 0)) throw new UnresolvedPercentage();
  if (values.some((one) => Number.isNaN(one.value))) return { ...values[0]!, value: NaN };
  return values.reduce((best, one) =>
    (name === "min" ? one.value < best.value : one.value > best.value) ? one : best,
  );
}

const absoluteUnits: Record<string, { measure: Measure; factor: number }> = {
  px: { measure: "length", factor: 1 },
  cm: { measure: "length", factor: 96 / 2.54 },
  mm: { measure: "length", factor: 96 / 25.4 },
  q: { measure: "length", factor: 96 / 101.6 },
  in: { measure: "length", factor: 96 },
  pt: { measure: "length", factor: 96 / 72 },
  pc: { measure: "length", factor: 16 },
  deg: { measure: "angle", factor: 1 },
  grad: { measure: "angle", factor: 0.9 },
  rad: { measure: "angle", factor: 180 / Math.PI },
  turn: { measure: "angle", factor: 360 },
  s: { measure: "time", factor: 1 },
  ms: { measure: "time", factor: 0.001 },
  hz: { measure: "frequency", factor: 1 },
  khz: { measure: "frequency", factor: 1000 },
  dppx: { measure: "resolution", factor: 1 },
  x: { measure: "resolution", factor: 1 },
  dpi: { measure: "resolution", factor: 1 / 96 },
  dpcm: { measure: "resolution", factor: 2.54 / 96 },
  fr: { measure: "flex", factor: 1 },
};

/** Units that are lengths of some kind but not the same everywhere (CSS Values 4, 6.1). */
const relativeLengths = new Set(
  (
    "em rem ex rex ch rch cap rcap ic ric lh rlh vw vh vi vb vmin vmax svw svh svi svb svmin svmax lvw lvh lvi lvb lvmin lvmax " +
    "dvw dvh dvi dvb dvmin dvmax cqw cqh cqi cqb cqmin cqmax"
  ).split(" "),
);

/** Whether a length follows a font, the window or a container. @param unit in small letters */
export const isRelativeLength = (unit: string): boolean => relativeLengths.has(unit);

/** Whether CSS knows a unit (CSS Values 4, 6 and 7). @param unit in small letters */
export const isUnit = (unit: string): boolean => Object.hasOwn(absoluteUnits, unit) || relativeLengths.has(unit);

/** Units that mean the same everywhere (CSS Values 4, 6.2 and section 7); null for the others. */
export function absoluteUnit(amount: number, unit: string): { value: number; measure: Measure } | null {
  const known = absoluteUnits[unit];
  return known ? { value: amount * known.factor, measure: known.measure } : null;
}
