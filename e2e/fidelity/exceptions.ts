/** Values that only layout or the machine's fonts can give. One line each, with its reason. */
import type { stylePage } from "../../src/core";

type Style = ReturnType<typeof stylePage>["styles"][number];

const edges = /^(?:margin|padding)-(?:top|right|bottom|left)$/;

/** What versions of the browser answer differently; ours is one of them. */
const byVersion: readonly (readonly [property: string, ours: string, theirs: string])[] = [
  // Until a version of 2026, plain `oblique` came out as `italic`.
  ["font-style", "oblique", "italic"],
  // And an `area` had the `display` of any other element.
  ["display", "none", "inline"],
];

const sides = /^margin-(?:top|right|bottom|left)$/;
const bodyMargins = ["topmargin", "leftmargin", "marginheight", "marginwidth"];

/** What versions before the autumn of 2026 answered. */
function wasOtherwise(property: string, { element }: Style, ours: string, theirs: string): boolean {
  // What is cut off was scrolled where the other side was; menus and pictures of forms let out what is in them.
  if (property.startsWith("overflow-")) return ours === "clip" && (theirs === "hidden" || theirs === "visible");
  // Round buttons had no corners.
  if (property.endsWith("-radius"))
    return element.attributes.get("type")?.toLowerCase() === "radio" && theirs === "0px";
  // The height of a background was left out where it was automatic.
  if (property === "background-size") return ours.replace(/(?<!,) auto(?=,|$)/g, "") === theirs;
  // Margins of the body were read as other lengths are.
  return sides.test(property) && bodyMargins.some((name) => !/^\d*$/.test(element.attributes.get(name) ?? ""));
}

export function isExcepted(property: string, style: Style, ours: string, theirs: string, part: string): boolean {
  if (ours !== theirs && wasOtherwise(property, style, ours, theirs)) return true;
  if (byVersion.some((known) => known[0] === property && known[1] === ours && known[2] === theirs))
    return property !== "display" || style.element.tag === "area";
  // Until a version of 2026, colours of the older notations were mixed with their alpha in bytes.
  if (/^(?:color|ok|l).* \/ /.test(ours) && nearlySame(ours, theirs, 1.5e-3)) return true;
  // What kind of box a marker, a first line or a first letter makes is left to the layout.
  if (property === "display" && /marker|first/.test(part)) return true;
  // How much smaller the parts of a fraction are set is said by the machine's mathematical font.
  if (property === "font-size" && style.element.namespace === "math") return true;
  // The browser mixes colours in single precision.
  if (/^(?:color|ok|l)/.test(ours) && nearlySame(ours, theirs)) return true;
  // Chromium leaves the words of an indent where all is set back.
  if (property === "text-indent" && ours !== theirs && theirs.replace(/ (?:hanging|each-line)/g, "") === ours)
    return true;
  // Where it zooms, Chromium counts in single precision, and zooms widths that nobody gave in its own way.
  if (style.shared.zoom !== 1 && nearlySame(ours, theirs, 2e-4)) return true;
  if (style.shared.zoom !== 1 && (property === "tab-size" || isNamedWidth(style, property))) return true;
  // Of spacing with percentages, Chromium tells the lengths as it zooms them, and zooms inherited ones once more.
  if (/^(?:letter|word)-spacing$/.test(property) && ours.includes("%") && isZoomed(style))
    return isMultiple(ours, theirs);
  // Units of a font are measured at a size that is written with six digits.
  if (ours !== theirs && /^-?[\d.]+px$/.test(ours) && nearlySame(ours, theirs, 2e-5)) return true;
  // Automatic margins and percentages of the containing block: the browser gives the used value where there is a box.
  return edges.test(property) && (ours === "auto" || ours.includes("%")) && /px$/.test(theirs);
}

function isNamedWidth(style: Style, property: string): boolean {
  if (!property.endsWith("-width")) return false;
  const given = style.shared.winners.get(property)?.given;
  return given?.kind !== "value" || (given.value as { type?: string }).type === "ident";
}

function isZoomed(style: Style): boolean {
  return style.shared.zoom !== 1 || (style.parent !== null && isZoomed(style.parent));
}

const pixels = /-?[\d.]+(?=px)/g;

/** Whether all lengths are as many times as large, and all else is the same. */
function isMultiple(ours: string, theirs: string): boolean {
  if (ours.replace(pixels, "#") !== theirs.replace(pixels, "#")) return false;
  const [own, other] = [ours, theirs].map((text) => [...text.matchAll(pixels)].map(Number));
  const [, times] = own!.map((value, at) => [value, other![at]! / value] as const).find(([value]) => value !== 0) ?? [
    0, 1,
  ];
  return own!.every((value, at) => Math.abs(value * times - other![at]!) <= 1e-3 * Math.max(1, Math.abs(other![at]!)));
}

const number = /-?\d*\.?\d+(?:e[+-]?\d+)?/g;

function nearlySame(a: string, b: string, within = 2e-6): boolean {
  if (a.replace(number, "#") !== b.replace(number, "#")) return false;
  const [first, second] = [a, b].map((text) => [...text.matchAll(number)].map(Number));
  return first!.every((value, at) => Math.abs(value - second![at]!) <= within * Math.max(1, Math.abs(value)));
}
