/** What a site writes against the tokens it is to keep to: values that stray, the nearest token, how far it is. */
import { valueSpan } from "../cascade/explain";
import { invalidReason } from "../cascade/declarations";
import { parseColor } from "../color";
import { inTaken } from "../palette/properties";
import { colorSpots, type ColorSpot } from "../palette/values";
import { componentsOf } from "../source/css/components";
import { declarationsOfFile, type DeclarationInFile } from "../source/declarations";
import { groupBy } from "../source/groups";
import { positionAt } from "../source/lines";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { stackMembers } from "../type/stack";
import { propertyOf, tokenName, type Token, type TokenKind, type TokenValue } from "./types";
import { colorsApart, tokenCss } from "./values";

/** Where a value is written. Offsets of the file. */
export interface TokenSpot {
  path: string;
  start: number;
  end: number;
  line: number;
  property: string;
  selector: string;
}

/** A value as it is written, everywhere it is written, beside the token nearest to it. */
export interface Held {
  kind: TokenKind;
  value: string;
  /** `value` as CSS, for a colour to be seen. */
  css: string;
  spots: TokenSpot[];
  /** Null where no token of its kind has anything in common with it. */
  nearest: {
    /** Name with groups, separated by full stops. */
    token: string;
    css: string;
    /** 0 for one that is equal; ΔE OK for colours, px, weights, members of a stack. */
    distance: number;
    words: string;
  } | null;
}

/** px for one rem, as far as tokens go: that of a reader who changed nothing. */
const rem = 16;

/**
 * What sheets, style elements and style attributes write of the kinds that there are tokens of, in declarations that
 * browsers take: first what strays, most places first, then what is equal to a token and written without its name. In
 * steps, a file each.
 */
export function* strayingSteps(site: Site, tokens: readonly Token[]): Generator<void, Held[]> {
  const byKind = groupBy(tokens, ({ value }) => value.type);
  const held = new Map<string, Held>();
  const add = (value: TokenValue, written: string, spot: TokenSpot) => {
    const own = byKind.get(value.type);
    if (!own) return;
    const key = `${value.type} ${written.toLowerCase()}`;
    const known = held.get(key);
    if (known) known.spots.push(spot);
    else
      held.set(key, {
        kind: value.type,
        value: written,
        css: tokenCss(value),
        spots: [spot],
        nearest: nearestTo(value, own),
      });
  };
  for (const spot of inTaken(site, colorSpots(site))) {
    const color = spot.css === null ? null : parseColor(spot.value);
    if (color) add({ type: "color", color }, spot.value, spotOf(spot));
  }
  yield;
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    for (const one of declarationsOfFile(site, file))
      if (one.exact && invalidReason(one.declaration.property, one.declaration.valueText) === null)
        for (const { value, start, end } of valuesIn(one)) addIn(one, value, start, end, add);
    yield;
  }
  const strays = ({ nearest }: Held) => Number(nearest?.distance !== 0);
  return [...held.values()]
    .map(withoutNames)
    .filter(({ spots }) => spots.length > 0)
    .sort((a, b) => strays(b) - strays(a) || b.spots.length - a.spots.length);
}

/** Where a custom property gives a token its name is where its value belongs. */
const withoutNames = (held: Held): Held => {
  const { nearest, spots } = held;
  if (nearest?.distance !== 0) return held;
  const name = propertyOf(nearest.token);
  return { ...held, spots: spots.filter(({ property }) => property !== name) };
};

const spotOf = ({ path, start, end, line, property, selector }: ColorSpot): TokenSpot => ({
  path,
  start,
  end,
  line,
  property,
  selector,
});

function addIn(
  { declaration, file, offset, selector }: DeclarationInFile,
  value: TokenValue,
  start: number,
  end: number,
  add: (value: TokenValue, written: string, spot: TokenSpot) => void,
): void {
  const from = offset + declaration.value.start;
  add(value, declaration.valueText.slice(start, end), {
    path: file.path,
    start: from + start,
    end: from + end,
    line: positionAt(file.text, from + start).line,
    property: declaration.property,
    selector,
  });
}

interface ValueIn {
  value: TokenValue;
  start: number;
  end: number;
}

const rooms = /^(?:margin|padding|inset|gap|row-gap|column-gap)(?:-|$)|^(?:border(?:-\w+)*-radius)$/;

