/** Text shadows, layer by layer (CSS Text Decoration 3, section 4). */
import { colorFromComponent } from "../color/value";
import { componentsOf, soleKeyword, splitAt } from "../source/css/components";

/** One layer; lengths and colour as written, the colour "" where the text's own is meant. */
export interface ShadowLayer {
  x: string;
  y: string;
  blur: string;
  color: string;
}

/** The layers of a value, none for `none`; null when it is not one that can be taken apart. */
export function shadowLayers(text: string): ShadowLayer[] | null {
  const parts = componentsOf(text);
  if (parts.length === 0) return null;
  if (soleKeyword(parts) === "none") return [];
  const layers: ShadowLayer[] = [];
  for (const part of splitAt(parts, ",")) {
    const color = part.filter((one) => colorFromComponent(one) !== null);
    const lengths = part.filter((one) => colorFromComponent(one) === null);
    if (
      color.length > 1 ||
      lengths.length < 2 ||
      lengths.length > 3 ||
      lengths.some(({ type }) => type !== "dimension" && type !== "number" && type !== "function")
    )
      return null;
    const [x, y, blur] = lengths.map(({ start, end }) => text.slice(start, end));
    layers.push({ x: x!, y: y!, blur: blur ?? "0", color: color[0] ? text.slice(color[0].start, color[0].end) : "" });
  }
  return layers;
}

/** Layers of a shadow as a value of `text-shadow`; `none` without any. */
export function writeShadow(layers: readonly ShadowLayer[]): string {
  if (layers.length === 0) return "none";
  return layers
    .map(({ x, y, blur, color }) => [x, y, /^0(?:px)?$/.test(blur) ? "" : blur, color].filter(Boolean).join(" "))
    .join(", ");
}
