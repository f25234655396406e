/** Math functions as CSS Values 4 lets them be written (section 10), with what they come to at their ends. */
import { chanceOf, type Chance } from "./random";

type Type = "number" | "length" | "angle" | "time";

const units: Readonly<Record<Exclude<Type, "number">, readonly string[]>> = {
  length: ["px", "px", "em", "rem", "pt", "vw"],
  angle: ["deg", "rad", "turn", "grad"],
  time: ["s", "ms"],
};
const numbers = ["0", "1", "-1", "2", "3.5", "0.25", "-2.5", "10", "100", "7", "1e2", "pi", "e", "infinity", "-0"];
const roundings = ["", "", "nearest, ", "up, ", "down, ", "to-zero, "];

/** A value of a type, with so many functions in each other at most. */
function term(chance: Chance, type: Type, deep: number): string {
  if (deep === 0 || chance.is(0.25)) return leaf(chance, type);
  const same = () => term(chance, type, deep - 1);
  const number = () => term(chance, "number", deep - 1);
  const list = (most: number) => Array.from({ length: 1 + chance.upTo(most) }, same).join(", ");
  const kinds: (() => string)[] = [
    () => `(${same()} + ${same()})`,
    () => `(${same()} - ${same()})`,
    () => `(${same()} * ${number()})`,
    () => `(${number()} * ${same()})`,
    () => `(${same()} / ${number()})`,
    () => `min(${list(3)})`,
    () => `max(${list(3)})`,
    () => `clamp(${chance.is(0.2) ? "none" : same()}, ${same()}, ${chance.is(0.2) ? "none" : same()})`,
    () => `round(${chance.among(roundings)}${same()}, ${same()})`,
    () => `mod(${same()}, ${same()})`,
    () => `rem(${same()}, ${same()})`,
    () => `abs(${same()})`,
    () => `calc(${same()})`,
    () => `hypot(${list(3)})`,
  ];
  if (type === "number") {
    const other = chance.among(["number", "length", "angle", "time"] as const);
    const angle = () => term(chance, chance.among(["number", "angle"] as const), deep - 1);
    kinds.push(
      () => `sign(${term(chance, other, deep - 1)})`,
      () => `${chance.among(["sin", "cos", "tan"])}(${angle()})`,
      () => `pow(${same()}, ${same()})`,
      () => `sqrt(${same()})`,
      () => `exp(${same()})`,
      () => `log(${same()}${chance.is(0.4) ? `, ${same()}` : ""})`,
    );
  }
  if (type === "angle")
    kinds.push(
      () => `${chance.among(["asin", "acos", "atan"])}(${number()})`,
      () => `atan2(${number()}, ${number()})`,
      () => `atan2(${term(chance, "time", deep - 1)}, ${term(chance, "time", deep - 1)})`,
    );
  return chance.among(kinds)();
}

function leaf(chance: Chance, type: Type): string {
  const number = chance.among(numbers);
  if (type === "number") return number;
  const plain = /^-?[\d.]/.test(number) ? number : "4";
  return `${plain}${chance.among(units[type])}`;
}

/** Properties that take a value, and how it stands in theirs. */
const takers: readonly (readonly [string, Type, (value: string) => string])[] = [
  ...["margin-left", "letter-spacing", "font-size", "border-left-width"].map(
    (property) => [property, "length", (value: string) => value] as const,
  ),
  ...["line-height", "opacity", "-webkit-line-clamp", "font-weight", "tab-size"].map(
    (property) => [property, "number", (value: string) => value] as const,
  ),
  ["background-image", "angle", (value) => `linear-gradient(${value}, red, blue)`],
  ["background-image", "length", (value) => `linear-gradient(red ${value}, blue)`],
];

export interface MathCase {
  property: string;
  value: string;
}

export function randomMath(seed: number, count: number): MathCase[] {
  const chance = chanceOf(seed);
  return Array.from({ length: count }, () => {
    const [property, type, written] = chance.among(takers);
    return { property, value: written(`calc(${term(chance, type, 1 + chance.upTo(3))})`) };
  });
}
