import { describe, expect, test } from "vitest";
import type { StoredFile } from "@/core";
import type { FileRecord } from "./database";
import { fromFolder, lookInto } from "./folder";

const sheet = (path: string, text: string): StoredFile => ({
  kind: "css",
  path,
  text,
  encoding: { name: "utf-8", bom: false },
});
const picture = (path: string, ...bytes: number[]): StoredFile => ({
  kind: "other",
  path,
  bytes: Uint8Array.of(...bytes),
});
const record = (file: StoredFile, onDisk: string | null, more: Partial<FileRecord> = {}): FileRecord => ({
  site: "s",
  path: file.path,
  file,
  original: onDisk,
  onDisk,
  ...more,
});
const known = (...records: FileRecord[]) => new Map(records.map((one) => [one.path, one]));
const nothing = { changes: [], files: [], meetings: [] };

describe("what comes from a folder", () => {
  const base = "a\nb\nc\n";

  test("a file that is as it was says nothing; one that only the other changed is taken", () => {
    const files = known(record(sheet("a.css", base), base));
    expect(fromFolder(files, new Map(), [sheet("a.css", base)], null)).toMatchObject(nothing);
    const found = fromFolder(files, new Map(), [sheet("a.css", "a\nB\nc\n")], null);
    expect(found).toMatchObject({
      changes: [{ path: "a.css", start: 2, end: 3, insert: "B" }],
      files: [],
      meetings: [],
    });
    expect(found.onDisk).toEqual(new Map([["a.css", "a\nB\nc\n"]]));
  });

  test("what both changed in different lines is joined, in the same lines told", () => {
    const files = known(record(sheet("a.css", "A\nb\nc\n"), base));
    const joined = fromFolder(files, new Map(), [sheet("a.css", "a\nb\nC\n")], null);
    expect(joined.changes).toEqual([{ path: "a.css", start: 4, end: 5, insert: "C" }]);
    expect(joined.onDisk.get("a.css")).toBe("a\nb\nC\n");
    const meeting = fromFolder(files, new Map(), [sheet("a.css", "x\nb\nc\n")], null);
    expect(meeting.meetings).toMatchObject([{ path: "a.css", there: "x\nb\nc\n" }]);
    expect([meeting.changes, meeting.onDisk.size]).toEqual([[], 0]);
  });

  test("the same change on both sides is no change any more", () => {
    const files = known(record(sheet("a.css", "x\n"), "a\n"));
    const found = fromFolder(files, new Map(), [sheet("a.css", "x\n")], null);
    expect(found).toMatchObject(nothing);
    expect(found.onDisk.get("a.css")).toBe("x\n");
  });

  test("files that come and go; what was changed or made here stays", () => {
    const files = known(
      record(sheet("gone.css", base), base),
      record(sheet("mine.css", "mine"), base),
      record(sheet("new.css", "new"), null, { added: true }),
      record(picture("a.png", 1), null),
    );
    const found = fromFolder(
      files,
      new Map(),
      [sheet("come.css", "x"), picture("a.png", 2)],
      new Set(["a.png", "come.css"]),
    );
    expect(found.files.map(({ path, before, after }) => [path, before !== null, after !== null])).toEqual([
      ["come.css", false, true],
      ["a.png", true, true],
      ["gone.css", true, false],
    ]);
    expect(found.onDisk).toEqual(
      new Map([
        ["come.css", "x"],
        ["mine.css", null],
      ]),
    );
    expect(fromFolder(files, new Map(), [], null)).toMatchObject(nothing);
  });

  test("what was taken out here does not come back, unless it was written since", () => {
    const gone = known(record(sheet("a.css", base), base, { gone: true }));
    expect(fromFolder(new Map(), gone, [sheet("a.css", base)], null)).toMatchObject(nothing);
    expect(fromFolder(new Map(), gone, [sheet("a.css", "x")], null).files).toHaveLength(1);
    // Once it is gone there, too, whoever writes it makes it anew.
    const removed = known(record(sheet("a.css", base), base, { gone: true, onDisk: null }));
    expect(fromFolder(new Map(), removed, [sheet("a.css", base)], null).files).toHaveLength(1);
    const pictures = known(record(picture("a.png", 1), null, { gone: true }));
    expect(fromFolder(new Map(), pictures, [picture("a.png", 1)], null)).toMatchObject(nothing);
    expect(fromFolder(new Map(), pictures, [picture("a.png", 2)], null).files).toHaveLength(1);
  });
});

/** A folder as the browser gives it. */
function folderOf(tree: Record<string, unknown>): FileSystemDirectoryHandle {
  const handles = Object.entries(tree).map(([name, inside]): [string, unknown] => [
    name,
    inside instanceof File
      ? { kind: "file", getFile: async () => inside }
      : folderOf(inside as Record<string, unknown>),
  ]);
  return {
    kind: "directory",
    entries: async function* () {
      yield* handles;
    },
  } as unknown as FileSystemDirectoryHandle;
}

test("what is being written is left for the next look, and is not missing; what goes meanwhile says nothing of the rest", async () => {
  const now = new File(["half"], "x", { lastModified: Date.now() });
  const seen = await lookInto(folderOf({ "a.css": now }), new Map([["a.css", "1 1"]]));
  expect([seen.isBusy, seen.written, [...seen.paths!], [...seen.stamps]]).toEqual([
    true,
    [],
    ["a.css"],
    [["a.css", "1 1"]],
  ]);
  const going = {
    kind: "directory",
    entries: async function* () {
      yield await Promise.reject(Object.assign(new Error("gone"), { name: "NotFoundError" }));
    },
  };
  const part = await lookInto({
    kind: "directory",
    entries: async function* () {
      yield ["css", going];
    },
  } as unknown as FileSystemDirectoryHandle);
  expect([part.paths, part.isBusy]).toEqual([null, true]);
});

test("what is not text and as long as it is here is not read at first", async () => {
  const tree = { "a.png": new File(["abc"], "x", { lastModified: 1 }) };
  const first = await lookInto(folderOf(tree), new Map(), (_, size) => size === 3);
  expect([first.written, [...first.paths!]]).toEqual([[], ["a.png"]]);
});

test("only what was written since is read, and clutter never", async () => {
  const file = (text: string, lastModified: number) => new File([text], "x", { lastModified });
  const tree = { "a.css": file("a", 1), css: { "b.css": file("b", 1) }, ".git": { HEAD: file("x", 1) } };
  const first = await lookInto(folderOf(tree));
  expect(first.written.map(({ path }) => path)).toEqual(["a.css", "css/b.css"]);
  const again = await lookInto(folderOf({ ...tree, "a.css": file("A", 2) }), first.stamps);
  expect(again.written.map((one) => one.kind !== "other" && one.text)).toEqual(["A"]);
  expect([...again.paths!]).toEqual(["a.css", "css/b.css"]);
});
