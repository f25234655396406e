/** Text (CSS Text 4, CSS Writing Modes 4). */
import { isKeyword, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import { computeLength, isLength, keywords, serialiseLengthPercentage } from "./kinds";
import type { LengthPercentage, Longhand } from "./types";

const spacingRules = { percent: true, negative: true };

/** Letter and word spacing: `normal` or a length; percentages are of the font size. */
function spacing(name: string): Longhand<Component | "normal", LengthPercentage | "normal"> {
  return {
    name,
    inherited: true,
    initial: "normal",
    parse: ([only, more]) => {
      if (more || !only) return null;
      if (isKeyword(only, "normal")) return "normal";
      return isLength(only, spacingRules, absoluteUnit) ? only : null;
    },
    compute: (value, context) => (value === "normal" ? value : computeLength(value, context, spacingRules)),
    serialise: (value) => {
      if (value === "normal") return name === "word-spacing" ? "0px" : "normal";
      if (
        name === "letter-spacing" &&
        value.px === 0 &&
        value.percent === 0 &&
        !value.isPercentage &&
        value.expression === undefined
      )
        return "normal";
      return serialiseLengthPercentage(value);
    },
  };
}

const indentRules = { percent: true, negative: true };

interface Indent {
  length: LengthPercentage;
  words: string;
}

const textIndent: Longhand<{ length: Component; words: string }, Indent> = {
  name: "text-indent",
  inherited: true,
  initial: "0",
  parse: (value) => {
    const lengths = value.filter((part) => isLength(part, indentRules, absoluteUnit));
    const words = value
      .filter((part) => part.type === "ident")
      .map((part) => (part as { name: string }).name.toLowerCase());
    const known = words.every((word, at) => ["hanging", "each-line"].includes(word) && words.indexOf(word) === at);
    if (lengths.length !== 1 || lengths.length + words.length !== value.length || !known) return null;
    return { length: lengths[0]!, words: ["hanging", "each-line"].filter((word) => words.includes(word)).join(" ") };
  },
  compute: ({ length, words }, context) => ({ length: computeLength(length, context, indentRules), words }),
  serialise: ({ length, words }) => [serialiseLengthPercentage(length), words].filter(Boolean).join(" "),
};

const textAlign: Longhand<string, string> = {
  ...keywords(
    "text-align",
    true,
    "start",
    "end left right center justify -webkit-auto -webkit-left -webkit-right -webkit-center -webkit-match-parent -internal-center",
  ),
  compute: (value, context) => {
    if (value === "-webkit-auto") return "start";
    if (value === "-internal-center") {
      const inherited = context.hasParent ? context.parent("text-align") : "start";
      return inherited === "start" ? "center" : inherited;
    }
    if (value !== "-webkit-match-parent") return value;
    if (!context.hasParent) return "start";
    const parent = context.parent("text-align");
    const rtl = context.parent("direction") === "rtl";
    if (parent === "start") return rtl ? "right" : "left";
    if (parent === "end") return rtl ? "left" : "right";
    return parent;
  },
};

export const textLonghands: readonly Longhand<never, never>[] = [
  spacing("letter-spacing"),
  spacing("word-spacing"),
  textAlign,
  keywords("text-align-last", true, "auto", "start end left right center justify"),
  textIndent,
  keywords("text-transform", true, "none", "capitalize uppercase lowercase math-auto"),
  keywords("white-space-collapse", true, "collapse", "preserve preserve-breaks break-spaces"),
  keywords("text-wrap-mode", true, "wrap", "nowrap"),
  keywords("hyphens", true, "manual", "none auto"),
  keywords("overflow-wrap", true, "normal", "break-word anywhere"),
  keywords("word-break", true, "normal", "break-all keep-all break-word auto-phrase"),
  keywords("line-break", true, "auto", "loose normal strict anywhere after-white-space"),
  keywords("text-overflow", false, "clip", "ellipsis"),
  keywords("text-rendering", true, "auto", "optimizespeed optimizelegibility geometricprecision"),
  keywords("text-wrap-style", true, "auto", "balance pretty stable"),
  keywords("text-orientation", true, "mixed", "upright sideways"),
] as unknown as Longhand<never, never>[];
