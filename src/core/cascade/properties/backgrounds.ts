/** Where the layers of a background lie (CSS Backgrounds 3, sections 3.4 to 3.9). Written with as many as there are images. */
import { table } from "../../source/table";
import { isKeyword, soleKeyword, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import { computeLength, isLength, layersOf, serialiseLengthPercentage, wordOf } from "./kinds";
import type { ComputeContext, LengthPercentage, Longhand } from "./types";

const positionRules = { percent: true, negative: true };
const sizeRules = { percent: true, negative: false };

/** One value a layer, over and over where there are fewer than images. */
function perImage(texts: readonly string[], context: ComputeContext): string {
  const count = context.own("background-image").length;
  return Array.from({ length: count }, (_, at) => texts[at % texts.length]).join(", ");
}

/** A keyword of an edge, or none, and a length from there. */
interface Offset {
  from: string;
  by: Component | null;
}

const lengthOf = (part: Component | undefined) => (part && isLength(part, positionRules, absoluteUnit) ? part : null);

function position(name: string, start: string, end: string): Longhand<Offset[], LengthPercentage[]> {
  const places: Readonly<Record<string, number>> = table({ [start]: 0, center: 50, [end]: 100 });
  return {
    name,
    inherited: false,
    initial: "0%",
    parse: (value) =>
      layersOf(value, ([first, second, more]): Offset | null => {
        if (more || !first) return null;
        const from = first.type === "ident" ? first.name.toLowerCase() : "";
        if (first.type !== "ident") return !second && lengthOf(first) ? { from: start, by: first } : null;
        if (!(from in places)) return null;
        const by = lengthOf(second);
        return second && (!by || from === "center") ? null : { from, by };
      }),
    compute: (value, context) =>
      value.map(({ from, by }): LengthPercentage => {
        const length = by && computeLength(by, context, positionRules);
        if (!length) return { px: 0, percent: places[from]!, isPercentage: true };
        if (from !== end) return length;
        if (length.expression !== undefined)
          return { px: 0, percent: 0, expression: `calc(100% - ${length.expression})` };
        return { px: -length.px, percent: 100 - length.percent, isPercentage: true };
      }),
    serialise: (value, context) => perImage(value.map(serialiseLengthPercentage), context),
  };
}

type Size = "cover" | "contain" | readonly (LengthPercentage | "auto")[];

const size: Longhand<(readonly Component[])[], Size[]> = {
  name: "background-size",
  inherited: false,
  initial: "auto",
  parse: (value) => layersOf(value, (layer) => (isBackgroundSize(layer) ? layer : null)),
  compute: (value, context) =>
    value.map((layer): Size => {
      const word = soleKeyword(layer);
      if (word === "cover" || word === "contain") return word;
      return layer.map((part) => (isKeyword(part, "auto") ? "auto" : computeLength(part, context, sizeRules)));
    }),
  serialise: (value, context) => {
    const write = (part: LengthPercentage | "auto") => (part === "auto" ? part : serialiseLengthPercentage(part));
    const texts = value.map((layer) => {
      if (typeof layer === "string") return layer;
      const [width, height = "auto"] = layer.map(write);
      return width === "auto" && height === "auto" ? "auto" : `${width} ${height}`;
    });
    return perImage(texts, context);
  },
};

/** Whether components are one size of a background (CSS Backgrounds 3, 2.9). */
export function isBackgroundSize(parts: readonly Component[]): boolean {
  const word = soleKeyword(parts);
  if (word === "cover" || word === "contain") return true;
  return (
    parts.length >= 1 &&
    parts.length <= 2 &&
    parts.every((part) => isKeyword(part, "auto") || isLength(part, sizeRules, absoluteUnit))
  );
}

const ways = ["repeat", "no-repeat", "space", "round"];

const repeat: Longhand<string[], string[]> = {
  name: "background-repeat",
  inherited: false,
  initial: "repeat",
  parse: (value) =>
    layersOf(value, (layer) => {
      const words = layer.map(wordOf);
      const [across, down = across] = words;
      if (words.length === 1 && (across === "repeat-x" || across === "repeat-y")) return across;
      if (words.length > 2 || !ways.includes(across!) || !ways.includes(down!)) return null;
      if (across === down) return across!;
      if (across === "repeat" && down === "no-repeat") return "repeat-x";
      return across === "no-repeat" && down === "repeat" ? "repeat-y" : `${across} ${down}`;
    }),
  compute: (value) => value,
  serialise: perImage,
};

function layerWords(name: string, initial: string, others: string): Longhand<string[], string[]> {
  const known = new Set([initial, ...others.split(" ")]);
  return {
    name,
    inherited: false,
    initial,
    parse: (value) =>
      layersOf(value, (layer) => {
        const word = soleKeyword(layer);
        return word !== null && known.has(word) ? word : null;
      }),
    compute: (value) => value,
    serialise: perImage,
  };
}

export const backgroundLonghands: readonly Longhand<never, never>[] = [
  position("background-position-x", "left", "right"),
  position("background-position-y", "top", "bottom"),
  size,
  repeat,
  layerWords("background-origin", "padding-box", "border-box content-box"),
  layerWords("background-clip", "border-box", "padding-box content-box text border-area"),
  layerWords("background-attachment", "scroll", "fixed local"),
] as unknown as Longhand<never, never>[];
