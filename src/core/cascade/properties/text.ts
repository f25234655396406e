/** Text (CSS Text 4, CSS Writing Modes 4, CSS Text Decoration 4). */
import { colorFromComponent, inScheme, resolveColor, type ColorValue } from "../../color/value";
import { serialiseColor } from "../../color/format";
import { isKeyword, soleKeyword, splitAt, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import {
  colorLonghand,
  computeLength,
  isLength,
  keywords,
  lengthOr,
  serialiseLengthPercentage,
  serialisePx,
  wordLonghand,
  wordOf,
} from "./kinds";
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

const lineWords = ["underline", "overline", "line-through", "blink"];

const decorationLine = wordLonghand("text-decoration-line", false, "none", (value) => {
  const only = soleKeyword(value);
  if (only === "none" || only === "spelling-error" || only === "grammar-error") return only;
  const words = value.map(wordOf);
  const kept = lineWords.filter((word) => words.includes(word));
  return kept.length === words.length && kept.length > 0 ? kept.join(" ") : null;
});

/** Whether a component names a line of text (CSS Text Decoration 4, 2.1). */
export function isDecorationLine(component: Component): boolean {
  return (
    component.type === "ident" &&
    [...lineWords, "none", "spelling-error", "grammar-error"].includes(component.name.toLowerCase())
  );
}

export const decorationStyles = ["solid", "double", "dotted", "dashed", "wavy"];

const thicknessRules = { percent: true, negative: true };

/** Whether a component says how thick a line is (CSS Text Decoration 4, 2.4). */
export function isThickness(component: Component): boolean {
  return (
    isKeyword(component, "auto") ||
    isKeyword(component, "from-font") ||
    isLength(component, thicknessRules, absoluteUnit)
  );
}

const underlinePosition = wordLonghand("text-underline-position", true, "auto", (value) => {
  const words = value.map(wordOf);
  if (words.length === 1 && words[0] === "auto") return "auto";
  const first = words.find((word) => word === "under" || word === "from-font");
  const side = words.find((word) => word === "left" || word === "right");
  const kept = [first, side].filter((word) => word !== undefined);
  return kept.length === words.length && kept.length > 0 ? kept.join(" ") : null;
});

interface Shadow<Length> {
  color: ColorValue | null;
  lengths: Length[];
}

const shadowRules = { percent: false, negative: true };

const textShadow: Longhand<Shadow<Component>[], Shadow<number>[]> = {
  name: "text-shadow",
  inherited: true,
  initial: "none",
  parse: (value) => {
    if (soleKeyword(value) === "none") return [];
    const shadows: Shadow<Component>[] = [];
    for (const part of splitAt(value, ",")) {
      const colorAt = part.findIndex(
        (one) => colorFromComponent(one) !== null && !isLength(one, shadowRules, absoluteUnit),
      );
      const lengths = part.filter((_, at) => at !== colorAt);
      const inOneRun = colorAt <= 0 || colorAt === part.length - 1;
      if (
        lengths.length < 2 ||
        lengths.length > 3 ||
        !inOneRun ||
        !lengths.every((one) => isLength(one, shadowRules, absoluteUnit))
      )
        return null;
      const blur = lengths[2];
      if (blur && (blur.type === "dimension" || blur.type === "number") && blur.value < 0) return null;
      shadows.push({ color: colorAt < 0 ? null : colorFromComponent(part[colorAt]!), lengths });
    }
    return shadows;
  },
  compute: (value, context) =>
    value.map(({ color, lengths }) => ({
      color: color && inScheme(color, context.scheme),
      lengths: lengths.map((length) => computeLength(length, context, shadowRules).px),
    })),
  serialise: (value, context) => {
    if (value.length === 0) return "none";
    return value
      .map(({ color, lengths: [x = 0, y = 0, blur = 0] }) => {
        const plain = resolveColor(color ?? { kind: "current" }, { current: context.color, scheme: context.scheme });
        return [serialiseColor(plain), ...[x, y, blur].map(serialisePx)].join(" ");
      })
      .join(", ");
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
  textShadow,
  decorationLine,
  keywords("text-decoration-style", false, "solid", decorationStyles.slice(1).join(" ")),
  colorLonghand("text-decoration-color", "currentcolor"),
  lengthOr("text-decoration-thickness", false, "auto", "auto from-font", thicknessRules),
  keywords("text-decoration-skip-ink", true, "auto", "none all"),
  lengthOr("text-underline-offset", true, "auto", "auto", thicknessRules),
  underlinePosition,
  keywords("overflow-wrap", true, "normal", "break-word anywhere"),
  keywords("word-break", true, "normal", "break-all keep-all break-word auto-phrase"),
  keywords("line-break", true, "auto", "loose normal strict anywhere after-white-space"),
  keywords("text-overflow", false, "clip", "ellipsis"),
  keywords("text-rendering", true, "auto", "optimizespeed optimizelegibility geometricprecision"),
  keywords("text-wrap-style", true, "auto", "balance pretty stable"),
  keywords("text-orientation", true, "mixed", "upright sideways"),
] as unknown as Longhand<never, never>[];
