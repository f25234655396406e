/** Declarations made ready for the cascade: read, checked and taken apart into longhands. */
import { componentsOf, soleKeyword, type Component } from "../source/css/components";
import type { Declaration } from "../source/css/syntax";
import { isOther, otherReason, type InvalidReason } from "./others";
import { aliases, longhands, readerOf } from "./properties";
import { shorthands } from "./properties/shorthands";
import { isWide, type WideKeyword } from "./wide";
import { countedAlone, substitutionsIn } from "./substitution";

/** What a declaration gives one longhand. */
export type Given =
  | { kind: "value"; value: unknown }
  | { kind: "wide"; keyword: WideKeyword }
  /** Holds var() or the like; read again once it is replaced. */
  | { kind: "pending"; text: string; shorthand: string | null };

export type PreparedDeclaration =
  | { kind: "longhands"; entries: readonly (readonly [name: string, given: Given])[] }
  | { kind: "custom"; name: string; given: { kind: "text"; text: string } | { kind: "wide"; keyword: WideKeyword } }
  /** A property that is not among those computed here; whether it is valid is only asked where it matters. */
  | { kind: "other" }
  | { kind: "invalid"; reason: InvalidReason };

const prepared = new WeakMap<Declaration, PreparedDeclaration>();

/** What a declaration gives each longhand, read once for equal declarations. */
export function prepareDeclaration(declaration: Declaration): PreparedDeclaration {
  let result = prepared.get(declaration);
  if (!result) {
    result = prepare(declaration.property, declaration.valueText);
    prepared.set(declaration, result);
  }
  return result;
}

/** Properties whose lengths may go without a unit in quirks mode, their longhands included (Quirks Mode, 4.2). */
const quirky =
  /^(?:font-size|letter-spacing|word-spacing|text-indent|(?:margin|padding)(?:-(?:top|right|bottom|left))?|border(?:-(?:top|right|bottom|left))?-width|border-spacing|top|right|bottom|left|(?:min-|max-)?(?:width|height)|vertical-align|background-position)$/;

/** The same in quirks mode, where lengths need no unit and colours no mark (Quirks Mode, 3.1). */
export function prepareInQuirks(declaration: Declaration): PreparedDeclaration {
  return quirkOf(declaration.property, declaration.valueText) ?? prepareDeclaration(declaration);
}

/** Properties whose colours may go without their `#` in quirks mode (Quirks Mode, 4.1). */
const colored = /^(?:color|background-color|border(?:-(?:top|right|bottom|left))?-color)$/;

/** What begins with a digit is filled up to six of them. */
const hashed = (digits: string) => `#${/^\d/.test(digits) ? digits.padStart(6, "0") : digits}`;

