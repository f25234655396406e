/** Gradients as they are written, in parts that can be changed one by one (CSS Images 4, 3). */
import { componentsOf, splitAt, type Component } from "../source/css/components";
import { parseColor } from ".";

export interface GradientStop {
  /** As written; "" for a hint between two stops. */
  color: string;
  /** Where it stands: none, one or two places, as written. */
  places: string;
}

export interface GradientParts {
  /** `linear-gradient`, `repeating-radial-gradient` and so on. */
  name: string;
  /** Direction, shape, place and space of mixing, as written; "" where nothing is. */
  shape: string;
  stops: GradientStop[];
}

export const gradientNames = [
  "linear-gradient",
  "radial-gradient",
  "conic-gradient",
  "repeating-linear-gradient",
  "repeating-radial-gradient",
  "repeating-conic-gradient",
] as const;

const spanOf = (text: string, list: readonly Component[]) => text.slice(list[0]!.start, list.at(-1)!.end);

/** The layers of a list that commas part, as they are written. */
export function layerTexts(text: string): string[] {
  return splitAt(componentsOf(text), ",").map((layer) => (layer.length ? spanOf(text, layer) : ""));
}

/** A gradient in its parts; null for anything else, also for one with functions that are not known before they are asked for. */
export function gradientParts(layer: string): GradientParts | null {
  const [only, more] = componentsOf(layer);
  if (!only || more || only.type !== "function" || !(gradientNames as readonly string[]).includes(only.name))
    return null;
  const parts = splitAt(only.args, ",").filter((part) => part.length > 0);
  const read = parts.map((part) => stopOf(layer, part));
  const shape = read[0] === null || (read[0]?.color === "" && parts.length > 2) ? spanOf(layer, parts[0]!) : "";
  const stops = shape === "" ? read : read.slice(1);
  return stops.length >= 2 && stops.every((stop): stop is GradientStop => stop !== null)
    ? { name: only.name, shape, stops }
    : null;
}

/** A colour with its places in any order, or a hint; null for neither. */
function stopOf(text: string, part: readonly Component[]): GradientStop | null {
  const isPlace = (one: Component) =>
    one.type === "percentage" || one.type === "dimension" || one.type === "number" || isMathCall(one);
  const colors = part.filter((one) => !isPlace(one));
  const places = part.filter(isPlace).map((one) => text.slice(one.start, one.end));
  if (colors.length > 1) return null;
  const color = colors.length ? spanOf(text, colors) : "";
  if (color !== "" && !/^var\(|^currentcolor$/i.test(color) && parseColor(color) === null) return null;
  if (color === "" && (places.length !== 1 || /deg|rad|turn/.test(places[0]!))) return null;
  return { color, places: places.join(" ") };
}

const isMathCall = (one: Component) => one.type === "function" && /^(?:calc|min|max|clamp)$/.test(one.name);

/** A gradient written from its parts (CSS Images 4, 3); what a stop leaves out is left out. */
export function gradientText({ name, shape, stops }: GradientParts): string {
  const written = stops.map(({ color, places }) => [color, places].filter(Boolean).join(" "));
  return `${name}(${[...(shape ? [shape] : []), ...written].join(", ")})`;
}
