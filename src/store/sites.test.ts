import Dexie from "dexie";
import { beforeEach, describe, expect, test } from "vitest";
import type { FileChange, TextChange } from "@/core";
import { HevretDatabase } from "./database";
import { FullError, StorageError, storageError } from "./failures";
import { readPasted } from "./read";
import {
  addSite,
  clearDeleted,
  ConflictError,
  deleteSite,
  duplicateSite,
  keepFound,
  keepLeft,
  keepTrials,
  listSites,
  loadSite,
  moveInHistory,
  noteOnDisk,
  renameSite,
  restoreSite,
  writeStep,
} from "./sites";
import { isChanged } from "./write";

let db: HevretDatabase;
let id: string;
let number = 0;

beforeEach(async () => {
  db = new HevretDatabase(`test-${(number += 1)}`);
  id = await addSite(readPasted("<h1>Pier</h1>", "h1 { color: red; }"), undefined, 1000, db);
});

const change = (start: number, end: number, insert: string): TextChange => ({ path: "style.css", start, end, insert });
const step = (label: string, changes: TextChange[], files: FileChange[] = []) => ({ label, changes, files });
const text = async () => {
  const file = (await loadSite(id, db))!.files.find(({ path }) => path === "style.css")!.file;
  return file.kind === "other" ? "" : file.text;
};
const known = async () => ({ site: id, revision: (await loadSite(id, db))!.record.revision });

describe("history", () => {
  test("edits are stored with their inverse, undone, redone, and cut off by a new one", async () => {
    await writeStep(await known(), step("blue", [change(12, 15, "blue")]), 2000, db);
    await writeStep(await known(), step("size", [change(17, 17, " top: 0;")]), 3000, db);
    expect(await text()).toBe("h1 { color: blue; top: 0; }");
    expect(await moveInHistory(await known(), "undo", 4000, db)).toMatchObject({
      label: "size",
      record: { cursor: 1 },
    });
    expect(await text()).toBe("h1 { color: blue; }");
    await moveInHistory(await known(), "undo", 5000, db);
    expect(await text()).toBe("h1 { color: red; }");
    expect(await moveInHistory(await known(), "undo", 6000, db)).toBeNull();
    await moveInHistory(await known(), "redo", 7000, db);
    expect(await text()).toBe("h1 { color: blue; }");
    await writeStep(await known(), step("green", [change(12, 16, "green")]), 8000, db);
    expect(await moveInHistory(await known(), "redo", 9000, db)).toBeNull();
    expect((await loadSite(id, db))!.steps.map(({ label }) => label)).toEqual(["blue", "green"]);
  });

  test("what a text was at opening, and is on the disk, is known whatever is written", async () => {
    const texts = async () => {
      const { original, onDisk } = (await loadSite(id, db))!.files.find(({ path }) => path === "style.css")!;
      return [original, onDisk];
    };
    const red = "h1 { color: red; }";
    const kept = async () => Object.keys((await db.files.get([id, "style.css"]))!).sort();
    expect([await texts(), await kept()]).toEqual([
      [red, red],
      ["file", "path", "site"],
    ]);
    await writeStep(await known(), step("blue", [change(12, 15, "blue")]), 2000, db);
    expect(await texts()).toEqual([red, red]);
    const blue = "h1 { color: blue; }";
    await noteOnDisk(id, new Map([["style.css", blue]]), db);
    expect([await texts(), await kept()]).toEqual([
      [red, blue],
      ["file", "original", "path", "site"],
    ]);
    await moveInHistory(await known(), "undo", 3000, db);
    expect([await texts(), await kept()]).toEqual([
      [red, blue],
      ["file", "onDisk", "path", "site"],
    ]);
  });

  test("a window that is behind cannot write, and nothing of it is written", async () => {
    const behind = await known();
    await writeStep(behind, step("blue", [change(12, 15, "blue")]), 2000, db);
    await expect(writeStep(behind, step("green", [change(12, 15, "green")]), 3000, db)).rejects.toBeInstanceOf(
      ConflictError,
    );
    await expect(moveInHistory(behind, "undo", 3000, db)).rejects.toBeInstanceOf(ConflictError);
    expect(await text()).toBe("h1 { color: blue; }");
  });

  test("a change that does not fit leaves the site as it was", async () => {
    await expect(writeStep(await known(), step("bad", [change(900, 901, "x")]), 2000, db)).rejects.toThrow();
    expect(await text()).toBe("h1 { color: red; }");
    expect((await loadSite(id, db))!.record).toMatchObject({ revision: 0, cursor: 0 });
  });

  test("a full disk is told in plain words and loses nothing", async () => {
    const full = Object.assign(new Error("full"), { name: "QuotaExceededError" });
    db.files.hook("updating", () => {
      throw full;
    });
    await expect(writeStep(await known(), step("blue", [change(12, 15, "blue")]), 2000, db)).rejects.toBeInstanceOf(
      FullError,
    );
    expect(await text()).toBe("h1 { color: red; }");
  });
});

