/** How a colour is written: its notation and the ways of it, so that another value can be written alike. */
import { componentsOf } from "../source/css/components";
import { formatColor, type FormatOptions } from "./format";
import { namedColors } from "./names";
import { colorFunctions, colorFunctionSpaces, spaceTable } from "./spaces";
import type { Color, Notation } from "./types";

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
  if (only.name === "color") {
    const space = only.args[0];
    const named = space?.type === "ident" ? colorFunctionSpaces.get(space.name.toLowerCase()) : undefined;
    return named?.notation ? { notation: named.notation, options: { percentAlpha } } : null;
  }
  const named = colorFunctions.get(only.name);
  if (!named?.notation) return null;
  return { notation: named.notation, options: named.commas ? { commas, percentAlpha } : { percentAlpha } };
}

/** A colour in the notation of a value; in hex digits where that is a name, a reference or worked out. */
export function spelledLike(value: string, color: Color): string {
  const { notation, options } = notationOf(value) ?? { notation: "hex", options: {} };
  return formatColor(color, notation === "name" ? "hex" : notation, options);
}

/** The notations a colour can be written in, in the order they are offered. */
export const notations: readonly { notation: Notation; label: string }[] = [
  { notation: "hex", label: "hex" },
  ...spaceTable.flatMap(({ notation, label }) => (notation ? [{ notation, label }] : [])),
  { notation: "name", label: "nearest name" },
];
