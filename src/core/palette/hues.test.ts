import { expect, test } from "vitest";
import { hueWord } from "./properties";

test.each([
  [0, "pink"],
  [15, "pink"],
  [16, "red"],
  [45, "red"],
  [46, "orange"],
  [75, "orange"],
  [76, "yellow"],
  [115, "yellow"],
  [116, "green"],
  [160, "green"],
  [161, "teal"],
  [200, "teal"],
  [201, "blue"],
  [275, "blue"],
  [276, "purple"],
  [315, "purple"],
  [316, "pink"],
  [360, "pink"],
])("a hue of %d degrees is called %s", (hue, word) => expect(hueWord(0.5, 0.1, hue)).toBe(word));

test("without much chroma a colour has no hue, and at the ends none is seen", () => {
  expect(hueWord(0.5, 0.017, 200)).toBe("grey");
  expect(hueWord(0.5, 0.018, 200)).toBe("teal");
  expect([0.991, 0.99, 0.01, 0.009].map((lightness) => hueWord(lightness, 0.1, 200))).toEqual([
    "white",
    "teal",
    "teal",
    "black",
  ]);
});
