import { expect, test } from "vitest";
import type { StoredFile } from "@/core/files";
import { readFile } from "@/core/files";
import { asKept, asWhole } from "./keptFiles";

const file = readFile({ path: "a.css", text: "h1 { color: teal }" }) as StoredFile;
const picture: StoredFile = { kind: "other", path: "boat.png", bytes: new Uint8Array([1]) };
const text = file.kind === "other" ? "" : file.text;
const record = { site: "s", path: "a.css", file, original: text, onDisk: text };

test("a text is kept once where it is as it was opened and as it stands in the folder", () => {
  expect(asKept(record)).toEqual({ site: "s", path: "a.css", file });
  expect(asWhole(asKept(record))).toEqual(record);
});

test.each([
  [{ ...record, original: "h1 { color: red }" }, ["original"]],
  [{ ...record, onDisk: "h1 { color: red }" }, ["onDisk"]],
  [{ ...record, original: null, onDisk: null, added: true as const }, ["added", "onDisk", "original"]],
  [{ ...record, onDisk: "", gone: true as const }, ["gone", "onDisk"]],
  [{ site: "s", path: "boat.png", file: picture, original: null, onDisk: null }, []],
])("what differs is kept with it (%#)", (whole, more) => {
  const kept = asKept(whole);
  expect(Object.keys(kept).sort()).toEqual(["file", "path", "site", ...more].sort());
  expect(asWhole(kept)).toEqual(whole);
});

test("a record that was kept whole is read as it is", () => {
  expect(asWhole({ ...record, original: "older" })).toEqual({ ...record, original: "older" });
});
