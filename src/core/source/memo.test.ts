import { expect, test } from "vitest";
import { Recent } from "./memo";

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
