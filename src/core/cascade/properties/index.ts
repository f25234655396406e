/** The list of properties. A new longhand goes into the file of its kind and shows up here by itself. */
import { table } from "../../source/table";
import { backgroundLonghands } from "./backgrounds";
import { boxLonghands, colorScheme, zoom } from "./box";
import { colorLonghands } from "./color";
import { contentLonghands } from "./content";
import { decorationLonghands } from "./decoration";
import { edgeLonghands } from "./edges";
import { featureLonghands } from "./features";
import { fontLonghands } from "./font";
import { keywords, withOlderNames } from "./kinds";
import { listLonghands } from "./lists";
import { textLonghands } from "./text";
import { sizeLonghands, sizeNames } from "./sizes";
import type { Longhand } from "./types";
import { typesettingLonghands } from "./typesetting";

/** In the order in which they are computed. */
export const longhands: readonly Longhand[] = [
  keywords("direction", true, "ltr", "rtl"),
  // CSS Writing Modes 4, 3.2.1.
  withOlderNames(keywords("writing-mode", true, "horizontal-tb", "vertical-rl vertical-lr sideways-rl sideways-lr"), {
    lr: "horizontal-tb",
    "lr-tb": "horizontal-tb",
    rl: "horizontal-tb",
    "rl-tb": "horizontal-tb",
    tb: "vertical-rl",
    "tb-rl": "vertical-rl",
  }),
  colorScheme,
  zoom,
  ...fontLonghands,
  ...featureLonghands,
  ...colorLonghands,
  ...backgroundLonghands,
  ...textLonghands,
  ...decorationLonghands,
  ...typesettingLonghands,
  ...boxLonghands,
  ...contentLonghands,
  ...listLonghands,
  ...edgeLonghands,
  ...sizeLonghands,
] as unknown as Longhand[];

/** Where each longhand stands among `longhands`, and so among computed values. */
export const longhandIndex: ReadonlyMap<string, number> = new Map(longhands.map(({ name }, index) => [name, index]));

/** Older names of longhands and shorthands that mean the same (CSS Compatibility; CSS Fonts 4, 2.3). */
export const aliases: Readonly<Record<string, string>> = table({
  "word-wrap": "overflow-wrap",
  "-webkit-background-clip": "background-clip",
  "-webkit-opacity": "opacity",
  "-webkit-appearance": "appearance",
  "-webkit-margin-start": "margin-inline-start",
  "-webkit-margin-end": "margin-inline-end",
  "-webkit-padding-start": "padding-inline-start",
  "-webkit-padding-end": "padding-inline-end",
  "-webkit-background-size": "background-size",
  "-webkit-background-origin": "background-origin",
  "-webkit-border-radius": "border-radius",
  "-webkit-border-top-left-radius": "border-top-left-radius",
  "-webkit-border-top-right-radius": "border-top-right-radius",
  "-webkit-border-bottom-right-radius": "border-bottom-right-radius",
  "-webkit-border-bottom-left-radius": "border-bottom-left-radius",
  "-webkit-box-shadow": "box-shadow",
  "-webkit-font-feature-settings": "font-feature-settings",
  "-webkit-text-size-adjust": "text-size-adjust",
  "-webkit-text-emphasis": "text-emphasis",
  "-webkit-text-emphasis-color": "text-emphasis-color",
  "-webkit-text-emphasis-position": "text-emphasis-position",
  "-webkit-text-emphasis-style": "text-emphasis-style",
  "-webkit-hyphenate-character": "hyphenate-character",
});

type Flow = "block-start" | "block-end" | "inline-start" | "inline-end";
const flows: readonly Flow[] = ["block-start", "block-end", "inline-start", "inline-end"];

/** Gives the physical name by the sides that flows run to. */
type Physical = (side: (flow: Flow) => string) => string;

/** `top` and `bottom` come first in the names of corners. */
const corner = (block: string, inline: string) =>
  `border-${[block, inline].sort((a) => (a === "top" || a === "bottom" ? -1 : 1)).join("-")}-radius`;

const axisOf = (side: string) => (side === "top" || side === "bottom" ? "y" : "x");

/** The size along the axis that a side lies at an end of. */
const extentOf = (side: string) => (axisOf(side) === "y" ? "height" : "width");

/** Flow-relative longhands (CSS Logical 1, section 4; CSS Overflow 3, 3.1). */
const logical: ReadonlyMap<string, Physical> = new Map<string, Physical>([
  ...flows.flatMap((flow): [string, Physical][] => [
    [`margin-${flow}`, (side) => `margin-${side(flow)}`],
    [`padding-${flow}`, (side) => `padding-${side(flow)}`],
    ...["width", "style", "color"].map((part): [string, Physical] => [
      `border-${flow}-${part}`,
      (side) => `border-${side(flow)}-${part}`,
    ]),
  ]),
  ...(["start", "end"] as const).flatMap((block) =>
    (["start", "end"] as const).map((inline): [string, Physical] => [
      `border-${block}-${inline}-radius`,
      (side) => corner(side(`block-${block}`), side(`inline-${inline}`)),
    ]),
  ),
  ...["", "min-", "max-"].flatMap((limit): [string, Physical][] => [
    [`${limit}inline-size`, (side) => limit + extentOf(side("inline-start"))],
    [`${limit}block-size`, (side) => limit + extentOf(side("block-start"))],
  ]),
  ["overflow-block", (side) => `overflow-${axisOf(side("block-start"))}`],
  ["overflow-inline", (side) => `overflow-${axisOf(side("inline-start"))}`],
]);

/** For each flow-relative longhand, a physical one that reads the same values. */
export function readerOf(name: string): Longhand | null {
  const index = longhandIndex.get(physicalName(name, "horizontal-tb", "ltr"));
  return index === undefined ? null : longhands[index]!;
}

/** Whether a property is named by the flow, not by sides (CSS Logical 1). */
export function isLogical(name: string): boolean {
  return logical.has(name);
}

/** The physical longhand a flow-relative one stands for in a writing mode and direction. */
export function physicalName(name: string, writingMode: string, direction: string): string {
  return logical.get(name)?.((flow) => sideOf(flow, writingMode, direction)) ?? name;
}

function blockStart(writingMode: string): string {
  if (writingMode === "horizontal-tb") return "top";
  return writingMode.endsWith("-rl") ? "right" : "left";
}

/** Where lines of the left-to-right direction start. */
function lineStart(writingMode: string): string {
  if (writingMode === "horizontal-tb") return "left";
  return writingMode === "sideways-lr" ? "bottom" : "top";
}

function sideOf(flow: Flow, writingMode: string, direction: string): string {
  const [axis, end] = flow.split("-") as ["block" | "inline", "start" | "end"];
  const opposite: Record<string, string> = { top: "bottom", bottom: "top", left: "right", right: "left" };
  const forward = axis === "block" ? blockStart(writingMode) : lineStart(writingMode);
  const start = axis === "inline" && direction === "rtl" ? opposite[forward]! : forward;
  return end === "start" ? start : opposite[start]!;
}

/** Computed because other things depend on them. */
const unreported = new Set([
  "position",
  "float",
  "appearance",
  "container-type",
  "container-name",
  "content",
  "-webkit-text-fill-color",
  "mix-blend-mode",
  "background-blend-mode",
  // The browser reports what they come to in the layout.
  ...sizeNames,
  "box-sizing",
  "clear",
]);

/** The longhands `getComputedStyle` is compared on and that reports carry. */
export const reportedLonghands: readonly string[] = longhands
  .map(({ name }) => name)
  .filter((name) => !unreported.has(name) && !/^border-\w+-style$/.test(name))
  .sort();
