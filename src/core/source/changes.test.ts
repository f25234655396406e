import fc from "fast-check";
import { expect, test } from "vitest";
import { applyChanges, changeBetween, ComposedChanges, invertChanges, type TextChange } from "./changes";

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

test("changes made one after the other are those of the first text", () => {
  const parts = fc.array(fc.tuple(fc.nat(90), fc.nat(6), fc.string({ maxLength: 5 })), { minLength: 1, maxLength: 5 });
  fc.assert(
    fc.property(fc.string({ maxLength: 40 }), parts, (text, steps) => {
      const composed = new ComposedChanges(text.length);
      let now = text;
      for (const [at, length, insert] of steps) {
        const start = Math.min(at, now.length);
        const change = { path: "a.css", start, end: Math.min(now.length, start + length), insert };
        const before = { path: "a.css", start: 0, end: 0, insert: "*" };
        const both = [before, change, { ...before, insert: "+" }];
        composed.add(both);
        now = applyChanges(now, both);
      }
      const changes = composed.all("a.css");
      expect(applyChanges(text, changes)).toBe(now);
      const stands = changes.every(({ start }, index) => index === 0 || start > changes[index - 1]!.end);
      expect(stands).toBe(true);
    }),
  );
});

test("what was not touched between two changes is not part of them", () => {
  const composed = new ComposedChanges(9);
  composed.add([{ start: 8, end: 9, insert: "z" }]);
  composed.add([{ start: 0, end: 1, insert: "long" }]);
  composed.add([{ start: 1, end: 3, insert: "" }]);
  expect(composed.all("a.css")).toEqual([
    { path: "a.css", start: 0, end: 1, insert: "lg" },
    { path: "a.css", start: 8, end: 9, insert: "z" },
  ]);
});
