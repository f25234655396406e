/** Lists, tables and quotes (CSS Lists 3, CSS Tables 3, CSS Content 3). */
import { soleKeyword, type Component } from "../../source/css/components";
import { absoluteUnit } from "../../source/css/math";
import { imageLonghand } from "./color";
import { computeLength, isLength, keywords, serialisePx, serialiseString, wordLonghand } from "./kinds";
import type { Longhand } from "./types";

/** The kind of marker (CSS Lists 3, 3.4): a string, or the name of a counter style. */
const listStyleType: Longhand<Component, string> = {
  name: "list-style-type",
  inherited: true,
  initial: "disc",
  parse: ([only, more]) => (!more && (only?.type === "ident" || only?.type === "string") ? only : null),
  compute: (value) => {
    if (value.type === "string") return serialiseString(value.value);
    return value.type === "ident" ? markerName(value.name) : "none";
  },
  serialise: (value) => value,
};

/** Names of the standard's own styles are told apart without case, others as they are written (CSS Counter Styles 3, 2). */
const ownMarkers = new Set(
  (
    "none disc circle square decimal decimal-leading-zero lower-roman upper-roman lower-alpha upper-alpha lower-latin upper-latin " +
    "lower-greek disclosure-open disclosure-closed arabic-indic armenian bengali cambodian khmer cjk-decimal devanagari georgian " +
    "gujarati gurmukhi hebrew kannada lao malayalam mongolian myanmar oriya persian tamil telugu thai tibetan hiragana katakana"
  ).split(" "),
);

function markerName(name: string): string {
  const lower = name.toLowerCase();
  return ownMarkers.has(lower) ? lower : name;
}

/** As large as it is shown. */
const wholePx = (px: number, zoom: number) => Math.trunc(px * zoom) / zoom;

const spacingRules = { percent: false, negative: false };

/** Across and down, in whole px; one where both are the same. */
const borderSpacing: Longhand<readonly Component[], readonly [number, number]> = {
  name: "border-spacing",
  inherited: true,
  initial: "0",
  parse: (value) =>
    value.length >= 1 && value.length <= 2 && value.every((part) => isLength(part, spacingRules, absoluteUnit))
      ? value
      : null,
  compute: ([across, down = across], context) => [
    wholePx(computeLength(across!, context, spacingRules).px, context.zoom),
    wholePx(computeLength(down!, context, spacingRules).px, context.zoom),
  ],
  inherit: ([across, down], { zoom }) => [wholePx(across, zoom), wholePx(down, zoom)],
  serialise: ([across, down]) =>
    across === down ? serialisePx(across) : `${serialisePx(across)} ${serialisePx(down)}`,
};

const quotes = wordLonghand("quotes", true, "auto", (value) => {
  const only = soleKeyword(value);
  if (only === "auto" || only === "none") return only;
  const texts = value.map((part) => (part.type === "string" ? serialiseString(part.value) : null));
  return texts.length === 0 || texts.length % 2 === 1 || texts.includes(null) ? null : texts.join(" ");
});

/** Whether a component says what a list's markers are (CSS Lists 3, 3). */
export const isMarker = (part: Component) => part.type === "string" || part.type === "ident";

export const listLonghands: readonly Longhand<never, never>[] = [
  listStyleType,
  { ...imageLonghand("list-style-image"), inherited: true },
  keywords("list-style-position", true, "outside", "inside"),
  keywords("border-collapse", true, "separate", "collapse"),
  borderSpacing,
  keywords("caption-side", true, "top", "bottom"),
  keywords("empty-cells", true, "show", "hide"),
  quotes,
] as unknown as Longhand<never, never>[];
