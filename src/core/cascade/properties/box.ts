/** Boxes: display, margins, padding, borders (CSS Display 3, CSS Box 4, CSS Backgrounds 3). */
import { table } from "../../source/table";
import { absoluteUnit, evaluateMath, isMath, measureOf, type MathEnvironment } from "../../source/css/math";
import { isKeyword, soleKeyword, splitAt, type Component } from "../../source/css/components";
import {
  anyUnit,
  colorLonghand,
  computeLength,
  isLength,
  keywords,
  serialiseLengthPercentage,
  serialiseNumber,
  serialisePx,
  wordOf,
} from "./kinds";
import type { Side } from "./computed";
import { isReserved } from "../wide";
import { sides } from "./sides";
import type { ComputeContext, LengthPercentage, Longhand } from "./types";

type Margin = LengthPercentage | "auto";

const marginRules = { percent: true, negative: true };

const margin = (side: string): Longhand<Component | "auto", Margin> => ({
  name: `margin-${side}`,
  inherited: false,
  initial: "0",
  parse: ([only, more]) => {
    if (more) return null;
    if (isKeyword(only, "auto")) return "auto";
    return isLength(only, marginRules, absoluteUnit) ? only! : null;
  },
  compute: (value, context) => (value === "auto" ? value : computeLength(value, context, marginRules)),
  serialise: (value) => (value === "auto" ? value : serialiseLengthPercentage(value)),
});

const paddingRules = { percent: true, negative: false };

const padding = (side: string): Longhand<Component, LengthPercentage> => ({
  name: `padding-${side}`,
  inherited: false,
  initial: "0",
  parse: ([only, more]) => (!more && isLength(only, paddingRules, absoluteUnit) ? only! : null),
  compute: (value, context) => computeLength(value, context, paddingRules),
  serialise: serialiseLengthPercentage,
});

const widthRules = { percent: false, negative: false };
const namedWidths: Readonly<Record<string, number>> = table({ thin: 1, medium: 3, thick: 5 });

/** Border widths are snapped to whole device pixels, but never to nothing (CSS Backgrounds 3, 3.3), as large as they are shown. */
export function snapWidth(px: number, zoom: number): number {
  const shown = px * zoom;
  return (shown > 0 && shown < 1 ? 1 : Math.floor(Math.fround(shown))) / zoom;
}

/** What a border's or an outline's width comes to, px. */
export function computeBorderWidth(value: Component, context: ComputeContext): number {
  const px =
    value.type === "ident" ? namedWidths[value.name.toLowerCase()]! : computeLength(value, context, widthRules).px;
  return snapWidth(px, context.zoom);
}

const borderWidth = (side: Side): Longhand<Component, number> => ({
  name: `border-${side}-width`,
  inherited: false,
  initial: "medium",
  parse: ([only, more]) => (!more && only && isBorderWidth(only) ? only : null),
  compute: computeBorderWidth,
  // Without a style there is no border, but its width is inherited all the same.
  serialise: (value, context) => (/none|hidden/.test(context.own(`border-${side}-style`)) ? "0px" : serialisePx(value)),
});

/** Whether a component is the width of a border (CSS Backgrounds 3, 3.3). */
export function isBorderWidth(component: Component): boolean {
  return (
    (component.type === "ident" && component.name.toLowerCase() in namedWidths) ||
    isLength(component, widthRules, absoluteUnit)
  );
}

export const borderStyles = "hidden dotted dashed solid double groove ridge inset outset";

