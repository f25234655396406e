/**
 * Colour values as written: plain colours, and those that depend on where they stand (CSS Color 4 and 5).
 * `readColorValue` reads, `resolveColor` turns the rest into a plain colour.
 */
import { componentsOf, isDelim, isKeyword, splitAt, type Component, type ComponentOf } from "../source/css/components";
import { absoluteUnit, evaluateMath, isMath, measureOf, type Measure } from "../source/css/math";
import { interpolateColors, type HueWay } from "./mix";
import { namedColors } from "./names";
import {
  colorFunctions,
  colorFunctionSpaces,
  definitionOf,
  hueOf,
  mixSpaces,
  type ChannelDefinition,
  type SpaceDefinition,
} from "./spaces";
import { convertAsBrowser, convertColor, degrees, solid } from "./conversion";
import { systemColors } from "./system";
import type { Channels, Color, Space } from "./types";

/** A colour and whether it serialises in the old way, as rgb() (CSS Color 4, 15.2). */
export interface PlainColor {
  color: Color;
  legacy: boolean;
}

export type ColorValue =
  | ({ kind: "plain" } & PlainColor)
  | { kind: "current" }
  | { kind: "system"; name: string }
  | { kind: "light-dark"; light: ColorValue; dark: ColorValue }
  | { kind: "mix"; space: Space; hue: HueWay; parts: { value: ColorValue; percent: number | null }[] }
  | { kind: "relative"; syntax: SpaceDefinition; origin: ColorValue; channels: Component[]; alpha: Component | null };

export interface ColorContext {
  current: PlainColor;
  scheme: "light" | "dark";
}

/** What is wrong with a colour and at which character (from 0, UTF-16 units). */
export class ColorError extends Error {
  constructor(
    message: string,
    readonly offset: number,
  ) {
    super(message);
  }
}

/** Reads a colour value. @throws ColorError in plain words */
export function readColorValue(text: string): ColorValue {
  const parts = componentsOf(text);
  const [first, second] = parts;
  if (!first) throw new ColorError("A colour is missing.", 0);
  if (second) throw new ColorError("Something follows the colour.", second.start);
  return fromComponent(first);
}

/** The colour value a component stands for; null when it is none. */
export function colorFromComponent(component: Component): ColorValue | null {
  // Errors are slow to make, and most words and functions are no colours.
  if (!mayBeColor(component)) return null;
  try {
    return fromComponent(component);
  } catch (error) {
    if (error instanceof ColorError) return null;
    throw error;
  }
}

function mayBeColor(component: Component): boolean {
  if (component.type === "ident") return isColorName(component.name.toLowerCase());
  if (component.type === "hash") return true;
  return component.type === "function" && (colorFunctions.has(component.name) || otherFunctions.has(component.name));
}

const otherFunctions = new Set(["color", "color-mix", "light-dark"]);

const isColorName = (name: string) =>
  name === "currentcolor" || name === "transparent" || namedColors.has(name) || systemColors.has(name);

const transparent: PlainColor = { color: { space: "srgb", channels: [0, 0, 0], alpha: 0 }, legacy: true };

function fromComponent(component: Component): ColorValue {
  if (component.type === "hash") return { kind: "plain", ...fromHex(component) };
  if (component.type === "ident") return fromName(component);
  if (component.type !== "function") throw new ColorError("This is not a colour.", component.start);
  if (component.name === "color-mix") return mixFrom(component);
  if (component.name === "light-dark") {
    const [light, dark, more] = splitAt(component.args, ",");
    if (more || light?.length !== 1 || dark?.length !== 1)
      throw new ColorError("light-dark() takes two colours.", component.start);
    return { kind: "light-dark", light: fromComponent(light[0]!), dark: fromComponent(dark[0]!) };
  }
  return fromFunction(component);
}

function fromHex({ value, start }: ComponentOf<"hash">): PlainColor {
  if (!/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/i.test(value)) {
    const odd = /[^0-9a-f]/i.exec(value);
    if (odd) throw new ColorError(`"${odd[0]}" is not a hexadecimal digit.`, start + 1 + odd.index);
    throw new ColorError(`A hex colour has 3, 4, 6 or 8 digits, not ${value.length}.`, start);
  }
  const wide = value.length <= 4 ? [...value].map((digit) => digit + digit).join("") : value;
  const byte = (at: number) => parseInt(wide.slice(at, at + 2), 16) / 255;
  return {
    color: { space: "srgb", channels: [byte(0), byte(2), byte(4)], alpha: wide.length === 8 ? byte(6) : 1 },
    legacy: true,
  };
}

