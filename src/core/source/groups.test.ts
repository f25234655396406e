import { expect, test } from "vitest";
import { append, groupBy } from "./groups";

test("things by what they have in common, in the order in which each is met", () => {
  expect([...groupBy([3, 1, 4, 1, 5], (one) => one % 2 === 0)]).toEqual([
    [false, [3, 1, 1, 5]],
    [true, [4]],
  ]);
});

test("more than a call takes as arguments is put at the end of a list", () => {
  const list = [-1];
  append(list, Array.from({ length: 300_000 }).keys());
  expect([list.length, list[0], list.at(-1)]).toEqual([300_001, -1, 299_999]);
});
