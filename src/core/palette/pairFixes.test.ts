import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { parseColor } from "../color";
import { applyChanges } from "../source/changes";
import { textFile } from "../source/site";
import { pageWith } from "../testing/site";
import { isEnough, leastRatio } from "../color/ladder";
import { pairFixes } from "./pairFixes";
import { paletteOf } from "./palette";

function fixes(css: string, body: string, pick: (pair: { ink: string; ground: string }) => boolean) {
  const site = pageWith(css, body);
  const palette = paletteOf(site, defaultConditions);
  const pair = palette.pairs.find(pick)!;
  const text = textFile(site, "index.html")!.text;
  return { pair, text, ...pairFixes(pair, palette) };
}

const grey = "rgb(153, 153, 153)";

describe("a pair that fails", () => {
  test("gets the nearest ink that is enough on all grounds its value stands on", () => {
    const { spots, needs, ink, ground } = fixes(
      "p{color:#999}div{background:#ddd}",
      "<p>x</p><div><p>y</p></div>",
      ({ ink, ground }) => ink === grey && ground === "rgb(255, 255, 255)",
    );
    expect(spots.map(({ value }) => value)).toEqual(["#999"]);
    expect(needs).toHaveLength(2);
    expect(ink.passes).toBe(true);
    expect(isEnough(ink.color, needs)).toBe(true);
    expect(leastRatio(ink.color, needs)).toBeLessThan(4.8);
    expect(ground).toBeNull();
  });

  test("counts only grounds under places of the values that would be written", () => {
    const { needs } = fixes(
      "p{color:#999}b{color:#999999;background:#000}",
      "<p>x</p><b>y</b>",
      ({ ink, ground }) => ink === grey && ground === "rgb(255, 255, 255)",
    );
    expect(needs.map(({ color }) => color.channels[0])).toEqual([1]);
  });

  test("gets another ground where no ink is enough", () => {
    const { ink, ground, text } = fixes(
      "p{color:#999}p.a{background:#fff}p.b{background:#000}p.c{background:#777}",
      "<p class=a>x</p><p class=b>y</p><p class=c>z</p>",
      ({ ground }) => ground === "rgb(255, 255, 255)",
    );
    expect(ink.passes).toBe(false);
    expect(applyChanges(text, ground!.changes)).toContain(`p.a{background:${ground!.value}}`);
    const needs = [{ color: parseColor(ground!.value)!, needs: 4.5 as const }];
    expect(isEnough(parseColor("#999")!, needs)).toBe(true);
  });

  test("an ink that stands in no sheet has nothing to be written", () => {
    const { spots, needs } = fixes(
      "b{color:teal;background:#eee}",
      "<p>x</p><b>y</b>",
      ({ ink }) => ink === "rgb(0, 0, 0)",
    );
    expect(spots).toEqual([]);
    expect(needs.map(({ color }) => color.channels)).toEqual([[1, 1, 1]]);
  });
});
