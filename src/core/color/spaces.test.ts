import { describe, expect, test } from "vitest";
import { parseColor } from "./index";
import {
  colorFunctions,
  colorFunctionSpaces,
  gamutOf,
  handChannels,
  hueOf,
  mixSpaces,
  spaceTable,
  takesCommas,
} from "./spaces";
import { notations } from "./written";

describe("the table of colour spaces", () => {
  test("every name is one space's", () => {
    const names = spaceTable.flatMap(({ names, hasFunction }) => names.map((name) => `${name} ${hasFunction}`));
    expect(new Set(names).size).toBe(names.length);
    expect([...colorFunctions.keys()]).toEqual("rgb rgba hsl hsla hwb oklch oklab lch lab".split(" "));
    expect(colorFunctionSpaces.get("xyz")!.space).toBe("xyz-d65");
  });

  test("every notation is read by its names", () => {
    for (const { space, names, hasFunction, channels } of spaceTable)
      for (const name of names) {
        const values = channels.map(({ percent }) => (percent === null ? "3" : "3%")).join(" ");
        const text = hasFunction ? `${name}(${values})` : `color(${name} ${values})`;
        expect(parseColor(text)?.space, text).toBe(space);
      }
  });

  test.each([
    ["rgb", -1, "srgb", true],
    ["hsl", 0, "srgb", true],
    ["hwb", 0, "srgb", false],
    ["lch", 2, null, false],
    ["oklch", 2, null, false],
    ["oklab", -1, null, false],
    ["display-p3", -1, "display-p3", false],
    ["xyz-d50", -1, null, false],
  ] as const)("%s: its hue, its gamut, commas", (notation, hue, gamut, commas) => {
    expect(hueOf(notation === "rgb" ? "srgb" : notation)).toBe(hue);
    expect([gamutOf(notation), takesCommas(notation)]).toEqual([gamut, commas]);
  });

  test("colours are mixed in every space by its name", () => {
    expect([...mixSpaces.keys()].sort()).toEqual(
      "a98-rgb display-p3 display-p3-linear hsl hwb lab lch oklab oklch prophoto-rgb rec2020 srgb srgb-linear xyz xyz-d50 xyz-d65".split(
        " ",
      ),
    );
  });

  test.each([
    ["srgb", "Red 0-1 by 1 of 255, Green 0-1 by 1 of 255, Blue 0-1 by 1 of 255"],
    ["hsl", "Hue 0-360 by 1 of 1, Saturation 0-100 by 0.1 of 1, Lightness 0-100 by 0.1 of 1"],
    ["hwb", "Hue 0-360 by 1 of 1, Whiteness 0-100 by 0.1 of 1, Blackness 0-100 by 0.1 of 1"],
    ["oklch", "Lightness 0-1 by 0.1 of 100, Chroma 0-0.37 by 0.001 of 1, Hue 0-360 by 1 of 1"],
    ["oklab", "Lightness 0-1 by 0.1 of 100, a -0.4-0.4 by 0.001 of 1, b -0.4-0.4 by 0.001 of 1"],
    ["lch", "Lightness 0-100 by 0.1 of 1, Chroma 0-150 by 0.1 of 1, Hue 0-360 by 1 of 1"],
    ["lab", "Lightness 0-100 by 0.1 of 1, a -125-125 by 0.1 of 1, b -125-125 by 0.1 of 1"],
    ["rec2020", "Red 0-1 by 0.1 of 100, Green 0-1 by 0.1 of 100, Blue 0-1 by 0.1 of 100"],
    ["xyz-d65", null],
  ] as const)("%s is set by hand", (space, words) => {
    const channels = handChannels(space)?.map(
      ({ label, range, step, shown }) => `${label} ${range.join("-")} by ${step} of ${shown}`,
    );
    expect(channels?.join(", ") ?? null).toBe(words);
  });

  test("notations are offered in order, hex digits first, names last", () => {
    expect(notations.map(({ label }) => label).join(" ")).toBe(
      "hex rgb hsl hwb oklch oklab lch lab display-p3 a98-rgb prophoto-rgb rec2020 srgb srgb-linear xyz xyz-d50 nearest name",
    );
  });
});
