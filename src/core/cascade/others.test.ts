import { expect, test } from "vitest";
import { invalidReason, isKnownProperty } from "./declarations";

test.each([
  ["column-rule-color", "rgb(from red r g 40)", true],
  ["column-rule-color", "rgb(from red r g nope)", false],
  ["will-change", "rgb(from red r g 40)", false],
  ["column-gap", "-1px", false],
  ["column-gap", "calc(1px - 2px)", true],
  ["column-gap", "min(10%, 3px)", true],
  ["column-width", "min(10%, 3px)", false],
  ["column-width", "calc(1em - 10%)", false],
  ["column-gap", "calc(1em - 10%)", true],
  ["column-width", "calc(1em + 2px)", true],
  ["column-width", "calc(1em + 2s)", false],
  ["orphans", "0", false],
  ["orphans", "2", true],
  ["grid-row-start", "0", false],
  ["grid-row-start", "-1", true],
  ["filter", "red", false],
  ["filter", "blur(2px) url(#a)", true],
  ["r", "5", true],
  ["r", "-5", false],
  ["view-transition-name", "auto", false],
  ["resize", "initial", true],
  ["resize", "var(--a)", true],
  ["text-fit", "whatever there is", true],
])("%s: %s: %s", (property, value, isValid) => {
  expect(invalidReason(property, value)).toBe(isValid ? null : "invalid value");
});

test("what is in the browser is known, and what is nowhere is not", () => {
  expect(["text-fit", "column-gap", "color"].map(isKnownProperty)).toEqual([true, true, true]);
  expect(isKnownProperty("colum-gap")).toBe(false);
  expect(invalidReason("colum-gap", "1px")).toBe("unknown property");
  expect(invalidReason("column-gap", " ")).toBe("empty value");
});
