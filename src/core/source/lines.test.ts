import { check, property, string, constantFrom, array, nat, assert } from "fast-check";
import { describe, expect, test } from "vitest";
import { applyChanges } from "./changes";
import {
  afterLine,
  blanksBefore,
  changeOfLines,
  endOfLine,
  indentAt,
  leadBefore,
  lineEndOf,
  lineLead,
  linesOf,
  offsetAt,
  plainLines,
  positionAt,
} from "./lines";
import { runs } from "../testing/runs";

/** Texts with all kinds of line ends, form feeds and halves of characters. */
const texts = array(constantFrom("a", "b {", "\r", "\n", "\r\n", "\f", "\ud83d", "\ude00", "}", " "), {
  maxLength: 40,
}).map((parts) => parts.join(""));

describe("lines of a text", () => {
  test("CRLF, LF and CR end a line, a form feed does not", () => {
    expect(positionAt("a\r\nb\rc\nd\fe", 9)).toEqual({ line: 4, column: 3 });
    expect(offsetAt("a\r\nb", 2, 1)).toBe(3);
    expect(lineEndOf("a\rb\n")).toBe("\r");
  });

  test("what leads up to an offset is its blanks, and the line end before them", () => {
    assert(
      property(texts, nat(80), (text, at) => {
        const before = text.slice(0, at);
        const offset = before.length;
        expect(before.slice(blanksBefore(text, offset))).toBe(/[ \t]*$/.exec(before)![0]);
        expect(before.slice(leadBefore(text, offset))).toBe(/(?:\r\n|\n|\r)?[ \t]*$/.exec(before)![0]);
        expect(lineLead(text, offset)).toBe(/(?:\r\n|\n|\r)[ \t]*$/.exec(before)?.[0] ?? "");
        expect(indentAt(text, offset)).toBe(/^[ \t]*/.exec(before.split(/\r\n|\n|\r/).at(-1)!)![0]);
      }),
    );
  });

  test("an offset comes back from its position", () => {
    assert(
      property(texts, nat(80), (text, at) => {
        const offset = Math.min(at, text.length);
        const { line, column } = positionAt(text, offset);
        expect(offsetAt(text, line, column)).toBe(offset);
      }),
    );
  });

  test("what is typed into plain lines changes just that in the file", () => {
    const run = check(
      property(texts, texts, nat(60), nat(10), (text, typed, at, gone) => {
        const plain = plainLines(text);
        const start = Math.min(at, plain.length);
        const after = plain.slice(0, start) + plainLines(typed) + plain.slice(Math.min(plain.length, start + gone));
        const change = changeOfLines("x.css", text, after);
        expect(plainLines(change ? applyChanges(text, [change]) : text)).toBe(after);
      }),
      runs(3000),
    );
    expect(run.counterexample).toBeNull();
  });

  test("any text at all has plain lines", () => {
    assert(property(string(), (text) => !/\r/.test(plainLines(text))));
  });
});

test.each(["\n", "\r\n", "\r"])("lines that %j ends", (end) => {
  const text = `fog${end}  tern \t${end}${end}pier`;
  expect(linesOf(text)).toEqual(["fog", "  tern \t", "", "pier"]);
  expect(endOfLine(text, 1)).toBe(3);
  expect(endOfLine(text, text.indexOf("pier"))).toBe(text.length);
  // Nothing but blanks is left of the line; behind "t" there is more.
  expect(text.slice(afterLine(text, text.indexOf("tern") + 4))).toBe(`${end}pier`);
  expect(afterLine(text, text.indexOf("tern"))).toBe(text.indexOf("tern"));
  expect(afterLine(text, text.length)).toBe(text.length);
});
