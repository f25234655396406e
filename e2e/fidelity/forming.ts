/** Forms as HTML lets them be written, with attributes that are wrong, odd or of another element. */
import { chanceOf, type Chance } from "../support/random";

const types =
  "text search url tel email password number range date month week time datetime-local color checkbox radio file submit image reset button hidden nope".split(
    " ",
  );
const dates = ["2026-05-01", "2026-02-30", "2026-05", "2026-W07", "12:30", "12:30:15", "2026-05-01T12:30"];
const numbers = ["", "3", "5", "10", "-1", "2.5", "1e1", "abc", " 7", "+4", ".5", "5."];
const values = [...numbers, ...dates, "a", "aa", "a@b.example", "nope", "https://a.example/", "a:b", "#a0b1c2", "red"];
const flag = [""];

/** Values of attributes, whatever element they stand on. */
const attributes: Readonly<Record<string, readonly string[]>> = {
  value: values,
  min: [...numbers, ...dates],
  max: [...numbers, ...dates],
  step: ["1", "2", "any", "0", "-1", "0.1", "ANY", "x", "60", "1.5"],
  size: ["1", "2", "0", "", "3x", " 2", "-2", "+2", "1.5", "many"],
  pattern: ["a+", "[", "a|aa", "\\d", ""],
  minlength: ["2", "5", "x"],
  maxlength: ["1", "3", "-1"],
  required: flag,
  readonly: flag,
  disabled: flag,
  multiple: flag,
  checked: flag,
  selected: flag,
  open: flag,
  name: ["r", "s", "", "R"],
  form: ["f", "g", "none"],
  placeholder: ["p", "", "  "],
  contenteditable: ["", "true", "TRUE", "false", "plaintext-only", "inherit", "nope"],
  href: ["", "#x", "a.html"],
  dir: ["ltr", "rtl", "auto", "RTL", "up"],
  lang: ["en", "", "fr-CA"],
  label: ["l", ""],
};

/** Those that say something on an element. */
const telling: Readonly<Record<string, readonly string[]>> = {
  input:
    "value min max step pattern minlength maxlength required readonly disabled multiple checked name form placeholder size".split(
      " ",
    ),
  textarea: ["required", "readonly", "disabled", "placeholder", "minlength", "maxlength", "form"],
  select: ["required", "disabled", "multiple", "size", "form", "name"],
  option: ["selected", "disabled", "value", "label"],
  optgroup: ["disabled", "label"],
  button: ["disabled", "form", "value", "name", "required"],
  fieldset: ["disabled", "form", "name"],
  progress: ["value", "max"],
  meter: ["value", "min", "max"],
  details: ["open", "name"],
  dialog: ["open"],
  output: ["form", "name"],
  a: ["href"],
  p: ["contenteditable", "dir"],
  div: ["contenteditable", "dir", "required", "disabled"],
};

function written(chance: Chance, tag: string): string {
  const own = telling[tag] ?? [];
  const parts: string[] = [];
  if (tag === "input" && chance.is(0.95)) parts.push(`type="${chance.among(types)}"`);
  if (tag === "button" && chance.is(0.5)) parts.push(`type="${chance.among(["submit", "reset", "button", "x"])}"`);
  for (const name of own) if (chance.is(0.3)) parts.push(`${name}="${chance.among(attributes[name]!)}"`);
  if (chance.is(0.1)) {
    const name = chance.among(["contenteditable", "dir", "required", "readonly", "disabled", "checked", "lang"]);
    if (!own.includes(name)) parts.push(`${name}="${chance.among(attributes[name]!)}"`);
  }
  return parts.length ? ` ${parts.join(" ")}` : "";
}

const element = (chance: Chance, tag: string, content: string, more = "") =>
  `<${tag}${more}${written(chance, tag)}>${content}</${tag}>`;

const text = (chance: Chance) => chance.among(["", "", " ", "x", "two words", "<!-- c -->"]);

function options(chance: Chance): string {
  return Array.from({ length: chance.upTo(4) }, () =>
    chance.is(0.25)
      ? element(chance, "optgroup", options(chance).replace(/<\/?optgroup[^>]*>/g, ""))
      : element(chance, "option", text(chance)),
  ).join("");
}

const holders = ["fieldset", "fieldset", "div", "p", "details", "dialog", "label"];

function some(chance: Chance, depth: number): string {
  return Array.from({ length: 1 + chance.upTo(4) }, () => one(chance, depth)).join("");
}

function one(chance: Chance, depth: number): string {
  if (depth < 3 && chance.is(0.25)) {
    const tag = chance.among(holders);
    const legend = tag === "fieldset" && chance.is(0.6) ? `<legend>${some(chance, 3)}</legend>` : "";
    const summary = tag === "details" && chance.is(0.6) ? `<summary>${text(chance)}</summary>` : "";
    const inner = tag === "p" ? `${text(chance)}<input${written(chance, "input")}>` : some(chance, depth + 1);
    return element(
      chance,
      tag,
      legend + summary + inner + (legend && chance.is(0.2) ? "<legend><input></legend>" : ""),
    );
  }
  return chance.among<() => string>([
    () => `<input${written(chance, "input")}>`,
    () => `<input${written(chance, "input")}>`,
    () => `<input type="radio"${written(chance, "input").replace(/ type="[^"]*"/, "")}>`,
    () => element(chance, "select", options(chance)),
    () => element(chance, "textarea", chance.among(["", "x", "\n", "two\nlines"])),
    () => element(chance, "button", text(chance)),
    () => element(chance, chance.among(["progress", "meter", "output"]), ""),
    () => element(chance, "a", text(chance)),
    () => text(chance),
  ])();
}

/** A page with two forms, and controls outside of both. */
export function formsPage(seed: number): string {
  const chance = chanceOf(seed);
  const form = (id: string) => (chance.is(0.8) ? `<form id="${id}">${some(chance, 0)}</form>` : "");
  return `<!doctype html><html><head><title>x</title></head><body>${form("f")}${some(chance, 0)}${form("g")}</body></html>`;
}
