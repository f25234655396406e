import { expect, test } from "vitest";
import { serialiseNumber } from "./kinds";

test.each([
  [8.453125, "8.45312"],
  [8.453135, "8.45313"],
  [-8.453125, "-8.45312"],
  [0.5, "0.5"],
  [1234567, "1.23457e+06"],
  [0.00001, "1e-05"],
  [-0, "0"],
  [Infinity, "infinity"],
])("%s is written %s", (value, text) => expect(serialiseNumber(value)).toBe(text));
