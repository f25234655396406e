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

/** What is told of a pixel: where it is in the data of its strip, and where in the picture. */
export type AtPoint = (at: number, x: number, y: number) => void;

/** Whole pixels inside a band, evenly. */
export function forEachPoint(band: Band, strip: Strip, look: AtPoint): void {
  const left = Math.max(0, Math.ceil(band.left));
  const right = Math.min(strip.width, Math.max(Math.floor(band.right), left + 1));
  const top = Math.max(0, Math.ceil(band.top));
  const bottom = Math.max(Math.floor(band.bottom), top + 1);
  const [columns, rows] = [right - left, bottom - top];
  const [shownColumns, shownRows] = [Math.min(columns, mostColumns), Math.min(rows, mostRows)];
  // There are thousands of them: nothing is made for each.
  for (let row = 0; row < shownRows; row += 1) {
    const y = top + evenly(row, shownRows, rows);
    if (y < strip.top || y >= strip.top + strip.height) continue;
    for (let column = 0; column < shownColumns; column += 1) {
      const x = left + evenly(column, shownColumns, columns);
      look(((y - strip.top) * strip.width + x) * 4, x, y);
    }
  }
}

/** Which of all the one at a place among some of them is, ends included. */
function evenly(at: number, some: number, all: number): number {
  return some === all ? at : Math.round((at * (all - 1)) / (some - 1));
}
