import { convertColor, solid } from "./conversion";
import type { Color, Triple } from "./types";

const white: Color = { space: "srgb", channels: [1, 1, 1], alpha: 1 };

/** A colour's sRGB channels, not clipped. */
export function toSrgb(color: Color): Triple {
  return solid(convertColor(color, "srgb").channels);
}

/**
 * One colour painted over another in sRGB, as browsers composite (Compositing 1, 5.1).
 * The result is as opaque as the two together.
 */
export function paintOver(top: Color, bottom: Color): Color {
  const a = top.alpha ?? 0;
  const b = bottom.alpha ?? 0;
  if (a >= 1) return { space: "srgb", channels: toSrgb(top), alpha: 1 };
  const alpha = a + b * (1 - a);
  if (alpha === 0) return { space: "srgb", channels: [0, 0, 0], alpha: 0 };
  const upper = toSrgb(top);
  const lower = toSrgb(bottom);
  const channels = upper.map((value, at) => (value * a + lower[at]! * b * (1 - a)) / alpha) as Triple;
  return { space: "srgb", channels, alpha };
}

/** Relative luminance, 0 to 1 (WCAG 2.2); channels outside sRGB are clipped to it, as screens show them. */
export function relativeLuminance(color: Color): number {
  const [red, green, blue] = toSrgb(color).map((value) => {
    const v = Math.min(1, Math.max(0, value));
    return v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4;
  }) as Triple;
  return 0.2126 * red + 0.7152 * green + 0.0722 * blue;
}

/**
 * Contrast ratio of an ink on a ground (WCAG 2.2, "contrast ratio"), 1 to 21, unrounded. The ink's alpha is
 * composited over the ground; a translucent ground is taken to lie on white.
 */
export function contrastRatio(ink: Color, ground: Color): number {
  const under = paintOver(ground, white);
  const a = relativeLuminance(paintOver(ink, under));
  const b = relativeLuminance(under);
  return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
}

/** The ratio WCAG 2.2 (1.4.3, level AA) asks for: 3 from 24 px, or 18.66 px bold; 4.5 below. */
export function neededRatio(sizePx: number, weight: number): 3 | 4.5 {
  const boldFrom = (14 * 96) / 72;
  return sizePx >= 24 || (weight >= 700 && sizePx >= Math.floor(boldFrom * 100) / 100) ? 3 : 4.5;
}

/** A ratio as it is shown: one decimal, rounded down, so that 2.96 never looks like enough. */
export function showRatio(ratio: number): string {
  return (Math.floor(ratio * 10 + 1e-9) / 10).toFixed(1);
}

/** Below this ratio a text cannot be seen at all. */
export const invisibleBelow = 1.2;
