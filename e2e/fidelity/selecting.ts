/** Pages on which rules differ in what they select and under which conditions they count, and in little else. */
import { chanceOf, type Chance } from "../support/random";
import type { RandomPage } from "./random";

const tags = ["p", "div", "b", "em", "ul", "li", "section", "a", "input", "input", "h1", "form", "progress"];
const classes = ["x", "y", "z", "X", "a-b"];
const ids = ["i", "j"];
const values = ["3", "k k-l", "en-GB", "V", ""];
const names = ["data-v", "lang", "class", "title", "type"];

const list = (chance: Chance, depth: number, most = 2): string =>
  Array.from({ length: 1 + chance.upTo(most) }, () => complex(chance, depth)).join(", ");

function nth(chance: Chance): string {
  const step = chance.among(["odd", "even", "n", "2n", "3n+1", "-n+2", "2n-1", "2", "0", "n+2", "-2n+3", "+3", "N"]);
  return step;
}

function attribute(chance: Chance): string {
  const name = chance.among(names);
  const value = chance.among([...values, ...classes]);
  const operator = chance.among(["=", "~=", "|=", "^=", "$=", "*="]);
  if (chance.is(0.2)) return `[${name}]`;
  return `[${name}${operator}"${value}"${chance.among(["", "", " i", " s"])}]`;
}

function functional(chance: Chance, depth: number): string {
  const inner = () => list(chance, depth + 1);
  return chance.among<() => string>([
    () => `:not(${inner()})`,
    () => `:is(${inner()})`,
    () => `:where(${inner()})`,
    () => `:has(${chance.among(["", "> ", "+ ", "~ "])}${inner()})`,
    () => `:nth-child(${nth(chance)}${chance.is(0.4) ? ` of ${inner()}` : ""})`,
    () => `:nth-last-child(${nth(chance)}${chance.is(0.3) ? ` of ${inner()}` : ""})`,
    () => `:nth-of-type(${nth(chance)})`,
    () => `:nth-last-of-type(${nth(chance)})`,
    () => `:lang(${chance.among(["en", "'*-GB'", "fr, en", "EN", "''"])})`,
    () => `:dir(${chance.among(["ltr", "rtl", "up"])})`,
  ])();
}

const plain = [
  ":first-child",
  ":last-child",
  ":only-child",
  ":first-of-type",
  ":last-of-type",
  ":only-of-type",
  ":empty",
  ":root",
  ":scope",
  ":link",
  ":any-link",
  ":visited",
  ":hover",
  ":checked",
  ":disabled",
  ":enabled",
  ":required",
  ":optional",
  ":read-only",
  ":read-write",
  ":placeholder-shown",
  ":default",
  ":indeterminate",
  ":in-range",
  ":out-of-range",
  ":valid",
  ":invalid",
  ":defined",
  ":target",
  ":focus-within",
  ":nope",
];

function compound(chance: Chance, depth: number): string {
  const parts: string[] = [];
  if (chance.is(0.45)) parts.push(chance.among([...tags, "*", "P"]));
  while (parts.length === 0 || chance.is(0.3)) {
    const kind = chance.next();
    if (kind < 0.4) parts.push(`.${chance.among(classes)}`);
    else if (kind < 0.5) parts.push(`#${chance.among(ids)}`);
    else if (kind < 0.65) parts.push(attribute(chance));
    else if (kind < 0.8 || depth > 2) parts.push(chance.among(plain));
    else parts.push(functional(chance, depth));
  }
  return parts.join("");
}

function complex(chance: Chance, depth: number): string {
  let text = compound(chance, depth);
  while (chance.is(0.25)) text += chance.among([" ", " > ", " + ", " ~ ", "  ", ">"]) + compound(chance, depth);
  return text;
}

/** Each declaration has a number of its own, so that what wins is seen. */
function declaration(chance: Chance, next: () => number): string {
  const number = next();
  const text = chance.among([
    `color: rgb(${number % 256}, ${number >> 8}, 0)`,
    `letter-spacing: ${number}px`,
    `margin-left: ${number}px`,
    `--k: ${number}`,
    `text-indent: calc(var(--k, 7) * 1px)`,
    `word-spacing: ${chance.among(["inherit", "unset", "revert", "revert-layer", `${number}px`])}`,
  ]);
  return `${text}${chance.is(0.12) ? " !important" : ""}`;
}

