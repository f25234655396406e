/** Lines through texts in pictures of their page: in their ink, or in a colour that says a number. */
import type { Strike } from "@/core";
import type { PlaceView } from "@/engine/protocol";
import type { Band } from "./bands";
import type { Strip } from "./points";
import { isNear } from "./tally";

export function strikeOf({ index, pseudo, sizePx }: PlaceView, color: string): Strike {
  return { index, pseudo, color, thickness: Math.max(2, Math.round(sizePx * 50) / 100) };
}

const blue = 213;
const step = 15;
const lowest = 10;
const steps = 16;

/** Where lines in colours that say numbers are found. */
export class Numbers {
  /** So many can be told from each other in one picture. */
  static readonly most = steps * steps;

  static colorOf(number: number): string {
    return `rgb(${lowest + (number % steps) * step}, ${lowest + Math.floor(number / steps) * step}, ${blue})`;
  }

  /** Around all pixels of a number. */
  readonly found = new Map<number, Band>();

  constructor(private readonly count: number) {}

  /** @param without the same part of the picture without the lines */
  read(without: Strip, { data, width, top }: Strip): void {
    for (let at = 0; at < data.length; at += 4) {
      if (data[at + 2] !== blue || isNear(without.data, data, at)) continue;
      const number = numberOf(data[at]!, data[at + 1]!);
      if (number === null || number >= this.count) continue;
      const x = (at / 4) % width;
      const y = top + Math.floor(at / 4 / width);
      const box = this.found.get(number);
      if (!box) this.found.set(number, { left: x, top: y, right: x + 1, bottom: y + 1 });
      else {
        box.left = Math.min(box.left, x);
        box.right = Math.max(box.right, x + 1);
        box.bottom = Math.max(box.bottom, y + 1);
      }
    }
  }
}

function numberOf(red: number, green: number): number | null {
  const [low, high] = [(red - lowest) / step, (green - lowest) / step];
  return Number.isInteger(low) && Number.isInteger(high) && low >= 0 && high >= 0 ? low + high * steps : null;
}
