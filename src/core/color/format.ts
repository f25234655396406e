/** Writing colours: as browsers serialise them, and in any notation. */
import { differenceOk, inGamut, toGamut } from "./gamut";
import { namedColors, nameOfColor } from "./names";
import { convertColor, degrees, solid } from "./conversion";
import { definitionOf, hueOf, notationDefinition } from "./spaces";
import { colorFromNumber, type PlainColor } from "./value";
import type { Channels, Color, Notation } from "./types";

/** A number in at most so many significant digits, without exponent or trailing zeros. */
function significant(value: number, digits: number): string {
  if (value === 0) return "0";
  const rounded = Number(value.toPrecision(digits));
  return Math.abs(rounded) < 1e-6 || Math.abs(rounded) >= 10 ** digits ? exponential(rounded, digits) : String(rounded);
}

function exponential(value: number, digits: number): string {
  const [mantissa, exponent] = value.toExponential(digits - 1).split("e") as [string, string];
  const trimmed = mantissa.includes(".") ? mantissa.replace(/\.?0+$/, "") : mantissa;
  return `${trimmed}e${exponent[0]}${exponent.slice(1).padStart(2, "0")}`;
}

/** Alpha as browsers serialise it: two decimals where those name the same 8-bit value, else three (CSSOM 6.7.2). */
function legacyAlpha(alpha: number): string {
  const byte = Math.round(alpha * 255);
  const two = Math.round((byte / 255) * 100) / 100;
  return String(Math.round(two * 255) === byte ? two : Math.round((byte / 255) * 1000) / 1000);
}

/** A computed colour as `getComputedStyle` gives it (CSS Color 4, section 15). */
export function serialiseColor({ color, legacy }: PlainColor): string {
  if (!legacy && color.space !== "srgb" && definitionOf(color.space).legacy)
    return serialiseColor({ color: convertColor(color, "srgb"), legacy });
  if (legacy) {
    const bytes = solid(convertColor(color, "srgb").channels).map(toByte);
    const alpha = color.alpha ?? 0;
    return alpha >= 1 ? `rgb(${bytes.join(", ")})` : `rgba(${bytes.join(", ")}, ${legacyAlpha(alpha)})`;
  }
  const channels = color.channels.map((channel, at) => {
    if (channel === null) return "none";
    return significant(at === hueOf(color.space) ? degrees(channel) : channel, 6);
  });
  const body = `${channels.join(" ")}${alphaPart(color.alpha, (alpha) => significant(alpha, 6))}`;
  return definitionOf(color.space).hasFunction ? `${color.space}(${body})` : `color(${color.space} ${body})`;
}

/** A colour that stands by itself, as `getComputedStyle` would give it: those of the older spaces as rgb(). */
export function cssColor(color: Color): string {
  return serialiseColor({ color, legacy: color.space === "srgb" || definitionOf(color.space).legacy });
}

export interface FormatOptions {
  /** Decimals for each channel; without it the fewest that come back to the same colour. */
  digits?: number;
  /** Letters of hex digits and of names; lower case by default. */
  upper?: boolean;
  /** Hex of 3 or 4 digits where it is exact. */
  short?: boolean;
  /** rgb() and hsl() in the older syntax with commas (CSS Color 4, 4.1). */
  commas?: boolean;
  /** Alpha as a percentage. */
  percentAlpha?: boolean;
}

const mostDigits = 8;
/** How near a byte has to be hit, in bytes: browsers convert in single precision and by rounded matrices, and must hit it, too. */
const sureOf = 0.3;
/** How much further from its byte than the colour itself what is written may lie, in bytes. */
const further = 0.02;

/**
 * A colour in a notation. Colours outside the notation's gamut are mapped into it (CSS Color 4, 13.2).
 * "name" gives the nearest name; see `nearestName` for how far it is.
 */
