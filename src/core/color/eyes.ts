/** Ways in which other eyes see a page, one entry each: what they are called, and what becomes of a colour. */
import { contrastRatio, paintOver } from "./contrast";
import { matrixOf, throughMatrix, visions, type LightMatrix, type Vision } from "./simulate";
import type { Color } from "./types";

export type EyesName = Vision | "glare" | "unfocused";

export interface Eyes {
  name: EyesName;
  /** As it is chosen: "without red cones (protanopia)". */
  label: string;
  /** What light becomes; null where colours stay and edges do not. */
  matrix: LightMatrix | null;
  /** How far edges run into each other: standard deviation, CSS px. */
  blur: number;
}

/** Light that falls on the screen and comes back white, as part of what the screen's own white gives. */
const glare = 0.25;
/** Eyes adapt to the same light everywhere: the brightest stays the brightest. */
const kept = 1 / (1 + glare);

const cones: Readonly<Record<Vision, string>> = {
  protanopia: "without red cones (protanopia)",
  deuteranopia: "without green cones (deuteranopia)",
  tritanopia: "without blue cones (tritanopia)",
  achromatopsia: "without cones (achromatopsia)",
};

export const eyes: readonly Eyes[] = [
  ...visions.map((name): Eyes => ({ name, label: cones[name], matrix: matrixOf(name), blur: 0 })),
  {
    name: "glare",
    label: "in glare: a quarter of white on all",
    matrix: [
      [kept, 0, 0, glare * kept],
      [0, kept, 0, glare * kept],
      [0, 0, kept, glare * kept],
    ],
    blur: 0,
  },
  { name: "unfocused", label: "out of focus: edges run by 1.5 px", matrix: null, blur: 1.5 },
];

/** The eyes of a name. */
export const eyesNamed = (name: EyesName): Eyes => eyes.find((one) => one.name === name)!;

/** A colour as some eyes see it. */
export const seenBy = (color: Color, { matrix }: Eyes): Color => (matrix ? throughMatrix(color, matrix) : color);

/** The contrast of an ink on an opaque ground as some eyes see what comes of it (WCAG 2.2), unrounded. */
export const ratioSeen = (ink: Color, ground: Color, other: Eyes): number =>
  contrastRatio(seenBy(paintOver(ink, ground), other), seenBy(ground, other));
