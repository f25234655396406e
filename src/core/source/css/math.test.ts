import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { componentsOf } from "./components";
import { absoluteUnit, evaluateMath, measureOf, UnresolvedPercentage, type Quantity } from "./math";

const read = (text: string): Quantity | null =>
  evaluateMath(componentsOf(text)[0]!, { unit: absoluteUnit, percentAs: null });
const said = (text: string): string | null => {
  const quantity = read(text);
  return quantity && `${Number(quantity.value.toFixed(6))} ${measureOf(quantity)}`;
};

describe("functions of numbers and lengths (CSS Values 4, 10)", () => {
  test.each<[string, string | null]>([
    ["calc(1px + 2px * 3)", "7 length"],
    ["calc((1px + 2px) * 3)", "9 length"],
    ["calc(1in - 96px)", "0 length"],
    ["calc(6px / 2px)", "3 number"],
    ["calc(1px + 1)", null],
    ["calc(1px, 2px)", null],
    ["min(3px, 1px, 2px)", "1 length"],
    ["max(3px, 1px, 2px)", "3 length"],
    ["min(1px, 2)", null],
    ["clamp(1px, 5px, 3px)", "3 length"],
    ["clamp(4px, 1px, 3px)", "4 length"],
    ["clamp(none, 5px, 3px)", "3 length"],
    ["clamp(1px, 5px)", null],
    ["round(7px, 5px)", "5 length"],
    ["round(7.5px, 5px)", "10 length"],
    ["round(up, 6px, 5px)", "10 length"],
    ["round(down, 9px, 5px)", "5 length"],
    ["round(to-zero, -9px, 5px)", "-5 length"],
    ["round(2.5)", "3 number"],
    ["round(2.5px)", null],
    ["round(1px, 2px, 3px)", null],
    ["round(constructor, 7px, 5px)", null],
    ["mod(-7px, 5px)", "3 length"],
    ["rem(-7px, 5px)", "-2 length"],
    ["mod(7px, 5)", null],
    ["sin(90deg)", "1 number"],
    ["cos(0)", "1 number"],
    ["tan(45deg)", "1 number"],
    ["sin(1px)", null],
    ["sin(1, 2)", null],
    ["asin(1)", "90 angle"],
    ["acos(1px)", null],
    ["atan2(1px, 1px)", "45 angle"],
    ["atan2(1px, 1)", null],
    ["pow(2, 10)", "1024 number"],
    ["pow(2)", null],
    ["pow(2px, 2)", null],
    ["sqrt(16)", "4 number"],
    ["sqrt(16px)", null],
    ["exp(0)", "1 number"],
    ["log(8, 2)", "3 number"],
    ["log(1, 2, 3)", null],
    ["hypot(3px, 4px)", "5 length"],
    ["hypot(3px, 4)", null],
    ["abs(-3px)", "3 length"],
    ["abs(1, 2)", null],
    ["sign(-3px)", "-1 number"],
    ["unknown(1)", null],
  ])("%s", (text, expected) => expect(said(text)).toBe(expected));

  test("what is no number comes out as nothing (CSS Values 4, 10.9.1)", () => {
    expect([said("round(7px, 0px)"), said("calc(5px + round(7px, 0px))")]).toEqual(["0 length", "0 length"]);
  });

  test("what needs the length that a percentage is of says so", () => {
    const environment = { unit: absoluteUnit, percentAs: "length" } as const;
    const [part] = componentsOf("round(50%, 5px)");
    expect(() => evaluateMath(part!, environment)).toThrow(UnresolvedPercentage);
  });

  test("remainders take the sign of the second, or of the first", () => {
    fc.assert(
      fc.property(fc.integer({ min: -999, max: 999 }), fc.integer({ min: 1, max: 99 }), (a, b) => {
        const value = (name: string) => read(`${name}(${a}, ${b})`)!.value;
        expect(value("mod")).toBeGreaterThanOrEqual(0);
        expect(value("mod") % b).toBeCloseTo((((a % b) + b) % b) % b, 9);
        expect(value("rem")).toBeCloseTo(a % b, 9);
      }),
    );
  });
});

test.each([
  ["1in", 96],
  ["2.54cm", 96],
  ["25.4mm", 96],
  ["101.6q", 96],
  ["72pt", 96],
  ["6pc", 96],
  ["100grad", 90],
  ["0.25turn", 90],
])("%s is %d px or degrees (CSS Values 4, 6.2 and 7.1)", (text, value) => {
  expect(evaluateMath(componentsOf(`calc(${text})`)[0]!, { unit: absoluteUnit, percentAs: null })!.value).toBeCloseTo(
    value,
    9,
  );
});

test.each([
  ["round(down, 7, -2.5)", 5],
  ["round(up, 7, -2.5)", 7.5],
  ["round(5, infinity)", 0],
  ["round(up, 5, infinity)", Infinity],
  ["round(up, -5, infinity)", 0],
  ["round(down, -5, infinity)", -Infinity],
  ["round(infinity, 5)", Infinity],
  ["round(infinity, infinity)", 0],
  ["mod(100, infinity)", 100],
  ["mod(-100, infinity)", 0],
  ["mod(-7, 5)", 3],
  ["mod(7, -5)", -3],
  ["rem(-7, 5)", -2],
  ["pow(1, infinity)", 1],
  ["pow(-1, -infinity)", 1],
  ["pow(2, infinity)", Infinity],
])("without end: %s is %d", (text, result) => {
  const found = evaluateMath(componentsOf(text)[0]!, { unit: absoluteUnit, percentAs: null })!.value;
  expect(found === 0 ? 0 : found).toBe(result);
});