/** An opaque sRGB colour from 0xRRGGBB. */
export function colorFromNumber(rgb: number): Color {
  return { space: "srgb", channels: [(rgb >> 16) / 255, ((rgb >> 8) & 255) / 255, (rgb & 255) / 255], alpha: 1 };
}

function fromName(component: ComponentOf<"ident">): ColorValue {
  const name = component.name.toLowerCase();
  if (name === "currentcolor") return { kind: "current" };
  if (name === "transparent") return { kind: "plain", ...transparent };
  const rgb = namedColors.get(name);
  if (rgb !== undefined) return { kind: "plain", color: colorFromNumber(rgb), legacy: true };
  if (systemColors.has(name)) return { kind: "system", name };
  throw new ColorError(`"${component.name}" is not the name of a colour.`, component.start);
}

function fromFunction(component: ComponentOf<"function">): ColorValue {
  let args = [...component.args];
  let origin: ColorValue | null = null;
  if (isKeyword(args[0], "from")) {
    if (!args[1]) throw new ColorError("A colour is missing after from.", component.end - 1);
    origin = fromComponent(args[1]);
    args = args.slice(2);
  }
  let syntax = colorFunctions.get(component.name);
  if (component.name === "color") {
    const space = args[0]?.type === "ident" ? args[0].name.toLowerCase() : "";
    syntax = colorFunctionSpaces.get(space);
    if (!syntax)
      throw new ColorError("color() starts with the name of a colour space.", args[0]?.start ?? component.end - 1);
    args = args.slice(1);
  }
  if (!syntax) throw new ColorError(`${component.name}() is not a colour function.`, component.start);
  const withCommas = args.some((arg) => isDelim(arg, ","));
  if (withCommas && (!syntax.commas || origin))
    throw new ColorError("Commas do not belong here.", args.find((arg) => isDelim(arg, ","))!.start);
  const { channels, alpha } = withCommas ? splitCommas(component, args, syntax) : splitSlash(component, args);
  if (origin) {
    checkRelative(syntax, channels, alpha);
    return { kind: "relative", syntax, origin, channels, alpha };
  }
  const values = channels.map((channel, at) => channelValue(channel, syntax.channels[at]!, !withCommas)) as Channels;
  const color: Color = { space: syntax.space, channels: values, alpha: alpha ? alphaValue(alpha, !withCommas) : 1 };
  return { kind: "plain", color, legacy: syntax.legacy };
}

const ordinals = ["first", "second", "third"];

function splitSlash(component: ComponentOf<"function">, args: readonly Component[]) {
  const [channels, alpha, more] = splitAt(args, "/");
  checkCount(component, channels!);
  if (alpha && (alpha.length !== 1 || more))
    throw new ColorError("One alpha value follows the slash.", alpha[0]?.start ?? component.end - 1);
  return { channels: channels!, alpha: alpha?.[0] ?? null };
}

function splitCommas(component: ComponentOf<"function">, args: readonly Component[], syntax: SpaceDefinition) {
  const parts = splitAt(args, ",");
  const odd = parts.find((part) => part.length !== 1);
  if (odd)
    throw new ColorError(
      odd.length ? "Commas must separate all the values." : "A value is missing between commas.",
      odd[1]?.start ?? component.end - 1,
    );
  const flat = parts.map((part) => part[0]!);
  checkCount(component, flat.slice(0, 3));
  if (flat.length > 4) throw new ColorError("There is one value too many.", flat[4]!.start);
  const kinds = new Set(
    flat
      .slice(0, 3)
      .filter((_, at) => syntax.channels[at]!.means !== "hue" && !isMath(flat[at]))
      .map((part) => part.type),
  );
  if (kinds.size > 1)
    throw new ColorError("With commas, either all values are percentages or none is.", flat[1]!.start);
  if (syntax.space === "hsl" && kinds.has("number"))
    throw new ColorError("With commas, saturation and lightness are percentages.", flat[1]!.start);
  return { channels: flat.slice(0, 3), alpha: flat[3] ?? null };
}

function checkCount(component: ComponentOf<"function">, channels: readonly Component[]): void {
  if (channels.length > 3) throw new ColorError("There is one value too many.", channels[3]!.start);
  if (channels.length < 3)
    throw new ColorError(
      `The ${ordinals[channels.length]} channel is missing.`,
      channels[channels.length - 1]?.end ?? component.end - 1,
    );
}

