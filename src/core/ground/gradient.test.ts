import { describe, expect, test } from "vitest";
import { formatColor, type Color } from "../color";
import { componentsOf } from "../source/css/components";
import { absoluteUnit } from "../source/css/math";
import { gradientIn, stopColors } from "./gradient";

const black: Color = { space: "srgb", channels: [0, 0, 0], alpha: 1 };
const colors = { current: { color: black, legacy: true }, scheme: "light" as const };
const at = (text: string, x: number, y: number, width = 100, height = 50) => {
  const color = gradientIn(componentsOf(text)[0]!, { width, height }, colors, absoluteUnit);
  return color && formatColor(color(x, y), "hex");
};

describe("gradients at a point", () => {
  test.each<[string, number, number, string]>([
    ["linear-gradient(#000, #fff)", 50, 25, "#808080"],
    ["linear-gradient(to right, #000, #fff)", 25, 0, "#404040"],
    ["linear-gradient(90deg, #000, #fff)", 75, 40, "#bfbfbf"],
    ["linear-gradient(to left, #000, #fff)", 0, 0, "#ffffff"],
    ["linear-gradient(to bottom right, #000, #fff)", 100, 0, "#808080"],
    ["linear-gradient(90deg, #000 20%, #fff 80%)", 10, 0, "#000000"],
    ["linear-gradient(90deg, #000 20px, #fff 20px)", 21, 0, "#ffffff"],
    ["linear-gradient(90deg, #f00, #0f0, #00f)", 50, 0, "#00ff00"],
    ["linear-gradient(90deg, #000, 25%, #fff)", 25, 0, "#808080"],
    ["linear-gradient(90deg, #000 0 50%, #fff 0)", 60, 0, "#ffffff"],
    ["linear-gradient(90deg, rgb(0 0 0/0), #000)", 50, 0, "#00000080"],
    ["-webkit-linear-gradient(left, #000, #fff)", 100, 0, "#ffffff"],
    ["repeating-linear-gradient(90deg, #000 0 10px, #fff 10px 20px)", 45, 0, "#000000"],
    ["repeating-linear-gradient(90deg, #000 0 10px, #fff 10px 20px)", 55, 0, "#ffffff"],
    ["radial-gradient(circle 50px, #000, #fff)", 50, 25, "#000000"],
    ["radial-gradient(circle 50px, #000, #fff)", 100, 25, "#ffffff"],
    ["radial-gradient(circle 20px at left top, #000, #fff)", 10, 0, "#808080"],
    ["radial-gradient(circle 20px at 10px 30px, #000, #fff)", 20, 30, "#808080"],
    ["radial-gradient(circle 20px at 25% 80%, #000, #fff)", 25, 50, "#808080"],
    ["radial-gradient(circle 20px at center 10px, #000, #fff)", 50, 0, "#808080"],
    ["radial-gradient(circle 20px at 10px top, #000, #fff)", 20, 0, "#808080"],
    ["radial-gradient(circle 20px at right 10px bottom 5px, #000, #fff)", 80, 45, "#808080"],
    ["radial-gradient(closest-side, #000, #fff)", 50, 0, "#ffffff"],
    ["radial-gradient(20px 10px, #000, #fff)", 60, 25, "#808080"],
    ["radial-gradient(20px 10px, #000, #fff)", 50, 30, "#808080"],
    ["radial-gradient(20px, #000, #fff)", 50, 35, "#808080"],
    ["radial-gradient(#000, #fff)", 100, 50, "#ffffff"],
    ["radial-gradient(farthest-side, #000, #fff)", 50, 50, "#ffffff"],
    ["conic-gradient(#000, #fff)", 50, 40, "#808080"],
    ["conic-gradient(from 90deg, #000 50%, #fff 50%)", 50, 40, "#000000"],
  ])("%s at %d, %d is %s", (text, x, y, expected) => expect(at(text, x, y)).toBe(expected));

  test("colours of newer notations are mixed in OKLab, and a space can be named", () => {
    expect(at("linear-gradient(90deg, oklch(0 0 0), oklch(1 0 0))", 50, 0)).toBe("#636363");
    expect(at("linear-gradient(in oklab 90deg, #000, #fff)", 50, 0)).toBe("#636363");
    expect(at("linear-gradient(90deg in hsl longer hue, #f00, #ff0)", 50, 0)).toBe("#0080ff");
  });

  test.each([
    "url(a.png)",
    "linear-gradient()",
    "linear-gradient(90px, #000, #fff)",
    "radial-gradient(at nowhere, #000, #fff)",
    "image-set('a.png' 1x)",
    "-webkit-gradient(linear, 0 0, 0 1, from(#000))",
  ])("%s is none that can be read", (text) => expect(at(text, 0, 0)).toBeNull());

  test("all colours that are named", () => {
    expect(
      stopColors(componentsOf("linear-gradient(red, currentcolor 50%, #0000)")[0]!, colors)!.map((one) =>
        formatColor(one, "hex"),
      ),
    ).toEqual(["#ff0000", "#000000", "#00000000"]);
    expect(stopColors(componentsOf("url(a.png)")[0]!, colors)).toBeNull();
  });
});
