import * as fc from "fast-check";
import { expect, test } from "vitest";
import { contrastRatio } from "./contrast";
import { convertColor } from "./conversion";
import { eyes, eyesNamed, ratioSeen, seenBy } from "./eyes";
import type { Color, Triple } from "./types";

const part = fc.double({ min: 0, max: 1, noNaN: true });
const color = fc.tuple(part, part, part).map((channels): Color => ({ space: "srgb", channels, alpha: 1 }));
const rgb = (...channels: Triple): Color => ({ space: "srgb", channels, alpha: 1 });

test("glare takes contrast away, and never gives any", () => {
  const glare = eyesNamed("glare");
  fc.assert(
    fc.property(color, color, (ink, ground) => {
      expect(ratioSeen(ink, ground, glare)).toBeLessThanOrEqual(contrastRatio(ink, ground) + 1e-9);
    }),
  );
  // (1.25 + 0.0625) over (0.25 + 0.0625), scaled.
  expect(ratioSeen(rgb(0, 0, 0), rgb(1, 1, 1), eyesNamed("glare"))).toBeCloseTo(1.05 / 0.25, 5);
});

test("the matrix that is painted with is what a colour becomes", () => {
  fc.assert(
    fc.property(fc.constantFrom(...eyes.filter(({ matrix }) => matrix)), color, (one, from) => {
      const linear = convertColor(from, "srgb-linear").channels as Triple;
      const painted = one.matrix!.map(([r, g, b, added = 0]) =>
        Math.min(1, Math.max(0, r * linear[0] + g * linear[1] + b * linear[2] + added)),
      );
      const seen = convertColor(seenBy(from, one), "srgb-linear").channels;
      painted.forEach((value, at) => expect(seen[at]).toBeCloseTo(value, 6));
    }),
  );
});

test("red and green come near each other without red cones, and stay apart out of focus", () => {
  const [red, green] = [rgb(0.85, 0.1, 0.1), rgb(0.2, 0.5, 0.1)];
  expect(ratioSeen(red, green, eyesNamed("protanopia"))).toBeLessThan(2);
  expect(ratioSeen(red, green, eyesNamed("unfocused"))).toBe(contrastRatio(red, green));
});
