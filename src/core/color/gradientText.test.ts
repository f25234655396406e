import { expect, test } from "vitest";
import { gradientParts, gradientText, layerTexts } from "./gradientText";

test.each([
  ["linear-gradient(red, blue)", "", 2],
  ["linear-gradient(to top right, #17445c 20%, rgb(0 0 0 / 50%) 40% 60%, white)", "to top right", 3],
  ["linear-gradient(in oklch longer hue, red, blue)", "in oklch longer hue", 2],
  ["linear-gradient(45deg, red, 30%, blue)", "45deg", 3],
  ["radial-gradient(circle at 20px 30%, red, var(--sea) calc(10% + 2px))", "circle at 20px 30%", 2],
  ["repeating-conic-gradient(from 30deg, red 0 90deg, white 0 180deg)", "from 30deg", 2],
  ["linear-gradient(red, 30%, blue)", "", 3],
  ["conic-gradient(90deg, red, blue)", "90deg", 2],
])("%s is taken apart and put together as it was", (text, shape, stops) => {
  const parts = gradientParts(text)!;
  expect([parts.shape, parts.stops.length]).toEqual([shape, stops]);
  expect(gradientText(parts)).toBe(text);
});

test("pictures, broken gradients and lists are none", () => {
  for (const text of [
    "url(a.png)",
    "none",
    "linear-gradient(red)",
    "linear-gradient(red, soup)",
    "linear-gradient(var(--a) blue, red)",
    "red, blue",
  ])
    expect(gradientParts(text)).toBeNull();
});

test("layers are parted by commas of their own", () => {
  expect(layerTexts("linear-gradient(red, blue), url(a.png)")).toEqual(["linear-gradient(red, blue)", "url(a.png)"]);
});
