/**
 * Properties that are not computed here: whether they are there, and whether a value is one of theirs. They are judged by
 * css-tree's grammars, which takes its time, but for what browsers take otherwise.
 */
import { lexer } from "css-tree";
import { parseColor } from "../color";
import { componentsOf, soleKeyword, type Component } from "../source/css/components";
import { evaluateMath, isMath, measureOf, UnresolvedPercentage } from "../source/css/math";
import { table } from "../source/table";
import { anyUnit } from "./properties/kinds";
import { substitutionsIn } from "./substitution";
import { isWide } from "./wide";

export type InvalidReason = "unknown property" | "invalid value" | "empty value";

const inDrawings = "<length-percentage> | <number>";

/** What Chromium (156) takes where the grammars are older, or wider. */
const grammars: Readonly<Record<string, string>> = table({
  "break-after": "auto | avoid | always | avoid-page | page | left | right | recto | verso | avoid-column | column",
  "break-before": "auto | avoid | always | avoid-page | page | left | right | recto | verso | avoid-column | column",
  "column-rule-color": "<color>#",
  cx: inDrawings,
  cy: inDrawings,
  "fill-opacity": "<number> | <percentage>",
  filter: "none | [ <filter-function> | <url> ]+",
  "flex-basis": "content | auto | min-content | max-content | fit-content | stretch | <length-percentage>",
  "flex-wrap": "nowrap | [ wrap | wrap-reverse ] || balance | balance",
  "image-orientation": "from-image | none",
  "image-rendering": "auto | crisp-edges | pixelated | optimizeSpeed | optimizeQuality | -webkit-optimize-contrast",
  "margin-trim": "none | block",
  "overflow-anchor": "auto | none | visible",
  "position-anchor": "auto | none | normal | <dashed-ident>",
  r: inDrawings,
  resize: "none | both | horizontal | vertical | block | inline | auto",
  rx: `auto | ${inDrawings}`,
  ry: `auto | ${inDrawings}`,
  speak: "none | normal | spell-out | digits | literal-punctuation | no-punctuation",
  "stroke-miterlimit": "<number>",
  x: inDrawings,
  y: inDrawings,
});

/** Words that look like names, and are none. */
const nowhere: Readonly<Record<string, readonly string[]>> = table({
  "view-transition-name": ["auto"],
  "will-change": ["none", "all"],
});

/** In the browser, and not in the grammars: nothing is told of their values. */
const alsoThere = new Set(
  (
    "app-region border-shape buffered-rendering color-interpolation color-rendering column-rule-break " +
    "column-rule-inset-cap-end column-rule-inset-cap-start column-rule-inset-junction-end " +
    "column-rule-inset-junction-start column-rule-visibility-items flex-line-count frame-sizing row-rule-break " +
    "row-rule-color row-rule-inset-cap-end row-rule-inset-cap-start row-rule-inset-junction-end " +
    "row-rule-inset-junction-start row-rule-style row-rule-visibility-items row-rule-width rule-overlap " +
    "scroll-axis-lock text-fit timeline-trigger-activation-range-end timeline-trigger-activation-range-start " +
    "timeline-trigger-active-range-end timeline-trigger-active-range-start view-transition-group " +
    "view-transition-scope window-drag -webkit-border-horizontal-spacing -webkit-border-vertical-spacing " +
    "-webkit-locale -webkit-mask-box-image-outset -webkit-mask-box-image-repeat -webkit-mask-box-image-slice " +
    "-webkit-mask-box-image-source -webkit-mask-box-image-width -webkit-rtl-ordering -webkit-text-combine " +
    "-webkit-text-decorations-in-effect"
  ).split(" "),
);

/** The least that a number, a length or a percentage may be, where something is too little. */
const least: readonly (readonly [properties: RegExp, least: number])[] = [
  [/^(?:column-count|orphans|widows)$/, 1],
  [
    /^(?:(?:column|row)-gap|gap|grid-gap|contain-intrinsic-.*|grid-(?:auto|template)-(?:columns|rows)|perspective|r[xy]?|scroll-padding.*|shape-margin|stroke-(?:dasharray|miterlimit|width)|flex(?:-.*)?|animation-(?:iteration-count|duration)|transition-duration|column-(?:rule-)?width)$/,
    0,
  ],
];

/** Lines of a grid are counted from 1, and from -1. */
const gridLine = /^grid-(?:row|column)-(?:start|end)$/;

/** Whether a property that is not computed here is one of CSS. */
export const isOther = (property: string): boolean => lexer.getProperty(property) !== null || alsoThere.has(property);

/** Why a value is not valid for a property that is not computed here; null when it is, and when that is not known. */
export function otherReason(property: string, text: string): InvalidReason | null {
  if (!isOther(property)) return "unknown property";
  const components = componentsOf(text);
  if (components.length === 0) return "empty value";
  if (isWide(soleKeyword(components))) return null;
  if (substitutionsIn(components) !== "none" || property.startsWith("-") || alsoThere.has(property)) return null;
  if (isTooLittle(property, components) || isNowhere(property, components)) return "invalid value";
  const sampled = sampledIn(text, components);
  if (sampled === null) return "invalid value";
  const grammar = grammars[property];
  const { error } = grammar ? lexer.match(grammar, sampled) : lexer.matchProperty(property, sampled);
  return error ? "invalid value" : null;
}

function isTooLittle(property: string, components: readonly Component[]): boolean {
  const under = least.find(([properties]) => properties.test(property))?.[1];
  return components.some((part) => {
    if (part.type === "number" && part.value === 0 && gridLine.test(property)) return true;
    const isAmount = part.type === "number" || part.type === "dimension" || part.type === "percentage";
    return isAmount && under !== undefined && part.value < under;
  });
}

const isNowhere = (property: string, components: readonly Component[]) =>
  components.some((part) => part.type === "ident" && nowhere[property]?.includes(part.name.toLowerCase()));

const samples: Readonly<Record<string, string>> = {
  number: "1",
  length: "1px",
  percent: "1%",
  angle: "1deg",
  time: "1s",
  resolution: "1x",
  flex: "1fr",
  frequency: "1hz",
};

/** The text with a plain value of the same kind for each math function and relative colour; null where one is not valid. */
function sampledIn(text: string, components: readonly Component[]): string | null {
  let result = text;
  // From the end, so that what stands before keeps its place.
  for (const component of components.toReversed()) {
    const { type, start, end } = component;
    const written = text.slice(start, end);
    let sample: string | null = null;
    if (isMath(component)) {
      const measure = measureIn(component, written.includes("%"));
      if (measure === null) return null;
      sample = samples[measure]!;
    } else if (type === "function" && parseColor(written)) {
      sample = "#f00";
    }
    if (sample !== null) result = result.slice(0, start) + sample + result.slice(end);
  }
  return result;
}

/** @param percent whether it holds percentages: what takes none of them takes no sum with one either */
function measureIn(component: Component, percent: boolean): string | null {
  try {
    const alone = percent ? evaluateMath(component, { unit: anyUnit, percentAs: null }) : null;
    if (alone && measureOf(alone)) return measureOf(alone);
    const quantity = evaluateMath(component, { unit: anyUnit, percentAs: percent ? "length" : null });
    const measure = quantity && measureOf(quantity);
    return percent && measure === "length" ? "percent" : measure;
  } catch (error) {
    if (error instanceof UnresolvedPercentage) return "percent";
    throw error;
  }
}
