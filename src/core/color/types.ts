export type Space =
  | "srgb"
  | "srgb-linear"
  | "hsl"
  | "hwb"
  | "lab"
  | "lch"
  | "oklab"
  | "oklch"
  | "display-p3"
  | "display-p3-linear"
  | "a98-rgb"
  | "prophoto-rgb"
  | "rec2020"
  | "xyz-d50"
  | "xyz-d65";

export type Channels = [number | null, number | null, number | null];

/**
 * A colour. Channels in the units of CSS Color 4: the RGB spaces 0 to 1, hsl and hwb in degrees and percent
 * 0 to 100, lab and lch lightness 0 to 100, oklab and oklch lightness 0 to 1; alpha 0 to 1. Null is `none`.
 */
export interface Color {
  space: Space;
  channels: Channels;
  alpha: number | null;
}

export type Notation = Space | "name" | "hex" | "rgb";

export type Triple = [number, number, number];
