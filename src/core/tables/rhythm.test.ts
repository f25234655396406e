import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { defaultConditions } from "../cascade/conditions";
import { changeSite, textFile } from "../source/site";
import { finished } from "../source/steps";
import { computed, site } from "../testing/site";
import { rhythmSteps } from "./rhythm";
import { nearestRoom, roomEdits } from "./roomSteps";
import { combine } from "../edits/combine";

const of = site({
  "a.css":
    "h2 { margin: 1.5em 0 .5em; font-size: 20px }\np { margin: 0 0 17px; padding: 4px 16px }\n.note { margin-bottom: 16px }\nli { margin-left: -8px }\n",
  "index.html":
    '<link rel=stylesheet href=a.css><h2 id="h">Fares</h2><p id="p">One</p><p class="note">Two</p><p class="note" id="n">Three</p>',
});
const steps = () => finished(rhythmSteps(of, defaultConditions));

describe("the rhythm of a site", () => {
  test("has a step for each margin and padding that it sets, in px, with how many elements get it", () => {
    expect(steps().map(({ px, elements }) => [px, elements])).toEqual([
      [4, 6],
      [10, 1],
      [16, 8],
      [17, 1],
      [30, 1],
    ]);
  });

  test("steps nearly alike are twins: the one used less of the one used more", () => {
    expect(steps().flatMap(({ px, twin }) => (twin === null ? [] : [[px, twin]]))).toEqual([[17, 16]]);
  });

  test.each([
    [10, 11, true],
    [10, 11.01, false],
    [92, 100, true],
    [91.9, 100, false],
    [-10, 11, false],
  ])("%d px and %d px are nearly alike: %s", (one, other, isTwin) => {
    const two = site({
      "index.html": `<style>p{margin-left:${one}px}li{margin-left:${other}px}</style><p>One<p>Two<ul><li>Three</ul>`,
    });
    const twins = finished(rhythmSteps(two, defaultConditions)).map(({ twin }) => twin);
    expect(twins.sort()).toEqual(isTwin ? [one, null] : [null, null]);
  });

  test("a step is brought to another where it is written, in its own unit", () => {
    const [seventeen, thirty] = [17, 30].map((px) => steps().find((step) => step.px === px)!);
    const after = changeSite(of, combine(of, [...roomEdits(seventeen!, 16), ...roomEdits(thirty!, 32)]));
    expect(textFile(after, "a.css")!.text).toMatch(
      /^h2 \{ margin: 1\.6em 0 \.5em; font-size: 20px \}\np \{ margin: 0 0 16px;/,
    );
    expect(computed(after, "h", "margin-top")).toBe("32px");
  });

  test("a room snaps to the nearest step, or to lines of a grid", () => {
    expect(nearestRoom(18, { steps: [4, 16, 30] })).toBe(16);
    expect(nearestRoom(18, { steps: [] })).toBe(18);
    fc.assert(
      fc.property(fc.double({ min: -200, max: 200, noNaN: true }), fc.integer({ min: 1, max: 64 }), (px, grid) => {
        const snapped = nearestRoom(px, { grid });
        expect(Math.abs(snapped % grid)).toBe(0);
        expect(Math.abs(snapped - px)).toBeLessThanOrEqual(grid / 2 + 1e-9);
      }),
    );
  });
});
