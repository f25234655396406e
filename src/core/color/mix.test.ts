import fc from "fast-check";
import { expect, test } from "vitest";
import { interpolateColors, type HueWay } from "./mix";
import type { Color } from "./types";

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
