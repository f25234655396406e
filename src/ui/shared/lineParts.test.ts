import fc from "fast-check";
import { expect, test } from "vitest";
import { lineParts } from "./lineParts";

const text = fc
  .array(fc.constantFrom("a", "b", "a{", "}", ""), { maxLength: 12 })
  .chain((lines) =>
    fc.constantFrom("\n", "\r\n").chain((end) => fc.boolean().map((ends) => lines.join(end) + (ends ? end : ""))),
  );

test("the parts of two texts are the texts, and what is the same is in both", () => {
  fc.assert(
    fc.property(text, text, (before, after) => {
      const parts = lineParts(before, after);
      const without = (kind: string) => parts.flatMap((part) => (part.kind === kind ? [] : part.lines)).join("");
      expect([without("new"), without("gone")]).toEqual([before, after]);
    }),
  );
});

test("one changed line among many is the only one told", () => {
  const lines = Array.from({ length: 5000 }, (_, at) => `.a${at} { color: red }\n`);
  const after = lines.with(2500, ".a2500 { color: blue }\n").join("");
  expect(lineParts(lines.join(""), after).map(({ kind, lines: own }) => [kind, own.length])).toEqual([
    ["same", 2500],
    ["gone", 1],
    ["new", 1],
    ["same", 2499],
  ]);
});
