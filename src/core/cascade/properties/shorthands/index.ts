/** The list of shorthands and what each resets: a kind a file, and those that are alike made from a maker. */
import { isBorderWidth } from "../box";
import { outlineStyles } from "../edges";
import { sides } from "../sides";
import type { Shorthand } from "../types";
import { isEmphasisStyle, isStrokeWidth } from "../typesetting";
import { anyOrder } from "./anyOrder";
import { background } from "./background";
import { backgroundPosition } from "./backgroundPosition";
import { border } from "./border";
import { borderImage, borderImageLonghands } from "./borderImage";
import { borderRadius } from "./borderRadius";
import { container } from "./container";
import { font } from "./font";
import { fontVariant } from "./fontVariant";
import { listStyle } from "./listStyle";
import { isColor, isOneOf } from "./parts";
import { fourSides, twoSides } from "./sides";
import { textBox } from "./textBox";
import { textDecoration } from "./textDecoration";
import { textWrap } from "./textWrap";
import { whiteSpace } from "./whiteSpace";

const edgesOf = { block: ["block-start", "block-end"], inline: ["inline-start", "inline-end"] } as const;

export const shorthands: ReadonlyMap<string, Shorthand> = new Map(
  [
    font,
    fontVariant,
    textDecoration,
    background,
    whiteSpace,
    textWrap,
    container,
    listStyle,
    fourSides(
      "margin",
      sides.map((side) => `margin-${side}`),
    ),
    fourSides(
      "padding",
      sides.map((side) => `padding-${side}`),
    ),
    ...(["width", "style", "color"] as const).map((part) =>
      fourSides(
        `border-${part}`,
        sides.map((side) => `border-${side}-${part}`),
      ),
    ),
    // A border all around takes its picture away, too (CSS Backgrounds 3, 4.4).
    border("border", sides, borderImageLonghands),
    borderImage,
    borderRadius,
    backgroundPosition,
    anyOrder("outline", [
      ["outline-style", isOneOf(`none ${outlineStyles}`)],
      ["outline-width", isBorderWidth],
      ["outline-color", isColor],
    ]),
    anyOrder("text-emphasis", [
      ["text-emphasis-style", isEmphasisStyle, 2],
      ["text-emphasis-color", isColor],
    ]),
    anyOrder("-webkit-text-stroke", [
      ["-webkit-text-stroke-width", isStrokeWidth],
      ["-webkit-text-stroke-color", isColor],
    ]),
    twoSides("overflow", ["overflow-x", "overflow-y"]),
    textBox,
    ...sides.map((side) => border(`border-${side}`, [side])),
    ...(["block", "inline"] as const).flatMap((axis) => [
      twoSides(`margin-${axis}`, [`margin-${axis}-start`, `margin-${axis}-end`]),
      twoSides(`padding-${axis}`, [`padding-${axis}-start`, `padding-${axis}-end`]),
      border(`border-${axis}`, edgesOf[axis]),
      ...edgesOf[axis].map((edge) => border(`border-${edge}`, [edge])),
      ...(["width", "style", "color"] as const).map((part) =>
        twoSides(`border-${axis}-${part}`, [`border-${axis}-start-${part}`, `border-${axis}-end-${part}`]),
      ),
    ]),
  ].map((shorthand) => [shorthand.name, shorthand]),
);
