import { describe, expect, test } from "vitest";
import { Numbers } from "./strikes";
import { isNear, paintedOf, Tally } from "./tally";

const pixels = (...colors: number[]) =>
  new Uint8ClampedArray(colors.flatMap((color) => [color >> 16, (color >> 8) & 255, color & 255, 255]));

/** A tally of pairs of ground and ink, each met so often. */
function tallyOf(...pairs: [ground: number, ink: number, times: number][]): Tally {
  const tally = new Tally();
  for (const [ground, ink, times] of pairs)
    for (let at = 0; at < times; at += 1) tally.add(pixels(ground), pixels(ink), 0);
  return tally;
}

describe("what is seen along a text", () => {
  test("the worst point is where ink and ground are least apart, edges of letters left out", () => {
    const tally = new Tally();
    for (let at = 0; at < 1000; at += 1) tally.add(pixels(at < 400 ? 0xffffff : 0x999999), pixels(0x777777), 0, at, 7);
    tally.add(pixels(0x777777), pixels(0x777777), 0, 2000, 9);
    expect(paintedOf([tally], "?").worst).toEqual({ x: 400, y: 7 });
    expect(paintedOf([tallyOf([0xffffff, 0, 9])], "?").worst).toBeUndefined();
  });

  test("pairs are counted, however they come", () => {
    const tally = tallyOf([0xffffff, 0, 2], [0x112233, 0xaabbcc, 1], [0xffffff, 0, 3]);
    expect(paintedOf([tally], "?")).toEqual({
      points: [255, 255, 255, 0, 0, 0, 5, 0x11, 0x22, 0x33, 0xaa, 0xbb, 0xcc, 1],
      seen: 1,
      doubt: null,
      worst: { x: 0, y: 0 },
    });
  });

  test("points that are hidden are part of all", () => {
    const tally = tallyOf([0xffffff, 0, 3]);
    tally.hidden = 1;
    expect([tally.all, tally.seen]).toEqual([4, 0.75]);
    expect(new Tally().seen).toBe(0);
  });

  test("it is asked whether a text is seen where more than a fiftieth is as its ground", () => {
    expect(tallyOf([0xffffff, 0, 98], [0xffffff, 0xfffefe, 2]).isDoubtful()).toBe(false);
    expect(tallyOf([0xffffff, 0, 97], [0xffffff, 0xfefdfd, 3]).isDoubtful()).toBe(true);
    expect(tallyOf([0xffffff, 0, 90], [0xffffff, 0xfcffff, 10]).isDoubtful()).toBe(false);
  });

  test("a difference between assumptions is in doubt, and the least that is seen counts", () => {
    const [dark, light, same] = [tallyOf([0, 255, 2]), tallyOf([0xffffff, 255, 2]), tallyOf([0, 255, 2])];
    expect(paintedOf([dark, same], "It may be anything.").doubt).toBeNull();
    same.hidden = 2;
    const { doubt, seen, points } = paintedOf([dark, light, same], "It may be anything.");
    expect([doubt, seen]).toEqual(["It may be anything.", 0.5]);
    expect(points.filter((_, at) => at % 7 === 6)).toEqual([4, 2]);
  });

  test("very many pairs are thinned, the darkest and the lightest ground are kept", () => {
    const many = Array.from({ length: 3000 }, (_, at): [number, number, number] => [0x102030 + at * 16, 0, 1]);
    many.splice(1501, 0, [0xfffffe, 0, 1], [0x000001, 0, 1]);
    const { points } = paintedOf([tallyOf(...many)], "?");
    const grounds = new Set(
      Array.from({ length: points.length / 7 }, (_, at) => points.slice(at * 7, at * 7 + 3).join()),
    );
    expect(grounds.size).toBeLessThan(410);
    expect([grounds.has("255,255,254"), grounds.has("0,0,1")]).toEqual([true, true]);
  });

  test.each([
    [0xffffff, "#000000"],
    [0x000000, "#ffffff"],
    [0x808080, "#000000"],
  ])("a line that stands out of %i", (ground, color) => {
    expect(tallyOf([ground, ground, 3]).standsOut()).toBe(color);
  });

  test("two bytes are near, three are not", () => {
    expect(isNear(pixels(0, 0x101010), pixels(0, 0x121012), 4)).toBe(true);
    expect(isNear(pixels(0x101010), pixels(0x101013), 0)).toBe(false);
    expect(isNear(pixels(0x101010), pixels(0x0d1010), 0)).toBe(false);
  });
});

describe("lines in colours that say numbers", () => {
  const colorOf = (number: number) => {
    const [red, green, blue] = /(\d+), (\d+), (\d+)/.exec(Numbers.colorOf(number))!.slice(1).map(Number);
    return (red! << 16) | (green! << 8) | blue!;
  };

  test("every number has a colour of its own", () => {
    const colors = Array.from({ length: Numbers.most }, (_, at) => Numbers.colorOf(at));
    expect(new Set(colors).size).toBe(Numbers.most);
  });

  test("are found where they are, and nowhere else", () => {
    const numbers = new Numbers(20);
    const none = 0xffffff;
    const row = [none, colorOf(3), colorOf(3), none, colorOf(17), colorOf(19), colorOf(40), 0x0a0ad4];
    const strip = (colors: number[]) => ({ data: pixels(...colors), width: 4, top: 10 }) as never;
    numbers.read(strip(row.map((_, at) => (at === 5 ? colorOf(19) : none))), strip(row));
    expect(Object.fromEntries(numbers.found)).toEqual({
      3: { left: 1, top: 10, right: 3, bottom: 11 },
      17: { left: 0, top: 11, right: 1, bottom: 12 },
    });
  });
});
