import { expect, test } from "vitest";
import { defaultConditions, type Conditions } from "./conditions";
import { rehearsals, rehearsedIn, usualConditions } from "./rehearsals";

test("nothing is rehearsed as readers usually have it, nor for a width or a scheme", () => {
  expect(rehearsedIn(defaultConditions)).toEqual([]);
  expect(rehearsedIn({ ...defaultConditions, width: 320, scheme: "dark" })).toEqual([]);
});

test.each<[Partial<Conditions>, string]>([
  [{ rootSize: 20 }, "text 20 px"],
  [{ medium: "print" }, "print"],
  [{ contrast: "less" }, "less contrast"],
  [{ reducedMotion: true }, "less motion"],
  [{ absent: ["Georgia"] }, "no Georgia"],
  [{ absent: ["Georgia", "Arial"] }, "2 fonts off"],
  [{ forced: { "index.html": { 3: ["hover"], 4: ["hover", "focus"] } } }, "hover and focus"],
])("%j is rehearsed, and taken back", (change, words) => {
  const conditions = { ...defaultConditions, ...change };
  expect(rehearsedIn(conditions).map((one) => one.words(conditions))).toEqual([words]);
  expect(rehearsedIn({ ...conditions, ...usualConditions })).toEqual([]);
});

test("each changes a condition of its own", () => {
  expect(new Set(rehearsals.map(({ condition }) => condition)).size).toBe(rehearsals.length);
});
