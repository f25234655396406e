/** How letters are set beyond their font: strokes, emphasis marks, hyphens, initials, spaces (CSS Text 4, Text Decoration 4, Inline 3). */
import { table } from "../../source/table";
import { inScheme, type ColorValue } from "../../color/value";
import { isKeyword, soleKeyword, type Component } from "../../source/css/components";
import { absoluteUnit, isMath } from "../../source/css/math";
import {
  colorLonghand,
  colorOr,
  computeLength,
  isLength,
  keywords,
  lengthOr,
  isNumber,
  numberOf,
  serialiseNumber,
  serialisePx,
  serialiseString,
  withOlderNames,
  wordLonghand,
  wordOf,
} from "./kinds";
import type { Longhand } from "./types";

const strokeRules = { percent: false, negative: false };
/** In 48ths of the font size, as in Chromium. */
const namedStrokes: Readonly<Record<string, number>> = table({ thin: 1, medium: 3, thick: 5 });

/** Compatibility, 3.2; not snapped to device pixels. */
const strokeWidth: Longhand<Component, number> = {
  name: "-webkit-text-stroke-width",
  inherited: true,
  initial: "0",
  parse: ([only, more]) => (!more && only && isStrokeWidth(only) ? only : null),
  compute: (value, context) =>
    value.type === "ident"
      ? (namedStrokes[value.name.toLowerCase()]! / 48) * context.fontSize
      : computeLength(value, context, strokeRules).px,
  serialise: serialisePx,
};

/** Whether a component is the width of a stroke around letters (Compatibility, 4). */
export function isStrokeWidth(part: Component): boolean {
  return part.type === "ident" ? part.name.toLowerCase() in namedStrokes : isLength(part, strokeRules, absoluteUnit);
}

const fills = ["filled", "open"];
const shapes = ["dot", "circle", "double-circle", "triangle", "sesame"];

/** CSS Text Decoration 4, 5.1: what is usual is left out; a mark of one's own is a string. */
const emphasisStyle: Longhand<{ fill: string; shape: string } | string, { fill: string; shape: string } | string> = {
  name: "text-emphasis-style",
  inherited: true,
  initial: "none",
  parse: (value) => {
    const [first] = value;
    if (value.length === 1 && first?.type === "string") return serialiseString(first.value);
    if (soleKeyword(value) === "none") return "none";
    const words = value.map(wordOf);
    const fill = words.filter((word) => fills.includes(word));
    const shape = words.filter((word) => shapes.includes(word));
    if (words.length === 0 || fill.length > 1 || shape.length > 1 || fill.length + shape.length !== words.length)
      return null;
    return { fill: fill[0] ?? "filled", shape: shape[0] ?? "" };
  },
  compute: (value) => value,
  serialise: (value, context) => {
    if (typeof value === "string") return value;
    const upright = context.own("writing-mode") === "horizontal-tb";
    const shape = value.shape || (upright ? "dot" : "sesame");
    return value.fill === "open" ? `open ${shape}` : shape;
  },
};

/** Whether a component says what emphasis marks look like (CSS Text Decoration 4, 3.1). */
export function isEmphasisStyle(part: Component): boolean {
  return (
    part.type === "string" || (part.type === "ident" && [...fills, ...shapes, "none"].includes(part.name.toLowerCase()))
  );
}

/** `over right` and `over` are the same (CSS Text Decoration 4, 5.3). */
const emphasisPosition = wordLonghand("text-emphasis-position", true, "over", (value) => {
  const words = value.map(wordOf);
  const line = words.filter((word) => word === "over" || word === "under");
  const side = words.filter((word) => word === "left" || word === "right");
  if (line.length !== 1 || side.length > 1 || line.length + side.length !== words.length) return null;
  return side[0] === "left" ? `${line[0]} left` : line[0]!;
});

/** CSS Inline 3, 5.2: what of the font's metrics a box ends at. */
const boxEdge = wordLonghand("text-box-edge", true, "auto", (value) => {
  const words = value.map(wordOf);
  if (words.length === 1 && words[0] === "auto") return "auto";
  if (words.length === 1) return words[0] === "text" ? "text" : null;
  const [over, under] = words;
  if (words.length !== 2 || !["text", "cap", "ex"].includes(over!) || !["text", "alphabetic"].includes(under!))
    return null;
  return over === "text" && under === "text" ? "text" : `${over} ${under}`;
});

const hyphenateCharacter = wordLonghand("hyphenate-character", true, "auto", ([only, more]) => {
  if (more || !only) return null;
  if (isKeyword(only, "auto")) return "auto";
  return only.type === "string" ? serialiseString(only.value) : null;
});

/** What browsers count letters of a word up to. */
const mostLetters = 255;

/** CSS Text 4, 6.3: of the word, before and after the hyphen. */
const hyphenateLimits = wordLonghand("hyphenate-limit-chars", true, "auto", (value) => {
  if (value.length < 1 || value.length > 3) return null;
  const parts = value.map((part) => {
    if (isKeyword(part, "auto")) return "auto";
    const number = numberOf(part);
    if (number === null || (part.type === "number" && (!part.integer || number < 1))) return null;
    return serialiseNumber(Math.min(mostLetters, Math.max(1, Math.round(number))));
  });
  // What is automatic behind the rest is left out.
  while (parts.length > 1 && parts.at(-1) === "auto") parts.pop();
  return parts.includes(null) ? null : parts.join(" ");
});

