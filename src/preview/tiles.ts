/** Where pictures of a background lie, by computed values and boxes. */
import type { Box } from "@/core";

/** The size a picture has by itself, CSS px; 0 where it has none. */
type Natural = Pick<HTMLImageElement, "naturalWidth" | "naturalHeight">;

/** A box without its edges. @param edges top, right, bottom and left, CSS px */
export function inset({ left, top, width, height }: Box, edges: readonly [number, number, number, number]): Box {
  return {
    left: left + edges[3],
    top: top + edges[0],
    width: Math.max(0, width - edges[1] - edges[3]),
    height: Math.max(0, height - edges[0] - edges[2]),
  };
}

/** The parts of a list at its top level. */
export function listParts(text: string): string[] {
  const parts: string[] = [];
  let depth = 0;
  let quote = "";
  let from = 0;
  for (let at = 0; at < text.length; at += 1) {
    const character = text[at]!;
    if (quote) {
      if (character === "\\") at += 1;
      else if (character === quote) quote = "";
    } else if (character === '"' || character === "'") quote = character;
    else if (character === "(") depth += 1;
    else if (character === ")") depth -= 1;
    else if (character === "," && depth === 0) {
      parts.push(text.slice(from, at).trim());
      from = at + 1;
    }
  }
  return [...parts, text.slice(from).trim()];
}

/** Computed positions and sizes are sums of percentages and lengths in px, at most in a `calc()`. @param base what percentages are of, CSS px */
export function resolve(value: string, base: number): number {
  let sum = 0;
  for (const [, sign, number, unit] of value.matchAll(/([-+]?)\s*(\d*\.?\d+(?:e[-+]?\d+)?)(%|px)/g)) {
    sum += (sign === "-" ? -1 : 1) * Number(number) * (unit === "%" ? base / 100 : 1);
  }
  return sum;
}

/**
 * The size of one tile of a background (CSS Backgrounds 3, 3.9), CSS px.
 * @param value computed
 * @param origin the box it is placed in
 * @param picture null for a gradient
 */
export function tileSize(value: string, origin: Box, picture: Natural | null): { width: number; height: number } {
  // A gradient has no size of its own and fills its box.
  const natural = picture
    ? { width: picture.naturalWidth || origin.width, height: picture.naturalHeight || origin.height }
    : { width: origin.width, height: origin.height };
  if (value === "cover" || value === "contain") {
    if (!picture) return natural;
    const scale = (value === "cover" ? Math.max : Math.min)(
      origin.width / natural.width,
      origin.height / natural.height,
    );
    return { width: natural.width * scale, height: natural.height * scale };
  }
  const [first = "auto", second = "auto"] = value.split(/ (?![^(]*\))/);
  const width = first === "auto" ? null : resolve(first, origin.width);
  const height = second === "auto" ? null : resolve(second, origin.height);
  if (width === null && height === null) return natural;
  const proportion = natural.width / natural.height;
  if (!picture) return { width: width ?? origin.width, height: height ?? origin.height };
  return { width: width ?? height! * proportion, height: height ?? width! / proportion };
}
