/** How a colour is written: its notation and the ways of it, so that another value can be written alike. */
import { componentsOf } from "../source/css/components";
import type { FormatOptions } from "./format";
import { namedColors } from "./names";
import type { Notation } from "./types";

export interface WrittenNotation {
  notation: Notation;
  options: FormatOptions;
}

/** The notation of a value as written; null where it is a reference, a mix or another that is worked out. */
export function notationOf(text: string): WrittenNotation | null {
  const [only, more] = componentsOf(text);
  if (!only || more) return null;
  if (only.type === "hash") {
    return { notation: "hex", options: { upper: /[A-F]/.test(only.value), short: only.value.length <= 4 } };
  }
  if (only.type === "ident") return namedColors.has(only.name.toLowerCase()) ? { notation: "name", options: {} } : null;
  if (only.type !== "function" || only.args.some((part) => part.type === "ident" && part.name.toLowerCase() === "from"))
    return null;
  const commas = only.args.some((part) => part.type === "delim" && part.value === ",");
  const percentAlpha =
    /[,/]\s*[\d.]+%\s*\)$/.test(text.trim()) && only.args.filter((part) => part.type !== "delim").length > 3;
  switch (only.name) {
    case "rgb":
    case "rgba":
      return { notation: "rgb", options: { commas, percentAlpha } };
    case "hsl":
    case "hsla":
      return { notation: "hsl", options: { commas, percentAlpha } };
    case "hwb":
    case "lab":
    case "lch":
    case "oklab":
    case "oklch":
      return { notation: only.name, options: { percentAlpha } };
    case "color": {
      const space = only.args[0];
      const name = space?.type === "ident" ? space.name.toLowerCase() : "";
      return spaces.has(name)
        ? { notation: (name === "xyz" ? "xyz-d65" : name) as Notation, options: { percentAlpha } }
        : null;
    }
    default:
      return null;
  }
}

const spaces = new Set([
  "srgb",
  "srgb-linear",
  "display-p3",
  "a98-rgb",
  "prophoto-rgb",
  "rec2020",
  "xyz",
  "xyz-d50",
  "xyz-d65",
]);

/** The notations a colour can be written in, in the order they are offered. */
export const notations: readonly { notation: Notation; label: string }[] = [
  { notation: "hex", label: "hex" },
  { notation: "rgb", label: "rgb" },
  { notation: "hsl", label: "hsl" },
  { notation: "hwb", label: "hwb" },
  { notation: "oklch", label: "oklch" },
  { notation: "oklab", label: "oklab" },
  { notation: "lch", label: "lch" },
  { notation: "lab", label: "lab" },
  { notation: "display-p3", label: "display-p3" },
  { notation: "a98-rgb", label: "a98-rgb" },
  { notation: "prophoto-rgb", label: "prophoto-rgb" },
  { notation: "rec2020", label: "rec2020" },
  { notation: "srgb", label: "srgb" },
  { notation: "srgb-linear", label: "srgb-linear" },
  { notation: "xyz-d65", label: "xyz" },
  { notation: "xyz-d50", label: "xyz-d50" },
  { notation: "name", label: "nearest name" },
];
