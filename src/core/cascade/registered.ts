/** Values of registered custom properties (CSS Properties and Values 1, sections 2.4 and 5). */
import { string } from "css-tree/utils";
import { isReserved, isWide } from "./wide";
import { table } from "../source/table";
import { serialiseColor } from "../color/format";
import { colorFromComponent, goesByInk, resolveColor } from "../color/value";
import { addressIn, componentsOf, isKeyword, soleKeyword, splitAt, type Component } from "../source/css/components";
import { absoluteUnit, evaluateMath, isMath, isRelativeLength, measureOf } from "../source/css/math";
import { isImage } from "./properties/color";
import { computeLength, isLength, serialiseLengthPercentage, serialiseNumber } from "./properties/kinds";
import type { RegisteredProperty } from "./rules";
import type { ComputeContext } from "./properties/types";

/** Asked for only when a value needs it: it makes the element's own font size known. */
export type LazyContext = () => ComputeContext;

/** The computed value as text; null when the text does not fit the property's syntax. */
export function computeRegistered(
  { syntax }: Pick<RegisteredProperty, "syntax">,
  text: string,
  context: LazyContext,
): string | null {
  return readAs(syntax, text)?.(context) ?? null;
}

/** Whether a text fits a syntax. */
export function fitsSyntax(syntax: string, text: string): boolean {
  return readAs(syntax, text) !== null;
}

/** What keeps a property from being registered (CSS Properties and Values 1, 2). */
export type RegistrationFault =
  "name" | "syntax" | "inherits" | "no initial value" | "stands for other text" | "does not fit" | "goes by an element";

/**
 * What is wrong with a syntax and the value that goes with it: it has to fit, and to go by nothing of an element's own
 * (CSS Properties and Values 1, 2.2 and 2.4).
 * @param initial null where none is said; without functions that stand for other text
 */
export function faultOf(syntax: string, initial: string | null): RegistrationFault | null {
  if (!isAny(syntax) && !alternativesOf(syntax)) return "syntax";
  if (initial === null) return isAny(syntax) ? null : "no initial value";
  const parts = componentsOf(initial);
  if (isAny(syntax)) return isWide(soleKeyword(parts)) ? "does not fit" : null;
  if (!fitsSyntax(syntax, initial)) return "does not fit";
  return parts.every(isIndependent) ? null : "goes by an element";
}

/** What goes by fonts or containers is known for an element alone. */
function isIndependent(part: Component): boolean {
  if (part.type === "dimension")
    return !isRelativeLength(part.unit.toLowerCase()) || /v(?:w|h|i|b|min|max)$/i.test(part.unit);
  if (part.type !== "function" && part.type !== "block") return true;
  return isImage(part) || part.args.every(isIndependent);
}

/** Whether any value fits. */
export const isAny = (syntax: string) => syntax.trim() === "*";

/** What a text comes to where it is used. */
type Read = (context: LazyContext) => string;

function readAs(syntax: string, text: string): Read | null {
  if (isAny(syntax)) return () => text;
  const parts = componentsOf(text);
  const alternatives = alternativesOf(syntax);
  if (parts.length === 0 || !alternatives) return null;
  for (const alternative of alternatives) {
    const read = readAlternative(alternative, parts, text);
    if (read !== null) return read;
  }
  return null;
}

/** The name of a kind of values or a word, as often as its multiplier says. */
interface Alternative {
  name: string;
  multiplier: string;
}

