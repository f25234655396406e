import { describe, expect, test } from "vitest";
import { ColorError, formatColor, notationOf, notations, parseColor, readColorValue, spelledLike } from ".";

describe("the notation of a value", () => {
  test.each<[string, unknown]>([
    ["#ABC", { notation: "hex", options: { upper: true, short: true } }],
    ["#aabbcc80", { notation: "hex", options: { upper: false, short: false } }],
    ["SlateGray", { notation: "name", options: {} }],
    ["rgb(1, 2, 3)", { notation: "rgb", options: { commas: true, percentAlpha: false } }],
    ["rgba(1 2 3 / 50%)", { notation: "rgb", options: { commas: false, percentAlpha: true } }],
    ["hsl(11 50% 47%)", { notation: "hsl", options: { commas: false, percentAlpha: false } }],
    ["hsla(11, 50%, 47%, 20%)", { notation: "hsl", options: { commas: true, percentAlpha: true } }],
    ["oklch(60% 0.1 200)", { notation: "oklch", options: { percentAlpha: false } }],
    ["color(xyz 0 0 0)", { notation: "xyz-d65", options: { percentAlpha: false } }],
    ["color(display-p3 1 0 0 / .5)", { notation: "display-p3", options: { percentAlpha: false } }],
    ["currentcolor", null],
    ["var(--x)", null],
    ["rgb(from red r g b)", null],
    ["color-mix(in srgb, red, blue)", null],
    ["red blue", null],
    ["", null],
  ])("%s", (text, expected) => expect(notationOf(text)).toEqual(expected));

  test("a colour written anew in its own notation is the same text", () => {
    for (const text of [
      "#abc",
      "#A1B2C3",
      "rgb(1 2 3)",
      "rgba(1, 2, 3, 0.5)",
      "hsl(11 50% 47%)",
      "hsl(11, 50%, 47%)",
      "rgb(1 2 3 / 50%)",
      "tomato",
    ]) {
      const { notation, options } = notationOf(text)!;
      expect(formatColor(parseColor(text)!, notation, options)).toBe(text);
    }
  });

  test("every notation that is offered writes and reads", () => {
    for (const { notation } of notations)
      expect(parseColor(formatColor(parseColor("#1a6fa0")!, notation))).not.toBeNull();
  });
});

describe("what is wrong with a colour, and at which character", () => {
  test.each<[string, RegExp, number]>([
    ["", /missing/, 0],
    ["#12", /3, 4, 6 or 8 digits, not 2/, 0],
    ["#12g456", /"g" is not a hexadecimal digit/, 3],
    ["red blue", /follows/, 4],
    ["12px", /not a colour/, 0],
  ])("%j", (text, message, offset) => {
    try {
      readColorValue(text);
      expect.unreachable();
    } catch (error) {
      expect(error).toBeInstanceOf(ColorError);
      expect((error as ColorError).message).toMatch(message);
      expect((error as ColorError).offset).toBe(offset);
    }
  });

  test.each([
    "rgb(1 2)",
    "rgb(1,2)",
    "hsl(red 1% 2%)",
    "oklch(50%)",
    "color(nope 1 2 3)",
    "color-mix(in srgb, red)",
    "rgb(1 2 3 4)",
    "lab(1, 2, 3)",
  ])("%s is refused with a place inside", (text) => {
    expect(parseColor(text)).toBeNull();
    try {
      readColorValue(text);
      expect.unreachable();
    } catch (error) {
      expect((error as ColorError).offset).toBeLessThanOrEqual(text.length);
      expect((error as ColorError).message.length).toBeGreaterThan(10);
    }
  });
});

test("a colour is spelled as a value is, names as hex digits", () => {
  const red = parseColor("rgb(255 0 0)")!;
  const spelled = (value: string) => spelledLike(value, red);
  expect(["#ABC", "rgb(1, 2, 3)", "hsl(1 2% 3%)", "teal", "var(--x)"].map(spelled)).toEqual([
    "#F00",
    "rgb(255, 0, 0)",
    "hsl(0 100% 50%)",
    "#ff0000",
    "#ff0000",
  ]);
  expect(spelledLike("", red)).toBe("#ff0000");
});
