/** Values of tokens as the format has them, as CSS writes them, and how far two are apart. */
import { convertColor, formatColor, inGamut, parseColor } from "../color";
import { differenceOk } from "../color/gamut";
import { spaceTable } from "../color/spaces";
import type { Channels, Color, Space } from "../color/types";
import { writeStack } from "../type/stack";
import { genericFamilies } from "../cascade/properties/font";
import type { TokenValue } from "./types";

/** Spaces that the format knows (colour module, 4.2). */
const spaces: ReadonlySet<string> = new Set(
  spaceTable.flatMap(({ notation, space }) => (notation === null ? [] : [space])),
);

/** A colour as the format writes it (colour module, 4.1): space, components, alpha, and hex where sRGB can hold it. */
export function colorJson(color: Color) {
  const own = spaces.has(color.space) ? color : convertColor(color, "display-p3");
  const components = own.channels.map((channel) => (channel === null ? "none" : Number(channel.toFixed(6))));
  const hex = inGamut(own, "srgb") ? { hex: formatColor({ ...own, alpha: 1 }, "hex") } : {};
  return { colorSpace: own.space, components, alpha: own.alpha ?? 0, ...hex };
}

/** A colour from the format, or from the text that earlier drafts of it had; null where it is none. */
export function colorFrom(json: unknown): Color | null {
  if (typeof json === "string") return parseColor(json);
  if (typeof json !== "object" || json === null) return null;
  const { colorSpace, components, alpha = 1 } = json as Record<string, unknown>;
  if (typeof colorSpace !== "string" || !spaces.has(colorSpace) || !Array.isArray(components)) return null;
  const channels = (components as unknown[]).map((one) => (one === "none" ? null : one));
  const isChannel = (one: unknown) => one === null || (typeof one === "number" && Number.isFinite(one));
  if (channels.length !== 3 || !channels.every(isChannel)) return null;
  if (typeof alpha !== "number" || alpha < 0 || alpha > 1) return null;
  return { space: colorSpace as Space, channels: channels as Channels, alpha };
}

/** A value as it is written in a style sheet. */
export function tokenCss(value: TokenValue): string {
  switch (value.type) {
    case "color":
      return colorCss(value.color);
    case "dimension":
      return `${Number(value.number.toFixed(4))}${value.unit}`;
    case "fontFamily":
      return writeStack(
        value.families.map((name) => ({
          name,
          generic: genericFamilies.has(name.toLowerCase()),
        })),
      );
    case "fontWeight":
      return String(value.weight);
  }
}

function colorCss(color: Color): string {
  const hex = inGamut(color, "srgb") ? formatColor(color, "hex") : null;
  const back = hex === null ? null : parseColor(hex);
  return back && colorsApart(color, back) === 0 ? hex! : formatColor(color, color.space);
}

/** Two distances that no eye tells apart, and alphas of one byte. */
const exact = { color: 0.0005, alpha: 0.002 };

/** How far two colours are apart: ΔE OK, with what their alphas differ by; 0 where nobody can tell. */
export function colorsApart(a: Color, b: Color): number {
  const alpha = Math.abs((a.alpha ?? 0) - (b.alpha ?? 0));
  const distance = differenceOk(a, b);
  return distance <= exact.color && alpha <= exact.alpha ? 0 : Math.hypot(distance, alpha);
}

/** Names that the format has for weights (8.4), the usual one first. */
const weights: readonly [weight: number, ...names: [string, ...string[]]][] = [
  [100, "thin", "hairline"],
  [200, "extra-light", "ultra-light"],
  [300, "light"],
  [400, "regular", "normal", "book"],
  [500, "medium"],
  [600, "semi-bold", "demi-bold"],
  [700, "bold"],
  [800, "extra-bold", "ultra-bold"],
  [900, "black", "heavy"],
  [950, "extra-black", "ultra-black"],
];

const byName: ReadonlyMap<string, number> = new Map(
  weights.flatMap(([weight, ...names]) => names.map((name): [string, number] => [name, weight])),
);

/** The weight of a name; undefined where the format has none of it. */
export const weightOf = (name: string): number | undefined => byName.get(name);

/** The usual name of a weight; null where it has none. */
export const weightName = (weight: number): string | null => weights.find(([own]) => own === weight)?.[1] ?? null;
