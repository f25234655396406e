/** The colour functions of CSS Color 4: which channels each takes and in what units. One entry a function. */
import type { Space } from "./types";

export interface ChannelSyntax {
  name: string;
  /** What 100% stands for, in the space's own units; null where percentages are not allowed. */
  percent: number | null;
  /** Space units per written number. */
  unit: number;
  /** Bounds that values are clamped to when read, in space units. */
  clamp: readonly [number, number];
  hue?: boolean;
}

export interface FunctionSyntax {
  space: Space;
  channels: readonly [ChannelSyntax, ChannelSyntax, ChannelSyntax];
  /** Whether commas are allowed, and so whether the colour is serialised as rgb() (CSS Color 4, 15.2). */
  legacy: boolean;
  commas: boolean;
}

const free = [-Infinity, Infinity] as const;
const hue: ChannelSyntax = { name: "h", percent: null, unit: 1, clamp: free, hue: true };
const rgbChannel = (name: string): ChannelSyntax => ({ name, percent: 1, unit: 1 / 255, clamp: [0, 1] });
const part = (name: string, clamp: readonly [number, number] = [0, 100]): ChannelSyntax => ({
  name,
  percent: 100,
  unit: 1,
  clamp,
});
const axis = (name: string, percent: number): ChannelSyntax => ({ name, percent, unit: 1, clamp: free });
const lightness = (percent: number): ChannelSyntax => ({ name: "l", percent, unit: 1, clamp: [0, percent] });
const chroma = (percent: number): ChannelSyntax => ({ name: "c", percent, unit: 1, clamp: [0, Infinity] });

const rgb: FunctionSyntax = {
  space: "srgb",
  channels: [rgbChannel("r"), rgbChannel("g"), rgbChannel("b")],
  legacy: true,
  commas: true,
};
const hsl: FunctionSyntax = { space: "hsl", channels: [hue, part("s"), part("l")], legacy: true, commas: true };

export const colorFunctions: ReadonlyMap<string, FunctionSyntax> = new Map<string, FunctionSyntax>([
  ["rgb", rgb],
  ["rgba", rgb],
  ["hsl", hsl],
  ["hsla", hsl],
  ["hwb", { space: "hwb", channels: [hue, part("w"), part("b")], legacy: true, commas: false }],
  ["lab", { space: "lab", channels: [lightness(100), axis("a", 125), axis("b", 125)], legacy: false, commas: false }],
  ["lch", { space: "lch", channels: [lightness(100), chroma(150), hue], legacy: false, commas: false }],
  ["oklab", { space: "oklab", channels: [lightness(1), axis("a", 0.4), axis("b", 0.4)], legacy: false, commas: false }],
  ["oklch", { space: "oklch", channels: [lightness(1), chroma(0.4), hue], legacy: false, commas: false }],
]);

const plain = (names: string): FunctionSyntax["channels"] =>
  [...names].map((name) => ({ name, percent: 1, unit: 1, clamp: free })) as unknown as FunctionSyntax["channels"];

/** The spaces `color()` names, with their channels. */
export const colorFunctionSpaces: ReadonlyMap<string, FunctionSyntax> = new Map<string, FunctionSyntax>(
  (
    [
      ["srgb", "srgb"],
      ["srgb-linear", "srgb-linear"],
      ["display-p3", "display-p3"],
      ["display-p3-linear", "display-p3-linear"],
      ["a98-rgb", "a98-rgb"],
      ["prophoto-rgb", "prophoto-rgb"],
      ["rec2020", "rec2020"],
      ["xyz", "xyz-d65"],
      ["xyz-d50", "xyz-d50"],
      ["xyz-d65", "xyz-d65"],
    ] as [string, Space][]
  ).map(([name, space]) => [
    name,
    { space, channels: plain(name.startsWith("xyz") ? "xyz" : "rgb"), legacy: false, commas: false },
  ]),
);
