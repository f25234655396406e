/** Colours as people write them (CSS Color 4). */
import { namedColors } from "../../color/names";
import { table } from "../../source/table";
import { nearestWords } from "./near";

/** What is taken for a digit of a hexadecimal number. */
const likeDigits: Readonly<Record<string, string>> = table({ o: "0", i: "1", l: "1", s: "5", z: "2", g: "9", q: "9" });

/** Digits made three, four, six or eight hexadecimal ones. */
export function hexDigits(written: string): string {
  const digits = [...written.toLowerCase()]
    .map((letter) => (/[\da-f]/.test(letter) ? letter : (likeDigits[letter] ?? "f")))
    .join("");
  switch (digits.length) {
    case 1:
      return digits.repeat(3);
    case 2:
      return digits.repeat(3);
    case 5:
      return digits + digits[4]!;
    case 3:
    case 4:
    case 6:
    case 8:
      return digits;
    default:
      return digits.slice(0, 6);
  }
}

const functions = [
  "rgb",
  "rgba",
  "hsl",
  "hsla",
  "hwb",
  "lab",
  "lch",
  "oklab",
  "oklch",
  "color",
  "color-mix",
  "linear-gradient",
  "radial-gradient",
  "conic-gradient",
  "repeating-linear-gradient",
  "repeating-radial-gradient",
  "calc",
  "clamp",
  "min",
  "max",
  "var",
  "url",
];

/** The arguments of a colour function as they may have been meant. */
export function* meantArguments(name: string, inside: string): Generator<string> {
  const text = inside.trim().replace(/^[,\s]+|[,\s]+$/g, "");
  const parts = text.split(/[\s,;/]+/).filter(Boolean);
  const legacy = /[,;]/.test(text);
  const dotted = /^\d+\.\d+\.\d+$/.test(text) ? text.split(".") : null;
  for (const list of dotted ? [dotted] : [parts, parts.map((part) => part.replace(/^%(.+)/, "$1%"))]) {
    const mixed = list.slice(0, 3).some((part) => part.endsWith("%")) && /^rgba?$/.test(name);
    const full = list.map((part, at) => {
      const needsPercent = mixed ? at < 3 : /^(?:hsla?|hwb)$/.test(name) && (at === 1 || at === 2);
      if (/^[\d.]+$/.test(part)) return needsPercent ? `${part}%` : part;
      return /^[\d.]+(?:px|em)$/.test(part) ? part.replace(/[a-z]+$/, "") : part;
    });
    if (list.length !== 3 && list.length !== 4) continue;
    for (const own of [full, list]) {
      const forms = [own.join(", "), own.slice(0, 3).join(" ") + (own[3] ? ` / ${own[3]}` : "")];
      yield* legacy ? forms : forms.toReversed();
    }
  }
}

/** The function that a misspelt one stands for. */
export const meantFunction = (name: string): string[] => nearestWords(name, functions, 2);

const colorNames = [...namedColors.keys(), "transparent"];

/** Names of colours that a misspelt or parted one may stand for. */
export function meantColorNames(written: string): string[] {
  const plain = written
    .toLowerCase()
    .replace(/[\s_-]+/g, "")
    .replace(/^lite|^lt/, "light")
    .replace(/^drk|^dk/, "dark");
  if (namedColors.has(plain) && plain !== written.toLowerCase()) return [plain];
  if (plain === "colorless" || plain === "clear") return ["transparent"];
  return nearestWords(plain, colorNames, plain.length > 5 ? 2 : 1);
}

/** The name of a colour that a word begins with, or ends with: "navyblue", "deepred". */
export function colorNamesWithin(word: string): string[] {
  const plain = word.toLowerCase();
  const within = [...namedColors.keys()].filter((name) => name.length > 2).sort((a, b) => b.length - a.length);
  const [first, last] = [within.find((name) => plain.startsWith(name)), within.find((name) => plain.endsWith(name))];
  return [first, last].filter((name): name is string => name !== undefined);
}
