import { expect, test } from "vitest";
import { refusal } from "./refusal";

test.each([
  ["font-size", "1banana", "`1banana` has no unit that CSS knows; px, rem, em and % would do."],
  ["margin-top", "0 1pxx", "`1pxx` has no unit that CSS knows; px, rem, em and % would do."],
  ["font-size", "14", "`14` lacks a unit: `14px` and `14rem` would do."],
  ["letter-spacing", "-.5", "`-.5` lacks a unit: `-.5px` and `-.5rem` would do."],
  ["transition-duration", "2min", "`2min` has no unit that CSS knows; s would do."],
  ["color", "#12", "`#12` is not a value of `color`; it takes a colour such as `#17445c` or `rgb(23 68 92)`."],
  [
    "text-align",
    "centre",
    "`centre` is not a value of `text-align`; it takes `start`, `end`, `left`, `right`, `center`.",
  ],
  [
    "line-height",
    "tight",
    "`tight` is not a value of `line-height`; it takes a number such as `1.4`, a number with one of the units px, rem, em and %, `normal`.",
  ],
])("%s: %s is refused with what would do", (property, value, words) => {
  expect(refusal(property, value)).toBe(words);
});

test("a word with figures in it is no number with a unit", () => {
  expect(refusal("color", "h1ello")).toMatch(/^`h1ello` is not a value of `color`; it takes a colour/);
});
