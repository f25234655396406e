/** Corners, shadows, outlines and pictures along edges (CSS Backgrounds 3, sections 5 to 7; CSS UI 4; CSS Overflow 3). */
import { colorFromComponent, resolveColor, type ColorValue } from "../../color/value";
import { serialiseColor } from "../../color/format";
import { isKeyword, soleKeyword, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import { computeBorderWidth, isBorderWidth, snapWidth } from "./box";
import { imageLonghand } from "./color";
import {
  colorLonghand,
  computeLength,
  isLength,
  keywords,
  largestSingle,
  layersOf,
  numberOf,
  serialiseLengthPercentage,
  serialiseNumber,
  serialisePx,
  wordLonghand,
  wordOf,
} from "./kinds";
import { corners } from "./sides";
import type { LengthPercentage, Longhand } from "./types";

const radiusRules = { percent: true, negative: false };

/** Across and down. */
const radius = (corner: string): Longhand<readonly Component[], readonly LengthPercentage[]> => ({
  name: `border-${corner}-radius`,
  inherited: false,
  initial: "0",
  parse: (value) =>
    value.length >= 1 && value.length <= 2 && value.every((part) => isLength(part, radiusRules, absoluteUnit))
      ? value
      : null,
  compute: (value, context) => value.map((part) => computeLength(part, context, radiusRules)),
  serialise: (value) => {
    const [across, down = across] = value.map(serialiseLengthPercentage);
    return across === down ? across! : `${across} ${down}`;
  },
});

interface BoxShadow<Length> {
  color: ColorValue | null;
  inset: boolean;
  lengths: readonly Length[];
}

const shadowRules = { percent: false, negative: true };
const isShadowLength = (part: Component) => isLength(part, shadowRules, absoluteUnit);

const boxShadow: Longhand<BoxShadow<Component>[], BoxShadow<number>[]> = {
  name: "box-shadow",
  inherited: false,
  initial: "none",
  parse: (value) => (soleKeyword(value) === "none" ? [] : layersOf(value, readShadow)),
  compute: (value, context) =>
    value.map((shadow) => ({
      ...shadow,
      lengths: shadow.lengths.map((length, at) => {
        const { px } = computeLength(length, context, shadowRules);
        return at === 2 ? Math.max(0, px) : px;
      }),
    })),
  serialise: (value, context) =>
    value
      .map(({ color, inset, lengths: [x = 0, y = 0, blur = 0, spread = 0] }) => {
        const plain = resolveColor(color ?? { kind: "current" }, { current: context.color, scheme: context.scheme });
        const lengths = [x, y, blur, spread].map(serialisePx).join(" ");
        return `${serialiseColor(plain)} ${lengths}${inset ? " inset" : ""}`;
      })
      .join(", ") || "none",
};

/** Two to four lengths in one run, a colour and `inset` before or after them. */
function readShadow(layer: readonly Component[]): BoxShadow<Component> | null {
  let color: ColorValue | null = null;
  let inset = false;
  const lengths: Component[] = [];
  for (const [at, part] of layer.entries()) {
    if (isKeyword(part, "inset") && !inset) inset = true;
    else if (isShadowLength(part)) {
      if (lengths.length && lengths.at(-1) !== layer[at - 1]) return null;
      lengths.push(part);
    } else if (!color) {
      color = colorFromComponent(part);
      if (!color) return null;
    } else return null;
  }
  const blur = lengths[2];
  const isNegative = (blur?.type === "dimension" || blur?.type === "number") && blur.value < 0;
  return lengths.length < 2 || lengths.length > 4 || isNegative ? null : { color, inset, lengths };
}

const widthRules = { percent: false, negative: false };
const offsetRules = { percent: false, negative: true };

const outlineWidth: Longhand<Component, number> = {
  name: "outline-width",
  inherited: false,
  initial: "medium",
  parse: ([only, more]) => (!more && only && isBorderWidth(only) ? only : null),
  compute: computeBorderWidth,
  serialise: serialisePx,
};

const outlineOffset: Longhand<Component, number> = {
  name: "outline-offset",
  inherited: false,
  initial: "0",
  parse: ([only, more]) => (!more && isLength(only, offsetRules, absoluteUnit) ? only! : null),
  compute: (value, context) => {
    const { px } = computeLength(value, context, offsetRules);
    return px < 0 ? -snapWidth(-px, context.zoom) : snapWidth(px, context.zoom);
  },
  serialise: serialisePx,
};

export const outlineStyles = "auto dotted dashed solid double groove ridge inset outset";

/** Up to four values for the four sides; equal ones are left out (CSSOM, 6.7.2). */
function shortened(texts: readonly string[]): string {
  const [top, right = top, bottom = top, left = right] = texts;
  if (left !== right) return [top, right, bottom, left].join(" ");
  if (bottom !== top) return [top, right, bottom].join(" ");
  return right !== top ? `${top} ${right}` : top!;
}

type Edge = LengthPercentage | number | "auto";

/** A number of widths; what is reckoned and has no end is the largest in double precision. */
const timesWidth = (value: number) =>
  value === Infinity ? "1.79769e+308" : serialiseNumber(Math.min(largestSingle, value));

/** @param words whether `auto` stands for a value @param lengths which lengths, none for null */
function edgeValues(
  name: string,
  initial: string,
  words: boolean,
  lengths: typeof radiusRules | null,
): Longhand<readonly Component[], readonly Edge[]> {
  const isEdge = (part: Component) => {
    if (isKeyword(part, "auto")) return words;
    const number = numberOf(part);
    if (number !== null) return part.type !== "number" || number >= 0;
    return lengths !== null && isLength(part, lengths, absoluteUnit);
  };
  return {
    name,
    inherited: false,
    initial,
    parse: (value) => (value.length >= 1 && value.length <= 4 && value.every(isEdge) ? value : null),
    compute: (value, context) =>
      value.map((part): Edge => {
        if (part.type === "ident") return "auto";
        const number = numberOf(part);
        return number !== null ? Math.max(0, number) : computeLength(part, context, lengths!);
      }),
    serialise: (value) =>
      shortened(
        value.map((edge) => {
          if (edge === "auto") return edge;
          return typeof edge === "number" ? timesWidth(edge) : serialiseLengthPercentage(edge);
        }),
      ),
  };
}

/** Pixels of a picture are counted in whole ones. */
const wholeNumber = (value: number) => serialiseNumber(Math.min(largestSingle, Math.max(0, Math.round(value))));

/** Numbers and percentages of the picture, and whether its middle is kept. */
const slice = wordLonghand("border-image-slice", false, "100%", (value) => {
  const fill = value.findIndex((part) => isKeyword(part, "fill"));
  const parts = value.filter((_, at) => at !== fill);
  if (parts.length < 1 || parts.length > 4 || (fill > 0 && fill < value.length - 1)) return null;
  const texts = parts.map((part) => {
    if (part.type === "percentage") return part.value >= 0 ? `${serialiseNumber(part.value)}%` : null;
    const number = numberOf(part);
    return number === null || (part.type === "number" && number < 0) ? null : wholeNumber(number);
  });
  return texts.includes(null) ? null : `${shortened(texts as string[])}${fill >= 0 ? " fill" : ""}`;
});

const repeatWords = ["stretch", "repeat", "round", "space"];

const imageRepeat = wordLonghand("border-image-repeat", false, "stretch", (value) => {
  const words = value.map(wordOf);
  if (words.length < 1 || words.length > 2 || !words.every((word) => repeatWords.includes(word))) return null;
  return words[0] === (words[1] ?? words[0]) ? words[0]! : words.join(" ");
});

const overflowWords = ["visible", "hidden", "clip", "scroll", "auto", "overlay"];

/** Where the other axis scrolls, this one cannot let anything out, unless it is cut off there (CSS Overflow 4, 3.1). */
const overflow = (axis: "x" | "y"): Longhand<string, string> => ({
  name: `overflow-${axis}`,
  inherited: false,
  initial: "visible",
  parse: (value) => {
    const word = soleKeyword(value);
    if (word === null || !overflowWords.includes(word)) return null;
    return word === "overlay" ? "auto" : word;
  },
  compute: (value) => value,
  serialise: (value, context) => {
    const other = context.own(`overflow-${axis === "x" ? "y" : "x"}`);
    if (other === "visible" || other === "clip") return value;
    return value === "visible" ? "auto" : value;
  },
});

export const edgeLonghands: readonly Longhand<never, never>[] = [
  ...corners.map(radius),
  boxShadow,
  keywords("outline-style", false, "none", outlineStyles),
  outlineWidth,
  outlineOffset,
  colorLonghand("outline-color", "currentcolor"),
  imageLonghand("border-image-source"),
  slice,
  edgeValues("border-image-width", "1", true, radiusRules),
  edgeValues("border-image-outset", "0", false, widthRules),
  imageRepeat,
  overflow("x"),
  overflow("y"),
] as unknown as Longhand<never, never>[];
