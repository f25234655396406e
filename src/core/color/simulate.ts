/** How colours look to people who see fewer of them. */
import { toSrgb } from "./contrast";
import { toGamut } from "./gamut";
import { convertColor, solid } from "./conversion";
import type { Color, Triple } from "./types";

export type Vision = "protanopia" | "deuteranopia" | "tritanopia" | "achromatopsia";

/**
 * On linear-light sRGB. Machado, Oliveira and Fernandes, "A Physiologically-based Model for Simulation of Color Vision
 * Deficiency", IEEE TVCG 15 (2009), table for severity 1.0; achromatopsia as relative luminance (WCAG 2.2).
 */
const matrices: Readonly<Record<Vision, readonly [Triple, Triple, Triple]>> = {
  protanopia: [
    [0.152286, 1.052583, -0.204868],
    [0.114503, 0.786281, 0.099216],
    [-0.003882, -0.048116, 1.051998],
  ],
  deuteranopia: [
    [0.367322, 0.860646, -0.227968],
    [0.280085, 0.672501, 0.047413],
    [-0.01182, 0.04294, 0.968881],
  ],
  tritanopia: [
    [1.255528, -0.076749, -0.178779],
    [-0.078411, 0.930809, 0.147602],
    [0.004733, 0.691367, 0.3039],
  ],
  achromatopsia: [
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
    [0.2126, 0.7152, 0.0722],
  ],
};

/** The factors by which a vision changes linear-light sRGB. */
export const matrixOf = (vision: Vision): LightMatrix => matrices[vision];

export const visions = Object.keys(matrices) as Vision[];

/** The colour as seen with fewer cones, in sRGB, clipped to it; alpha stays. */
export const seenWith = (color: Color, vision: Vision): Color => throughMatrix(color, matrices[vision]);

/** Three rows of three factors, and what is added, on linear-light sRGB. */
export type LightMatrix = readonly (readonly [red: number, green: number, blue: number, added?: number])[];

/** What becomes of a colour, in sRGB, clipped to it; alpha stays. */
export function throughMatrix(color: Color, matrix: LightMatrix): Color {
  const linear = solid(convertColor(toGamut(color, "srgb"), "srgb-linear").channels);
  const mixed = matrix.map(([red, green, blue, added = 0]) =>
    Math.min(1, Math.max(0, red * linear[0] + green * linear[1] + blue * linear[2] + added)),
  ) as unknown as Triple;
  return { space: "srgb", channels: toSrgb({ space: "srgb-linear", channels: mixed, alpha: 1 }), alpha: color.alpha };
}