/** Null for what is no syntax (CSS Properties and Values 1, 5.4). */
function alternativesOf(syntax: string): Alternative[] | null {
  const alternatives = syntax.split("|").map((part): Alternative | null => {
    const [, written, multiplier] = /^(.*?)([+#]?)$/s.exec(part.trim())!;
    if (kinds[written!]) {
      return multiplier && written === "<transform-list>" ? null : { name: written!, multiplier: multiplier! };
    }
    const [word, ...more] = componentsOf(written!);
    if (word?.type !== "ident" || more.length || word.end < written!.length) return null;
    return isReserved(word.name.toLowerCase()) || word.name.startsWith("--")
      ? null
      : { name: word.name, multiplier: multiplier! };
  });
  return alternatives.some((one) => one === null) ? null : (alternatives as Alternative[]);
}

/** What a multiplier takes one by one; without one, all of it. */
function itemsIn(parts: readonly Component[], multiplier: string): Component[][] {
  if (multiplier === "#") return splitAt(parts, ",");
  return multiplier === "+" ? parts.map((part) => [part]) : [[...parts]];
}

function readAlternative({ name, multiplier }: Alternative, parts: readonly Component[], text: string): Read | null {
  const read = itemsIn(parts, multiplier).map((item) => {
    if (item.length === 1) return readItem(name, item[0]!, text);
    return name === "<transform-list>" ? transforms(item, text) : null;
  });
  return read.some((one) => one === null)
    ? null
    : (context) => read.map((one) => one!(context)).join(multiplier === "#" ? ", " : " ");
}

type ReadKind = (part: Component, text: string) => Read | null;

const asWritten =
  (part: Component, text: string): Read =>
  () =>
    text.slice(part.start, part.end);

function lengths(percent: boolean): ReadKind {
  const rules = { percent, negative: true };
  return (part) =>
    isLength(part, rules, absoluteUnit)
      ? (context) => serialiseLengthPercentage(computeLength(part, context(), rules))
      : null;
}

/** Numbers and what is measured in another unit than lengths. */
function quantities(measure: ReturnType<typeof measureOf>, unit: string, whole = false): ReadKind {
  return (part) => {
    if (part.type !== "number" && part.type !== "dimension" && part.type !== "percentage" && !isMath(part)) return null;
    const quantity = evaluateMath(part, { unit: absoluteUnit, percentAs: null });
    if (!quantity || measureOf(quantity) !== measure) return null;
    if (whole && !isMath(part) && !(part.type === "number" && part.integer)) return null;
    return () => `${serialiseNumber(whole ? Math.round(quantity.value) : quantity.value)}${unit}`;
  };
}

const kinds: Readonly<Record<string, ReadKind>> = table({
  "<length>": lengths(false),
  "<length-percentage>": lengths(true),
  "<percentage>": quantities("percent", "%"),
  "<number>": quantities("number", ""),
  "<integer>": quantities("number", "", true),
  "<angle>": quantities("angle", "deg"),
  "<time>": quantities("time", "s"),
  "<resolution>": quantities("resolution", "dppx"),
  "<color>": (part, text) => {
    const color = colorFromComponent(part);
    if (!color) return null;
    return (context) => {
      const { color: current, scheme } = context();
      // `currentcolor` stays what it is until it is used.
      return goesByInk(color, scheme)
        ? asWritten(part, text)(context)
        : serialiseColor(resolveColor(color, { current, scheme }));
    };
  },
  "<image>": (part, text) => address(part) ?? (isImage(part) ? asWritten(part, text) : null),
  "<url>": (part) => address(part),
  "<string>": (part) => (part.type === "string" ? () => string.encode(part.value) : null),
  "<custom-ident>": (part, text) =>
    part.type === "ident" && !isReserved(part.name.toLowerCase()) ? asWritten(part, text) : null,
  "<transform-function>": (part, text) => (isTransform(part) ? asWritten(part, text) : null),
  "<transform-list>": (part, text) => (isTransform(part) || isKeyword(part, "none") ? asWritten(part, text) : null),
});

/** CSS Transforms 1, 12.1; CSS Transforms 2, 13. */
const isTransform = (part: Component) =>
  part.type === "function" &&
  /^(?:matrix(?:3d)?|perspective|rotate(?:x|y|z|3d)?|(?:scale|translate)(?:x|y|z|3d)?|skew[xy]?)$/.test(part.name);

function address(part: Component): Read | null {
  const written = addressIn(part);
  return written === null ? null : () => `url(${string.encode(written)})`;
}

function transforms(parts: readonly Component[], text: string): Read | null {
  return parts.length > 0 && parts.every(isTransform)
    ? (context) => parts.map((part) => asWritten(part, text)(context)).join(" ")
    : null;
}

function readItem(name: string, part: Component, text: string): Read | null {
  const kind = kinds[name];
  if (kind) return kind(part, text);
  return part.type === "ident" && part.name === name ? () => name : null;
}