const layers = ["a", "b", "a.c", "b.c", "d"];

/** What a rule may stand in, the conditions of which the browser answers as it is laid out. */
function around(chance: Chance, text: string): string {
  return chance.among<() => string>([
    () => `@layer ${chance.among(layers)} { ${text} }`,
    () => `@layer { ${text} }`,
    () => `@layer ${chance.among(layers)}, ${chance.among(layers)}; ${text}`,
    () => `@scope (${list(chance, 2)}) { ${text} }`,
    () => `@scope (${list(chance, 2)}) to (${list(chance, 2)}) { ${text} }`,
    () => `@scope { ${text} }`,
    () => `@media (width ${chance.among(["<", ">", "<=", ">="])} ${300 + chance.upTo(900)}px) { ${text} }`,
    () => `@supports selector(${complex(chance, 2)}) { ${text} }`,
    () => `@supports (${chance.among(["color: red", "colour: red", "--a: b", "margin-left: 1px 2px"])}) { ${text} }`,
    () =>
      `@container ${chance.among(["", "box "])}(${chance.among(["width", "inline-size", "height"])} ${chance.among(["<", ">"])} ${chance.upTo(900)}px) { ${text} }`,
    () =>
      `@container ${chance.among(["", "not "])}style(--k${chance.among(["", `: ${1 + chance.upTo(30)}`])}) { ${text} }`,
    () => `@starting-style { ${text} }`,
    () => `@nope { ${text} }`,
  ])();
}

function rule(chance: Chance, next: () => number, depth = 0): string {
  const own = Array.from({ length: 1 + chance.upTo(2) }, () => declaration(chance, next));
  if (chance.is(0.05)) own.push(`container: ${chance.among(["box", "other", "none"])} / inline-size`);
  if (depth < 3 && chance.is(0.25)) {
    const before = chance.among(["& ", "&", "> ", "+ ", "", ":is(&) ", "b &, ", ".x:not(&) "]);
    own.push(
      chance.is(0.3)
        ? around(chance, declaration(chance, next))
        : before + rule(chance, next, depth + 1).replace(/^@.*$/s, "b { color: red }"),
    );
    if (chance.is(0.5)) own.push(declaration(chance, next));
  }
  const text = `${list(chance, 0)} { ${own.join("; ")} }`;
  return chance.is(depth === 0 ? 0.35 : 0) ? around(chance, text) : text;
}

function element(chance: Chance, depth: number): string {
  const tag = chance.among(tags);
  const attributes = [
    chance.is(0.5) ? ` class="${chance.among(["x", "y", "z", "x y", "X z", "a-b"])}"` : "",
    chance.is(0.08) ? ` id="${chance.among(ids)}"` : "",
    chance.is(0.15) ? ` data-v="${chance.among(values)}"` : "",
    chance.is(0.08) ? ` lang="${chance.among(["en", "fr", "en-GB", ""])}"` : "",
    chance.is(0.06) ? ` dir="${chance.among(["rtl", "ltr", "auto"])}"` : "",
    tag === "a" && chance.is(0.6) ? ' href="#j"' : "",
    tag === "input"
      ? chance.among([
          " disabled",
          " checked type=checkbox",
          ' type="radio"',
          " required",
          ' type="radio" name="n"',
          ' type="radio" name="n" checked',
          ' type="radio" name="n" required',
          ' type="number" min="2" value="1"',
          ' placeholder="p"',
          " readonly",
        ])
      : "",
  ].join("");
  if (tag === "input") return `<input${attributes}>`;
  if (tag === "progress") return `<progress${attributes}${chance.is(0.5) ? ' value="0.5"' : ""}></progress>`;
  const count = depth < 4 ? chance.upTo(4) : 0;
  const inside = Array.from({ length: count }, () => (chance.is(0.3) ? "sea " : element(chance, depth + 1))).join(
    chance.among(["", " "]),
  );
  return `<${tag}${attributes}>${inside}</${tag}>`;
}

export function selectingPage(seed: number): RandomPage {
  const chance = chanceOf(seed);
  let number = 0;
  const next = () => (number += 1);
  return {
    rules: Array.from({ length: 10 + chance.upTo(25) }, () => rule(chance, next)),
    body: Array.from({ length: 3 + chance.upTo(3) }, () => element(chance, 0)).join("\n"),
    quirks: chance.is(0.15),
  };
}