export function formatColor(color: Color, notation: Notation, options: FormatOptions = {}): string {
  if (notation === "name") return color.alpha === 0 ? "transparent" : nearestName(color).name;
  if (notation === "hex") return hex(color, options);
  const { space } = notationDefinition(notation)!;
  const fitted = withHue(toGamut(color, space), color);
  if (options.digits !== undefined) return write(fitted, notation, options.digits, options);
  // Inside sRGB not even what a screen would clip may differ; beyond it, what a screen shows.
  const bytes = (one: Color) =>
    solid((inGamut(color, "srgb") ? convertColor(one, "srgb") : toGamut(one, "srgb")).channels).map(
      (value) => value * 255,
    );
  const wanted = bytes(fitted).map((value) => {
    const byte = Math.round(value);
    return { byte, within: Math.max(sureOf, Math.abs(value - byte) + further) };
  });
  const isHit = (value: number, at: number) => {
    const { byte, within } = wanted[at]!;
    return Math.round(value) === byte && Math.abs(value - byte) < within;
  };
  for (let digits = 0; digits < mostDigits; digits += 1) {
    const written = roundChannels(fitted, notation, digits);
    const close = differenceOk(written, fitted) <= 0.0005 && bytes(written).every(isHit);
    if (close) return write(fitted, notation, digits, options);
  }
  return write(fitted, notation, mostDigits, options);
}

/** A grey has no hue of its own; in the older notations 0 is written for it, which every browser reads. */
function withHue(fitted: Color, color: Color): Color {
  if (!definitionOf(fitted.space).legacy || color.space === fitted.space) return fitted;
  return { ...fitted, channels: fitted.channels.map((channel) => channel ?? 0) as Channels };
}

/** What was written as half a step stays half a step, to be rounded up: it may have lost the last of its digits. */
const toByte = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 255 + 5e-10);

function hex(color: Color, { upper, short }: FormatOptions): string {
  const { channels } = toGamut(color, "srgb");
  const bytes = solid(channels).map(toByte);
  if ((color.alpha ?? 0) < 1) bytes.push(toByte(color.alpha ?? 0));
  const digits = bytes.map((byte) => byte.toString(16).padStart(2, "0"));
  const few = short && digits.every(([first, second]) => first === second);
  const text = `#${digits.map((pair) => (few ? pair[0] : pair)).join("")}`;
  return upper ? text.toUpperCase() : text;
}

/** Units written per space unit, and decimals a channel needs beyond those of the others. */
function writtenIn(notation: Notation): { unit: number; extra: number; percent: boolean }[] {
  return notationDefinition(notation)!.channels.map(({ unit, percent, written }) => ({
    unit: written.percent ? 100 / percent! : 1 / unit,
    extra: written.extraDigits,
    percent: written.percent,
  }));
}

const round = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

function roundChannels(color: Color, notation: Notation, digits: number): Color {
  const written = writtenIn(notation);
  const channels = color.channels.map((channel, at) => {
    const { unit, extra } = written[at]!;
    return channel === null ? null : round(channel * unit, digits + extra) / unit;
  });
  return { ...color, channels: channels as Channels };
}

function write(color: Color, notation: Notation, digits: number, { commas, percentAlpha }: FormatOptions): string {
  const written = writtenIn(notation);
  const parts = color.channels.map((channel, at) => {
    if (channel === null) return "none";
    const { unit, extra, percent } = written[at]!;
    const value = round(channel * unit, digits + extra);
    return `${Object.is(value, -0) ? 0 : plain(value)}${percent ? "%" : ""}`;
  });
  const share = (value: number) => (percentAlpha ? `${plain(round(value * 100, 2))}%` : plain(round(value, 4)));
  const definition = notationDefinition(notation)!;
  if (commas && definition.commas && !parts.includes("none") && color.alpha !== null) {
    const name = color.alpha < 1 ? `${notation}a` : notation;
    return `${name}(${[...parts, ...(color.alpha < 1 ? [share(color.alpha)] : [])].join(", ")})`;
  }
  const body = `${parts.join(" ")}${alphaPart(color.alpha, share)}`;
  return definition.hasFunction ? `${notation}(${body})` : `color(${notation} ${body})`;
}

/** What stands behind the channels; nothing of a colour that is opaque. */
function alphaPart(alpha: number | null, written: (alpha: number) => string): string {
  if (alpha === null) return " / none";
  return alpha < 1 ? ` / ${written(alpha)}` : "";
}

function plain(value: number): string {
  return Math.abs(value) < 1e-6 ? "0" : String(value);
}

/** The named colour nearest in OKLab, and how far it is (0 when exact); alpha is not considered. */
export function nearestName(color: Color): { name: string; distance: number } {
  let best = { name: "black", distance: Infinity };
  for (const [name, rgb] of namedColors) {
    const distance = differenceOk(color, colorFromNumber(rgb));
    if (distance < best.distance) best = { name: nameOfColor.get(rgb) ?? name, distance };
  }
  return best.distance < 1e-6 ? { ...best, distance: 0 } : best;
}
