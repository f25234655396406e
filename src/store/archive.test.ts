import { strFromU8, strToU8, unzipSync, zipSync } from "fflate";
import { beforeEach, describe, expect, test } from "vitest";
import type { StoredFile } from "@/core/files";
import { takeShelfIn, takeShelfOut } from "./archive";
import { HevretDatabase } from "./database";
import {
  addSite,
  deleteSite,
  keepLeft,
  keepTrials,
  listSites,
  loadSite,
  moveInHistory,
  openedFiles,
  writeStep,
} from "./sites";
import { keepVersion, listVersions, versionFiles } from "./versions";

const now = new Date("2026-01-01T00:00:00");
const page: StoredFile = { kind: "html", path: "index.html", text: "<p>x", encoding: { name: "utf-8", bom: false } };
const sheet: StoredFile = {
  kind: "css",
  path: "a.css",
  text: "p { color: red }",
  encoding: { name: "utf-8", bom: true },
};
const picture: StoredFile = { kind: "other", path: "a.png", bytes: new Uint8Array([1, 2, 3]) };

let db: HevretDatabase;
let site: string;
const known = async (id: string, from = db) => ({ site: id, revision: (await loadSite(id, from))!.record.revision });

beforeEach(async () => {
  db = new HevretDatabase(crypto.randomUUID());
  site = await addSite({ name: "Ossel", files: [sheet, picture, page], refused: [], folder: null }, "one", 1, db);
  await writeStep(
    await known(site),
    { label: "Ink", changes: [{ path: "a.css", start: 11, end: 14, insert: "blue" }], files: [] },
    2,
    db,
  );
  await writeStep(
    await known(site),
    { label: "Without", changes: [], files: [{ path: "a.png", before: picture, after: null }] },
    3,
    db,
  );
  await moveInHistory(await known(site), "undo", 4, db);
  await keepVersion(site, "first", [sheet, picture], 5, db);
  await keepLeft(site, "contrast", "Meant so", db);
  await keepTrials(site, "p ink", ["red"], db);
});

describe("the shelf as one archive", () => {
  test("comes back whole: files, history, versions, what was left, and what was tried", async () => {
    const away = await addSite({ name: "Away", files: [page], refused: [], folder: null }, "two", 1, db);
    await deleteSite(away, 6, db);
    const archive = await takeShelfOut(now, db);
    const other = new HevretDatabase(crypto.randomUUID());
    expect(await takeShelfIn("shelf.zip", archive, other)).toBe(1);
    const [record] = await listSites(other);
    const back = (await loadSite(record!.id, other))!;
    const was = (await loadSite(site, db))!;
    const without = <Row extends { site: string }>(rows: readonly Row[]) => rows.map((row) => ({ ...row, site: "" }));
    expect(without(back.files)).toEqual(without(was.files));
    expect(without(back.steps)).toEqual(without(was.steps));
    expect(back.record).toMatchObject({
      name: "Ossel",
      cursor: 1,
      left: { contrast: "Meant so" },
      trials: { "p ink": ["red"] },
      revision: 0,
      folder: null,
    });
    const [version] = await listVersions(record!.id, other);
    expect([version!.name, await versionFiles(record!.id, version!.id, other)]).toEqual(["first", [sheet, picture]]);
    // Its history goes on.
    await moveInHistory(await known(record!.id, other), "redo", 7, other);
    expect((await loadSite(record!.id, other))!.files.map(({ path }) => path)).toEqual(["a.css", "index.html"]);
    expect(await openedFiles(record!.id, other)).toEqual([sheet, picture, page]);
  });

  test("is taken in beside what is there", async () => {
    expect(await takeShelfIn("shelf.zip", await takeShelfOut(now, db), db)).toBe(1);
    expect((await listSites(db)).map(({ name }) => name)).toEqual(["Ossel", "Ossel"]);
  });

  interface Json {
    format: string;
    sites: { files: { path: string; file: { encoding?: unknown } }[]; record: { cursor: number } }[];
  }
  const changed = async (change: (json: Json) => void) => {
    const entries = unzipSync(await takeShelfOut(now, db));
    const json = JSON.parse(strFromU8(entries["shelf.json"]!)) as Json;
    change(json);
    return zipSync({ ...entries, "shelf.json": strToU8(JSON.stringify(json)) });
  };

  test.each<[string, () => Promise<Uint8Array> | Uint8Array, RegExp]>([
    ["no zip", () => strToU8("x"), /it is not a zip/],
    ["another zip", () => zipSync({ "index.html": strToU8("<p>") }), /is no shelf: there is no shelf.json in it/],
    ["another format", () => changed((json) => void (json.format = "x")), /cannot be taken in: format must be/],
    [
      "a text without its encoding",
      () => changed(({ sites }) => void delete sites[0]!.files[0]!.file.encoding),
      /A file is not whole/,
    ],
    [
      "a path that leads out",
      () => changed(({ sites }) => void (sites[0]!.files[0]!.path = "../x")),
      /leads out of the site/,
    ],
    [
      "a history that is not whole",
      () => changed(({ sites }) => void (sites[0]!.record.cursor = 9)),
      /a history is not whole/,
    ],
    [
      "bytes that are missing",
      async () => {
        const entries = unzipSync(await takeShelfOut(now, db));
        return zipSync({ "shelf.json": entries["shelf.json"]! });
      },
      /bytes of a file are missing/,
    ],
  ])("%s is refused in plain words, and nothing is taken in", async (_, archive, why) => {
    await expect(takeShelfIn("shelf.zip", await archive(), db)).rejects.toThrow(why);
    expect(await listSites(db)).toHaveLength(1);
  });
});