/** A value with its units or the `#` of its colours put in; null where that makes none of the property. */
function quirkOf(property: string, valueText: string): PreparedDeclaration | null {
  const isColored = colored.test(property);
  if (!(isColored || (quirky.test(property) && /\d/.test(valueText))) || valueText.includes("(")) return null;
  const text = isColored
    ? valueText.replace(/(?<![\w.#%+-])(?!\d+e\d)(?:\d[\da-f]{0,5}|[\da-f]{3}|[\da-f]{6})(?![\w.%-])/gi, hashed)
    : valueText.replace(/(?<![\w.#%-])[-+]?(?:\d+\.?\d*|\.\d+)(?![\w.%])/g, "$&px");
  const quirk = text === valueText ? null : prepare(property, text);
  return quirk && quirk.kind !== "invalid" ? quirk : null;
}

const byText = new Map<string, PreparedDeclaration>();
const textLimit = 50_000;

/** The same for a property and value that stand nowhere yet. */
export function prepare(property: string, valueText: string): PreparedDeclaration {
  const key = `${property}:${valueText}`;
  let result = byText.get(key);
  if (!result) {
    result = property.startsWith("--")
      ? custom(property, valueText)
      : regular(aliases[property] ?? property, valueText);
    if (byText.size >= textLimit) byText.clear();
    byText.set(key, result);
  }
  return result;
}

/** Why a value is not valid for a property; null when it is. */
export function invalidReason(property: string, valueText: string): InvalidReason | null {
  const name = property.startsWith("--") ? property : property.toLowerCase();
  const result = prepare(name, valueText);
  if (result.kind === "other") return otherReason(aliases[name] ?? name, valueText);
  return result.kind === "invalid" ? result.reason : null;
}

/** Whether a property exists: computed here, or in the grammar of CSS. */
export function isKnownProperty(property: string): boolean {
  const name = aliases[property] ?? property;
  return (
    property.startsWith("--") || readerOf(name) !== null || shorthands.has(name) || name === "all" || isOther(name)
  );
}

function custom(name: string, text: string): PreparedDeclaration {
  const keyword = soleKeyword(componentsOf(text));
  if (isWide(keyword)) return { kind: "custom", name, given: { kind: "wide", keyword } };
  return { kind: "custom", name, given: { kind: "text", text } };
}

/** Longhands that `all` does not reset (CSS Cascade 5, 3.2). */
const notInAll = new Set(["direction", "unicode-bidi"]);

function regular(property: string, text: string): PreparedDeclaration {
  const shorthand = shorthands.get(property);
  const reader = readerOf(property);
  const ofAll = property === "all" ? longhands.map(({ name }) => name).filter((name) => !notInAll.has(name)) : null;
  const targets = shorthand?.longhands ?? (reader ? [property] : ofAll);
  if (!targets) return { kind: "other" };
  const components = componentsOf(text);
  if (components.length === 0) return { kind: "invalid", reason: "empty value" };
  const keyword = soleKeyword(components);
  if (isWide(keyword)) {
    const given: Given = { kind: "wide", keyword };
    return { kind: "longhands", entries: targets.map((name) => [name, given]) };
  }
  const substitutions = substitutionsIn(components);
  if (substitutions === "malformed") return { kind: "invalid", reason: "invalid value" };
  if (substitutions === "counted") {
    const alone = prepare(property, countedAlone(text));
    if (alone.kind === "invalid") return alone;
  }
  if (substitutions !== "none") {
    const given: Given = { kind: "pending", text, shorthand: shorthand ? property : null };
    return { kind: "longhands", entries: targets.map((name) => [name, given]) };
  }
  if (reader) {
    const value = reader.parse(components);
    return value === null
      ? { kind: "invalid", reason: "invalid value" }
      : { kind: "longhands", entries: [[property, { kind: "value", value }]] };
  }
  const entries = shorthand ? expandShorthand(property, components) : null;
  return entries ? { kind: "longhands", entries } : { kind: "invalid", reason: "invalid value" };
}

/** A shorthand's longhands with their values, those left out at their initial ones; null when not valid. */
function expandShorthand(property: string, components: readonly Component[]): (readonly [string, Given])[] | null {
  const { longhands: names, expand } = shorthands.get(property)!;
  const parts = expand(components);
  if (!parts) return null;
  const entries: (readonly [string, Given])[] = [];
  for (const name of names) {
    const part = parts[name];
    if (!part) {
      entries.push([name, { kind: "wide", keyword: "initial" }]);
      continue;
    }
    const value = readerOf(name)!.parse(part);
    if (value === null) return null;
    entries.push([name, { kind: "value", value }]);
  }
  return entries;
}

/** What a pending value gives a longhand once its text is known; null when it turns out not to be valid. @param quirks whether lengths may go without a unit */
export function readPending(name: string, shorthand: string | null, text: string, quirks: boolean): Given | null {
  const property = shorthand ?? name;
  const result = (quirks ? quirkOf(property, text) : null) ?? prepare(property, text);
  if (result.kind !== "longhands") return null;
  return result.entries.find(([one]) => one === name)?.[1] ?? null;
}