/** CSS Inline 3, 7.1: lines high and lines sunk. */
const initialLetter = wordLonghand("initial-letter", false, "normal", (value) => {
  if (soleKeyword(value) === "normal") return "normal";
  const word = value.find((part) => part.type === "ident");
  const numbers = value.filter((part) => part !== word);
  const kind = word?.type === "ident" ? word.name.toLowerCase() : "";
  if (word && !["drop", "raise"].includes(kind)) return null;
  const [size, sink, more] = numbers.map((one) => numberOf(one));
  if (
    size === undefined ||
    size === null ||
    size < 1 ||
    more !== undefined ||
    numbers.length !== (sink === undefined ? 1 : 2)
  )
    return null;
  if (sink !== undefined && (word || sink === null || sink < 1 || !Number.isInteger(sink))) return null;
  return [serialiseNumber(size), sink === undefined ? kind : serialiseNumber(sink!)].filter(Boolean).join(" ");
});

const tabRules = { percent: false, negative: false };

/** Whole numbers go no farther. */
const mostLines = 2 ** 31 - 1;

/** Lines after which a box ends (CSS Overflow 4, 5.3). */
const lineClamp: Longhand<Component, string> = {
  name: "-webkit-line-clamp",
  inherited: false,
  initial: "none",
  parse: ([only, more]) => {
    if (more || !only) return null;
    if (isKeyword(only, "none") || (isMath(only) && isNumber(only))) return only;
    return only.type === "number" && only.integer && only.value >= 1 ? only : null;
  },
  compute: (value, context) =>
    value.type === "ident"
      ? "none"
      : serialiseNumber(Math.min(mostLines, Math.max(1, Math.round(numberOf(value, context.unit) ?? 1)))),
  serialise: (value) => value,
};

/** In which order letters, their outlines and marks are painted (SVG 2, 13.8), as short as it can be said. */
const paintOrder = wordLonghand("paint-order", true, "normal", (value) => {
  if (soleKeyword(value) === "normal") return "normal";
  const usual = ["fill", "stroke", "markers"];
  const words = value.map(wordOf);
  if (words.length === 0 || words.some((word, at) => !usual.includes(word) || words.indexOf(word) < at)) return null;
  const completed = (first: readonly string[]) =>
    [...first, ...usual.filter((word) => !first.includes(word))].join(" ");
  const shortest = words.findIndex((_, at) => completed(words.slice(0, at + 1)) === completed(words));
  return words.slice(0, shortest + 1).join(" ");
});

const tabSize: Longhand<Component, string> = {
  name: "tab-size",
  inherited: true,
  initial: "8",
  parse: ([only, more]) => {
    if (more || !only) return null;
    if (only.type === "number") return only.value < 0 ? null : only;
    return isNumber(only) || isLength(only, tabRules, absoluteUnit) ? only : null;
  },
  compute: (value, context) => {
    const number = numberOf(value, context.unit);
    return number !== null
      ? serialiseNumber(Math.max(0, number))
      : serialisePx(computeLength(value, context, tabRules).px);
  },
  serialise: (value) => value,
};

/** CSS Mobile Text Size Adjustment 1. */
const sizeAdjust = wordLonghand("text-size-adjust", true, "auto", ([only, more]) => {
  if (more || !only) return null;
  if (isKeyword(only, "auto")) return "auto";
  if (isKeyword(only, "none")) return "100%";
  return only.type === "percentage" && only.value >= 0 ? `${serialiseNumber(only.value)}%` : null;
});

/** CSS Basic User Interface 4, 6.1: `auto` comes out as the colour of the text. */
const caretColor: Longhand<ColorValue | string, ColorValue | string> = {
  ...colorOr("caret-color", true, "auto", "auto"),
  compute: (value, { scheme }) => (typeof value === "string" ? { kind: "current" } : inScheme(value, scheme)),
};

const alignRules = { percent: true, negative: true };

export const typesettingLonghands: readonly Longhand<never, never>[] = [
  strokeWidth,
  { ...colorLonghand("-webkit-text-stroke-color", "currentcolor"), inherited: true },
  emphasisStyle,
  { ...colorLonghand("text-emphasis-color", "currentcolor"), inherited: true },
  emphasisPosition,
  keywords("text-box-trim", false, "none", "trim-start trim-end trim-both"),
  boxEdge,
  keywords("text-autospace", true, "no-autospace", "normal"),
  keywords("text-spacing-trim", true, "normal", "space-all space-first trim-start"),
  hyphenateCharacter,
  hyphenateLimits,
  initialLetter,
  withOlderNames(keywords("unicode-bidi", false, "normal", "embed isolate bidi-override isolate-override plaintext"), {
    "-webkit-isolate": "isolate",
    "-webkit-isolate-override": "isolate-override",
    "-webkit-plaintext": "plaintext",
  }),
  keywords("-webkit-user-modify", true, "read-only", "read-write read-write-plaintext-only"),
  tabSize,
  lineClamp,
  paintOrder,
  sizeAdjust,
  lengthOr(
    "vertical-align",
    false,
    "baseline",
    "baseline sub super text-top text-bottom middle top bottom -webkit-baseline-middle",
    alignRules,
  ),
  caretColor,
  colorOr("accent-color", true, "auto", "auto"),
  keywords("text-justify", true, "auto", "none inter-word inter-character distribute"),
  keywords("text-combine-upright", true, "none", "all"),
  keywords("ruby-position", true, "over", "under"),
] as unknown as Longhand<never, never>[];
