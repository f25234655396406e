import { expect, test } from "vitest";
import { spread } from "./spread";

test("what would lie over the one before it is moved down, by what that needs", () => {
  const things = [
    { name: "third", top: 14, height: 16 },
    { name: "first", top: 0, height: 26 },
    { name: "second", top: 10, height: 26 },
    { name: "far", top: 400, height: 26 },
  ];
  expect(spread(things).map(({ name, top }) => [name, top])).toEqual([
    ["first", 0],
    ["second", 26],
    ["third", 52],
    ["far", 400],
  ]);
});

test("what would be moved too far is left out, and takes no room", () => {
  const things = [
    { name: "mark", top: 0, height: 26 },
    { name: "name", top: 8, height: 16, end: 26 },
    { name: "next", top: 12, height: 26 },
  ];
  expect(spread(things).map(({ name, top }) => [name, top])).toEqual([
    ["mark", 0],
    ["next", 26],
  ]);
  expect(spread([{ top: 8, height: 16, end: 26 }])).toHaveLength(1);
});
