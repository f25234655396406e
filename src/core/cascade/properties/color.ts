/** Colour and backgrounds (CSS Color 4, CSS Backgrounds 3). */
import { colorFromComponent, resolveColor, type ColorValue, type PlainColor } from "../../color/value";
import { serialiseColor } from "../../color/format";
import { isKeyword, splitAt, type Component, type ComponentOf } from "../../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../../source/css/math";
import { isGradient, isGradientValid, serialiseGradient } from "./gradients";
import { colorLonghand, computeLength, isLength, serialiseLengthPercentage, serialiseNumber } from "./kinds";
import type { ComputeContext, Longhand } from "./types";

const color: Longhand<ColorValue, PlainColor> = {
  name: "color",
  inherited: true,
  initial: "canvastext",
  parse: (value) => (value.length === 1 ? colorFromComponent(value[0]!) : null),
  /** `currentcolor` on `color` itself is the parent's (CSS Color 4, 9). */
  compute: (value, context) => resolveColor(value, { current: context.color, scheme: context.scheme }),
  serialise: serialiseColor,
};

/** One layer of a background: its source as components, null for `none`. */
export type Image = Component | null;

const imageFunction =
  /^(?:-webkit-)?(?:repeating-)?(?:linear|radial|conic)-gradient$|^(?:-webkit-)?image-set$|^(?:-webkit-)?cross-fade$|^url$|^src$|^-webkit-gradient$|^paint$|^element$|^image$/;

/** Whether a component is an image (CSS Images 4, 2), valid or not. */
export function isImage(component: Component | undefined): boolean {
  return component?.type === "url" || (component?.type === "function" && imageFunction.test(component.name));
}

const backgroundImage: Longhand<Image[], Image[]> = {
  name: "background-image",
  inherited: false,
  initial: "none",
  parse: (value) => {
    const layers: Image[] = [];
    for (const part of splitAt(value, ",")) {
      const [only] = part;
      if (part.length !== 1 || !only) return null;
      if (isKeyword(only, "none")) layers.push(null);
      else if (isImage(only) && isGradientValid(only)) layers.push(only);
      else return null;
    }
    return layers;
  },
  compute: (value) => value,
  serialise: (value, context) => value.map((image) => (image ? serialiseImage(image, context) : "none")).join(", "),
};

/** Gradients and addresses as browsers write them back. */
function serialiseImage(component: Component, context: ComputeContext): string {
  if (component.type === "url") return serialiseAddress(component.value);
  if (component.type !== "function") return "";
  if (component.name === "url") {
    const address = component.args[0];
    return serialiseAddress(address?.type === "string" ? address.value : "");
  }
  if (isGradient(component)) return serialiseGradient(component, (part) => serialisePart(part, context));
  const { name, args } = component as ComponentOf<"function">;
  return `${name}(${splitAt(args, ",")
    .map((part) => part.map((one) => serialisePart(one, context)).join(" "))
    .join(", ")})`;
}

/** Whole addresses in the URL standard's spelling; relative ones as they are written. */
function serialiseAddress(address: string): string {
  const whole = /^[a-z][a-z0-9+.-]*:/i.test(address) && URL.canParse(address) ? new URL(address).href : address;
  // Chromium escapes apostrophes behind the question mark of any address.
  const escaped = whole.replace(/\?.*$/s, (query) => query.replaceAll("'", "%27"));
  return `url("${escaped.replace(/["\\]/g, "\\$&")}")`;
}

function serialisePart(component: Component, context: ComputeContext): string {
  const value = colorFromComponent(component);
  if (value) return serialiseColor(resolveColor(value, { current: context.color, scheme: context.scheme }));
  switch (component.type) {
    case "ident":
      return component.name.toLowerCase();
    case "number":
      return serialiseNumber(component.value);
    case "percentage":
      return `${serialiseNumber(component.value)}%`;
    case "dimension": {
      const known = context.unit(component.value, component.unit);
      if (known?.measure === "angle") return `${serialiseNumber(known.value)}deg`;
      if (known?.measure === "length") return `${serialiseNumber(known.value)}px`;
      return `${serialiseNumber(component.value)}${component.unit}`;
    }
    case "string":
      return JSON.stringify(component.value);
    case "delim":
      return component.value;
    default:
      return serialiseReckoned(component, context) ?? serialiseImage(component, context);
  }
}

const placeRules = { percent: true, negative: true };
/** Of a whole turn, where percentages are angles. */
const turn = { percentAs: "angle", percentBase: 360 } as const;

/** What a math function comes to where it is an angle, a length or a percentage; null for anything else. */
function serialiseReckoned(component: Component, context: ComputeContext): string | null {
  if (!isMath(component)) return null;
  if (isLength(component, placeRules, absoluteUnit))
    return serialiseLengthPercentage(computeLength(component, context, placeRules));
  const angle = evaluateMath(component, { unit: context.unit, ...turn });
  return angle && measureOf(angle) === "angle" ? `${serialiseNumber(angle.value)}deg` : null;
}

/** One picture, or none. */
export function imageLonghand(name: string): Longhand<Image[], Image[]> {
  return {
    ...backgroundImage,
    name,
    parse: (value) => {
      const layers = backgroundImage.parse(value);
      return layers?.length === 1 ? layers : null;
    },
  };
}

export const colorLonghands: readonly Longhand<never, never>[] = [
  color,
  colorLonghand("background-color", "transparent"),
  backgroundImage,
  { ...colorLonghand("-webkit-text-fill-color", "currentcolor"), inherited: true },
] as unknown as Longhand<never, never>[];
