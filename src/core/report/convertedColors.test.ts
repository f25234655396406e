import { expect, test } from "vitest";
import { convertedTable, givenColors } from "./convertedColors";

test("a colour a line, or between semicolons; what is none says why", () => {
  const given = givenColors(" #c73\n\nrgb(1, 2, 3); currentcolor;rgb(1 2\n");
  expect(given.map(({ text, color }) => [text, color !== null])).toEqual([
    ["#c73", true],
    ["rgb(1, 2, 3)", true],
    ["currentcolor", false],
    ["rgb(1 2", false],
  ]);
  expect(given[2]!.problem).toBe("What it comes to depends on where it stands.");
  expect(given[3]!.problem).toMatch(/channel is missing.*\(at character \d+\)$/);
  expect(givenColors("red\n".repeat(600))).toHaveLength(500);
});

test("the table has a column for each notation, and empty cells for what is none", () => {
  const [names, red, none] = convertedTable(givenColors("red\nnope")).split("\r\n");
  expect(names).toMatch(/^as given,hex,rgb,hsl,.*,nearest name$/);
  expect(red).toMatch(/^red,#ff0000,rgb\(255 0 0\),hsl\(0 100% 50%\),.*,red$/);
  expect(none!.replace(/,/g, "")).toBe("nope");
  expect(none!.split(",")).toHaveLength(names!.split(",").length);
});
