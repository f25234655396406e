import { expect, test } from "vitest";
import { bareLayout, keptLayout, movedLayout, type Painted, type PlaceLayout, type UnderLayer } from "./layout";

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

const even: Painted = { points: [255, 255, 255, 20, 20, 20, 412], seen: 1, doubt: null };
const onSand = (text = box): PlaceLayout => ({
  ...bareLayout(text),
  under: [{ ...layer(2), box: { ...box } }],
  over: [7],
  painted: { ...even, points: [...even.points] },
});

test("what texts that are kept have alike is one", () => {
  const before = { 1: onSand(), 2: onSand({ ...box, top: 40 }) };
  const kept = keptLayout(before);
  expect(kept).toEqual(before);
  const [one, other] = [kept["1"]!, kept["2"]!];
  expect(other.under).toBe(one.under);
  expect(other.over).toBe(one.over);
  expect(other.painted).toBe(one.painted);
  expect(keptLayout(kept)["2"]).toBe(other);
});

test.each<[string, Partial<PlaceLayout>]>([
  [
    "a picture",
    { under: [{ ...layer(2), picture: { tile: box, repeatX: false, repeatY: false, clip: box, pixels: [] } }] },
  ],
  ["many colours", { painted: { ...even, points: Array.from({ length: 77 }, (_, at) => at) } }],
])("what lies on %s is kept as it is", (_, part) => {
  const [name] = Object.keys(part) as (keyof PlaceLayout)[];
  const places = [1, 2].map(() => ({ ...onSand(), ...structuredClone(part) }));
  const kept = places.map((place) => keptLayout({ 1: place })["1"]![name!]);
  expect(kept).toEqual(places.map((place) => place[name!]));
  expect(kept[0]).not.toBe(kept[1]);
});
