import { expect, test } from "vitest";
import { eyesNamed } from "../color/eyes";
import { pairsLostTo } from "./lost";
import type { PalettePair } from "./palette";

const pair = (ink: string, ground: string, more: Partial<PalettePair> = {}): PalettePair => ({
  ink,
  inkName: ink,
  ground,
  groundName: ground,
  range: null,
  ratio: 5,
  best: 5,
  needs: 4.5,
  passes: true,
  certain: true,
  schemes: null,
  places: [],
  ...more,
});

test("only pairs that pass and are not enough with those eyes are lost to them", () => {
  const pairs = [pair("#6f6f6f", "#fff"), pair("#000", "#fff", { needs: 3 }), pair("#999", "#fff", { passes: false })];
  expect(pairsLostTo(pairs, eyesNamed("glare")).map(({ pair: { ink } }) => ink)).toEqual(["#6f6f6f"]);
  expect(pairsLostTo(pairs, eyesNamed("unfocused"))).toEqual([]);
});

test("the worst end of a ground counts, and a translucent ink as it comes out there", () => {
  const [lost] = pairsLostTo([pair("#fff", "#000", { range: ["#000", "#666"], needs: 3 })], eyesNamed("glare"));
  expect(lost!.ratio).toBeLessThan(3);
  const half = pairsLostTo([pair("rgb(0 0 0 / 60%)", "#fff")], eyesNamed("glare"));
  expect(half[0]!.ratio).toBeLessThan(4.2);
});
