import { describe, expect, test } from "vitest";
import { readoutsOf, type ReadoutInput } from "./readouts";

const long =
  "From the first of November the late boat leaves the mainland at half past six, and cars should be in lane by ten past.";
const input = (more: Partial<ReadoutInput> = {}): ReadoutInput => ({
  text: long,
  size: 16,
  xHeight: 8,
  leading: 1.5,
  lines: 4,
  longest: 70,
  usual: 64,
  letterSpacing: 0,
  weight: 400,
  uppercase: false,
  align: "start",
  hyphens: false,
  ...more,
});
const unusual = (more: Partial<ReadoutInput>) =>
  readoutsOf(input(more))
    .filter((one) => one.unusual)
    .map(({ id }) => id);

describe("readouts", () => {
  test("well-set running text has nothing unusual", () => expect(unusual({})).toEqual([]));

  test.each<[string, Partial<ReadoutInput>]>([
    ["size", { size: 15 }],
    ["size", { text: "Fares", size: 11, lines: 1 }],
    ["x-height", { xHeight: 6.2 }],
    ["leading", { leading: 1.1 }],
    ["leading", { leading: 2.1 }],
    ["leading", { text: "Winter sailings", lines: 2, leading: 0.9 }],
    ["line", { longest: 96, usual: 90 }],
    ["line", { longest: 40, usual: 36 }],
    ["letters", { letterSpacing: 0.2 }],
    ["capitals", { uppercase: true }],
    ["weight", { weight: 200 }],
    ["justified", { align: "justify" }],
    ["centred", { align: "center" }],
  ])("%s: %j", (id, more) => expect(unusual(more)).toContain(id));

  test.each<[string, Partial<ReadoutInput>]>([
    ["justified with hyphens", { align: "justify", hyphens: true }],
    ["light, but large", { text: "Ossel", lines: 1, weight: 200, size: 40, xHeight: 20 }],
    ["spaced capitals", { text: "SAILINGS", lines: 1, uppercase: true, letterSpacing: 0.08 }],
    ["a short line of a heading", { text: "Winter sailings", lines: 1, longest: 15, usual: 15, leading: 1.1 }],
    ["a normal leading", { leading: null }],
  ])("%s is usual", (_, more) => expect(unusual(more)).toEqual([]));
});
