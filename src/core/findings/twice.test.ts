import fc from "fast-check";
import { expect, test } from "vitest";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { analyse } from "../report/analysis";
import { site } from "../testing/site";

const toldOf = (css: string) => analyse(site({ "a.css": css })).findings.filter(({ check }) => check === "set-twice");

test("what another of the rule makes void is what a look at all below each would find", () => {
  const declaration = fc.record({
    property: fc.constantFrom(
      "color",
      "font",
      "font-size",
      "line-height",
      "margin",
      "margin-top",
      "--quay",
      "word-wrap",
    ),
    important: fc.boolean(),
  });
  const values: Record<string, string> = { color: "red", font: "12px serif", "--quay": "red", "word-wrap": "normal" };
  const nameOf = (property: string) => aliases[property] ?? property;
  fc.assert(
    fc.property(fc.array(declaration, { maxLength: 12 }), (all) => {
      const lines = all.map(
        ({ property, important }) => `  ${property}: ${values[property] ?? "1px"}${important ? " !important" : ""};`,
      );
      const expected = all.flatMap(({ property, important }, at) => {
        const later = all.findIndex(
          (other, below) =>
            below > at &&
            (other.important || !important) &&
            (nameOf(other.property) === nameOf(property) ||
              shorthands.get(nameOf(other.property))?.longhands.includes(nameOf(property))),
        );
        return later < 0 ? [] : [[at + 2, later + 2]];
      });
      const found = toldOf(["p {", ...lines, "}"].join("\n"));
      const told = found.map(({ line, causes }) => [line, causes[0]!.line]);
      expect(told.sort(([a], [b]) => a! - b!)).toEqual(expected);
    }),
  );
});

test("of very many of one kind in a file, how many more there are is told", () => {
  const found = toldOf(`p { ${"color: red; ".repeat(1004)} }`);
  expect(found).toHaveLength(1001);
  expect(found.filter(({ message }) => message.startsWith("3 more of the kind")).map(({ level }) => level)).toEqual([
    "note",
  ]);
});
