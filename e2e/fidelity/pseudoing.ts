/** Pages whose texts are set, or made, by pseudo-elements. */
import { chanceOf, type Chance } from "../support/random";
import type { RandomPage } from "./random";

/** What is generated before a text and what sets its first line are not on one page: the first letter would be in both. */
const pseudos = [
  ["::before", "::after", ":before", "::first-letter", ":first-letter", "::marker"],
  ["::after", "::first-line", ":first-line", "::first-letter", "::marker"],
] as const;
const subjects = [
  "p",
  "div",
  "li",
  "b",
  "q",
  "a",
  "h1",
  "button",
  "summary",
  "input",
  ".x",
  ".y",
  "div > p",
  "li .x",
  "*",
];

const contents = ["'sea'", "'a' 'b'", "none", "normal", "''", "attr(title)", "attr(title) ' '", "open-quote"];
const alternatives = [
  "url(a.png)",
  "url(a.png) / 'tern'",
  "'x' / 'said'",
  "no-close-quote",
  "inherit",
  "initial",
  "var(--c)",
];

function declaration(chance: Chance): string {
  const text = chance.among<() => string>([
    () => `content: ${chance.among(chance.is(0.8) ? contents : alternatives)}`,
    () => `content: ${chance.among(contents)}`,
    () => `color: ${chance.among(["red", "#0af", "inherit", "currentcolor", "var(--k)", "unset"])}`,
    () => `font-size: ${chance.among(["2em", "20px", "50%", "larger", "inherit", "1.5rem"])}`,
    () => `font: ${chance.among(["bold 1.2em serif", "italic 18px/2 sans-serif"])}`,
    () => `font-weight: ${chance.among(["bold", "bolder", "300", "inherit"])}`,
    () => `line-height: ${chance.among(["2", "1.5em", "30px"])}`,
    () => `letter-spacing: ${chance.among(["2px", "0.1em"])}`,
    () => `text-transform: ${chance.among(["uppercase", "none"])}`,
    () => `text-decoration: ${chance.among(["underline", "line-through red", "none"])}`,
    () =>
      `display: ${chance.among(["block", "inline-block", "none", "contents", "list-item", "flex", "inline", "table"])}`,
    () => `float: ${chance.among(["left", "none", "inline-end"])}`,
    () => `position: ${chance.among(["absolute", "relative", "static"])}`,
    () => `margin: ${chance.among(["1em", "3px 10%", "0"])}`,
    () => `padding-left: ${chance.among(["1em", "5%"])}`,
    () => `background: ${chance.among(["red", "linear-gradient(red, blue)", "none"])}`,
    () => `width: ${chance.among(["50%", "3em", "auto"])}`,
    () => `opacity: ${chance.among(["0.5", "1"])}`,
    () => `white-space: ${chance.among(["pre", "nowrap", "normal"])}`,
    () => `quotes: ${chance.among(["'<' '>'", "none", "auto"])}`,
    () => `list-style: ${chance.among(["none", "square", "'-'"])}`,
    () => `--k: ${chance.among(["red", "blue", "initial"])}`,
    () => `--c: ${chance.among(["'c'", "none"])}`,
    () => `direction: ${chance.among(["rtl", "ltr"])}`,
  ])();
  return `${text}${chance.is(0.1) ? " !important" : ""}`;
}

function rule(chance: Chance, own: readonly string[]): string {
  const declarations = Array.from({ length: 1 + chance.upTo(4) }, () => declaration(chance)).join("; ");
  const subject = chance.among(subjects);
  if (chance.is(0.35)) return `${subject} { ${declarations} }`;
  const pseudo = chance.among(own);
  if (chance.is(0.1)) return `${subject} { &${pseudo} { ${declarations} } }`;
  const text = `${chance.is(0.1) ? `${subject}:nth-child(odd)` : subject}${pseudo} { ${declarations} }`;
  return chance.is(0.1) ? `@layer ${chance.among(["k", "l"])} { ${text} }` : text;
}

function element(chance: Chance, depth: number): string {
  const tag = chance.among(["p", "div", "li", "b", "a", "h1", "button", "summary", "input", "ul"]);
  const attributes = [
    chance.is(0.4) ? ` class="${chance.among(["x", "y", "x y"])}"` : "",
    chance.is(0.3) ? ` title="${chance.among(["Tern", ""])}"` : "",
    chance.is(0.1) ? ` style="${declaration(chance)}"` : "",
  ].join("");
  if (tag === "input") return `<input${attributes} placeholder="Pier">`;
  const within = depth < 3 ? chance.upTo(4) : 0;
  // A first letter is looked for in the text that comes first.
  const inside = Array.from({ length: within }, (_, at) =>
    at === 0 || chance.is(0.4) ? "Ossel sea " : element(chance, depth + 1),
  );
  return `<${tag}${attributes}>${inside.join("")}</${tag}>`;
}

export function pseudoingPage(seed: number): RandomPage {
  const chance = chanceOf(seed);
  const own = chance.among(pseudos);
  return {
    rules: Array.from({ length: 8 + chance.upTo(16) }, () => rule(chance, own)),
    body: Array.from({ length: 4 + chance.upTo(4) }, () => element(chance, 0)).join("\n"),
    quirks: false,
  };
}
