import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { decodeText, encodeText, type TextKind } from "./encoding";
import { runs } from "../testing/runs";

const latin = (text: string) => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const read = (bytes: Uint8Array, kind: TextKind) => {
  const decoded = decodeText(bytes, kind);
  if ("reason" in decoded) throw new Error(decoded.reason);
  return decoded;
};

test("any bytes come back as they were", () => {
  const declared = fc.constantFrom(
    "",
    '<meta charset="windows-1252">',
    "<meta charset=koi8-r>",
    '@charset "iso-8859-2";',
    "\xff\xfe",
    "\xfe\xff",
    "\xef\xbb\xbf",
  );
  fc.assert(
    fc.property(
      declared,
      fc.uint8Array({ maxLength: 200 }),
      fc.constantFrom<TextKind>("html", "css"),
      (head, tail, kind) => {
        const bytes = Uint8Array.from([...latin(head), ...tail]);
        const decoded = decodeText(bytes, kind);
        if ("reason" in decoded) return;
        expect([...encodeText(decoded.text, decoded.encoding, kind)]).toEqual([...bytes]);
      },
    ),
    runs(500),
  );
});

describe("the encoding is found as browsers find it", () => {
  test.each<[string, Uint8Array, TextKind, string, string]>([
    [
      "a mark before a declaration",
      Uint8Array.of(0xef, 0xbb, 0xbf, ...latin("<meta charset=windows-1252>\xc3\xa9")),
      "html",
      "utf-8",
      "é",
    ],
    ["a meta element", latin("<meta charset='windows-1252'>caf\xe9"), "html", "windows-1252", "café"],
    [
      "an older meta element",
      latin('<meta http-equiv=Content-Type content="text/html; charset=iso-8859-1">\x80'),
      "html",
      "windows-1252",
      "€",
    ],
    ["not in a comment", latin("<!-- <meta charset=koi8-r> --><p>\xc3\xa9"), "html", "utf-8", "é"],
    ["a charset rule", latin('@charset "windows-1251"; a{}\xe9'), "css", "windows-1251", "й"],
    ["UTF-16 by its mark", Uint8Array.of(0xff, 0xfe, 0x61, 0x00, 0xe9, 0x00), "html", "utf-16le", "aé"],
    ["UTF-8 where it is valid", latin("<p>\xc3\xa9"), "html", "utf-8", "é"],
    ["windows-1252 where it is not", latin("<p>caf\xe9 au lait"), "html", "windows-1252", "café"],
    ["UTF-16 claimed in plain letters is UTF-8", latin("<meta charset=utf-16>\xc3\xa9"), "html", "utf-8", "é"],
  ])("%s", (_, bytes, kind, name, ending) => {
    const { text, encoding } = read(bytes, kind);
    expect(encoding.name).toBe(name);
    expect(text).toContain(ending);
  });
});

test("characters an encoding lacks are written as references or escapes", () => {
  const latin1 = { name: "windows-1252", bom: false };
  expect(String.fromCharCode(...encodeText("a Ж", latin1, "html"))).toBe("a &#1046;");
  expect(String.fromCharCode(...encodeText('"Ж"', latin1, "css"))).toBe('"\\416 "');
});

test("encodings that cannot be written back are refused with the reason", () => {
  expect(decodeText(latin("<meta charset=shift_jis>"), "html")).toEqual({
    reason: expect.stringContaining("shift_jis"),
  });
  expect(decodeText(Uint8Array.of(0xff, 0xfe, 0x61), "css")).toEqual({ reason: expect.stringContaining("odd number") });
});
