/**
 * The colour spaces of CSS Color 4 as they are written: which functions name them, which channels they have, in what units,
 * and how each is read, written, mixed and set by hand. One entry a notation; how spaces are computed from each other stands
 * in `conversion.ts`.
 */
import type { Notation, Space } from "./types";

export interface ChannelDefinition {
  /** As relative colours name it (CSS Color 5, 4.1). */
  name: string;
  /** For people. */
  label: string;
  /** What it means: the same in another space is carried over when it is `none` (CSS Color 4, 12.2). */
  means: "red" | "green" | "blue" | "hue" | "colourfulness" | "lightness" | "a" | "b" | "whiteness" | "blackness";
  /** What 100% stands for, in the space's own units; null where percentages are not allowed. */
  percent: number | null;
  /** Space units per written number. */
  unit: number;
  /** Bounds that values are clamped to when read, in space units. */
  clamp: readonly [number, number];
  /** Whether it is written as a percentage, and how many decimals more than the others it needs, since its unit is larger. */
  written: { percent: boolean; extraDigits: number };
  /** How far it is set by hand, in space units; shown in so many units for each of these, in such steps. */
  hand: { range: readonly [number, number]; shown: number; step: number };
}

export type Meaning = ChannelDefinition["means"];

export type Channels3 = readonly [ChannelDefinition, ChannelDefinition, ChannelDefinition];

export interface SpaceDefinition {
  /** What it is offered as; null where it is only read. */
  notation: Exclude<Notation, "hex" | "name"> | null;
  label: string;
  space: Space;
  /** Names of its functions, or names in `color()`. */
  names: readonly string[];
  /** Whether the names are those of functions of its own. */
  hasFunction: boolean;
  /** Whether it is serialised as rgb() (CSS Color 4, 15.2). */
  legacy: boolean;
  /** Whether it may be written with commas. */
  commas: boolean;
  /** The RGB space whose gamut bounds it; null where it holds every colour. */
  gamut: Space | null;
  channels: Channels3;
}

const free = [-Infinity, Infinity] as const;
const asNumber = { percent: false, extraDigits: 0 };
const asPercent = { percent: true, extraDigits: 0 };
const finer = { percent: false, extraDigits: 2 };

const hue: ChannelDefinition = {
  name: "h",
  label: "Hue",
  means: "hue",
  percent: null,
  unit: 1,
  clamp: free,
  written: asNumber,
  hand: { range: [0, 360], shown: 1, step: 1 },
};

const eightBit = (label: string, means: "red" | "green" | "blue"): ChannelDefinition => ({
  name: means[0]!,
  label,
  means,
  percent: 1,
  unit: 1 / 255,
  clamp: [0, 1],
  written: asNumber,
  hand: { range: [0, 1], shown: 255, step: 1 },
});

const share = (label: string, means: ChannelDefinition["means"]): ChannelDefinition => ({
  name: label[0]!.toLowerCase(),
  label,
  means,
  percent: 100,
  unit: 1,
  clamp: [0, 100],
  written: asPercent,
  hand: { range: [0, 100], shown: 1, step: 0.1 },
});

const lightness = (most: number): ChannelDefinition => ({
  name: "l",
  label: "Lightness",
  means: "lightness",
  percent: most,
  unit: 1,
  clamp: [0, most],
  written: asPercent,
  hand: { range: [0, most], shown: 100 / most, step: 0.1 },
});

/** @param percent what 100% stands for @param most that is set by hand @param step of it */
const chroma = (
  percent: number,
  most: number,
  step: number,
  written: ChannelDefinition["written"],
): ChannelDefinition => ({
  name: "c",
  label: "Chroma",
  means: "colourfulness",
  percent,
  unit: 1,
  clamp: [0, Infinity],
  written,
  hand: { range: [0, most], shown: 1, step },
});

const axis = (
  name: "a" | "b",
  percent: number,
  step: number,
  written: ChannelDefinition["written"],
): ChannelDefinition => ({
  name,
  label: name,
  means: name,
  percent,
  unit: 1,
  clamp: free,
  written,
  hand: { range: [-percent, percent], shown: 1, step },
});

type Offered = Exclude<SpaceDefinition["notation"], null>;

/** A space of functions of its own, named as they are. */
const ofFunctions = (notation: Offered, channels: Channels3, more: Partial<SpaceDefinition> = {}): SpaceDefinition => ({
  notation,
  label: notation,
  space: notation as Space,
  names: [notation],
  hasFunction: true,
  legacy: false,
  commas: false,
  gamut: null,
  channels,
  ...more,
});

const meanings = ["red", "green", "blue"] as const;

/** A space that `color()` names. */
const ofColor = (notation: Offered, letters = "rgb", more: Partial<SpaceDefinition> = {}): SpaceDefinition =>
  ofFunctions(
    notation,
    meanings.map((means, at) => ({
      name: letters[at]!,
      label: letters === "rgb" ? means[0]!.toUpperCase() + means.slice(1) : letters[at]!.toUpperCase(),
      means,
      percent: 1,
      unit: 1,
      clamp: free,
      written: finer,
      hand: { range: [0, 1], shown: 100, step: 0.1 },
    })) as unknown as Channels3,
    { hasFunction: false, gamut: letters === "rgb" ? (notation as Space) : null, ...more },
  );

const older: Partial<SpaceDefinition> = { legacy: true, gamut: "srgb" };

