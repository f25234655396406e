import fc from "fast-check";
import { expect, test } from "vitest";
import { serialiseColor } from "./format";
import { interpolateColors, type HueWay } from "./mix";
import type { Color } from "./types";
import { readColorValue, resolveColor, type PlainColor } from "./value";

const hsl = (hue: number): Color => ({ space: "hsl", channels: [hue, 50, 50], alpha: 1 });

/** How far round a way goes from one hue to another, degrees (CSS Color 4, 12.4.1 to 12.4.4). */
function arc(from: number, to: number, way: HueWay): number {
  const up = (((to - from) % 360) + 360) % 360;
  const down = up === 0 ? 0 : up - 360;
  if (way === "increasing") return up;
  if (way === "decreasing") return down;
  if (way === "shorter") return up < 180 ? up : down;
  return up === 0 || up > 180 ? up || 360 : down;
}

test("hues go round the way that is asked for", () => {
  const hue = fc.integer({ min: 0, max: 359 });
  const way = fc.constantFrom<HueWay>("shorter", "longer", "increasing", "decreasing");
  fc.assert(
    fc.property(hue, hue, way, fc.constantFrom(0.25, 0.5, 0.8), (from, to, how, share) => {
      fc.pre(Math.abs(from - to) !== 180);
      const found = interpolateColors(hsl(from), hsl(to), share, "hsl", how).channels[0]!;
      const off = (((found - (from + arc(from, to, how) * share)) % 360) + 540) % 360;
      expect(off).toBeCloseTo(180, 6);
    }),
  );
});

/** As Chromium 156 computes them. */
test.each([
  ["grey has no hue to mix", "color-mix(in oklch, white, oklch(0.5 0.1 30))", "oklch(0.749997 0.0500249 30)"],
  ["nor in lch", "color-mix(in lch, #888, lch(50 20 30))", "lch(53.3513 10.0059 30)"],
  ["but one that is written", "color-mix(in oklch, oklch(0.5 0 120), oklch(0.5 0.1 30))", "oklch(0.5 0.05 75)"],
  [
    "a pair stands for a pair",
    "color-mix(in oklab, oklch(.5 none none), blue)",
    "oklab(0.475991 -0.0324624 -0.311523)",
  ],
  ["one of a pair does not", "color-mix(in lab, lch(50 none 20), blue)", "lab(39.7827 34.1508 -56.0175)"],
  [
    "nor a pair that is not there",
    "color-mix(in oklab, hwb(20 none none), blue)",
    "oklab(0.563941 0.0685192 -0.0876184)",
  ],
  ["of nothing nothing is mixed", "color-mix(in srgb, hsl(none none none), blue)", "color(srgb 0 0 1)"],
  ["what cannot be seen", "color-mix(in srgb, rgb(9 9 none / 0), oklab(0.44 none 0) 0%)", "color(srgb 0 0 0 / 0)"],
  ["a missing channel is 0 for those it is taken from", "lab(from lab(50 none 20) l a b)", "lab(50 0 20)"],
  ["so is alpha", "lab(from lab(50 10 20 / none) l a b)", "lab(50 10 20 / 0)"],
  ["steps of eight bits are not rounded to", "color(from rgb(9.4 0 0) srgb r g b)", "color(srgb 0.0368627 0 0)"],
  ["hues are within a turn", "hsl(from hsl(380 50% 50%) calc(h / 2) s l)", "color(srgb 0.75 0.333333 0.25)"],
  ["a relative colour of an older space", "hsl(from red h s none)", "color(srgb 0 0 0)"],
])("%s: %s", (_, text, told) => {
  const current: PlainColor = { color: { space: "srgb", channels: [0, 0, 0], alpha: 1 }, legacy: true };
  expect(serialiseColor(resolveColor(readColorValue(text), { current, scheme: "light" }))).toBe(told);
});