/** Values of display by their short forms (CSS Display 3, 2.8); longer spellings come down to these. */
const displayWords = new Set(
  (
    "none contents block inline inline-block flow-root list-item flex inline-flex grid inline-grid table inline-table table-row-group " +
    "table-header-group table-footer-group table-row table-cell table-column-group table-column table-caption ruby ruby-text " +
    "math grid-lanes inline-grid-lanes -webkit-box -webkit-inline-box"
  ).split(" "),
);
const longDisplays: Readonly<Record<string, string>> = table({
  "block flow": "block",
  "block flow-root": "flow-root",
  "inline flow": "inline",
  "inline flow-root": "inline-block",
  flow: "block",
  "block flex": "flex",
  "inline flex": "inline-flex",
  "block grid": "grid",
  "inline grid": "inline-grid",
  "block table": "table",
  "inline table": "inline-table",
  "inline ruby": "ruby",
  "block flow list-item": "list-item",
  "block list-item": "list-item",
  "flow list-item": "list-item",
  "-webkit-flex": "flex",
  "-webkit-inline-flex": "inline-flex",
  "inline math": "math",
  "block ruby": "block ruby",
  "block math": "block math",
  "inline list-item": "inline list-item",
  "inline flow list-item": "inline list-item",
  "list-item inline": "inline list-item",
});
const blockified: Readonly<Record<string, string>> = table({
  inline: "block",
  "inline-block": "block",
  "inline-flex": "flex",
  "inline-grid": "grid",
  "inline-table": "table",
  ruby: "block ruby",
  math: "block math",
  "inline list-item": "list-item",
  "-webkit-inline-box": "-webkit-box",
  "inline-grid-lanes": "grid-lanes",
});

export const display: Longhand<string, string> = {
  name: "display",
  inherited: false,
  initial: "inline",
  parse: (value) => {
    const words = value.map(wordOf).join(" ");
    // Either of the two words may come first.
    const turned = words.split(" ").reverse().join(" ");
    return longDisplays[words] ?? (displayWords.has(words) ? words : (longDisplays[turned] ?? null));
  },
  compute: (value, context) => {
    // The root cannot do without a box (CSS Display 3, 2.8).
    if (value === "contents" && !context.hasParent) return "block";
    if (isBlockified(context)) return blockify(value);
    // Text that runs another way than what is around it makes a box of its own (CSS Writing Modes 4, 3.2).
    return value === "inline" && context.hasParent && context.own("writing-mode") !== context.parent("writing-mode")
      ? "inline-block"
      : value;
  },
  serialise: (value) => value,
};

function blockify(value: string): string {
  if (value.startsWith("table-") || value === "ruby-text") return "block";
  return blockified[value] ?? value;
}

/** CSS Display 3, 2.7: roots, floats, absolutely positioned boxes and items of flex and grid containers. */
function isBlockified(context: ComputeContext): boolean {
  if (!context.hasParent) return true;
  const position = context.own("position");
  if (position === "absolute" || position === "fixed" || context.own("float") !== "none") return true;
  return /flex$|grid$|-webkit-(?:inline-)?box$|grid-lanes$/.test(context.containerDisplay);
}

/** A number, or a percentage for its hundredth; null for anything else. */
function partOf(component: Component | undefined, unit: MathEnvironment["unit"]): number | null {
  if (!component || component.type === "ident" || component.type === "block") return null;
  const quantity = evaluateMath(component, { unit, percentAs: null });
  const measure = quantity && measureOf(quantity);
  if (measure === "number") return quantity!.value;
  return measure === "percent" ? quantity!.value / 100 : null;
}

/** Any length may stand in it that another is divided by. */
const isPart = (component: Component) => partOf(component, anyUnit) !== null;

export const opacity: Longhand<Component, number> = {
  name: "opacity",
  inherited: false,
  initial: "1",
  parse: ([only, more]) => (!more && only && isPart(only) ? only : null),
  compute: (value, context) => Math.min(1, Math.max(0, partOf(value, context.unit) ?? 1)),
  serialise: serialiseNumber,
};

