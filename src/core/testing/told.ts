/** What the core tells, as text that can be read and compared: recorded beside the tests that hold it. */
import { openSite, type Site } from "../source/site";
import { sampleFiles } from "./site";

const longest = 120;
const digits = 6;

const isPlain = (value: unknown) => value === null || typeof value !== "object";

function short(value: unknown): string {
  if (typeof value === "number") return String(Number(value.toPrecision(digits)));
  if (value instanceof Map) return short(Object.fromEntries(value));
  if (value instanceof Set) return short([...value]);
  if (Array.isArray(value)) return `[${value.map(short).join(", ")}]`;
  if (isPlain(value)) return JSON.stringify(value) ?? String(value);
  return `{${entriesOf(value as object)
    .map(([name, one]) => `${name}: ${short(one)}`)
    .join(", ")}}`;
}

const isNothing = (value: unknown) =>
  value === undefined || value === null || value === false || (Array.isArray(value) && value.length === 0);

/** Without functions, and without what is not there or not so. */
const entriesOf = (value: object) =>
  Object.entries(value).filter(([, one]) => !isNothing(one) && typeof one !== "function");

/** Plain data a line for each part, parts that fit in a line in one. */
export function told(value: unknown, indent = ""): string {
  const line = short(value);
  if (isPlain(value) || indent.length + line.length <= longest) return indent + line;
  if (value instanceof Map) return told(Object.fromEntries(value), indent);
  if (value instanceof Set) return told([...value], indent);
  if (Array.isArray(value))
    return value.map((one) => told(one, `${indent}  `).replace(/^(\s*) {2}/, "$1- ")).join("\n");
  return entriesOf(value as object)
    .map(([name, one]) => {
      const rest = short(one);
      const fits = isPlain(one) || indent.length + name.length + rest.length + 2 <= longest;
      return fits ? `${indent}${name}: ${rest}` : `${indent}${name}:\n${told(one, `${indent}  `)}`;
    })
    .join("\n");
}

/** Parts of what is told, each under a title. */
export const toldParts = (parts: readonly (readonly [title: string, value: unknown])[]): string =>
  `${parts.map(([title, value]) => `# ${title}\n${typeof value === "string" ? value : told(value)}`).join("\n\n")}\n`;

let sample: Site | null = null;

/** The sample site, opened once. */
export const sampleSite = (): Site => (sample ??= openSite(sampleFiles()));
