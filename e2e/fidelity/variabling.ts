/** Pages of custom properties, registered or not, that refer to one another, and of what is set by them. */
import { chanceOf, type Chance } from "../support/random";
import type { RandomPage } from "./random";

const names = ["--a", "--b", "--c", "--d", "--e", "--\\66"];
const typed = ["--p", "--q", "--r", "--s", "--t"];
const all = [...names, ...typed];

const syntaxes = [
  "*",
  "<length>",
  "<length-percentage>",
  "<color>",
  "<number>",
  "<integer>",
  "<percentage>",
  "<angle>",
  "<time>",
  "<resolution>",
  "<image>",
  "<string>",
  "<custom-ident>",
  "<transform-list>",
  "<length>+",
  "<color>#",
  "<number>#",
  "<custom-ident>+",
  "small | large | <length>",
  "auto | <integer>",
  "<length> | <percentage>",
  "<nope>",
  "",
];

const atoms = [
  "1px",
  "2em",
  "1.5rem",
  "3ex",
  "10%",
  "0",
  "7",
  "-1",
  "2.50",
  "1e1",
  "+3",
  "0.5turn",
  "45deg",
  "200ms",
  "1s",
  "96dpi",
  "2x",
  "red",
  "#0af",
  "currentcolor",
  "rgb(1, 2, 3)",
  "RGB(1 2 3/.5)",
  "hsl(120deg 50% 50%)",
  "color-mix(in srgb, red, blue)",
  "light-dark(red, blue)",
  "small",
  "large",
  "auto",
  "none",
  "Boat",
  "'sea'",
  "url(a.png)",
  "linear-gradient(red, blue)",
  "rotate(0.5turn) scale(2)",
  "calc(1px + 1em)",
  "calc(2 * 3)",
  "calc(10% + 1px)",
  "max(1px, 2em)",
  "1.5vw",
  "{ a: b }",
  "[x]",
  "(1px)",
  "a/**/b",
  "a  b",
  ",",
  "/",
  "\\31 px",
  "env(safe-area-inset-top)",
  "env(nope, 3px)",
  "attr(data-v)",
  "attr(data-v px, 4px)",
  "attr(data-v type(<color>), red)",
  "attr(lang, 'none')",
];
const wide = ["initial", "inherit", "unset", "revert", "revert-layer", "INHERIT"];

function reference(chance: Chance, depth: number): string {
  const name = chance.among(all);
  const fallback = chance.among(["", ", ", ",", `, ${text(chance, depth + 1)}`, `, ${text(chance, depth + 1)}`]);
  return chance.among(["var", "var", "var", "VAR"]) + `(${chance.among(["", " "])}${name}${fallback})`;
}

function condition(chance: Chance): string {
  const asked = `style(${chance.among(all)}${chance.among(["", `: ${chance.among(atoms)}`])})`;
  return chance.among([asked, `not ${asked}`, "media(width > 500px)", "supports(color: red)", "else"]);
}

function part(chance: Chance, depth: number): string {
  const kind = chance.next();
  if (kind < 0.4 && depth < 3) return reference(chance, depth);
  if (kind < 0.48 && depth < 2)
    return `calc(${reference(chance, depth + 1)} ${chance.among(["+ 1px", "* 2", "/ 2", "- 10%"])})`;
  if (kind < 0.52 && depth < 2)
    return `if(${condition(chance)}: ${text(chance, depth + 1)}; else: ${text(chance, depth + 1)})`;
  return chance.among(atoms);
}

function text(chance: Chance, depth = 0): string {
  if (depth === 0 && chance.is(0.1)) return chance.among(wide);
  if (chance.is(0.03)) return chance.among(["", " ", "/**/", chance.among(wide)]);
  return Array.from({ length: chance.is(0.75) ? 1 : 2 }, () => part(chance, depth)).join(
    chance.among([" ", " ", ", "]),
  );
}

/** What is set by them; the size of the font is not: what is measured in it would close circles. */
const users = [
  "width",
  "line-height",
  "color",
  "background",
  "background-color",
  "margin",
  "padding-left",
  "border-top-color",
  "font-weight",
  "text-indent",
  "z-index",
  "opacity",
  "transform",
  "transition-duration",
  "text-shadow",
  "display",
];

function declaration(chance: Chance): string {
  const important = chance.is(0.06) ? " !important" : "";
  if (chance.is(0.6)) return `${chance.among(all)}:${chance.among(["", " "])}${text(chance)}${important}`;
  const value = chance.is(0.85) ? reference(chance, 1) : text(chance, 1);
  return `${chance.among(users)}: ${value}${chance.is(0.2) ? ` ${part(chance, 1)}` : ""}${important}`;
}

function registration(chance: Chance, name: string): string {
  const initial = chance.among(atoms);
  const lines = [
    chance.is(0.96) ? `syntax: "${chance.among(syntaxes)}"` : "",
    chance.is(0.96) ? `inherits: ${chance.among(["true", "false"])}` : "",
    chance.is(0.85) ? `initial-value: ${initial}` : "",
  ].filter(Boolean);
  return `@property ${name} { ${lines.join("; ")} }`;
}

const selectors = [":root", "body", "div", "p", "b", ".x", ".y", "div > p", "p b", ".x .y", "*"];

function rule(chance: Chance): string {
  const own = Array.from({ length: 1 + chance.upTo(4) }, () => declaration(chance));
  const text = `${chance.among(selectors)} { ${own.join("; ")} }`;
  return chance.among([
    text,
    text,
    text,
    text,
    `@layer ${chance.among(["k", "l"])} { ${text} }`,
    `@container style(${chance.among(all)}${chance.among(["", `: ${chance.among(atoms)}`])}) { ${text} }`,
    `@media (width > 500px) { ${text} }`,
  ]);
}

function element(chance: Chance, depth: number): string {
  const tag = depth === 0 ? "div" : chance.among(["div", "p", "b", "b"]);
  const attributes = [
    chance.is(0.5) ? ` class="${chance.among(["x", "y", "x y"])}"` : "",
    chance.is(0.3) ? ` data-v="${chance.among(["3", "6px", "red", "", "var(--a)"])}"` : "",
    chance.is(0.15) ? ` style="${declaration(chance).replaceAll('"', "'")}"` : "",
  ].join("");
  const inside = Array.from({ length: depth < 3 ? chance.upTo(4) : 0 }, () =>
    tag === "div"
      ? element(chance, depth + 1)
      : element(chance, 3)
          .replace(/^<(?:div|p)/, "<b")
          .replace(/(?:div|p)>$/, "b>"),
  );
  return `<${tag}${attributes}>${inside.join("")}</${tag}>`;
}

/** The names that such pages declare. */
export const variableNames: readonly string[] = ["--a", "--b", "--c", "--d", "--e", "--f", ...typed];

export function variablingPage(seed: number): RandomPage {
  const chance = chanceOf(seed);
  return {
    rules: [
      ...typed.filter(() => chance.is(0.6)).map((name) => registration(chance, name)),
      ...Array.from({ length: 8 + chance.upTo(18) }, () => rule(chance)),
    ],
    body: Array.from({ length: 2 + chance.upTo(3) }, () => element(chance, 0)).join("\n"),
    quirks: false,
  };
}
