/** The computed style of an element or a pseudo-element, and its values. */
import { parseColor } from "../color";
import { formatColor } from "../color/format";
import { PairMap } from "../source/memo";
import type { ElementNode } from "../source/html/document";
import type { Block, Winner } from "./blocks";
import { longhandIndex, longhands } from "./properties";
import { leadingPx, usedSize } from "./properties/font";
import type { ComputedValues, ReadLonghand } from "./properties/computed";
import type { ComputeContext } from "./properties/types";
import type { CustomProperties } from "./variables";

/** An element's computed style. Elements that the same declarations apply to, under like parents, share their values. */
export interface Style {
  element: ElementNode;
  /** The pseudo-element of it that this is the style of; null for its own. */
  pseudo: string | null;
  parent: Style | null;
  /** All that applies to the element, weakest first. */
  blocks: readonly Block[];
  shared: SharedStyle;
}

/** Computed values, by longhand, as the property's own file computes them. */
export interface SharedStyle {
  parent: SharedStyle | null;
  values: unknown[];
  custom: CustomProperties;
  scheme: "light" | "dark";
  /** How many times its size an element is shown in, with all around it (CSS Viewport 1, 3). */
  zoom: number;
  /** Sizes of the query containers its units refer to, and of those that what is inside refers to; null for the window's. */
  container: ContainerBasis;
  inside: ContainerBasis;
  winners: ReadonlyMap<string, Winner>;
  context: ComputeContext;
  /** Values as text, made when they are asked for. */
  texts: (string | undefined)[];
  /** Whether it comes from nothing but rules and declarations, so that elements of other pages may share it. */
  isCommon: boolean;
  /** Whether it goes by how a font measures. */
  asksFonts: boolean;
}

export interface ContainerBasis {
  width: number | null;
  height: number | null;
}

/** A computed value as `getComputedStyle` serialises it. @throws RangeError for a property that is not computed here */
export function computedValue(style: Style, name: string): string {
  const index = longhandIndex.get(name);
  if (index === undefined) throw new RangeError(`${name} is not a longhand that is computed.`);
  const { texts, values, context } = style.shared;
  return (texts[index] ??= longhands[index]!.serialise(values[index], context));
}

/** The computed value of a longhand. */
export function valueOf<Name extends ReadLonghand>(style: Style, name: Name): ComputedValues[Name] {
  return style.shared.values[longhandIndex.get(name)!] as ComputedValues[Name];
}

/** Whether all computed values of two styles are equal; of `color-scheme`, the scheme that it comes to. */
export function sameValues(a: Style, b: Style): boolean {
  return a.shared.scheme === b.shared.scheme && isSame(a, b, compared, everyLonghand);
}

/** Whether two boxes are equal in what lies under, or moves, the texts in them, whatever those inherit. */
export function sameBox(a: Style, b: Style): boolean {
  return isSame(a, b, comparedBoxes, boxLonghands);
}

const colorFunctions = /\b(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color)\([^()]*\)/g;

/** Equal, or equal but for the notation of colours that come out in the same bytes. */
function looksSame(a: string, b: string): boolean {
  if (a === b) return true;
  if (!colorFunctions.test(a + b)) return false;
  const inBytes = (text: string) =>
    text.replace(colorFunctions, (written) => {
      const color = parseColor(written);
      return color ? formatColor(color, "hex") : written;
    });
  return inBytes(a) === inBytes(b);
}

type Comparisons = PairMap<SharedStyle, SharedStyle, boolean>;
const compared: Comparisons = new PairMap();
const comparedBoxes: Comparisons = new PairMap();

/** What others are told by as text: colours by the ink, lengths by the size. They come first. */
const referredTo = ["color", "font-size", "line-height"].map((name) => longhandIndex.get(name)!);
const everyLonghand = [...referredTo, ...longhands.keys()].filter((at) => longhands[at]!.name !== "color-scheme");
const boxLonghands = [...longhands.keys()].filter((at) => {
  const { name, inherited } = longhands[at]!;
  return !inherited && !/^border-.*-color$/.test(name);
});

function isSame(a: Style, b: Style, comparisons: Comparisons, counted: readonly number[]): boolean {
  if (a === b || a.shared === b.shared) return true;
  return comparisons.of(a.shared, b.shared, () => compare(a, b, counted));
}

function compare(a: Style, b: Style, counted: readonly number[]): boolean {
  const isValue = (at: number) => isEqual(a.shared.values[at], b.shared.values[at]);
  // Equal values read alike where what they may refer to is equal, too.
  const readAlike = a.shared.scheme === b.shared.scheme && referredTo.every(isValue);
  return counted.every(
    (at) =>
      (readAlike && isValue(at)) ||
      looksSame(computedValue(a, longhands[at]!.name), computedValue(b, longhands[at]!.name)),
  );
}

/** Whether two computed values are equal as data. */
export function isEqual(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== "object" || typeof b !== "object" || a === null || b === null)
    return Number.isNaN(a) && Number.isNaN(b);
  if (Array.isArray(a)) return Array.isArray(b) && a.length === b.length && a.every((one, at) => isEqual(one, b[at]));
  const keys = Object.keys(a);
  const others = b as Record<string, unknown>;
  return (
    keys.length === Object.keys(b).length &&
    keys.every((key) => isEqual((a as Record<string, unknown>)[key], others[key]))
  );
}

/** The size of the letters, CSS px, a least size of the browser's included. */
export function fontSizeOf(style: Style): number {
  return usedSize(valueOf(style, "font-size"), style.shared.zoom);
}

/** Line height in px; null for `normal`. */
export function leadingOf(style: Style): number | null {
  return leadingPx(valueOf(style, "line-height"), fontSizeOf(style));
}

/** The style of the page's root element. */
export function rootOf(style: Style): Style {
  let root = style;
  while (root.parent) root = root.parent;
  return root;
}