describe("the shelf", () => {
  test("lists by last change, with pages and sheets", async () => {
    const other = await addSite(readPasted("<p>x</p>", ""), undefined, 500, db);
    expect((await listSites(db)).map(({ id, pages, sheets }) => [id, pages, sheets])).toEqual([
      [id, 1, 1],
      [other, 1, 0],
    ]);
  });

  test("renames, but not to nothing", async () => {
    await renameSite(id, "  Pier ", db);
    expect((await listSites(db))[0]!.name).toBe("Pier");
    await expect(renameSite(id, "  ", db)).rejects.toThrow("needs a name");
  });

  test("a copy has the history and goes its own way", async () => {
    await writeStep(await known(), step("blue", [change(12, 15, "blue")]), 2000, db);
    const copy = await duplicateSite(id, 3000, db);
    await moveInHistory({ site: copy, revision: 1 }, "undo", 4000, db);
    expect(await text()).toBe("h1 { color: blue; }");
    expect((await loadSite(copy, db))!.record.cursor).toBe(0);
  });

  test("what is deleted can be brought back until it is cleared", async () => {
    await deleteSite(id, 2000, db);
    expect(await listSites(db)).toEqual([]);
    expect(await loadSite(id, db)).toBeNull();
    await restoreSite(id, db);
    expect(await text()).toBe("h1 { color: red; }");
    await deleteSite(id, 3000, db);
    await clearDeleted(2999, db);
    await restoreSite(id, db);
    expect(await loadSite(id, db)).not.toBeNull();
    await deleteSite(id, 3000, db);
    await clearDeleted(3001, db);
    expect(await db.files.count()).toBe(0);
  });

  test("what was written back counts as on the disk, and still as changed since opening", async () => {
    await writeStep(await known(), step("blue", [change(12, 15, "blue")]), 2000, db);
    await noteOnDisk(id, new Map([["style.css", "h1 { color: blue; }"]]), db);
    const file = (await loadSite(id, db))!.files.find(({ path }) => path === "style.css")!;
    expect(file.onDisk).toBe("h1 { color: blue; }");
    expect(isChanged(file)).toBe(true);
  });
});

