/** Ways in which other eyes see a page, one entry each: what they are called, and what becomes of a colour. */
import { contrastRatio, paintOver, toSrgb } from "./contrast";
import { convertColor, solid } from "./conversion";
import { matrixOf, seenWith, visions, type Vision } from "./simulate";
import type { Color, Triple } from "./types";

export type EyesName = Vision | "glare" | "unfocused";

/** Three rows of three factors and what is added, on linear-light sRGB. */
export type LightMatrix = readonly (readonly [red: number, green: number, blue: number, added: number])[];

export interface Eyes {
  name: EyesName;
  /** As it is chosen: "with no red cones (protanopia)". */
  label: string;
  /** What light becomes; null where colours stay and edges do not. */
  matrix: LightMatrix | null;
  /** How far edges run into each other: standard deviation, CSS px. */
  blur: number;
  seen(color: Color): Color;
}

/** Light that falls on the screen and comes back white, as part of what the screen's own white gives. */
const glare = 0.25;

/** Adding the same light everywhere, as eyes adapt to it: the brightest stays the brightest. */
function inGlare(color: Color): Color {
  const linear = solid(convertColor(color, "srgb-linear").channels);
  const channels = linear.map((part) => (Math.min(1, Math.max(0, part)) + glare) / (1 + glare)) as unknown as Triple;
  return { space: "srgb", channels: toSrgb({ space: "srgb-linear", channels, alpha: 1 }), alpha: color.alpha };
}

const cones: Readonly<Record<Vision, string>> = {
  protanopia: "without red cones (protanopia)",
  deuteranopia: "without green cones (deuteranopia)",
  tritanopia: "without blue cones (tritanopia)",
  achromatopsia: "without cones (achromatopsia)",
};

const scaled = 1 / (1 + glare);

export const eyes: readonly Eyes[] = [
  ...visions.map((vision): Eyes => ({
    name: vision,
    label: cones[vision],
    matrix: matrixOf(vision).map((row) => [...row, 0] as const),
    blur: 0,
    seen: (color) => seenWith(color, vision),
  })),
  {
    name: "glare",
    label: "in glare: a quarter of white on all",
    matrix: [
      [scaled, 0, 0, glare * scaled],
      [0, scaled, 0, glare * scaled],
      [0, 0, scaled, glare * scaled],
    ],
    blur: 0,
    seen: inGlare,
  },
  { name: "unfocused", label: "out of focus: edges run by 1.5 px", matrix: null, blur: 1.5, seen: (color) => color },
];

export const eyesNamed = (name: EyesName): Eyes => eyes.find((one) => one.name === name)!;

/** The contrast of an ink on an opaque ground as some eyes see what comes of it (WCAG 2.2), unrounded. */
export const ratioSeen = (ink: Color, ground: Color, { seen }: Eyes): number =>
  contrastRatio(seen(paintOver(ink, ground)), seen(ground));
