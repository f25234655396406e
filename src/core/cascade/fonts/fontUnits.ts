/** What the font-relative units come to on a page. */
import type { Conditions } from "../conditions";
import { serialiseFamily, type FamilyName } from "../properties/font";
import { genericFace, knownFace } from "./faces";
import { fontKeyOf } from "./fontKey";
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

/** Names a setting of type by what its units go by. */
export function fontKey({ families, size, weight, italic, stretch }: FontSetting): string {
  return fontKeyOf(families.map(serialiseFamily).join(", "), size, weight, italic, `${stretch}%`);
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
    if (own) return own;
    const isThere = !present || present.has(name.toLowerCase());
    const face = generic ? genericFace(name) : isThere && knownFace(name);
    if (face) return face;
  }
  return genericFace("serif");
}
