/** Media queries as Media Queries 4 lets them be written, with some that are wrong. */
import type { Chance } from "./random";

const lengths = [
  "799px",
  "800px",
  "801px",
  "50em",
  "50rem",
  "60em",
  "0",
  "-1px",
  "calc(700px + 100px)",
  "8.333in",
  "max(1px, 800px)",
  "1000px",
  "600px",
  "599.5px",
  "1px",
];
const ratios = ["4/3", "4 / 3", "1/1", "16/9", "1.3333", "2", "0/1", "1/0", "-1/2"];
const resolutions = ["1dppx", "96dpi", "2dppx", "1x", "0dpi", "72dpi", "-1x"];
const counts = ["0", "1", "8", "24", "-1"];

const ranges: readonly (readonly [name: string, values: readonly string[]])[] = [
  ["width", lengths],
  ["height", lengths],
  ["device-width", lengths],
  ["aspect-ratio", ratios],
  ["device-aspect-ratio", ratios],
  ["resolution", resolutions],
  ["color", counts],
  ["color-index", counts],
  ["monochrome", counts],
];

/** But for `scripting`: pages that are opened here run no script. */
const words: Readonly<Record<string, readonly string[]>> = {
  orientation: ["portrait", "landscape", "round"],
  "prefers-color-scheme": ["light", "dark", "no-preference"],
  "prefers-reduced-motion": ["reduce", "no-preference"],
  "prefers-contrast": ["more", "less", "no-preference", "custom"],
  hover: ["hover", "none"],
  pointer: ["fine", "coarse", "none"],
  "any-hover": ["hover", "none"],
  "any-pointer": ["fine", "coarse", "none"],
  "display-mode": ["browser", "fullscreen", "standalone"],
  "color-gamut": ["srgb", "p3", "rec2020"],
  "dynamic-range": ["standard", "high"],
  "forced-colors": ["none", "active"],
  "inverted-colors": ["none", "inverted"],
  "overflow-block": ["scroll", "none"],
  "overflow-inline": ["scroll"],
  update: ["fast", "slow", "none"],
  grid: ["0", "1"],
  "prefers-reduced-transparency": ["reduce", "no-preference"],
  "prefers-reduced-data": ["reduce", "no-preference"],
  "video-dynamic-range": ["standard", "high"],
  scan: ["interlace", "progressive"],
  unknown: ["x"],
};

const signs = ["<", "<=", ">", ">=", "="];
/** What is no condition, or none that is known. */
const wrong = ["(nope nope)", "general(x)", "(width: 1px 2px)", "(100px)", "()"];

function feature(chance: Chance): string {
  const [name, values] = chance.among(ranges);
  const value = () => chance.among(values);
  const kinds: (() => string)[] = [
    () => `(${name})`,
    () => `(${chance.among(["min-", "max-", ""])}${name}: ${value()})`,
    () => `(${chance.among(["min-", "max-"])}${name}: ${value()})`,
    () => `(${name} ${chance.among(signs)} ${value()})`,
    () => `(${value()} ${chance.among(signs)} ${name})`,
    () => {
      const sign = chance.among(["<", ">"]);
      const other = chance.is(0.8) ? `${sign}${chance.among(["", "="])}` : chance.among(signs);
      return `(${value()} ${sign}${chance.among(["", "="])} ${name} ${other} ${value()})`;
    },
    () => `(${chance.among(Object.keys(words))})`,
    () => {
      const word = chance.among(Object.keys(words));
      return `(${chance.is(0.1) ? "min-" : ""}${word}: ${chance.among(words[word]!)})`;
    },
  ];
  return chance.among(kinds)();
}

function condition(chance: Chance, deep: number): string {
  const inParens = () => {
    if (deep > 0 && chance.is(0.4)) return `(${condition(chance, deep - 1)})`;
    return chance.is(0.05) ? chance.among(wrong) : feature(chance);
  };
  const kinds: (() => string)[] = [
    () => `not ${inParens()}`,
    () => `${inParens()} and ${inParens()}`,
    () => `${inParens()} or ${inParens()}`,
    () => (chance.is(0.1) ? `${inParens()} and ${inParens()} or ${inParens()}` : inParens()),
    inParens,
  ];
  return chance.among(kinds)();
}

function query(chance: Chance): string {
  if (chance.is(0.5)) return condition(chance, 2);
  const kind = chance.among(["screen", "all", "print", "SCREEN", "tv", "and", "speech"]);
  const type = `${chance.among(["", "", "only ", "not "])}${kind}`;
  if (chance.is(0.3)) return type;
  const first = chance.is(0.2) ? condition(chance, 1) : feature(chance);
  return `${type} and ${first}${chance.is(0.3) ? ` and ${feature(chance)}` : ""}`;
}

export const randomMedia = (chance: Chance): string =>
  chance.is(0.1) ? `${query(chance)}, ${query(chance)}` : query(chance);
