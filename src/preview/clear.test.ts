import { expect, test } from "vitest";
import { isClear } from "./clear";

test.each([
  "transparent",
  "rgba(0, 0, 0, 0)",
  "rgba(255, 200, 0, 0)",
  "color(srgb 1 0 0 / 0)",
  "oklch(0.5 0.1 20 / 0)",
])("%s paints nothing", (color) => expect(isClear(color)).toBe(true));

test.each([
  "rgb(0, 0, 0)",
  "rgb(255, 255, 0)",
  "rgb(255, 200, 0)",
  "rgba(1, 2, 0, 0.5)",
  "color(srgb 1 0 0)",
  "color(srgb 0 0 0 / 0.5)",
  "lab(50 20 0)",
])("%s paints", (color) => expect(isClear(color)).toBe(false));
