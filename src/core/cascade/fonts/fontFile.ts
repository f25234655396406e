/** Font files: woff2, woff, ttf, otf (OpenType 1.9; WOFF 2). */
import { table } from "../../source/table";
import * as fontkit from "fontkit";
import type { FaceMetrics } from "./metrics";

export interface FontAxis {
  tag: string;
  name: string;
  min: number;
  default: number;
  max: number;
}

export interface FontFile {
  format: "woff2" | "woff" | "truetype" | "opentype";
  family: string;
  /** Name of the style within the family: "Bold Italic". */
  style: string;
  /** 1 to 1000, as font-weight counts; a range where there is a weight axis. */
  weight: readonly [number, number];
  italic: boolean;
  /** Percent, as font-stretch counts. */
  stretch: number;
  axes: readonly FontAxis[];
  /** OpenType features by their tags. */
  features: ReadonlySet<string>;
  metrics: FaceMetrics;
  /** Whether the face has a glyph for a character. */
  has(codePoint: number): boolean;
}

/** A file that is not a font that can be read, with the reason in plain words. */
export class FontError extends Error {}

const largest = 30_000_000;

/** How often letters and the blank come in a thousand characters of running English text, rounded. */
const frequencies: Readonly<Record<string, number>> = table({
  " ": 180,
  e: 103,
  t: 74,
  a: 67,
  o: 62,
  i: 57,
  n: 57,
  s: 52,
  h: 50,
  r: 49,
  d: 35,
  l: 33,
  u: 23,
  c: 23,
  m: 20,
  f: 18,
  w: 19,
  y: 16,
  g: 16,
  p: 15,
  b: 12,
  v: 8,
  k: 6,
  x: 2,
});

const known = new WeakMap<Uint8Array, FontFile | FontError>();

/** Reads a font file once. @throws FontError for anything that is no font, or a broken one */
export function readFontFile(bytes: Uint8Array): FontFile {
  let result = known.get(bytes);
  if (!result) {
    try {
      result = read(bytes);
    } catch (error) {
      result =
        error instanceof FontError ? error : new FontError("The font file is broken: its tables cannot be read.");
    }
    known.set(bytes, result);
  }
  if (result instanceof FontError) throw result;
  return result;
}

function read(bytes: Uint8Array): FontFile {
  if (bytes.length === 0) throw new FontError("The file is empty.");
  if (bytes.length > largest)
    throw new FontError(`The file has more than ${largest / 1_000_000} MB, too much for a font.`);
  const format = formatOf(bytes);
  if (!format) throw new FontError("It is not a font file: woff2, woff, ttf and otf can be read.");
  const font = fontkit.create(bytes as never) as fontkit.Font;
  const os2 = font["OS/2"];
  const useTypo = os2?.fsSelection?.useTypoMetrics ?? false;
  const axes = Object.entries(font.variationAxes ?? {}).map(([tag, axis]) => ({ tag, ...axis! }));
  const weightAxis = axes.find(({ tag }) => tag === "wght");
  const weight = os2?.usWeightClass ?? 400;
  const advance = (character: string): number | null => {
    const point = character.codePointAt(0)!;
    return font.hasGlyphForCodePoint(point) ? font.glyphForCodePoint(point).advanceWidth : null;
  };
  const height = (character: string): number | null => {
    const point = character.codePointAt(0)!;
    return font.hasGlyphForCodePoint(point) ? font.glyphForCodePoint(point).bbox.maxY : null;
  };
  const unitsPerEm = font.unitsPerEm;
  if (!(unitsPerEm > 0) || font.numGlyphs === 0) throw new FontError("The font file has no glyphs.");
  const metrics: FaceMetrics = {
    family: font.familyName || "Unnamed",
    unitsPerEm,
    ascent: useTypo ? os2!.typoAscender : font.ascent,
    descent: useTypo ? os2!.typoDescender : font.descent,
    lineGap: useTypo ? os2!.typoLineGap : font.lineGap,
    xHeight: font.xHeight || height("x") || unitsPerEm / 2,
    capHeight: font.capHeight || height("H") || unitsPerEm * 0.7,
    averageWidth: averageWidth(advance) ?? os2?.xAvgCharWidth ?? unitsPerEm / 2,
    zeroWidth: advance("0"),
    ideographWidth: advance("水"),
  };
  const characters = new Set(font.characterSet);
  return {
    format,
    family: metrics.family,
    style: font.subfamilyName || "Regular",
    weight: weightAxis ? [weightAxis.min, weightAxis.max] : [weight, weight],
    italic: font.italicAngle !== 0 || (os2?.fsSelection?.italic ?? false),
    stretch: [50, 62.5, 75, 87.5, 100, 112.5, 125, 150, 200][(os2?.usWidthClass ?? 5) - 1] ?? 100,
    axes,
    features: new Set(font.availableFeatures),
    metrics,
    has: (point) => characters.has(point),
  };
}

function formatOf(bytes: Uint8Array): FontFile["format"] | null {
  const tag = String.fromCharCode(...bytes.subarray(0, 4));
  const formats: Readonly<Record<string, FontFile["format"]>> = {
    wOF2: "woff2",
    wOFF: "woff",
    OTTO: "opentype",
    true: "truetype",
    "\0\x01\0\0": "truetype",
  };
  return formats[tag] ?? null;
}

function averageWidth(advance: (character: string) => number | null): number | null {
  let sum = 0;
  let total = 0;
  for (const [character, frequency] of Object.entries(frequencies)) {
    const width = advance(character);
    if (width === null) continue;
    sum += width * frequency;
    total += frequency;
  }
  return total > 500 ? sum / total : null;
}
