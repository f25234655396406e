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
    { name: "black", alpha: null, layer: null },
    { name: "white", alpha: null, layer: null },
  ]);
});
