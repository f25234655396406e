import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { applyChanges } from "../source/changes";
import { parseBlock, parseSheet } from "../source/css/syntax";
import {
  decidingDeclaration,
  indentUnit,
  isMinified,
  removeDeclaration,
  setDeclaration,
  switchOff,
  switchOn,
  type BlockText,
  type Splice,
} from "./block";
import { EditError } from "./types";

function blockIn(text: string): BlockText {
  const rule = parseSheet(text).find((item) => item.kind === "style");
  if (rule?.kind !== "style") throw new Error("There is no rule.");
  return { text, block: rule.block, items: rule.items, indent: "" };
}
const made = (text: string, splices: readonly Splice[]) =>
  applyChanges(
    text,
    splices.map((splice) => ({ path: "", ...splice })),
  );
const set = (text: string, property: string, value: string) =>
  made(text, setDeclaration(blockIn(text), property, value));

describe("setting a declaration", () => {
  test.each<[string, string, string, string, string]>([
    ["in place", "p { color: red; margin: 0 }", "color", "blue", "p { color: blue; margin: 0 }"],
    ["the one that counts", "p{color:red;color:lime}", "color", "blue", "p{color:red;color:blue}"],
    [
      "an important one stays important",
      "p{color:red!important;color:lime}",
      "color",
      "blue",
      "p{color:blue!important;color:lime}",
    ],
    ["inside a shorthand", "p { font: 700 12px/1.5 serif }", "font-size", "2em", "p { font: 700 2em/1.5 serif }"],
    ["behind a shorthand that cannot hold it", "p{font:caption}", "font-size", "2em", "p{font:caption;font-size:2em}"],
    ["behind the last, its way", "p {\n\tCOLOR : red;\n}", "margin", "0", "p {\n\tCOLOR : red;\n\tMARGIN : 0;\n}"],
    ["behind one without a semicolon", "p{color:red}", "margin", "0", "p{color:red;margin:0}"],
    [
      "with the line ends of the file",
      "p {\r\n  color: red;\r\n}",
      "margin",
      "0",
      "p {\r\n  color: red;\r\n  margin: 0;\r\n}",
    ],
    ["in an empty rule", "p{}", "margin", "0", "p{margin:0}"],
    [
      "in a rule with nothing but a comment",
      "p {\n  /* later */\n}",
      "margin",
      "0",
      "p {\n  margin: 0;\n  /* later */\n}",
    ],
    ["over one that is not valid", "p{color:12px}", "color", "blue", "p{color:blue}"],
    ["by its older name", "p{word-wrap:normal}", "overflow-wrap", "anywhere", "p{word-wrap:anywhere}"],
  ])("%s", (_, before, property, value, after) => expect(set(before, property, value)).toBe(after));

  test("then it is the one that counts, and nothing else has changed", () => {
    const piece = fc.constantFrom(
      "color:red",
      "color : lime",
      "COLOR:#abc",
      "color:red !important",
      "margin:0",
      "font:12px serif",
      "/* color: red */",
      "color:",
      "nonsense",
      "\n  ",
      " ",
      "--x:{a;b}",
    );
    fc.assert(
      fc.property(
        fc.array(piece, { maxLength: 8 }),
        fc.constantFrom("color", "margin", "line-height"),
        (pieces, property) => {
          const text = `a{top:0}p{${pieces.join(";")}}b{left:0}`;
          const value = property === "color" ? "teal" : property === "margin" ? "1px 2px" : "1.7";
          const after = made(text, setDeclaration({ ...blockIn(text.slice(8)), ...shifted(text) }, property, value));
          expect(after.startsWith("a{top:0}p{") && after.endsWith("}b{left:0}")).toBe(true);
          const rule = parseSheet(after)[1]!;
          const deciding = rule.kind === "style" ? decidingDeclaration(rule.items, property) : null;
          expect(deciding?.valueText).toContain(value);
        },
      ),
    );
  });
});

/** The second rule of a sheet. */
function shifted(text: string): BlockText {
  const rule = parseSheet(text)[1]!;
  if (rule.kind !== "style") throw new Error("There is no rule.");
  return { text, block: rule.block, items: rule.items, indent: "" };
}

describe("taking away and switching", () => {
  test("takes out every one of the property, with its line", () => {
    const text = "p {\n  color: red;\n  margin: 0;\n  color: blue;\n}";
    expect(made(text, removeDeclaration(blockIn(text), "color"))).toBe("p {\n  margin: 0;\n}");
    expect(() => removeDeclaration(blockIn(text), "padding")).toThrow(EditError);
  });

  test.each([
    "p { color: red; margin: 0 }",
    "p{color:red}",
    "p{margin:0;color:red}",
    "p {\n  color : red ;\n  margin: 0;\n}",
  ])("off and on again: %j", (text) => {
    const where = blockIn(text);
    const declaration = decidingDeclaration(where.items, "color")!;
    const off = made(text, [switchOff(where, declaration)]);
    expect(decidingDeclaration(blockIn(off).items, "color")).toBeNull();
    const disabled = blockIn(off).items.find((item) => item.kind === "disabled");
    expect(disabled).toBeDefined();
    const on = made(off, disabled?.kind === "disabled" ? switchOn(blockIn(off), disabled) : []);
    expect(decidingDeclaration(blockIn(on).items, "color")?.valueText).toBe("red");
    expect(decidingDeclaration(blockIn(on).items, "margin")?.valueText).toBe(
      decidingDeclaration(where.items, "margin")?.valueText,
    );
  });

  test("one with a comment inside is refused, in words", () => {
    const where = blockIn("p{color:/* why */red}");
    expect(() => switchOff(where, decidingDeclaration(where.items, "color")!)).toThrow("a comment inside");
  });
});

test("a sheet's way of writing is told from its text", () => {
  expect([
    isMinified("p{color:red;margin:0}a{top:0}"),
    isMinified("p { color: red; }"),
    isMinified(""),
    isMinified("p {\n color:red }"),
  ]).toEqual([true, false, false, false]);
  expect([indentUnit("p {\n\tcolor: red\n}"), indentUnit("p {\r\n    color: red }"), indentUnit("p{}")]).toEqual([
    "\t",
    "    ",
    "  ",
  ]);
  expect(parseBlock("color: red").length).toBe(1);
});
