import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { contrastRatio, differenceOk, formatColor, parseColor, toSrgb, type Color } from ".";
import { atLightness, ladder, nearestPassingGround, nearestPassingInk, oklch } from "./ladder";
import { seenWith, visions } from "./simulate";
import { runs } from "../testing/runs";

const color = (text: string) => parseColor(text)!;
const eightBit = fc.tuple(fc.nat(255), fc.nat(255), fc.nat(255)).map((bytes): Color => ({
  space: "srgb",
  channels: bytes.map((byte) => byte / 255) as [number, number, number],
  alpha: 1,
}));

describe("ladder", () => {
  test("every rung reaches its ratio, and the next colour towards the ground does not", () => {
    fc.assert(
      fc.property(eightBit, eightBit, (ink, ground) => {
        for (const { ratio, side, lightness, color: rung } of ladder(ink, { color: ground })) {
          expect(contrastRatio(rung, ground)).toBeGreaterThanOrEqual(ratio);
          const towards = side === "darker" ? 1 : -1;
          for (let step = 1; step < 40; step += 1) {
            const next = atLightness(ink, lightness + towards * step * 0.0005);
            if (formatColor(next, "hex") === formatColor(rung, "hex")) continue;
            expect(contrastRatio(next, ground)).toBeLessThan(ratio);
            break;
          }
        }
      }),
      runs(60),
    );
  });

  test("white has rungs on the darker side only, mid grey on both", () => {
    const sides = (ground: string, ratio: number) =>
      ladder(color("#8a9aa6"), { color: color(ground) }, [ratio]).map(({ side }) => side);
    expect(sides("white", 4.5)).toEqual(["darker"]);
    expect(sides("#777", 3)).toEqual(["darker", "lighter"]);
    expect(sides("#777", 7)).toEqual([]);
  });

  test("hue stays along the ladder", () => {
    const hue = oklch(color("#1a6fa0"))[2];
    for (const lightness of [0.2, 0.4, 0.6, 0.8])
      expect(Math.abs(oklch(atLightness(color("#1a6fa0"), lightness))[2] - hue)).toBeLessThan(3);
  });
});

describe("nearest that passes", () => {
  test("an ink on all its grounds at once, moved as little as can be", () => {
    fc.assert(
      fc.property(
        eightBit,
        fc.array(eightBit, { minLength: 1, maxLength: 3 }),
        fc.constantFrom(3, 4.5, 7),
        (ink, colors, needs) => {
          const grounds = colors.map((one) => ({ color: one, needs }));
          const { color: found, passes } = nearestPassingInk(ink, grounds);
          const enough = (one: Color) => colors.every((ground) => contrastRatio(one, ground) >= needs);
          expect(passes).toBe(enough(found));
          for (let step = 0; step <= 100; step += 1) {
            const other = atLightness(ink, step / 100);
            if (!passes) expect(enough(other)).toBe(false);
            else if (enough(other))
              expect(differenceOk(other, ink)).toBeGreaterThanOrEqual(differenceOk(found, ink) - 1e-4);
          }
        },
      ),
      runs(40),
    );
  });

  test("what passes already stays as it is", () => {
    expect(nearestPassingInk(color("#333"), [{ color: color("white"), needs: 4.5 }])).toEqual({
      color: color("#333"),
      passes: true,
    });
  });

  test("the sample's heading on white", () => {
    const { color: found } = nearestPassingInk(color("#8a9aa6"), [{ color: color("#fff"), needs: 3 }]);
    expect(contrastRatio(found, color("#fff"))).toBeGreaterThanOrEqual(3);
    expect(differenceOk(found, color("#8a9aa6"))).toBeLessThan(0.02);
  });

  test("impossible between black and white grounds, with the best there is", () => {
    const { color: found, passes } = nearestPassingInk(color("#c33"), [
      { color: color("white"), needs: 7 },
      { color: color("black"), needs: 7 },
    ]);
    expect(passes).toBe(false);
    expect(Math.min(contrastRatio(found, color("white")), contrastRatio(found, color("black")))).toBeGreaterThan(4.4);
  });

  test("a translucent ink needs more", () => {
    const faint = nearestPassingInk({ ...color("#89a"), alpha: 0.7 }, [{ color: color("white"), needs: 4.5 }]).color;
    expect(faint.alpha).toBe(0.7);
    expect(contrastRatio(faint, color("white"))).toBeGreaterThanOrEqual(4.5);
  });

  test("a ground for all its inks", () => {
    const inks = [
      { ink: color("#fff"), needs: 4.5 },
      { ink: color("#ffd"), needs: 7 },
    ];
    const { color: found, passes } = nearestPassingGround(color("hsl(11 50% 47%)"), inks);
    expect(passes).toBe(true);
    for (const { ink, needs } of inks) expect(contrastRatio(ink, found)).toBeGreaterThanOrEqual(needs);
  });
});

describe("colours seen with fewer cones", () => {
  test.each(visions)("%s leaves greys as they are and stays in the gamut", (vision) => {
    for (const grey of ["#000", "#777", "#fff"])
      expect(differenceOk(seenWith(color(grey), vision), color(grey))).toBeLessThan(0.01);
    fc.assert(
      fc.property(eightBit, (one) => {
        const seen = seenWith({ ...one, alpha: 0.5 }, vision);
        expect(seen.alpha).toBe(0.5);
        for (const value of toSrgb(seen)) expect(value).toBeGreaterThanOrEqual(-1e-9);
        for (const value of toSrgb(seen)) expect(value).toBeLessThanOrEqual(1 + 1e-9);
      }),
    );
  });

  test("red and green that differ in hue alone come closer", () => {
    const [red, green] = [color("oklch(60% .12 30)"), color("oklch(60% .12 140)")];
    for (const vision of ["protanopia", "deuteranopia", "achromatopsia"] as const) {
      expect(differenceOk(seenWith(red, vision), seenWith(green, vision))).toBeLessThan(differenceOk(red, green) * 0.7);
    }
  });
});

describe("ways to write", () => {
  test.each<[string, Parameters<typeof formatColor>[1], Parameters<typeof formatColor>[2], string]>([
    ["#aabbcc", "hex", { short: true }, "#abc"],
    ["#aabbcd", "hex", { short: true, upper: true }, "#AABBCD"],
    ["#aabbcc80", "hex", { short: true }, "#aabbcc80"],
    ["#aabbccdd", "hex", { short: true }, "#abcd"],
    ["rgb(1 2 3/50%)", "rgb", { commas: true }, "rgba(1, 2, 3, 0.5)"],
    ["rgb(1 2 3/50%)", "rgb", { percentAlpha: true }, "rgb(1 2 3 / 50%)"],
    ["hsl(11 50% 47%)", "hsl", { commas: true }, "hsl(11, 50%, 47%)"],
    ["hsl(11 50% 47%/.25)", "hsl", { commas: true, percentAlpha: true }, "hsla(11, 50%, 47%, 25%)"],
    ["#fff", "hsl", {}, "hsl(0 0% 100%)"],
    ["#777", "hwb", {}, "hwb(0 46.7% 53.3%)"],
    ["hsl(none 0% 50%)", "hsl", {}, "hsl(none 0% 50%)"],
    ["#8a9aa6", "oklch", { digits: 1 }, "oklch(67.7% 0.025 240.3)"],
  ])("%s as %s %j", (text, notation, options, expected) =>
    expect(formatColor(color(text), notation, options)).toBe(expected),
  );
});