function environment(keywords?: Record<string, number>) {
  return {
    unit: (value: number, unit: string) => {
      const known = absoluteUnit(value, unit);
      return known?.measure === "angle" ? known : null;
    },
    percentAs: null,
    keywords,
  };
}

function channelValue(
  component: Component,
  channel: ChannelDefinition,
  allowNone: boolean,
  keywords?: Record<string, number>,
): number | null {
  if (isKeyword(component, "none")) {
    if (!allowNone) throw new ColorError("none cannot stand between commas.", component.start);
    return null;
  }
  const quantity = evaluateMath(component, environment(keywords));
  const measure: Measure | "number" | null = quantity && measureOf(quantity);
  if (!quantity || measure === null) throw new ColorError("This is not a number.", component.start);
  if (channel.means === "hue") {
    if (measure !== "number" && measure !== "angle")
      throw new ColorError("A hue is an angle or a number.", component.start);
    return finite(quantity.value);
  }
  if (measure === "percent" && channel.percent !== null)
    return bounded((quantity.value / 100) * channel.percent, channel);
  if (measure !== "number") throw new ColorError("A number or a percentage is expected here.", component.start);
  return bounded(quantity.value * channel.unit, channel);
}

function bounded(value: number, { clamp }: ChannelDefinition): number {
  return Math.min(clamp[1], Math.max(clamp[0], finite(value)));
}

/** Infinities from math functions become the largest number there is. */
function finite(value: number): number {
  return Number.isFinite(value) ? value : Math.sign(value) * 3.4028234663852886e38 || 0;
}

function alphaValue(component: Component, allowNone: boolean, keywords?: Record<string, number>): number | null {
  if (isKeyword(component, "none")) {
    if (!allowNone) throw new ColorError("none cannot stand between commas.", component.start);
    return null;
  }
  const quantity = evaluateMath(component, environment(keywords));
  const measure = quantity && measureOf(quantity);
  if (measure !== "number" && measure !== "percent")
    throw new ColorError("Alpha is a number from 0 to 1 or a percentage.", component.start);
  return Math.min(1, Math.max(0, measure === "percent" ? quantity!.value / 100 : quantity!.value));
}

function keywordsOf(syntax: SpaceDefinition, origin: Color): Record<string, number> {
  const channels = solid(origin.channels);
  const keywords: Record<string, number> = { alpha: origin.alpha ?? 0 };
  for (const [at, { name, means, unit }] of syntax.channels.entries())
    keywords[name] = means === "hue" ? degrees(channels[at]!) : channels[at]! / unit;
  return keywords;
}

function checkRelative(syntax: SpaceDefinition, channels: readonly Component[], alpha: Component | null): void {
  const keywords = keywordsOf(syntax, { space: syntax.space, channels: [0.5, 0.5, 0.5], alpha: 1 });
  for (const [at, channel] of channels.entries())
    channelValue(channel, { ...syntax.channels[at]!, clamp: [-Infinity, Infinity] }, true, keywords);
  if (alpha) alphaValue(alpha, true, keywords);
}

function mixFrom(component: ComponentOf<"function">): ColorValue {
  const groups = splitAt(component.args, ",");
  let space: Space = "oklab";
  let hue: HueWay = "shorter";
  if (isKeyword(groups[0]?.[0], "in")) {
    const method = groups.shift()!;
    const words = method.slice(1).map((part) => (part.type === "ident" ? part.name.toLowerCase() : ""));
    const named = mixSpaces.get(words[0] ?? "");
    if (!named)
      throw new ColorError(
        "color-mix() needs the name of a colour space after in.",
        method[1]?.start ?? component.start,
      );
    space = named;
    if (words.length > 1) {
      const polar = hueOf(space) >= 0;
      if (
        !polar ||
        words[2] !== "hue" ||
        words.length !== 3 ||
        !["shorter", "longer", "increasing", "decreasing"].includes(words[1]!)
      ) {
        throw new ColorError(
          "Only shorter, longer, increasing or decreasing hue can follow a polar space.",
          method[2]!.start,
        );
      }
      hue = words[1] as HueWay;
    }
  }
  if (groups.length !== 2) throw new ColorError("color-mix() mixes two colours.", component.end - 1);
  const parts = groups.map((group) => {
    const percentAt = group.findIndex((part) => part.type === "percentage" || isMath(part));
    const percent = percentAt < 0 ? null : evaluateMath(group[percentAt]!, environment());
    const rest = group.filter((_, at) => at !== percentAt);
    if (rest.length !== 1)
      throw new ColorError(
        "A colour, with or without a percentage, is expected here.",
        group[0]?.start ?? component.end - 1,
      );
    if (percent && (measureOf(percent) !== "percent" || percent.value < 0 || percent.value > 100)) {
      throw new ColorError("A share is a percentage from 0% to 100%.", group[percentAt]!.start);
    }
    return { value: fromComponent(rest[0]!), percent: percent ? percent.value : null };
  });
  if (parts.every(({ percent }) => percent === 0))
    throw new ColorError("The shares cannot all be 0%.", component.start);
  return { kind: "mix", space, hue, parts };
}