/** CSS Viewport 1, 3; nothing at all is taken for 1. */
export const zoom: Longhand<Component, number> = {
  name: "zoom",
  inherited: false,
  initial: "1",
  parse: (value) => {
    const [only] = value;
    if (["normal", "reset", "document"].includes(soleKeyword(value) ?? "")) return only!;
    if (value.length !== 1 || !isPart(only!)) return null;
    return isMath(only) || (partOf(only, absoluteUnit) ?? 0) >= 0 ? only! : null;
  },
  compute: (value, context) => (value.type === "ident" ? 1 : Math.max(0, partOf(value, context.unit) ?? 1) || 1),
  serialise: serialiseNumber,
};

const isOnly = (word: string) => word.toLowerCase() === "only";

/** CSS Color Adjust 1, 2.1. */
export const colorScheme: Longhand<string, string> = {
  name: "color-scheme",
  inherited: true,
  initial: "normal",
  parse: (value) => {
    if (value.some((part) => part.type !== "ident") || value.length === 0) return null;
    const words = value.map((part) => (part as { name: string }).name);
    if (words.length > 1 && words.some((word) => word.toLowerCase() === "normal" || isReserved(word.toLowerCase())))
      return null;
    const only = words.findIndex(isOnly);
    const isLast = only === words.length - 1;
    // Said once, before or behind the schemes.
    if (only > 0 ? !isLast : only === 0 && (isLast || words.slice(1).some(isOnly))) return null;
    return words
      .map((word) => (["light", "dark", "only", "normal"].includes(word.toLowerCase()) ? word.toLowerCase() : word))
      .join(" ");
  },
  compute: (value) => {
    const words = value.split(" ");
    return words.includes("only") ? [...words.filter((word) => word !== "only"), "only"].join(" ") : value;
  },
  serialise: (value) => value,
};

/** CSS Conditional 5, 3.2. */
const containerName: Longhand<string[], string[]> = {
  name: "container-name",
  inherited: false,
  initial: "none",
  parse: (value) => {
    const names = value.map((part) => (part.type === "ident" ? part.name : null));
    if (names.length === 0 || names.includes(null)) return null;
    if (names.length > 1 && names.some((name) => name!.toLowerCase() === "none")) return null;
    return names.length === 1 && names[0]!.toLowerCase() === "none" ? [] : (names as string[]);
  },
  compute: (value) => value,
  serialise: (value) => value.join(" ") || "none",
};

const blendModes =
  "multiply screen overlay darken lighten color-dodge color-burn hard-light soft-light difference exclusion hue saturation color luminosity";

/** Compositing 1, 3.5: a mode a layer. */
const backgroundBlendMode: Longhand<string[], string[]> = {
  name: "background-blend-mode",
  inherited: false,
  initial: "normal",
  parse: (value) => {
    const modes = splitAt(value, ",").map((part) =>
      part.length === 1 && part[0]!.type === "ident" ? part[0]!.name.toLowerCase() : "",
    );
    return modes.every((mode) => mode === "normal" || blendModes.split(" ").includes(mode)) ? modes : null;
  },
  compute: (value) => value,
  serialise: (value) => value.join(", "),
};

export const boxLonghands: readonly Longhand<never, never>[] = [
  keywords("position", false, "static", "relative absolute fixed sticky -webkit-sticky"),
  keywords("float", false, "none", "left right inline-start inline-end"),
  display,
  keywords(
    "appearance",
    false,
    "none",
    "auto base-select textfield menulist-button searchfield textarea push-button slider-horizontal checkbox radio square-button menulist listbox meter progress-bar button",
  ),
  keywords("container-type", false, "normal", "size inline-size"),
  containerName,
  keywords("visibility", true, "visible", "hidden collapse"),
  opacity,
  keywords("mix-blend-mode", false, "normal", `${blendModes} plus-lighter`),
  backgroundBlendMode,
  ...sides.map(margin),
  ...sides.map(padding),
  ...sides.map((side) => keywords(`border-${side}-style`, false, "none", borderStyles)),
  ...sides.map(borderWidth),
  ...sides.map((side) => colorLonghand(`border-${side}-color`, "currentcolor")),
] as unknown as Longhand<never, never>[];
