import { expect, test } from "vitest";
import { changedLines } from "./changedLines";

const lines = (before: string, now: string) =>
  [...changedLines(before, now)].map(([line, { from, to }]) => [line, from, to]);

test.each<[string, string, string, number[][]]>([
  ["nothing", "a\nb\n", "a\nb\n", []],
  ["a part of a line", "a: 1px;\nb\n", "a: 12px;\nb\n", [[1, 4, 5]]],
  ["a part that is taken out", "a: 12px\n", "a: 1px\n", [[1, 4, 4]]],
  ["a new line", "a\nc\n", "a\nbb\nc\n", [[2, 0, 2]]],
  ["lines that are gone", "a\nb\nc\n", "a\nc\n", []],
  [
    "two lines in the place of one",
    "a\nb\nc\n",
    "a\nbx\ny\nc\n",
    [
      [2, 1, 2],
      [3, 0, 1],
    ],
  ],
  ["the last line without an end", "a\nb", "a\nbc", [[2, 1, 2]]],
])("%s", (_, before, now, expected) => {
  expect(lines(before, now)).toEqual(expected);
});
