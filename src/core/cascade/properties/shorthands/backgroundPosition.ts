import { componentsOf, splitAt, type Component } from "../../../source/css/components";
import { absoluteUnit } from "../../../source/css/math";
import { isLength, wordOf } from "../kinds";
import type { Shorthand } from "../types";

const across = new Set(["left", "right", "x-start", "x-end"]);
const down = new Set(["top", "bottom", "y-start", "y-end"]);
const positionRules = { percent: true, negative: true };
const isPlace = (part: Component | undefined) => part !== undefined && isLength(part, positionRules, absoluteUnit);
/** Whether a part can be one of a position. */
export const isPosition = (part: Component) =>
  across.has(wordOf(part)) || down.has(wordOf(part)) || wordOf(part) === "center" || isPlace(part);

const center = componentsOf("center");

/** One to four parts as the place across and the place down (CSS Backgrounds 3, 3.6). */
export function positionOf(parts: readonly Component[]): { x: readonly Component[]; y: readonly Component[] } | null {
  if (parts.length < 1 || parts.length > 4 || !parts.every(isPosition)) return null;
  const [first, second] = parts;
  if (parts.length === 1) return down.has(wordOf(first)) ? { x: center, y: parts } : { x: parts, y: center };
  if (parts.length === 2) {
    if (down.has(wordOf(first)) || across.has(wordOf(second))) {
      if (isPlace(first) || isPlace(second) || across.has(wordOf(first)) || down.has(wordOf(second))) return null;
      return { x: [second!], y: [first!] };
    }
    return across.has(wordOf(second)) || down.has(wordOf(first)) ? null : { x: [first!], y: [second!] };
  }
  const runs: Component[][] = [];
  for (const part of parts) {
    if (!isPlace(part)) runs.push([part]);
    else if (runs.length === 0 || runs.at(-1)!.length > 1 || wordOf(runs.at(-1)![0]) === "center") return null;
    else runs.at(-1)!.push(part);
  }
  if (runs.length !== 2) return null;
  const x = runs.find(([edge]) => across.has(wordOf(edge)));
  const y = runs.find(([edge]) => down.has(wordOf(edge)));
  const middle = runs.find(([edge]) => wordOf(edge) === "center");
  if (x && y) return { x, y };
  if (!middle) return null;
  if (x) return { x, y: middle };
  return y ? { x: middle, y } : null;
}

const comma = componentsOf(",")[0]!;

/** Layers one after the other, parted by commas. */
export const layered = (layers: readonly (readonly Component[])[]): Component[] =>
  layers.flatMap((layer, at) => (at > 0 ? [comma, ...layer] : [...layer]));

/** CSS Backgrounds 4, 2.6. */
export const backgroundPosition: Shorthand = {
  name: "background-position",
  longhands: ["background-position-x", "background-position-y"],
  expand: (value) => {
    const places = splitAt(value, ",").map(positionOf);
    if (places.includes(null)) return null;
    return {
      "background-position-x": layered(places.map((place) => place!.x)),
      "background-position-y": layered(places.map((place) => place!.y)),
    };
  },
};
