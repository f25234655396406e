/** Scales of sizes: steps by one ratio, and sizes moved onto them. */

/** Ratios that scales are made with, by their names in music. */
export const ratios: readonly { name: string; ratio: number }[] = [
  { name: "Minor second", ratio: 16 / 15 },
  { name: "Major second", ratio: 9 / 8 },
  { name: "Minor third", ratio: 6 / 5 },
  { name: "Major third", ratio: 5 / 4 },
  { name: "Perfect fourth", ratio: 4 / 3 },
  { name: "Augmented fourth", ratio: Math.SQRT2 },
  { name: "Perfect fifth", ratio: 3 / 2 },
  { name: "Golden section", ratio: (1 + Math.sqrt(5)) / 2 },
];

/** Steps from the smallest to the largest size that matters, in px, rounded to hundredths. */
export function scaleSteps(base: number, ratio: number, smallest: number, largest: number): number[] {
  if (!(base > 0) || !(ratio > 1.001) || !(smallest > 0)) return [];
  const steps: number[] = [];
  const from = Math.ceil(Math.log(smallest / base) / Math.log(ratio) - 0.5);
  const to = Math.floor(Math.log(largest / base) / Math.log(ratio) + 0.5);
  for (let step = from; step <= to && steps.length < 60; step += 1)
    steps.push(Math.round(base * ratio ** step * 100) / 100);
  return steps;
}

/** What steps go by: one ratio through a base, sizes that are written down, or a grid. All sizes in px. */
export interface StepsBy {
  by: number | "own" | "grid";
  base: number;
  /** Sizes parted by blanks, commas or semicolons. */
  own: string;
  grid: number;
}

/** The steps between two sizes, and a little beyond; rising. What is written down is taken as it is. */
export function stepsBy({ by, base, own, grid }: StepsBy, smallest: number, largest: number): number[] {
  if (by === "own") return sizesIn(own);
  if (by === "grid") return gridSteps(grid, largest);
  return scaleSteps(base, by, Math.min(smallest, base) * 0.9, Math.max(largest, base) * 1.1);
}

const sizesIn = (text: string) =>
  text
    .split(/[\s,;]+/)
    .map(Number)
    .filter((size) => size > 0 && size < 1000)
    .sort((a, b) => a - b);

const gridSteps = (grid: number, largest: number) =>
  Array.from({ length: Math.min(200, Math.ceil(largest / grid) + 1) }, (_, at) => (at + 1) * grid);

/** The step nearest to a size, by proportion. */
export function nearestStep(size: number, steps: readonly number[]): number | null {
  return steps.reduce<number | null>(
    (best, step) => (best === null || Math.abs(Math.log(step / size)) < Math.abs(Math.log(best / size)) ? step : best),
    null,
  );
}

/** The line of a grid nearest to a height, at least one; px. */
export function onGrid(height: number, grid: number): number {
  return Math.max(1, Math.round(height / grid)) * grid;
}