/** In the order in which they are offered. */
export const spaceTable: readonly SpaceDefinition[] = [
  ofFunctions("rgb", [eightBit("Red", "red"), eightBit("Green", "green"), eightBit("Blue", "blue")], {
    ...older,
    space: "srgb",
    names: ["rgb", "rgba"],
    commas: true,
  }),
  ofFunctions("hsl", [hue, share("Saturation", "colourfulness"), share("Lightness", "lightness")], {
    ...older,
    names: ["hsl", "hsla"],
    commas: true,
  }),
  ofFunctions("hwb", [hue, share("Whiteness", "whiteness"), share("Blackness", "blackness")], older),
  ofFunctions("oklch", [lightness(1), chroma(0.4, 0.37, 0.001, finer), hue]),
  ofFunctions("oklab", [lightness(1), axis("a", 0.4, 0.001, finer), axis("b", 0.4, 0.001, finer)]),
  ofFunctions("lch", [lightness(100), chroma(150, 150, 0.1, asNumber), hue]),
  ofFunctions("lab", [lightness(100), axis("a", 125, 0.1, asNumber), axis("b", 125, 0.1, asNumber)]),
  ofColor("display-p3"),
  ofColor("a98-rgb"),
  ofColor("prophoto-rgb"),
  ofColor("rec2020"),
  ofColor("srgb"),
  ofColor("srgb-linear"),
  ofColor("display-p3-linear", "rgb", { notation: null, gamut: null }),
  ofColor("xyz-d65", "xyz", { label: "xyz", names: ["xyz-d65", "xyz"] }),
  ofColor("xyz-d50", "xyz"),
];

const byName = (hasFunction: boolean): ReadonlyMap<string, SpaceDefinition> =>
  new Map(
    spaceTable
      .filter((one) => one.hasFunction === hasFunction)
      .flatMap((one) => one.names.map((name): [string, SpaceDefinition] => [name, one])),
  );

/** By the names of their functions. */
export const colorFunctions = byName(true);

/** By their names in `color()`. */
export const colorFunctionSpaces = byName(false);

const bySpace: ReadonlyMap<Space, SpaceDefinition> = new Map(spaceTable.map((one) => [one.space, one]));

const byNotation: ReadonlyMap<string, SpaceDefinition> = new Map(
  spaceTable.flatMap((one) => (one.notation ? [[one.notation, one] as const] : [])),
);

/** The definition of a space; of sRGB, that of `color(srgb …)`. */
export const definitionOf = (space: Space): SpaceDefinition => bySpace.get(space)!;

/** How a notation is written; null for hex digits and names. */
export const notationDefinition = (notation: Notation): SpaceDefinition | null =>
  byNotation.get(notation) ?? bySpace.get(notation as Space) ?? null;

/** What two channels mean that together mean the same: where both of one pair are `none`, so are both of the other (12.2). */
const alikeTogether: readonly (readonly [readonly Meaning[], readonly Meaning[]])[] = [
  [
    ["a", "b"],
    ["colourfulness", "hue"],
  ],
  [
    ["whiteness", "blackness"],
    ["colourfulness", "lightness"],
  ],
];

/** Whether a channel of another space is `none` where these are (CSS Color 4, 12.2): so is what means the same. */
export function isMissingWith(missing: ReadonlySet<Meaning>, { means }: ChannelDefinition, of: Channels3): boolean {
  const isGone = (one: Meaning) => missing.has(one);
  const isHere = (one: Meaning) => of.some((channel) => channel.means === one);
  // Where all three are missing, nothing is left of the colour.
  if (missing.size === 3 || isGone(means)) return true;
  return alikeTogether.some((pairs) =>
    pairs.some((pair, at) => pair.includes(means) && pair.every(isHere) && pairs[1 - at]!.every(isGone)),
  );
}

/** Which of a space's channels is the hue; -1 where none is: it is not polar then. */
export const hueOf = (space: Space): number => definitionOf(space).channels.findIndex(({ means }) => means === "hue");

/** The spaces that colours are mixed in, by their names (CSS Color 4, 12.1); functions of several names are one. */
export const mixSpaces: ReadonlyMap<string, Space> = new Map(
  spaceTable
    .filter(({ notation }) => notation !== "rgb")
    .flatMap(({ names, hasFunction, space }) =>
      (hasFunction ? names.slice(0, 1) : names).map((name): [string, Space] => [name, space]),
    ),
);

/** The RGB space whose gamut bounds a notation; null where it holds every colour. */
export const gamutOf = (notation: Notation): Space | null =>
  notation === "hex" ? "srgb" : (notationDefinition(notation)?.gamut ?? null);

/** Whether a notation may be written with commas. */
export const takesCommas = (notation: Notation): boolean => notationDefinition(notation)?.commas ?? false;

/** A channel as it is set by hand. */
export interface HandChannel {
  label: string;
  /** In space units. */
  range: readonly [number, number];
  /** Units shown for each of the space's own. */
  shown: number;
  /** Of what is shown. */
  step: number;
}

/** What can be set by hand in a space, as in its first notation; null for spaces that no hand sets anything in. */
export function handChannels(space: Space): HandChannel[] | null {
  const definition = spaceTable.find((one) => one.space === space)!;
  if (!definition.notation || space.startsWith("xyz")) return null;
  return definition.channels.map(({ label, hand }) => ({ label, ...hand }));
}
