/** Values of registered custom properties (CSS Properties and Values 1, sections 2.4 and 5). */
import { isReserved } from "./wide";
import { table } from "../source/table";
import { serialiseColor } from "../color/format";
import { colorFromComponent, isAbsolute, resolveColor } from "../color/value";
import { componentsOf, isDelim, splitAt, type Component } from "../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf } from "../source/css/math";
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
  return readAs(syntax.trim(), text) !== null;
}

/** What a text comes to where it is used. */
type Read = (context: LazyContext) => string;

function readAs(syntax: string, text: string): Read | null {
  if (syntax === "*") return () => text;
  const parts = componentsOf(text);
  if (parts.length === 0) return null;
  for (const alternative of syntax.split("|")) {
    const read = readAlternative(alternative.trim(), parts, text);
    if (read !== null) return read;
  }
  return null;
}

/** What a multiplier takes one by one; without one, all of it. */
function itemsIn(parts: readonly Component[], multiplier: string): Component[][] {
  if (multiplier === "#") return splitAt(parts, ",");
  return multiplier === "+" ? parts.map((part) => [part]) : [[...parts]];
}

function readAlternative(alternative: string, parts: readonly Component[], text: string): Read | null {
  const [, name, multiplier] = /^(.*?)([+#]?)$/s.exec(alternative)!;
  const read = itemsIn(parts, multiplier!).map((item) => {
    if (item.length === 1) return readItem(name!, item[0]!, text);
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
    if (whole && !isMath(part) && !Number.isInteger(quantity.value)) return null;
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
    // `currentcolor` stays what it is until it is used.
    return isAbsolute(color)
      ? (context) => serialiseColor(resolveColor(color, { current: context().color, scheme: context().scheme }))
      : asWritten(part, text);
  },
  "<image>": (part, text) => (isImage(part) ? asWritten(part, text) : null),
  "<url>": (part, text) =>
    part.type === "url" || (part.type === "function" && part.name === "url") ? asWritten(part, text) : null,
  "<string>": (part, text) => (part.type === "string" ? asWritten(part, text) : null),
  "<custom-ident>": (part, text) =>
    part.type === "ident" && !isReserved(part.name.toLowerCase()) ? asWritten(part, text) : null,
  "<transform-function>": (part, text) => (part.type === "function" ? asWritten(part, text) : null),
  "<transform-list>": (part, text) => (part.type === "function" ? asWritten(part, text) : null),
});

function transforms(parts: readonly Component[], text: string): Read | null {
  return parts.every((part) => part.type === "function" && !isDelim(part, ","))
    ? (context) => parts.map((part) => asWritten(part, text)(context)).join(" ")
    : null;
}

function readItem(name: string, part: Component, text: string): Read | null {
  const kind = kinds[name];
  if (kind) return kind(part, text);
  return part.type === "ident" && part.name === name ? () => name : null;
}
