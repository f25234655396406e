/** A verdict from pixels: what was seen of a text where the browser painted it. */
import { contrastRatio, relativeLuminance } from "../color/contrast";
import type { Color } from "../color/types";
import type { Found } from "./types";
import type { Painted } from "./layout";

/** Part of a text's band that may be worse than its ratio says. */
const worstPart = 1 / 20;
/** Bytes of a colour that layers and pixels may differ by and still tell the same. */
const sameWithin = 4;
/** Part of a text's band that can be edges of the line through it: pixels that the line covers in part. */
const edgePart = 1 / 50;
/** Relative luminance that they may differ by where the ground varies. */
const lightWithin = 0.01;

export interface PaintedGround {
  /** What lies at the point the ratio is taken from. */
  color: Color;
  ink: Color;
  /** Darkest and lightest, where there is more than one. */
  range: [Color, Color] | null;
  /** Of the worst twentieth of the band. */
  ratio: number;
  /** At the worst point, and at the best. */
  least: number;
  best: number;
}

const ofBytes = (bytes: readonly number[], at: number): Color => ({
  space: "srgb",
  channels: [bytes[at]! / 255, bytes[at + 1]! / 255, bytes[at + 2]! / 255],
  alpha: 1,
});

interface Point {
  ground: Color;
  ink: Color;
  ratio: number;
  light: number;
  count: number;
}

/** Null where nothing of the text was seen. */
export function groundFromPaint({ points }: Painted): PaintedGround | null {
  const list: Point[] = [];
  let total = 0;
  for (let at = 0; at + 6 < points.length; at += 7) {
    const [ground, ink] = [ofBytes(points, at), ofBytes(points, at + 3)];
    const count = points[at + 6]!;
    list.push({ ground, ink, ratio: contrastRatio(ink, ground), light: relativeLuminance(ground), count });
    total += count;
  }
  if (list.length === 0) return null;
  list.sort((a, b) => a.ratio - b.ratio);
  let left = total * worstPart;
  const worst = list.find(({ count }) => (left -= count) < 0) ?? list[list.length - 1]!;
  const byLight = [...list].sort((a, b) => a.light - b.light);
  const [dark, light] = [byLight[0]!.ground, byLight[byLight.length - 1]!.ground];
  return {
    color: worst.ground,
    ink: worst.ink,
    range: bytesApart(dark, light) > 2 ? [dark, light] : null,
    ratio: worst.ratio,
    least: leastOf(list, total),
    best: list[list.length - 1]!.ratio,
  };
}

/**
 * The least ratio of some points, the worst first. Where letters do not end on whole pixels the line through them covers
 * single columns in part and mixes its ink with the ground there: as long as they are few, they are not the text's.
 */
function leastOf(list: readonly Point[], total: number): number {
  const isEdge = (point: Point) => list.some((other) => other.count > point.count && isMixOf(point, other));
  let left = total * edgePart;
  const worst = list.find((point) => (left -= point.count) < 0 || !isEdge(point))!;
  return (left < 0 && isEdge(worst) ? list[0]! : worst).ratio;
}

/** Whether a point's ink is that of another on the same ground with some of the ground in it. */
function isMixOf(point: Point, other: Point): boolean {
  if (bytesApart(point.ground, other.ground) > sameWithin) return false;
  const part = bytesApart(point.ink, point.ground) / Math.max(1, bytesApart(other.ink, other.ground));
  if (part >= 1) return false;
  const mixed = point.ground.channels.map((channel, at) => channel! + (other.ink.channels[at]! - channel!) * part);
  return bytesApart(point.ink, { ...point.ink, channels: mixed as [number, number, number] }) <= sameWithin;
}

/** Largest difference of two opaque sRGB colours in one channel, in bytes. */
function bytesApart(a: Color, b: Color): number {
  const byte = (value: number | null) => Math.min(1, Math.max(0, value ?? 0)) * 255;
  return Math.max(...a.channels.map((value, at) => Math.abs(byte(value) - byte(b.channels[at]!))));
}

/** Whether what layers tell is what was seen: the same colour, or part of what varies under all of the text's box. */
export function agrees({ bare }: Found, { color, range }: PaintedGround): boolean {
  const seen = range ?? [color, color];
  const sorted = [...bare].sort((a, b) => relativeLuminance(a) - relativeLuminance(b));
  const [dark, light] = [sorted[0]!, sorted[sorted.length - 1]!];
  if (bytesApart(dark, light) <= sameWithin)
    return bytesApart(dark, seen[0]!) <= sameWithin && bytesApart(light, seen[1]!) <= sameWithin;
  const [low, high] = [relativeLuminance(dark), relativeLuminance(light)];
  return relativeLuminance(seen[0]!) >= low - lightWithin && relativeLuminance(seen[1]!) <= high + lightWithin;
}
