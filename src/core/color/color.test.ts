import fc from "fast-check";
import { describe, expect, test } from "vitest";
import {
  contrastRatio,
  convertColor,
  formatColor,
  inGamut,
  nearestName,
  neededRatio,
  paintOver,
  parseColor,
  showRatio,
  toGamut,
} from ".";
import { differenceOk } from "./gamut";
import { conversions } from "./conversion";
import { ColorError, readColorValue } from "./value";
import { serialiseColor } from "./format";
import type { Channels, Color, Notation, Space } from "./types";
import { runs } from "../testing/runs";

const color = (text: string): Color => parseColor(text)!;
const channel = fc.double({ min: 0, max: 1, noNaN: true });
const anyColor: fc.Arbitrary<Color> = fc
  .tuple(channel, channel, channel)
  .map((channels) => ({ space: "srgb", channels, alpha: 1 }));
const allSpaces = Object.keys(conversions) as Space[];

test("there and back again through every space", () => {
  fc.assert(
    fc.property(anyColor, fc.constantFrom(...allSpaces), (from, space) => {
      const there = convertColor(from, space);
      // A hue that says nothing is lost on the way, and what little it said with it.
      const tolerance = there.channels.includes(null) ? 1e-3 : 1e-5;
      convertColor(there, "srgb").channels.forEach((value, at) =>
        expect(Math.abs(value! - from.channels[at]!)).toBeLessThan(tolerance),
      );
    }),
    runs(2000),
  );
});

test.each<Space>(["srgb", "srgb-linear", "display-p3", "a98-rgb", "rec2020", "prophoto-rgb", "lab", "oklab"])(
  "%s and XYZ are taken into each other to the last digits, its white into that of daylight",
  (space) => {
    const [x, y] = [0.3127, 0.329];
    const white = convertColor({ space: "xyz-d65", channels: [x / y, 1, (1 - x - y) / y], alpha: 1 }, space);
    const expected = space.endsWith("lab") ? [space === "lab" ? 100 : 1, 0, 0] : [1, 1, 1];
    const digits = space === "oklab" ? 6 : 9;
    white.channels.forEach((value, at) => expect(value! - expected[at]!).toBeCloseTo(0, digits));
    const colors: Channels[] = [
      [0.2, 0.5, 0.7],
      [0.9, 0.1, 0.4],
    ];
    for (const channels of colors) {
      const back = convertColor(convertColor({ space, channels, alpha: 1 }, "xyz-d65"), space);
      back.channels.forEach((value, at) => expect(value).toBeCloseTo(channels[at]!, digits));
    }
  },
);

test("written in any notation, a colour comes back as the same", () => {
  const notations: Notation[] = ["hex", "rgb", ...allSpaces];
  const share = fc.integer({ min: 0, max: 1000 }).map((tenths) => tenths / 10);
  const given = fc.oneof(
    fc.integer({ min: 0, max: 0xffffff }).map((rgb) => `#${rgb.toString(16).padStart(6, "0")}`),
    fc.tuple(fc.integer({ min: 0, max: 359 }), share, share).map(([h, s, l]) => `hsl(${h} ${s}% ${l}%)`),
  );
  // Half a step between two bytes is either.
  const isHalf = (text: string) =>
    convertColor(color(text), "srgb").channels.some((value) => Math.abs(((value! * 255) % 1) - 0.5) < 0.0001);
  const whole = given.filter((text) => !isHalf(text));
  fc.assert(
    fc.property(whole, fc.constantFrom(...notations), (text, notation) => {
      const from = color(text);
      expect(formatColor(color(formatColor(from, notation)), "hex")).toBe(formatColor(from, "hex"));
    }),
    runs(4000),
  );
});

test.each<[string, Notation, string]>([
  ["hsl(200 60% 40%)", "rgb", "rgb(40.8 122.4 163.2)"],
  ["hsl(200 60% 40%)", "oklch", "oklch(55.08% 0.0994 234.79)"],
  ["lab(50 40 -20)", "hwb", "hwb(312.49 35.46% 32.96%)"],
  ["color(display-p3 1 0.2 0)", "rec2020", "color(rec2020 0.8725 0.2473 0)"],
  ["oklch(0.7 0.3 150)", "display-p3", "color(display-p3 0 0.781 0.201)"],
])("%s in %s has no more decimals than it takes", (text, notation, written) => {
  expect(formatColor(color(text), notation)).toBe(written);
});

test("few colours take many decimals, whatever they were written in", () => {
  const share = fc.integer({ min: 0, max: 100 });
  const given = fc.oneof(
    fc.tuple(fc.integer({ min: 0, max: 359 }), share, share).map(([h, s, l]) => `hsl(${h} ${s}% ${l}%)`),
    fc.tuple(share, share, share).map((channels) => `color(display-p3 ${channels.map((one) => one / 100).join(" ")})`),
  );
  const texts = fc.sample(given, { numRuns: 300, seed: 3 });
  const written = texts.flatMap((text) => allSpaces.map((space) => formatColor(color(text), space)));
  expect(written.filter((text) => /\.\d{7}/.test(text)).length).toBeLessThan(written.length / 200);
});

