import * as fc from "fast-check";
import { expect, test } from "vitest";
import { contrastRatio, paintOver } from "./contrast";
import { leastVeil, worstBetween } from "./veil";
import type { Color } from "./types";

const grey = (value: number, alpha = 1): Color => ({ space: "srgb", channels: [value, value, value], alpha });
const color = fc
  .tuple(
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
    fc.double({ min: 0, max: 1, noNaN: true }),
  )
  .map((channels): Color => ({ space: "srgb", channels, alpha: 1 }));
const layer = fc.constantFrom(grey(0), grey(1), grey(0.1));

test("white on a light picture needs a dark veil, and none where it is dark already", () => {
  expect(leastVeil(grey(0), [{ ink: grey(1), needs: 4.5, ends: [grey(0.4), grey(0.9)] }])?.alpha).toBeCloseTo(0.49, 1);
  expect(leastVeil(grey(0), [{ ink: grey(1), needs: 4.5, ends: [grey(0), grey(0.3)] }])?.alpha).toBe(0);
  expect(leastVeil(grey(0), [{ ink: grey(0), needs: 4.5, ends: [grey(0), grey(1)] }])).toBeNull();
});

test("between the ends an ink as light as the ground is lost", () => {
  expect(worstBetween(grey(0.5), [grey(0), grey(1)])).toBe(1);
  expect(worstBetween(grey(1), [grey(0), grey(0.3)])).toBeCloseTo(contrastRatio(grey(1), grey(0.3)));
});

test("with the veil that is found every ink passes on all of the ground, and with a hundredth less one does not", () => {
  fc.assert(
    fc.property(layer, fc.tuple(color, color), fc.array(color, { minLength: 1, maxLength: 3 }), (over, ends, inks) => {
      const needs = inks.map((ink) => ({ ink, needs: 4.5, ends }));
      const found = leastVeil(over, needs);
      const passes = (alpha: number) =>
        inks.every(
          (ink) =>
            worstBetween(
              ink,
              ends.map((end) => paintOver({ ...over, alpha }, end)),
            ) >= 4.5,
        );
      expect(passes(found?.alpha ?? 1)).toBe(found !== null);
      if (found && found.alpha! > 0) expect(passes(Math.round(found.alpha! * 100 - 1) / 100)).toBe(false);
    }),
  );
});