/** Whether the value is the same wherever it stands. */
export function isAbsolute(value: ColorValue): boolean {
  switch (value.kind) {
    case "plain":
      return true;
    case "mix":
      return value.parts.every((part) => isAbsolute(part.value));
    case "relative":
      return isAbsolute(value.origin);
    default:
      return false;
  }
}

/** Whether the value goes by the ink where it stands. */
export function goesByInk(value: ColorValue, scheme: ColorContext["scheme"]): boolean {
  switch (value.kind) {
    case "current":
      return true;
    case "light-dark":
      return goesByInk(value[scheme], scheme);
    case "mix":
      return value.parts.some((part) => goesByInk(part.value, scheme));
    case "relative":
      return goesByInk(value.origin, scheme);
    default:
      return false;
  }
}

/** The colour a value comes to on an element. */
export function resolveColor(value: ColorValue, context: ColorContext): PlainColor {
  switch (value.kind) {
    case "plain":
      return value;
    case "current":
      return context.current;
    case "system": {
      const entry = systemColors.get(value.name)!;
      return { color: { ...colorFromNumber(entry[context.scheme]), alpha: entry.alpha ?? 1 }, legacy: true };
    }
    case "light-dark":
      return resolveColor(context.scheme === "dark" ? value.dark : value.light, context);
    case "mix":
      return mix(value, context);
    case "relative":
      return relative(value, context);
  }
}

/** A colour with what follows the scheme settled: it is inherited as it comes out where it was given (CSS Color 5, 4). */
export function inScheme(value: ColorValue, scheme: "light" | "dark"): ColorValue {
  switch (value.kind) {
    case "light-dark":
      return inScheme(scheme === "dark" ? value.dark : value.light, scheme);
    case "system":
      return { kind: "plain", ...resolveColor(value, { current: transparent, scheme }) };
    case "mix":
      return { ...value, parts: value.parts.map((part) => ({ ...part, value: inScheme(part.value, scheme) })) };
    case "relative":
      return { ...value, origin: inScheme(value.origin, scheme) };
    default:
      return value;
  }
}

/** Of two colours; a share that is not given is what the other leaves (CSS Color 5, 2.1). */
function mix(value: ColorValue & { kind: "mix" }, context: ColorContext): PlainColor {
  const given = value.parts.reduce((sum, { percent }) => sum + (percent ?? 0), 0);
  const open = value.parts.filter(({ percent }) => percent === null).length;
  const shares = value.parts.map(({ percent }) => percent ?? Math.max(0, 100 - given) / open);
  const total = shares.reduce((sum, share) => sum + share, 0);
  const [first, second] = value.parts.map((part) => resolveColor(part.value, context).color);
  let color = interpolateColors(first!, second!, shares[1]! / total, value.space, value.hue);
  if (total < 100 && color.alpha !== null) color = { ...color, alpha: (color.alpha * total) / 100 };
  if (definitionOf(color.space).legacy) {
    return {
      color: {
        ...color,
        space: "srgb",
        channels: solid(convertColor({ ...color, channels: solid(color.channels) }, "srgb").channels),
      },
      legacy: false,
    };
  }
  return { color, legacy: false };
}

function relative(value: ColorValue & { kind: "relative" }, context: ColorContext): PlainColor {
  const { syntax } = value;
  const origin = convertAsBrowser(resolveColor(value.origin, context).color, syntax.space);
  const keywords = keywordsOf(syntax, origin);
  // Channels of relative colours are clamped only where the space itself has bounds (CSS Color 5, 4.1).
  const bounds = (channel: ChannelDefinition): ChannelDefinition =>
    syntax.legacy ? { ...channel, clamp: [-Infinity, Infinity] } : channel;
  const take = (component: Component, at: number) =>
    channelValue(component, bounds(syntax.channels[at]!), true, keywords);
  const channels = value.channels.map(take) as Channels;
  const alpha = value.alpha ? alphaValue(value.alpha, true, keywords) : (origin.alpha ?? 0);
  const color: Color = { space: syntax.space, channels, alpha };
  return { color, legacy: false };
}
