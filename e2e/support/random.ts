/** Random choices that a seed makes again. */
export interface Chance {
  /** A number from 0 up to 1. */
  next(): number;
  /** A whole number from 0 up to `below`. */
  upTo(below: number): number;
  among<Value>(list: readonly Value[]): Value;
  /** True in that part of cases. */
  is(part: number): boolean;
}

/** Mulberry32. */
export function chanceOf(seed: number): Chance {
  let state = seed >>> 0;
  const next = () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  const upTo = (below: number) => Math.floor(next() * below);
  return { next, upTo, among: (list) => list[upTo(list.length)]!, is: (part) => next() < part };
}
