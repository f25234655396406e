import { expect, test } from "vitest";
import { invalidReason } from "@/core/cascade/declarations";
import { declarationsOfSite } from "@/core/source/declarations";
import { siteOf } from "@/core/source/site";
import { siteToWarmOn } from "./warming";

test("a worker is made ready with sheets of which nothing is passed over", () => {
  const { files } = siteToWarmOn();
  expect(files.map(({ path }) => path)).toEqual(["specimen.html", "style.css"]);
  const declarations = [...declarationsOfSite(siteOf(files))].map(({ declaration }) => declaration);
  expect(declarations.length).toBeGreaterThan(60);
  const wrong = declarations.filter(({ property, valueText }) => invalidReason(property, valueText) !== null);
  expect(wrong.map(({ property, valueText }) => `${property}: ${valueText}`)).toEqual([]);
});
