import fc from "fast-check";
import { expect, test } from "vitest";
import { applyChanges, changeBetween, invertChanges, type TextChange } from "./changes";

const textAndChanges = fc.string({ maxLength: 80 }).chain((text) =>
  fc.array(fc.tuple(fc.nat(text.length), fc.nat(6), fc.string({ maxLength: 5 })), { maxLength: 5 }).map((parts) => {
    const changes: TextChange[] = [];
    let free = 0;
    for (const [start, length, insert] of parts.sort((a, b) => a[0] - b[0])) {
      if (start < free) continue;
      const end = Math.min(text.length, start + length);
      changes.push({ path: "a.css", start, end, insert });
      free = end + 1;
    }
    return { text, changes };
  }),
);

test("what lies outside the changes stays as it was", () => {
  fc.assert(
    fc.property(textAndChanges, ({ text, changes }) => {
      const after = applyChanges(text, changes);
      let at = 0;
      let shift = 0;
      for (const { start, end, insert } of changes) {
        expect(after.slice(at + shift, start + shift)).toBe(text.slice(at, start));
        shift += insert.length - (end - start);
        at = end;
      }
      expect(after.slice(at + shift)).toBe(text.slice(at));
    }),
  );
});

test("the inverse brings the text back", () => {
  fc.assert(
    fc.property(textAndChanges, ({ text, changes }) => {
      expect(applyChanges(applyChanges(text, changes), invertChanges(text, changes))).toBe(text);
    }),
  );
});

test("the change between two texts turns one into the other", () => {
  fc.assert(
    fc.property(fc.string(), fc.string(), (before, after) => {
      const change = changeBetween("a.css", before, after);
      expect(change ? applyChanges(before, [change]) : before).toBe(after);
    }),
  );
});

test("changes that overlap or lie outside are refused", () => {
  expect(() =>
    applyChanges("abc", [
      { path: "a", start: 0, end: 2, insert: "" },
      { path: "a", start: 1, end: 3, insert: "" },
    ]),
  ).toThrow(RangeError);
  expect(() => applyChanges("abc", [{ path: "a", start: 2, end: 9, insert: "" }])).toThrow(RangeError);
});