/** The dimensions, stacks and weights of a declaration; those in functions are left, since they are reckoned with. */
function valuesIn({ declaration }: DeclarationInFile): ValueIn[] {
  const { property, valueText } = declaration;
  if (rooms.test(property) || property.startsWith("--")) return dimensionsIn(valueText);
  return [
    ...inSpan(declaration, "font-size", (text) => dimensionsIn(text)[0]?.value ?? null),
    ...inSpan(declaration, "font-family", familyIn),
    ...inSpan(declaration, "font-weight", weightIn),
  ];
}

const bySpan: Readonly<Record<string, readonly string[]>> = {
  "font-size": ["font-size", "font"],
  "font-family": ["font-family", "font"],
  "font-weight": ["font-weight", "font"],
};

function inSpan(
  declaration: DeclarationInFile["declaration"],
  longhand: string,
  read: (text: string) => TokenValue | null,
): ValueIn[] {
  if (!bySpan[longhand]!.includes(declaration.property)) return [];
  const span = valueSpan(declaration, longhand);
  const value = span && read(declaration.valueText.slice(span.start, span.end));
  return span && value ? [{ value, ...span }] : [];
}

/** Lengths in px and rem that are more than nothing. */
function dimensionsIn(text: string): ValueIn[] {
  return componentsOf(text).flatMap((part): ValueIn[] => {
    const [, number, unit] = /^([\d.]+)(px|rem)$/i.exec(text.slice(part.start, part.end)) ?? [];
    if (number === undefined || Number(number) === 0 || !Number.isFinite(Number(number))) return [];
    const value = { type: "dimension", number: Number(number), unit: unit!.toLowerCase() as "px" | "rem" } as const;
    return [{ value, start: part.start, end: part.end }];
  });
}

function familyIn(text: string): TokenValue | null {
  const members = /\(/.test(text) ? null : stackMembers(text);
  return members?.length ? { type: "fontFamily", families: members.map(({ name }) => name) } : null;
}

function weightIn(text: string): TokenValue | null {
  const keyword = { normal: 400, bold: 700 }[text.toLowerCase()];
  const weight = keyword ?? (/^\d+$/.test(text) ? Number(text) : null);
  return weight === null ? null : { type: "fontWeight", weight };
}

function nearestTo(value: TokenValue, tokens: readonly Token[]): Held["nearest"] {
  let best: { token: Token; distance: number } | null = null;
  for (const token of tokens) {
    const distance = apart(value, token.value);
    if (distance !== null && (best === null || distance < best.distance)) best = { token, distance };
  }
  return (
    best && {
      token: tokenName(best.token),
      css: tokenCss(best.token.value),
      distance: best.distance,
      words: distanceWords(value.type, best.distance),
    }
  );
}

/** How far two values of a kind are apart; null where they have nothing in common. */
function apart(a: TokenValue, b: TokenValue): number | null {
  if (a.type === "color" && b.type === "color") return colorsApart(a.color, b.color);
  if (a.type === "fontWeight" && b.type === "fontWeight") return Math.abs(a.weight - b.weight);
  if (a.type === "dimension" && b.type === "dimension") return Number(Math.abs(pxOf(a) - pxOf(b)).toFixed(3));
  if (a.type === "fontFamily" && b.type === "fontFamily") return familiesApart(a.families, b.families);
  return null;
}

const pxOf = ({ number, unit }: { number: number; unit: "px" | "rem" }) => number * (unit === "rem" ? rem : 1);

/** Members that one has and the other has not. A stack that starts with the whole of a token keeps to it. */
function familiesApart(stack: readonly string[], token: readonly string[]): number | null {
  const [own, wanted] = [stack, token].map((names) => names.map((name) => name.toLowerCase())) as [string[], string[]];
  if (wanted.every((name, at) => own[at] === name)) return 0;
  const shared = own.filter((name) => wanted.includes(name)).length;
  return shared === 0 ? null : Math.max(1, own.length + wanted.length - 2 * shared);
}

const units: Readonly<Record<TokenKind, (distance: number) => string>> = {
  color: (distance) => `ΔE OK ${distance.toFixed(3)}`,
  dimension: (distance) => `${Number(distance.toFixed(2))} px`,
  fontWeight: (distance) => `${distance}`,
  fontFamily: (distance) => (distance === 1 ? "1 family" : `${distance} families`),
};

const distanceWords = (kind: TokenKind, distance: number) =>
  distance === 0 ? "equal" : `${units[kind](distance)} off`;
