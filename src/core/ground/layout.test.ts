import { expect, test } from "vitest";
import { bareLayout, movedLayout, type UnderLayer } from "./layout";

const box = { left: 0, top: 0, width: 9, height: 9 };
const layer = (index: number): UnderLayer => ({
  index,
  box,
  images: [],
  picture: null,
  opacity: 1,
  group: false,
  doubt: null,
});

test("a layout is told by other numbers, as long as all that lies under it has one", () => {
  const layout = { ...bareLayout(box), under: [layer(1), layer(3)], over: [4, 5] };
  const moved = movedLayout(layout, (index) => (index === 5 ? undefined : index + 10))!;
  expect(moved.under.map(({ index }) => index)).toEqual([11, 13]);
  expect(moved.over).toEqual([14]);
  expect(movedLayout(layout, (index) => (index === 3 ? undefined : index))).toBeNull();
});