describe("what is kept besides the files' text", () => {
  const trials = async () => (await loadSite(id, db))!.record.trials;

  test("trials, by what they are for; none takes them out, too many change nothing", async () => {
    await keepTrials(id, "h1 size", ["12px", "1.5em"], db);
    await keepTrials(id, "p ink", ["red"], db);
    expect(await trials()).toEqual({ "h1 size": ["12px", "1.5em"], "p ink": ["red"] });
    await keepTrials(id, "h1 size", [], db);
    expect(await trials()).toEqual({ "p ink": ["red"] });
    await expect(keepTrials(id, "p ink", ["a", "b", "c", "d", "e", "f", "g"], db)).rejects.toThrow(
      "These trials cannot be kept",
    );
    expect(await trials()).toEqual({ "p ink": ["red"] });
    await keepTrials("nowhere", "p ink", ["red"], db);
  });

  test("why findings are left, by what they are; null takes it back, no reason and too long ones change nothing", async () => {
    const left = async () => (await loadSite(id, db))!.record.left;
    await keepLeft(id, "contrast a.css pale", "  The brand asks for it ", db);
    await keepLeft(id, "size a.css", "Meant so", db);
    expect(await left()).toEqual({ "contrast a.css pale": "The brand asks for it", "size a.css": "Meant so" });
    await keepLeft(id, "size a.css", null, db);
    expect(await left()).toEqual({ "contrast a.css pale": "The brand asks for it" });
    await expect(keepLeft(id, "x", "  ", db)).rejects.toThrow("A reason is missing.");
    await expect(keepLeft(id, "x", "y".repeat(501), db)).rejects.toThrow("at most 500 characters");
    await keepLeft("nowhere", "x", "y", db);
    const full = Object.fromEntries(Array.from({ length: 5000 }, (_, at) => [`size ${at}`, "Meant so"]));
    const before = await left();
    await db.sites.update(id, { left: full });
    await expect(keepLeft(id, "one more", "Meant so", db)).rejects.toThrow("At most 5000 findings can be left.");
    await db.sites.update(id, { left: before });
    await keepFound(id, 7, db);
    expect((await loadSite(id, db))!.record).toMatchObject({
      found: 7,
      left: { "contrast a.css pale": "The brand asks for it" },
    });
  });

  test("a file that an edit puts in comes with the site, counts as changed, and goes and comes with its step", async () => {
    const path = "fonts/pier.woff2";
    const file = { kind: "other", path, bytes: new Uint8Array([1, 2, 3]) } as const;
    const adding = step("Add Pier", [change(0, 0, "@font-face{}")], [{ path, before: null, after: file }]);
    await writeStep(await known(), adding, 2000, db);
    const found = async () => (await loadSite(id, db))!.files.find((one) => one.path === path);
    expect((await found())!.file).toMatchObject({ kind: "other", bytes: file.bytes });
    expect(isChanged((await found())!)).toBe(true);
    await expect(writeStep(await known(), adding, 3000, db)).rejects.toThrow("has a file fonts/pier.woff2 already");
    expect(await moveInHistory(await known(), "undo", 4000, db)).toMatchObject({ files: [{ path, after: null }] });
    expect(await found()).toBeUndefined();
    expect(await text()).toBe("h1 { color: red; }");
    await moveInHistory(await known(), "redo", 5000, db);
    expect((await found())!.file).toMatchObject({ kind: "other", bytes: file.bytes });
    expect(await text()).toBe("@font-face{}h1 { color: red; }");
  });
});

test("a file that is taken out is known as it was, and comes back as what it is", async () => {
  const before = (await loadSite(id, db))!.files.find(({ file }) => file.kind === "css")!;
  const { path, file } = before;
  const taking = step("Delete", [], [{ path, before: file, after: null }]);
  await writeStep(await known(), taking, 2000, db);
  const out = (await loadSite(id, db))!;
  expect(out.files.map((one) => one.path)).not.toContain(path);
  expect(out.gone).toEqual([{ ...before, gone: true }]);
  await expect(
    writeStep(await known(), step("edit", [{ path, start: 0, end: 0, insert: "x" }]), 3000, db),
  ).rejects.toThrow("no longer part of the site");
  const copy = await duplicateSite(id, 3000, db);
  expect((await loadSite(copy, db))!.gone.map((one) => one.path)).toEqual([path]);
  await moveInHistory(await known(), "undo", 4000, db);
  const back = (await loadSite(id, db))!;
  expect(back.gone).toEqual([]);
  expect(back.files.find((one) => one.path === path)).toEqual(before);
});

describe("storage that cannot be used", () => {
  test.each([
    ["MissingAPIError", undefined, "IndexedDB is missing"],
    ["OpenFailedError", "VersionError", "newer Hevret"],
    ["OpenFailedError", "SecurityError", "does not let Hevret keep sites"],
    ["DatabaseClosedError", "UnknownError", "does not let Hevret keep sites"],
    ["DatabaseClosedError", undefined, "was closed while Hevret used it"],
    ["AbortError", "QuotaExceededError", "storage is full"],
  ])("says so in plain words: %s from %s", (name, inner, words) => {
    const error = Object.assign(new Error("raw"), { name, ...(inner && { inner: { name: inner } }) });
    expect(storageError(error)).toBeInstanceOf(StorageError);
    expect((storageError(error) as Error).message).toContain(words);
  });

  test("what was not foreseen stays as it is", () => {
    const error = new TypeError("x");
    expect(storageError(error)).toBe(error);
  });

  test("what a newer version keeps is not read as if it were ours", async () => {
    const name = db.name;
    db.close();
    const newer = new Dexie(name);
    newer
      .version(3)
      .stores({ sites: "id, changed", files: "[site+path], site", steps: "[site+number], site", more: "id" });
    await newer.open();
    newer.close();
    await expect(listSites(new HevretDatabase(name))).rejects.toThrow("newer Hevret");
  });
});
