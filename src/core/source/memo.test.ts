import { expect, test } from "vitest";
import { Alike, Recent } from "./memo";

test("what was asked for last is kept, as much of it as is said", () => {
  const recent = new Recent<string, number>(2);
  recent.set("pier", 1);
  recent.set("quay", 2);
  expect(recent.get("pier")).toBe(1);
  recent.set("mole", 3);
  expect(["pier", "quay", "mole"].map((key) => recent.get(key))).toEqual([1, undefined, 3]);
  recent.set("pier", 4);
  expect(["mole", "pier"].map((key) => recent.get(key))).toEqual([3, 4]);
});

test("what is alike is one, as long as it was met not long ago", () => {
  const alike = new Alike<{ of: string; at: number[] }>(2);
  const [pier, quay, mole] = ["pier", "quay", "mole"].map((of) => ({ of, at: [1, 0.5] }));
  expect(alike.of(pier!)).toBe(pier);
  expect(alike.of(quay!)).toBe(quay);
  expect(alike.of({ of: "pier", at: [1, 0.5] })).toBe(pier);
  expect(alike.of(mole!)).toBe(mole);
  const again = { ...quay! };
  expect(alike.of(again)).toBe(again);
});
