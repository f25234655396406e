import { expect, test } from "vitest";
import { stepNumber } from "./stepping";

test.each<[string, number, 1 | -1, 1 | 10 | 0.1, string | null]>([
  ["28px", 1, 1, 1, "29px"],
  ["28px", 4, -1, 10, "18px"],
  ["1.5", 0, 1, 0.1, "1.6"],
  ["0.1em", 2, -1, 0.1, "0em"],
  ["-1px", 0, 1, 1, "0px"],
  ["16px/1.2 Georgia", 6, 1, 0.1, "16px/1.3 Georgia"],
  [".08em", 1, 1, 0.1, "0.18em"],
  ["#123456", 3, 1, 1, null],
  ["Georgia", 2, 1, 1, null],
  ["h1", 1, 1, 1, null],
])("%s with the caret at %i", (text, caret, direction, size, expected) => {
  expect(stepNumber(text, caret, direction, size)?.text ?? null).toBe(expected);
});
