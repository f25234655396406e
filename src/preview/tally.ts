/** Counts what is seen along a text: pairs of ground and ink, as often as they come. */
import { contrastRatio, type Color, type Painted } from "@/core";

/** Of a picture, four bytes a pixel. */
export type Pixels = Uint8ClampedArray;

/** Bytes of a colour this near are equal. */
const near = 2;

export function isNear(a: Uint8ClampedArray, b: Uint8ClampedArray, at: number): boolean {
  return (
    Math.abs(a[at]! - b[at]!) <= near &&
    Math.abs(a[at + 1]! - b[at + 1]!) <= near &&
    Math.abs(a[at + 2]! - b[at + 2]!) <= near
  );
}

/** More different pairs of ground and ink than this are thinned. */
const mostPairs = 400;

const outstanding = [0x000000, 0xffffff, 0xff00ff, 0x00ff00, 0x0000ff, 0xffff00, 0xff0000, 0x00ffff, 0x808080];

/** Points more than this part of all may look like the ground before it is asked whether they are seen. */
const doubtfulPart = 0.02;

/** Counts the pairs of ground and ink along a text. */
export class Tally {
  /** Points where the text is not seen. */
  hidden = 0;
  readonly pairs = new Map<number, number>();
  /** Where each pair was met first, CSS px of the page. */
  readonly places = new Map<number, readonly [x: number, y: number]>();
  /** Differs, most likely, where anything that was added did. */
  signature = 0;
  private count = 0;
  /** Points where the ink is as the ground is. */
  private same = 0;
  /** The pair met last, and how often since it was not another. */
  private last = -1;
  private run = 0;

  /** @param x where on the page it is, CSS px */
  add(ground: Pixels, ink: Pixels, at: number, x = 0, y = 0): void {
    this.count += 1;
    if (isNear(ground, ink, at)) this.same += 1;
    const under = (ground[at]! << 16) | (ground[at + 1]! << 8) | ground[at + 2]!;
    const over = (ink[at]! << 16) | (ink[at + 1]! << 8) | ink[at + 2]!;
    const key = under * 0x1000000 + over;
    this.signature = (Math.imul(this.signature, 31) + under * 7 + over) | 0;
    if (key !== this.last) {
      this.settle();
      if (!this.places.has(key)) this.places.set(key, [x, y]);
    }
    this.last = key;
    this.run += 1;
  }

  /** Puts what was met last to the rest. */
  settle(): void {
    if (this.run > 0) this.pairs.set(this.last, (this.pairs.get(this.last) ?? 0) + this.run);
    this.run = 0;
  }

  get all(): number {
    return this.count + this.hidden;
  }

  get seen(): number {
    return this.all ? this.count / this.all : 0;
  }

  isDoubtful(): boolean {
    return this.same > this.count * doubtfulPart;
  }

  /** Of some colours the one that is furthest from any of the ground. */
  standsOut(): string {
    this.settle();
    const grounds = [...this.pairs.keys()].slice(0, mostPairs).map((key) => Math.floor(key / 0x1000000));
    const distance = (color: number) =>
      Math.min(
        ...grounds.map((ground) =>
          Math.max(...[16, 8, 0].map((by) => Math.abs(((color >> by) & 255) - ((ground >> by) & 255)))),
        ),
      );
    const [furthest] = outstanding.map((color) => [color, distance(color)] as const).sort((a, b) => b[1] - a[1]);
    return `#${furthest![0].toString(16).padStart(6, "0")}`;
  }
}

type Pair = readonly [key: number, count: number];

/** Some of many pairs, with those of the darkest and of the lightest ground. */
function thinned(entries: readonly Pair[]): readonly Pair[] {
  if (entries.length <= mostPairs) return entries;
  const light = ([key]: Pair) => {
    const ground = Math.floor(key / 0x1000000);
    return 0.2126 * (ground >> 16) ** 2.2 + 0.7152 * ((ground >> 8) & 255) ** 2.2 + 0.0722 * (ground & 255) ** 2.2;
  };
  const kept = new Set<Pair>();
  const step = entries.length / mostPairs;
  for (let at = 0; at < entries.length; at += step) kept.add(entries[Math.floor(at)]!);
  kept.add(entries.reduce((a, b) => (light(b) < light(a) ? b : a)));
  kept.add(entries.reduce((a, b) => (light(b) > light(a) ? b : a)));
  return [...kept];
}

/** One text under several assumptions. @param doubt the words for it when they make a difference */
export function paintedOf(tallies: readonly Tally[], doubt: string): Painted {
  const pairs = new Map<number, number>();
  for (const tally of tallies) {
    tally.settle();
    for (const [key, count] of tally.pairs) pairs.set(key, (pairs.get(key) ?? 0) + count);
  }
  const points: number[] = [];
  for (const [key, count] of thinned([...pairs])) {
    const [under, over] = [Math.floor(key / 0x1000000), key % 0x1000000];
    points.push(under >> 16, (under >> 8) & 255, under & 255, over >> 16, (over >> 8) & 255, over & 255, count);
  }
  const worst = worstOf([...pairs], tallies);
  const differs = tallies.some(({ signature }) => signature !== tallies[0]!.signature);
  return {
    points,
    seen: Math.min(...tallies.map(({ seen }) => seen)),
    doubt: differs ? doubt : null,
    ...(worst ? { worst } : {}),
  };
}

/** A pair met less often, by this part of all, is the edge of a letter or a line. */
const edgePart = 1 / 200;

/** Where ink and ground are least apart, CSS px of the page; null where they are the same all along. */
function worstOf(pairs: readonly Pair[], tallies: readonly Tally[]): { x: number; y: number } | null {
  const all = pairs.reduce((sum, [, count]) => sum + count, 0);
  const ratioOf = (key: number) => contrastRatio(colorOf(key % 0x1000000), colorOf(Math.floor(key / 0x1000000)));
  const ratios = pairs.flatMap(([key, count]) => (count < all * edgePart ? [] : [{ key, ratio: ratioOf(key) }]));
  if (ratios.length < 2) return null;
  const { key } = ratios.reduce((a, b) => (b.ratio < a.ratio ? b : a));
  const place = tallies.map(({ places }) => places.get(key)).find((one) => one !== undefined);
  return place ? { x: place[0], y: place[1] } : null;
}

const colorOf = (bytes: number): Color => ({
  space: "srgb",
  channels: [(bytes >> 16) / 255, ((bytes >> 8) & 255) / 255, (bytes & 255) / 255],
  alpha: 1,
});
