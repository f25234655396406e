/** The pixels of a picture that lie along the lines of texts. */
import type { PlaceView } from "@/engine/protocol";
import { idOf, type Band } from "./bands";

/** Rows of a picture that are read at once. */
export const stripHeight = 512;

/** Pixels of one strip of a picture. */
export interface Strip {
  top: number;
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

export interface Row {
  text: PlaceView;
  band: Band;
}

/** The bands that reach into each strip. */
export function rowsByStrip(
  texts: readonly PlaceView[],
  bands: ReadonlyMap<string, readonly Band[]>,
): Map<number, Row[]> {
  const rows = new Map<number, Row[]>();
  for (const text of texts) {
    for (const band of bands.get(idOf(text)) ?? []) {
      if (band.bottom <= 0) continue;
      const last = Math.floor((band.bottom - 0.01) / stripHeight);
      for (let strip = Math.max(0, Math.floor(band.top / stripHeight)); strip <= last; strip += 1) {
        const list = rows.get(strip);
        if (list) list.push({ text, band });
        else rows.set(strip, [{ text, band }]);
      }
    }
  }
  return rows;
}

/** At most this many columns and rows of pixels are looked at in a band. */
const mostColumns = 1200;
const mostRows = 16;

/** Whole pixels inside a band, evenly. @param look told where each is in the strip's data, and where in the picture */
export function forEachPoint(band: Band, strip: Strip, look: (at: number, x: number, y: number) => void): void {
  const left = Math.max(0, Math.ceil(band.left));
  const right = Math.min(strip.width, Math.max(Math.floor(band.right), left + 1));
  const top = Math.max(0, Math.ceil(band.top));
  const bottom = Math.max(Math.floor(band.bottom), top + 1);
  const [columns, rows] = [right - left, bottom - top];
  for (const y of evenly(top, rows, mostRows)) {
    if (y < strip.top || y >= strip.top + strip.height) continue;
    for (const x of evenly(left, columns, mostColumns)) look(((y - strip.top) * strip.width + x) * 4, x, y);
  }
}

function evenly(from: number, count: number, most: number): number[] {
  if (count <= 0) return [];
  if (count <= most) return Array.from({ length: count }, (_, at) => from + at);
  return Array.from({ length: most }, (_, at) => from + Math.round((at * (count - 1)) / (most - 1)));
}
