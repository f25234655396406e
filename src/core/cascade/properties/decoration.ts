/** Lines along a text and shadows under it (CSS Text Decoration 4). */
import { colorFromComponent, inScheme, resolveColor, type ColorValue } from "../../color/value";
import { serialiseColor } from "../../color/format";
import { isKeyword, soleKeyword, splitAt, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import { colorLonghand, computeLength, isLength, keywords, lengthOr, serialisePx, wordLonghand, wordOf } from "./kinds";
import type { Longhand } from "./types";

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

export const decorationLonghands: readonly Longhand<never, never>[] = [
  textShadow,
  decorationLine,
  keywords("text-decoration-style", false, "solid", decorationStyles.slice(1).join(" ")),
  colorLonghand("text-decoration-color", "currentcolor"),
  lengthOr("text-decoration-thickness", false, "auto", "auto from-font", thicknessRules),
  keywords("text-decoration-skip-ink", true, "auto", "none all"),
  lengthOr("text-underline-offset", true, "auto", "auto", thicknessRules),
  underlinePosition,
] as unknown as Longhand<never, never>[];
