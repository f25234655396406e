import { expect, test } from "vitest";
import type { InkThere } from "./stands";
import { veilsOver } from "./veils";

const ink = (css: string, needs: number, ...ends: string[]): InkThere => ({
  role: "Paragraph",
  css,
  needs,
  ratio: 1,
  passes: false,
  ends,
  over: [],
  places: [{ page: "index.html", index: 1 }],
});

test("the weakest veil comes first, and is as strong as the text that needs the most", () => {
  const large = veilsOver([ink("#fff", 3, "#8ab", "#cde")]);
  const both = veilsOver([ink("#fff", 3, "#8ab", "#cde"), ink("#fff", 4.5, "#8ab", "#cde")]);
  expect(large.veils.map(({ name }) => name)).toEqual(["black", "white"]);
  expect(both.veils[0]!.alpha).toBeGreaterThan(large.veils[0]!.alpha!);
  expect(both.texts).toBe(2);
  expect(both.veils[0]!.layer).toMatch(/^linear-gradient\(rgb\(0 0 0 \/ 0?\.\d+\), rgb\(0 0 0 \/ 0?\.\d+\)\)$/);
});

test("where none is needed the first is of nothing, and where none is enough it has no layer", () => {
  expect(veilsOver([ink("#000", 4.5, "#ddd", "#fff")]).veils[0]!.alpha).toBe(0);
  expect(veilsOver([ink("#fff", 4.5, "#000", "#fff"), ink("#000", 4.5, "#000", "#fff")]).veils).toEqual([
    { name: "black", alpha: null, layer: null, distance: null },
    { name: "white", alpha: null, layer: null, distance: null },
  ]);
});

const picked = { page: "index.html", index: 1 };

test("a colour of one's own is tried as well", () => {
  const { veils } = veilsOver([ink("#fff", 4.5, "#8ab", "#cde")], picked, "#06364f");
  const own = veils.find(({ name }) => name === "#06364f")!;
  expect(own.layer).toMatch(/^linear-gradient\(rgb\(6 54 79 \/ /);
  expect(own.distance).toBeGreaterThan(0);
});

test("instead of a veil the nearest ink is told that is enough between all ends", () => {
  expect(veilsOver([ink("#999", 4.5, "#ddd", "#fff")], picked).ink!.css).toMatch(/^#[56]/);
  // Between these ends lies every grey: no ink is enough on all.
  expect(veilsOver([ink("#888", 4.5, "#000", "#fff")], picked).ink).toBeNull();
  expect(veilsOver([ink("#000", 4.5, "#ddd", "#fff")], picked).ink).toBeNull();
});
