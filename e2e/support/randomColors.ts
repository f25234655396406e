/** Colours as CSS Color 4 and 5 let them be written, with the corners in which they are computed in another way. */
import fc from "fast-check";

const number = (low: number, high: number) =>
  fc.double({ min: low, max: high, noNaN: true }).map((value) => String(Number(value.toFixed(3))));
/** Mostly a number, at times nothing. */
const channel = (low: number, high: number) =>
  fc.oneof({ weight: 6, arbitrary: number(low, high) }, { weight: 1, arbitrary: fc.constant("none") });
const alpha = fc.constantFrom("", "", "", " / .5", " / 25%", " / 0", " / none");
const triple = (name: string, ...bounds: readonly (readonly [number, number])[]) =>
  fc
    .tuple(...bounds.map(([low, high]) => channel(low, high)), alpha)
    .map((parts) => `${name} ${parts.slice(0, 3).join(" ")}${parts[3]})`.replace("( ", "("));

/** What is grey has a hue in none of the spaces that have one. */
const greys = fc.constantFrom("white", "black", "gray", "#888", "transparent", "rgb(9 9 9 / .2)", "hsl(40 0% 50%)");

const plain = fc.oneof(
  greys,
  fc.constantFrom("red", "rebeccapurple", "#17445c", "#8a9aa680"),
  triple("rgb(", [0, 255], [0, 255], [0, 255]),
  triple("hsl(", [0, 360], [0, 100], [0, 100]),
  triple("hwb(", [0, 360], [0, 60], [0, 60]),
  triple("lab(", [10, 90], [-40, 40], [-40, 40]),
  triple("lch(", [10, 90], [0, 40], [0, 360]),
  triple("oklab(", [0.1, 0.9], [-0.1, 0.1], [-0.1, 0.1]),
  triple("oklch(", [0.1, 0.9], [0, 0.1], [0, 360]),
  fc
    .constantFrom("srgb", "srgb-linear", "display-p3", "a98-rgb", "xyz", "xyz-d50")
    .chain((space) => triple(`color(${space}`, [0.05, 0.9], [0.05, 0.9], [0.05, 0.9])),
);

const polar = ["hsl", "hwb", "lch", "oklch"];
const ways = ["", " shorter hue", " longer hue", " increasing hue", " decreasing hue"];
const methods = [
  ...["srgb", "srgb-linear", "lab", "oklab", "xyz", "xyz-d50", "display-p3"],
  ...polar.flatMap((space) => ways.map((way) => `${space}${way}`)),
];
const share = fc.constantFrom("", "", " 30%", " 0%", " 100%", " 45%");

const mixOf = (part: fc.Arbitrary<string>) =>
  fc
    .tuple(fc.constantFrom(...methods), part, share, part, share)
    // Nothing of both is no colour.
    .filter(([, , first, , second]) => !(first === " 0%" && second === " 0%"))
    .map(([method, a, first, b, second]) => `color-mix(in ${method}, ${a}${first}, ${b}${second})`);

const relatives = [
  ["rgb(", "r", "g", "b"],
  ["hsl(", "h", "s", "l"],
  ["hwb(", "h", "w", "b"],
  ["lab(", "l", "a", "b"],
  ["lch(", "l", "c", "h"],
  ["oklab(", "l", "a", "b"],
  ["oklch(", "l", "c", "h"],
  ["color(srgb", "r", "g", "b"],
  ["color(display-p3", "r", "g", "b"],
  ["color(xyz", "x", "y", "z"],
] as const;

const relativeTo = (origin: fc.Arbitrary<string>) =>
  fc.constantFrom(...relatives).chain(([name, ...channels]) => {
    const isPolar = channels.includes("h" as never);
    const take = (at: number) => {
      // The hue of what is nearly grey is nothing but rounding: it stays a hue.
      const from = isPolar ? fc.constant(channels[at]!) : fc.constantFrom(...channels);
      return fc.oneof(
        { weight: 4, arbitrary: from },
        { weight: 1, arbitrary: fc.constant("none") },
        { weight: 1, arbitrary: from.map((own) => `calc(${own} * 0.8)`) },
        { weight: 1, arbitrary: from.map((own) => `calc(${own} + alpha / 10)`) },
      );
    };
    const rest = fc.constantFrom("", "", " / alpha", " / calc(alpha / 2)", " / none");
    const own = fc.oneof(fc.constant([...channels]), fc.tuple(take(0), take(1), take(2)));
    return fc
      .tuple(origin, own, rest)
      .map(([from, parts, end]) =>
        name.startsWith("color(")
          ? `color(from ${from} ${name.slice("color(".length)} ${parts.join(" ")}${end})`
          : `${name}from ${from} ${parts.join(" ")}${end})`,
      );
  });

/** Mixed and relative colours. */
export const reckonedColor: fc.Arbitrary<string> = fc.oneof(mixOf(plain), relativeTo(plain));

const nested = fc.oneof(plain, reckonedColor);

/** Mixed and relative colours of mixed and relative colours. */
export const nestedColor: fc.Arbitrary<string> = fc.oneof(mixOf(nested), relativeTo(nested));
