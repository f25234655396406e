import { expect, test } from "vitest";
import { inset, listParts, resolve, tileSize } from "./tiles";

const origin = { left: 0, top: 0, width: 200, height: 100 };
const picture = { naturalWidth: 40, naturalHeight: 80 };

test.each<[string, number, number]>([
  ["auto", 40, 80],
  ["auto auto", 40, 80],
  ["cover", 200, 400],
  ["contain", 50, 100],
  ["50%", 100, 200],
  ["auto 50%", 25, 50],
  ["10px 20px", 10, 20],
  ["calc(25% + 10px) auto", 60, 120],
  ["calc(25% + 10px) calc(50% - 10px)", 60, 40],
])("a picture in %s is %i by %i", (value, width, height) =>
  expect(tileSize(value, origin, picture)).toEqual({ width, height }),
);

test.each<[string, number, number]>([
  ["auto", 200, 100],
  ["cover", 200, 100],
  ["contain", 200, 100],
  ["50%", 100, 100],
  ["auto 20px", 200, 20],
  ["30px 20px", 30, 20],
])("a gradient in %s is %i by %i: it has no size of its own", (value, width, height) =>
  expect(tileSize(value, origin, null)).toEqual({ width, height }),
);

test("a picture without a size fills its box", () =>
  expect(tileSize("auto", origin, { naturalWidth: 0, naturalHeight: 0 })).toEqual({ width: 200, height: 100 }));

test.each<[string, string[]]>([
  ["none", ["none"]],
  ["0px, 10%", ["0px", "10%"]],
  ["linear-gradient(red, rgb(1, 2, 3)), none", ["linear-gradient(red, rgb(1, 2, 3))", "none"]],
  ['url("a,b.png"), url("c\\",d.png")', ['url("a,b.png")', 'url("c\\",d.png")']],
])("%s is parted at its top level", (text, parts) => expect(listParts(text)).toEqual(parts));

test.each<[string, number]>([
  ["10px", 10],
  ["50%", 100],
  ["calc(100% - 20px)", 180],
  ["calc(-10px + 25%)", 40],
  ["-1.5e1px", -15],
  ["auto", 0],
])("%s of 200 is %f", (value, result) => expect(resolve(value, 200)).toBeCloseTo(result, 9));

test("a box without its edges is never less than nothing", () => {
  expect(inset(origin, [1, 2, 3, 4])).toEqual({ left: 4, top: 1, width: 194, height: 96 });
  expect(inset(origin, [90, 150, 90, 150])).toMatchObject({ width: 0, height: 0 });
});
