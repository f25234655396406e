import { beforeEach, describe, expect, test } from "vitest";
import type { StoredFile } from "@/core/files";
import { HevretDatabase } from "./database";
import {
  addSite,
  clearDeleted,
  deleteSite,
  duplicateSite,
  loadSite,
  moveInHistory,
  openedFiles,
  writeStep,
} from "./sites";
import { deleteVersion, keepVersion, listVersions, versionFiles } from "./versions";

let db: HevretDatabase;
let site: string;

const page: StoredFile = { kind: "html", path: "index.html", text: "<p>x", encoding: { name: "utf-8", bom: false } };
const sheet: StoredFile = {
  kind: "css",
  path: "a.css",
  text: "p { color: red }",
  encoding: { name: "utf-8", bom: false },
};
const picture: StoredFile = { kind: "other", path: "a.png", bytes: new Uint8Array([1, 2, 3]) };

beforeEach(async () => {
  db = new HevretDatabase(crypto.randomUUID());
  site = await addSite(
    { name: "Ossel", files: [sheet, picture, page], refused: [], folder: null },
    crypto.randomUUID(),
    1,
    db,
  );
});

const edit = (start: number, end: number, insert: string) => ({
  label: "edit",
  changes: [{ path: "a.css", start, end, insert }],
  files: [],
});

describe("versions", () => {
  test("are kept whole, the newest first, and bytes that several have once", async () => {
    await keepVersion(site, "  first ", [sheet, picture, page], 5, db);
    const changed: StoredFile = { ...sheet, text: "p { color: blue }" };
    const second = await keepVersion(site, "second", [changed, { ...picture, path: "b.png" }], 6, db);
    expect((await listVersions(site, db)).map(({ name, time }) => [name, time])).toEqual([
      ["second", 6],
      ["first", 5],
    ]);
    expect(await versionFiles(site, second.id, db)).toEqual([changed, { ...picture, path: "b.png" }]);
    expect(await db.bytes.count()).toBe(1);
  });

  test("that are deleted take the bytes with them that no other has", async () => {
    const first = await keepVersion(site, "first", [picture], 5, db);
    const other: StoredFile = { kind: "other", path: "b.png", bytes: new Uint8Array([9]) };
    const second = await keepVersion(site, "second", [picture, other], 6, db);
    await deleteVersion(site, second.id, db);
    expect(await versionFiles(site, first.id, db)).toEqual([picture]);
    expect((await db.bytes.toArray()).map(({ bytes }) => [...bytes])).toEqual([[1, 2, 3]]);
    await expect(versionFiles(site, second.id, db)).rejects.toThrow("This version is no longer here.");
  });

  test("need a name", async () => {
    await expect(keepVersion(site, "  ", [page], 5, db)).rejects.toThrow("A version needs a name.");
  });

  test("go with a copy of the site, and are gone when it is cleared away", async () => {
    const first = await keepVersion(site, "first", [picture, page], 5, db);
    const copy = await duplicateSite(site, 6, db);
    await deleteSite(site, 7, db);
    await clearDeleted(8, db);
    expect(await versionFiles(copy, first.id, db)).toEqual([picture, page]);
    expect(await listVersions(site, db)).toEqual([]);
    expect(await db.bytes.count()).toBe(1);
  });
});

describe("a site as it was opened", () => {
  const known = async () => ({ site, revision: (await loadSite(site, db))!.record.revision });

  test("has what was deleted since, and nothing that came since", async () => {
    await writeStep(await known(), edit(11, 14, "blue"), 2, db);
    const print: StoredFile = { ...sheet, path: "print.css", text: "" };
    await writeStep(
      await known(),
      {
        label: "files",
        changes: [],
        files: [
          { path: "a.png", before: picture, after: null },
          { path: "print.css", before: null, after: print },
        ],
      },
      3,
      db,
    );
    await writeStep(await known(), edit(0, 1, "h1"), 4, db);
    expect(await openedFiles(site, db)).toEqual([sheet, picture, page]);
    await moveInHistory(await known(), "undo", 5, db);
    expect(await openedFiles(site, db)).toEqual([sheet, picture, page]);
  });

  test("cannot be told of one that is gone", async () => {
    await expect(openedFiles("nowhere", db)).rejects.toThrow("This site is no longer here.");
  });
});
