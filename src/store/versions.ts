/** Versions of a site: all of it, as it was when somebody kept it under a name. Bytes that several have are kept once. */
import type { Table } from "dexie";
import type { StoredFile } from "@/core/files";
import { database, type BytesRecord, type HevretDatabase, type VersionFile, type VersionRecord } from "./database";
import { digestOf } from "./digest";
import { stored } from "./failures";
import { OpenError } from "./limits";
import { versionName } from "./schemas";

/** A version as it is offered. */
export type VersionInfo = Pick<VersionRecord, "id" | "name" | "time">;

/** So many versions of a site are kept. */
const most = 200;

const unkept = "The version is not kept: make room by deleting versions, or sites from the shelf.";

/** Keeps the files under a name. @throws OpenError, ValidationError for a name that is none or too long, FullError */
export async function keepVersion(
  site: string,
  name: string,
  files: readonly StoredFile[],
  now = Date.now(),
  db = database,
): Promise<VersionInfo> {
  const kept = await versionName.validate(name);
  const bytes = new Map<string, BytesRecord>();
  const own: VersionFile[] = [];
  for (const file of files) {
    if (file.kind !== "other") {
      own.push(file);
      continue;
    }
    const digest = await digestOf(file.bytes);
    bytes.set(digest, { site, digest, bytes: file.bytes });
    own.push({ kind: "other", path: file.path, digest });
  }
  const version: VersionRecord = { site, id: crypto.randomUUID(), name: kept!, time: now, files: own };
  await stored(
    () =>
      db.transaction("rw", tables(db), async () => {
        if (!(await db.sites.get(site))) throw new OpenError("This site is no longer here.");
        if ((await db.versions.where("site").equals(site).count()) >= most)
          throw new OpenError(`At most ${most} versions of a site are kept.`);
        await db.versions.add(version);
        await db.bytes.bulkPut([...bytes.values()]);
      }),
    unkept,
  );
  return infoOf(version);
}

const tables = (db: HevretDatabase): Table[] => [db.sites, db.versions, db.bytes];
const infoOf = ({ id, name, time }: VersionRecord): VersionInfo => ({ id, name, time });

/** The versions of a site, the newest first. */
export async function listVersions(site: string, db = database): Promise<VersionInfo[]> {
  const all = await stored(() => db.versions.where("site").equals(site).toArray());
  return all.map(infoOf).sort((a, b) => b.time - a.time);
}

/** The files of a version. @throws OpenError when it is gone */
export async function versionFiles(site: string, id: string, db = database): Promise<StoredFile[]> {
  return stored(() =>
    db.transaction("r", tables(db), async () => {
      const version = await db.versions.get([site, id]);
      if (!version) throw new OpenError("This version is no longer here.");
      const files: StoredFile[] = [];
      for (const file of version.files) {
        if (file.kind !== "other") files.push(file);
        else {
          const record = await db.bytes.get([site, file.digest]);
          files.push({ kind: "other", path: file.path, bytes: record?.bytes ?? new Uint8Array() });
        }
      }
      return files;
    }),
  );
}

/** Deletes a version, and the bytes that only it had. */
export async function deleteVersion(site: string, id: string, db = database): Promise<void> {
  await stored(() =>
    db.transaction("rw", tables(db), async () => {
      await db.versions.delete([site, id]);
      const left = await db.versions.where("site").equals(site).toArray();
      const wanted = new Set(
        left.flatMap(({ files }) => files.flatMap((file) => ("digest" in file ? file.digest : []))),
      );
      await db.bytes
        .where("site")
        .equals(site)
        .filter(({ digest }) => !wanted.has(digest))
        .delete();
    }),
  );
}
