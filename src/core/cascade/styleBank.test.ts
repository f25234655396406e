import { expect, test } from "vitest";
import { StyleBank } from "./styleBank";

test("styles that go by fonts are kept for the last few ways in which fonts measured", () => {
  const bank = new StyleBank();
  const first = bank.measuredWith("a");
  expect(bank.measuredWith("a")).toBe(first);
  for (const fonts of ["b", "c", "d"]) bank.measuredWith(fonts);
  expect(bank.measuredWith("a")).toBe(first);
  bank.measuredWith("e");
  expect(bank.measuredWith("a")).not.toBe(first);
});

test("a value that is equal to the last of its longhand is that one", () => {
  const bank = new StyleBank();
  const value = { value: 1, unit: "px" };
  expect(bank.valueLike(3, value)).toBe(value);
  expect(bank.valueLike(3, { ...value })).toBe(value);
  expect(bank.valueLike(4, { ...value })).not.toBe(value);
  expect(bank.valueLike(3, "auto")).toBe("auto");
});
