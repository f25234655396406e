import { describe, expect, test } from "vitest";
import type { PlaceView } from "@/engine/protocol";
import type { Band } from "./bands";
import { differenceOf } from "./extent";
import { forEachPoint, rowsByStrip, stripHeight } from "./points";

const text = (index: number) => ({ index, pseudo: null }) as PlaceView;
const band = (left: number, top: number, right: number, bottom: number): Band => ({ left, top, right, bottom });

test("bands are looked at in every strip they reach into, and in no other", () => {
  const bands = new Map([
    ["1", [band(0, 0, 9, 10)]],
    ["2", [band(0, stripHeight - 2, 9, stripHeight + 2), band(0, -20, 9, -1)]],
    ["3", [band(0, stripHeight * 2 - 5, 9, stripHeight * 2)]],
  ]);
  const rows = rowsByStrip([text(1), text(2), text(3), text(4)], bands);
  const told = [...rows].map(([strip, list]) => [strip, list.map((row) => row.text.index)]);
  expect(told).toEqual([
    [0, [1, 2]],
    [1, [2, 3]],
  ]);
});

describe("the pixels of a band", () => {
  const points = (one: Band, top = 0, width = 10, height = 6) => {
    const found: [x: number, y: number][] = [];
    forEachPoint(one, { top, width, height, data: new Uint8ClampedArray() }, (at) =>
      found.push([(at / 4) % width, Math.floor(at / 4 / width)]),
    );
    return found;
  };

  test.each<[string, Band, [number, number][]]>([
    ["whole ones inside of it", band(1.2, 1.5, 4.1, 3.9), [[2, 2], [3, 2]]], // prettier-ignore
    ["one where it is thinner", band(2.3, 2.6, 2.4, 2.7), [[3, 3]]],
    ["none left of the page", band(-5, 0, 0.2, 1), [[0, 0]]],
    ["none right of the page", band(9, 0, 14, 1), [[9, 0]]],
    ["none beyond the page", band(12, 0, 14, 1), []],
  ])("%s", (_, one, expected) => {
    expect(points(one)).toEqual(expected);
  });

  test("only those of the strip", () => {
    expect(points(band(0, 510, 1, 514), 512).map(([, y]) => y)).toEqual([0, 1]);
    expect(points(band(0, 0, 1, 4), 0, 10, 2).map(([, y]) => y)).toEqual([0, 1]);
  });

  test("very long and high ones evenly, ends included", () => {
    const found = points(band(0, 0, 5000, 100), 0, 5000, 100);
    expect(found).toHaveLength(1200 * 16);
    expect([found[0], found.at(-1)]).toEqual([[0, 0], [4999, 99]]); // prettier-ignore
  });
});

test("what fonts shift is told where height or lines differ", () => {
  const usual = { height: 100, lines: 5, width: 400 };
  expect(differenceOf({ height: 110, lines: 5, width: 390 }, usual)).toEqual({ height: 10, lines: 0, width: -10 });
  expect(differenceOf({ height: 100, lines: 6, width: 400 }, usual)).toEqual({ height: 0, lines: 1, width: 0 });
  expect(differenceOf({ height: 100, lines: 5, width: 390 }, usual)).toBeNull();
  expect(differenceOf(usual, undefined)).toBeNull();
});
