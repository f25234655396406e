/** Features of fonts and their variants (CSS Fonts 4, section 6 and 9; OpenType layout features). */
import { isKeyword, soleKeyword, splitAt, type Component } from "../../source/css/components";
import {
  byTag,
  keywords,
  layersOf,
  numberOf,
  serialiseNumber,
  serialiseString,
  severalWords,
  wordLonghand,
} from "./kinds";
import type { Longhand } from "./types";

type Feature = readonly [tag: string, value: number];

/** How much of a feature: on, off, or a number; null for what is none. */
function amountOf(amount: Component | undefined): number | null {
  if (!amount || isKeyword(amount, "on")) return 1;
  return isKeyword(amount, "off") ? 0 : numberOf(amount);
}

/** `"smcp"`, `"liga" off`, `"cv01" 2`; of a tag given twice the last counts. */
const featureSettings: Longhand<Feature[], Feature[]> = {
  name: "font-feature-settings",
  inherited: true,
  initial: "normal",
  parse: (value) => {
    if (soleKeyword(value) === "normal") return [];
    return layersOf(value, ([tag, amount, more]): Feature | null => {
      if (more || tag?.type !== "string" || !/^[ -~]{4}$/.test(tag.value)) return null;
      const number = amountOf(amount);
      const whole = amount?.type !== "number" || amount.integer;
      return number === null || !whole ? null : [tag.value, Math.round(number)];
    });
  },
  compute: byTag,
  serialise: (value) =>
    value
      .map(([tag, amount]) =>
        amount === 1 ? serialiseString(tag) : `${serialiseString(tag)} ${serialiseNumber(amount)}`,
      )
      .join(", ") || "normal",
};

/** CSS Fonts 4, 6.8, in the order in which browsers write them. */
const alternateFunctions = [
  "stylistic",
  "historical-forms",
  "styleset",
  "character-variant",
  "swash",
  "ornaments",
  "annotation",
];
const severalNames = new Set(["styleset", "character-variant"]);
const writtenOrder = [
  "stylistic",
  "historical-forms",
  "swash",
  "ornaments",
  "annotation",
  "styleset",
  "character-variant",
];

function nameIn(part: Component): string {
  if (part.type === "ident") return part.name.toLowerCase();
  return part.type === "function" ? part.name : "";
}

const alternates = wordLonghand("font-variant-alternates", true, "normal", (value) => {
  if (soleKeyword(value) === "normal") return "normal";
  const found = new Map<string, string>();
  for (const part of value) {
    const name = nameIn(part);
    if (
      !alternateFunctions.includes(name) ||
      // Browsers take this one more than once.
      (found.has(name) && name !== "historical-forms") ||
      (part.type === "ident") !== (name === "historical-forms")
    )
      return null;
    const text = part.type === "function" ? namesIn(part.args, severalNames.has(name)) : "";
    if (text === null) return null;
    found.set(name, part.type === "function" ? `${name}(${text})` : name);
  }
  return writtenOrder.flatMap((name) => found.get(name) ?? []).join(" ") || null;
});

function namesIn(args: readonly Component[], several: boolean): string | null {
  const names = splitAt(args, ",").map(([only, more]) => (!more && only?.type === "ident" ? only.name : null));
  return names.includes(null) || (!several && names.length > 1) ? null : names.join(", ");
}

/** CSS Fonts 4, 9.1: a dashed name is one of `@font-palette-values`. */
const palette = wordLonghand("font-palette", true, "normal", ([only, more]) => {
  if (more || only?.type !== "ident") return null;
  if (only.name.startsWith("--")) return only.name;
  const word = only.name.toLowerCase();
  return ["normal", "light", "dark"].includes(word) ? word : null;
});

const languageOverride = wordLonghand("font-language-override", true, "normal", ([only, more]) => {
  if (more || !only) return null;
  if (isKeyword(only, "normal")) return "normal";
  return only.type === "string" && /^[ -~]{1,4}$/.test(only.value) ? serialiseString(only.value) : null;
});

export const ligatureGroups = [
  "common-ligatures no-common-ligatures",
  "discretionary-ligatures no-discretionary-ligatures",
  "historical-ligatures no-historical-ligatures",
  "contextual no-contextual",
];
export const numericGroups = [
  "lining-nums oldstyle-nums",
  "proportional-nums tabular-nums",
  "diagonal-fractions stacked-fractions",
  "ordinal",
  "slashed-zero",
];
export const eastAsianGroups = [
  "jis78 jis83 jis90 jis04 simplified traditional",
  "full-width proportional-width",
  "ruby",
];

export const featureLonghands: readonly Longhand<never, never>[] = [
  featureSettings,
  severalWords("font-variant-ligatures", true, "normal", "none", ligatureGroups),
  severalWords("font-variant-numeric", true, "normal", "normal", numericGroups),
  severalWords("font-variant-east-asian", true, "normal", "normal", eastAsianGroups),
  alternates,
  keywords("font-variant-emoji", true, "normal", "text emoji unicode"),
  palette,
  languageOverride,
  keywords("-webkit-font-smoothing", true, "auto", "none antialiased subpixel-antialiased"),
] as unknown as Longhand<never, never>[];
