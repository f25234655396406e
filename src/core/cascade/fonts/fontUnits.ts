/** What the font-relative units come to on a page. */
import type { Conditions } from "../conditions";
import { serialiseFamily, type FamilyName } from "../properties/font";
import { genericFace, knownFace } from "./faces";
import { assumedMeasure, measureAt, type FaceMetrics, type FontMeasure } from "./metrics";
import { faceFor, type FontFace } from "./pageFonts";

/** How a text is set, as far as its font goes. */
export interface FontSetting {
  families: readonly FamilyName[];
  weight: number;
  italic: boolean;
  /** CSS px. */
  size: number;
  /** Percentage; 100 is normal. */
  stretch: number;
}

/** What measured fonts are looked up by. @param stack as computed @param size in CSS px */
export function fontKeyOf(stack: string, size: number, weight: number, italic: boolean, stretch: string): string {
  return `${italic ? "italic " : ""}${stretch === "100%" ? "" : `${stretch} `}${weight} ${Math.round(size * 1000) / 1000}px ${stack}`;
}

/** Names a setting of type by what its units go by. */
export function fontKey({ families, size, weight, italic, stretch }: FontSetting): string {
  return fontKeyOf(families.map(serialiseFamily).join(", "), size, weight, italic, `${stretch}%`);
}

/** Whether a sheet uses units that follow the metrics of a font. */
export function usesFontUnits(text: string): boolean {
  return /\d(?:r?(?:ex|ch|cap|ic|lh))\b/i.test(text);
}

/** Measured on the page where it was, else from the metrics of the first face that is there, else as the standard assumes. */
export function fontMeasure(
  whole: FontSetting,
  faces: readonly FontFace[],
  { fonts, installed, absent }: Conditions,
): FontMeasure {
  const gone = new Set(absent.map((name) => name.toLowerCase()));
  const setting = gone.size
    ? { ...whole, families: whole.families.filter(({ name, generic }) => generic || !gone.has(name.toLowerCase())) }
    : whole;
  const measured = fonts[fontKey(setting)];
  if (measured) return measured;
  const face = firstFace(setting, faces, installed);
  return face ? measureAt(face, setting.size) : assumedMeasure(setting.size);
}

/** @param installed families of the machine; null when they are not known, and every face whose metrics are known counts as there */
function firstFace(
  { families, weight, italic }: FontSetting,
  faces: readonly FontFace[],
  installed: readonly string[] | null,
): FaceMetrics | null {
  const present = installed && new Set(installed.map((name) => name.toLowerCase()));
  for (const { name, generic } of families) {
    const own = generic ? null : faceFor(faces, name, weight, italic)?.file?.metrics;
    const face =
      own ?? (generic ? genericFace(name) : !present || present.has(name.toLowerCase()) ? knownFace(name) : null);
    if (face) return face;
  }
  return genericFace("serif");
}
