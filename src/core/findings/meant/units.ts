/** Units as people write them (CSS Values 4, 6 to 8). */
import { table } from "../../source/table";
import { editDistance } from "../../source/path";

/** Units of CSS, those for text first. */
const units = [
  "px",
  "em",
  "rem",
  "%",
  "pt",
  "ch",
  "ex",
  "vw",
  "vh",
  "vmin",
  "vmax",
  "lh",
  "rlh",
  "cm",
  "mm",
  "in",
  "pc",
  "deg",
  "turn",
  "rad",
  "s",
  "ms",
  "fr",
  "dvh",
  "svh",
  "lvh",
  "dvw",
  "cqw",
  "cqi",
];

const words: Readonly<Record<string, string>> = table({
  pixel: "px",
  pixels: "px",
  pxs: "px",
  point: "pt",
  points: "pt",
  pts: "pt",
  percent: "%",
  percents: "%",
  "per cent": "%",
  ems: "em",
  rems: "rem",
  degree: "deg",
  degrees: "deg",
  degs: "deg",
  characters: "ch",
  character: "ch",
  chars: "ch",
  letters: "ch",
  lines: "lh",
  second: "s",
  seconds: "s",
  sec: "s",
  inch: "in",
  inches: "in",
  "\u00b0": "deg",
});

/** The units a word may stand for, likeliest first. */
export function meantUnits(word: string): string[] {
  const lower = word.toLowerCase();
  if (words[lower]) return [words[lower]];
  if (units.includes(lower)) return [lower];
  const near = units
    .map((unit) => ({ unit, distance: editDistance(lower, unit) }))
    .filter(({ distance }) => distance <= 1)
    .sort((a, b) => a.distance - b.distance);
  return near.map(({ unit }) => unit);
}
