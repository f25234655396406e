import { describe, expect, test } from "vitest";
import { computed, pageWith } from "../../testing/site";

const image = (value: string) =>
  computed(pageWith(`#t{background-image:${value}}`, "<p id=t>x</p>"), "t", "background-image");

describe("gradients", () => {
  test.each([
    ["linear-gradient(45deg, red, blue)", "linear-gradient(45deg, rgb(255, 0, 0), rgb(0, 0, 255))"],
    ["linear-gradient(to left top, red, blue)", "linear-gradient(to left top, rgb(255, 0, 0), rgb(0, 0, 255))"],
    ["linear-gradient(red)", "linear-gradient(rgb(255, 0, 0))"],
    ["linear-gradient(to bottom, red, blue)", "linear-gradient(rgb(255, 0, 0), rgb(0, 0, 255))"],
    ["radial-gradient(at 10px 20%, red, blue)", "radial-gradient(at 10px 20%, rgb(255, 0, 0), rgb(0, 0, 255))"],
    ["radial-gradient(circle at left, red, blue)", "radial-gradient(circle at 0% 50%, rgb(255, 0, 0), rgb(0, 0, 255))"],
    [
      "conic-gradient(from 90deg at 10% 10%, red, blue)",
      "conic-gradient(from 90deg at 10% 10%, rgb(255, 0, 0), rgb(0, 0, 255))",
    ],
  ])("%s", (written, value) => {
    expect(image(written)).toBe(value);
  });

  test.each([
    "linear-gradient(foo, bar)",
    "linear-gradient(to nowhere, red, blue)",
    "linear-gradient(to left right, red, blue)",
    "linear-gradient(to top left top, red, blue)",
    "linear-gradient(to, red, blue)",
    "linear-gradient(45deg 3deg, red, blue)",
    "linear-gradient()",
    "radial-gradient(square, red, blue)",
    "radial-gradient(circle at, red, blue)",
    "radial-gradient(at red, red, blue)",
    "radial-gradient(at 1px 2px 3px 4px 5px, red, blue)",
    "radial-gradient(square at left, red, blue)",
    "conic-gradient(from at left, red, blue)",
    "conic-gradient(45deg, red, blue)",
    "conic-gradient(circle at left, red, blue)",
  ])("%s is none", (written) => {
    expect(image(written)).toBe("none");
  });
});
