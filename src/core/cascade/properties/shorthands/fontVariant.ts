import { soleKeyword, type Component } from "../../../source/css/components";
import { eastAsianGroups, ligatureGroups, numericGroups } from "../features";
import { capsKeywords } from "../font";
import { wordOf } from "../kinds";
import type { Shorthand } from "../types";

export const variantLonghands = ["ligatures", "numeric", "east-asian", "alternates", "emoji"].map(
  (part) => `font-variant-${part}`,
);

/** CSS Fonts 4, 6.11: what each word is about is told by the longhand that reads it. */
export const fontVariant: Shorthand = {
  name: "font-variant",
  longhands: ["font-variant-caps", "font-variant-position", ...variantLonghands],
  expand: (value) => {
    const only = soleKeyword(value);
    if (only === "normal") return {};
    if (only === "none") return { "font-variant-ligatures": value };
    const found: Record<string, Component[]> = {};
    for (const part of value) {
      const name = variantOf(part);
      if (!name) return null;
      (found[name] ??= []).push(part);
    }
    return value.length ? found : null;
  },
};

function variantOf(part: Component): string | null {
  if (part.type === "function") return "font-variant-alternates";
  const word = wordOf(part);
  const has = (groups: readonly string[]) => groups.some((group) => group.split(" ").includes(word));
  if (has([capsKeywords])) return "font-variant-caps";
  if (has(ligatureGroups)) return "font-variant-ligatures";
  if (has(numericGroups)) return "font-variant-numeric";
  if (has(eastAsianGroups)) return "font-variant-east-asian";
  if (word === "historical-forms") return "font-variant-alternates";
  if (word === "sub" || word === "super") return "font-variant-position";
  return ["text", "emoji", "unicode"].includes(word) ? "font-variant-emoji" : null;
}
