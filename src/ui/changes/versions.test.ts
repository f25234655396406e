import fc from "fast-check";
import { expect, test } from "vitest";
import { applyChanges, type StoredFile } from "@/core/files";
import { textVersions, wayTo } from "./versions";

const path = fc.constantFrom("a.css", "b.css", "c.html", "d.png", "e.png");
const file = fc.tuple(path, fc.string({ maxLength: 12 })).map(([path, text]): StoredFile => {
  if (path.endsWith(".png")) return { kind: "other", path, bytes: new TextEncoder().encode(text) };
  return { kind: path.endsWith(".css") ? "css" : "html", path, text, encoding: { name: "utf-8", bom: false } };
});
const files = fc.uniqueArray(file, { selector: (one) => one.path });

test("the way to a version leads there, whatever is there now", () => {
  fc.assert(
    fc.property(files, files, (then, now) => {
      const way = wayTo(then, now);
      const made = new Map(now.map((one) => [one.path, one]));
      for (const { path, before, after } of way.files) {
        expect(made.get(path) ?? null).toBe(before);
        if (after) made.set(path, after);
        else made.delete(path);
      }
      for (const change of way.changes) {
        const one = made.get(change.path)!;
        if (one.kind !== "other") made.set(change.path, { ...one, text: applyChanges(one.text, [change]) });
      }
      const sorted = (list: Iterable<StoredFile>) => [...list].sort((a, b) => (a.path < b.path ? -1 : 1));
      expect(sorted(made.values())).toEqual(sorted(then));
    }),
  );
});

test("there is nothing to do where nothing is another, byte by byte", () => {
  fc.assert(
    fc.property(files, (then) => {
      const copies = then.map((one) => (one.kind === "other" ? { ...one, bytes: one.bytes.slice() } : { ...one }));
      expect(wayTo(then, copies)).toEqual({ changes: [], files: [] });
    }),
  );
});

test("texts before and after, with null where one is not", () => {
  const a: StoredFile = { kind: "css", path: "a.css", text: "x", encoding: { name: "utf-8", bom: false } };
  const b: StoredFile = { kind: "other", path: "b.png", bytes: new Uint8Array() };
  expect(textVersions(["a.css", "b.png"], [a, b], [])).toEqual([{ path: "a.css", before: a, after: null }]);
});