describe("reading", () => {
  test.each([
    ["RED", "#ff0000"],
    ["#F0a", "#ff00aa"],
    ["#f0a8", "#ff00aa88"],
    ["rgb(255,0,0)", "#ff0000"],
    ["rgb(100% 0% 50% / 50%)", "#ff008080"],
    ["rgba(10 20 30 / .5)", "#0a141e80"],
    ["hsl(120deg 100% 25%)", "#008000"],
    ["hsla(0.5turn, 100%, 50%, 1)", "#00ffff"],
    ["hsl(none 0 50)", "#808080"],
    ["hwb(0 0% 0%)", "#ff0000"],
    ["lab(100 0 0)", "#ffffff"],
    ["oklch(62.796% .25768 29.234)", "#ff0000"],
    ["color(display-p3 0 0 0)", "#000000"],
    ["color(srgb 1 50% 0)", "#ff8000"],
    ["rgb(calc(2*10) 0 0)", "#140000"],
    ["color-mix(in srgb, red, blue)", "#800080"],
    ["color-mix(in srgb, red 25%, blue 25%)", "#80008080"],
    ["color-mix(in srgb, 20% red, blue)", "#3300cc"],
    ["color-mix(in srgb, red, calc(10% * 2) blue)", "#cc0033"],
    ["color-mix(in hsl longer hue, red, blue)", "#00ff00"],
    ["rgb(from red b g r)", "#0000ff"],
    ["hsl(from red calc(h + 120) s l)", "#00ff00"],
    ["rebeccapurple", "#663399"],
  ])("%s is %s", (text, hex) => {
    expect(formatColor(color(text), "hex")).toBe(hex);
  });

  test.each<[string, number, string]>([
    ["rgb(1 2)", 7, "third channel is missing"],
    ["#12", 0, "3, 4, 6 or 8"],
    ["#12g", 3, "not a hexadecimal digit"],
    ["redd", 0, "not the name"],
    ["rgb(1, 2, 3, 4, 5)", 16, "too many"],
    ["rgb(1 2, 3)", 6, "separate all"],
    ["lab(1, 2, 3)", 5, "Commas"],
    ["hsl(0, 10, 10%)", 7, "percentages"],
    ["color(nope 1 1 1)", 6, "colour space"],
    ["red blue", 4, "follows"],
    ["", 0, "missing"],
    ["oklch(1 1 1px)", 10, "number"],
  ])("%j is wrong at %i: %s", (text, offset, reason) => {
    let error: unknown;
    try {
      readColorValue(text);
    } catch (thrown) {
      error = thrown;
    }
    expect(error).toBeInstanceOf(ColorError);
    expect((error as ColorError).message).toContain(reason);
    expect((error as ColorError).offset).toBe(offset);
    expect(parseColor(text)).toBeNull();
  });

  test("none stays none", () => {
    expect(color("oklch(.5 none 20)").channels).toEqual([0.5, null, 20]);
  });
});

describe("contrast (WCAG 2.2)", () => {
  test.each<[string, string, number]>([
    ["black", "white", 21],
    ["white", "white", 1],
    ["#777", "white", 4.478],
    ["#767676", "white", 4.542],
    ["#949494", "white", 3.033],
    ["#0000ff", "white", 8.592],
    ["#ff0000", "white", 3.998],
    ["yellow", "black", 19.556],
    ["#00000080", "white", 4.004],
  ])("%s on %s is %d", (ink, ground, ratio) => {
    expect(contrastRatio(color(ink), color(ground))).toBeCloseTo(ratio, 2);
  });

  test("the order of opaque colours does not matter", () => {
    fc.assert(
      fc.property(anyColor, anyColor, (a, b) => {
        expect(contrastRatio(a, b)).toBeCloseTo(contrastRatio(b, a), 9);
      }),
    );
  });

  test("ratios are shown rounded down", () => {
    expect([2.96, 4.499999, 4.5, 21].map(showRatio)).toEqual(["2.9", "4.4", "4.5", "21.0"]);
  });

  test("what is needed depends on size and weight", () => {
    expect([
      neededRatio(23.99, 400),
      neededRatio(24, 400),
      neededRatio(18.66, 700),
      neededRatio(18.65, 700),
      neededRatio(18.66, 600),
    ]).toEqual([4.5, 3, 3, 4.5, 4.5]);
  });
});

test("painting over", () => {
  expect(paintOver(color("#ff000080"), color("white")).channels.map((value) => Math.round(value! * 255))).toEqual([
    255, 127, 127,
  ]);
  expect(paintOver(color("transparent"), color("transparent")).alpha).toBe(0);
});

test("colours outside a gamut are mapped into it and stay near", () => {
  fc.assert(
    fc.property(
      channel,
      fc.double({ min: 0, max: 0.4, noNaN: true }),
      fc.double({ min: 0, max: 360, noNaN: true }),
      (l, c, h) => {
        const wide: Color = { space: "oklch", channels: [l, c, h], alpha: 1 };
        const fitted = toGamut(wide, "srgb");
        expect(inGamut(fitted, "srgb")).toBe(true);
        if (inGamut(wide, "srgb", 0)) expect(differenceOk(fitted, wide)).toBeLessThan(1e-6);
      },
    ),
  );
});

test("the nearest name and its distance", () => {
  expect(nearestName(color("#ff0000"))).toEqual({ name: "red", distance: 0 });
  expect(nearestName(color("#fe0101")).name).toBe("red");
  expect(nearestName(color("#fe0101")).distance).toBeGreaterThan(0);
});

test.each([
  ["rgb(1 2 3 / .5)", true, "rgba(1, 2, 3, 0.5)"],
  ["oklch(50% .1 400)", false, "oklch(0.5 0.1 40)"],
  ["color(display-p3 1 .5 none / 50%)", false, "color(display-p3 1 0.5 none / 0.5)"],
])("%s serialises as %s", (text, legacy, expected) => {
  expect(serialiseColor({ color: color(text), legacy })).toBe(expected);
});

test.each(["hsl(120, 50, 50)", "hsl(120, 50%, 50)", "hsl(120deg, 50%)", "rgb(1, 2%, 3)", "rgb(1, 2, 3, 4, 5)"])(
  "%s is no colour with commas",
  (text) => expect(parseColor(text)).toBeNull(),
);
