/** The shelf: sites kept, opened, renamed, copied, deleted; and the history of each. */
import {
  append,
  applyChanges,
  invertChanges,
  invertFiles,
  type FileChange,
  type StoredFile,
  type TextChange,
} from "@/core/files";
import type { Table } from "dexie";
import { database, type FileRecord, type HevretDatabase, type SiteRecord, type StepRecord } from "./database";
import { stored } from "./failures";
import { asKept, asWhole } from "./keptFiles";
import { OpenError } from "./limits";
import type { Opened } from "./read";
import { checkOpened, checkReason, checkTrials, siteName } from "./schemas";

/** Another window has written to the site since this one read it. */
export class ConflictError extends Error {
  constructor() {
    super("This site was changed in another window. It is shown here now as it is; nothing was overwritten.");
  }
}

const tables = (db: HevretDatabase) => [db.sites, db.files, db.steps, db.versions, db.bytes];

/** Asks the browser to keep the data, and how much room there is; bytes, null where it does not say. */
export async function askForRoom(): Promise<{ used: number; quota: number } | null> {
  if (!navigator.storage?.estimate) return null;
  await navigator.storage.persist?.();
  const estimate: StorageEstimate & { usageDetails?: { indexedDB?: number } } = await navigator.storage.estimate();
  // The application itself may be kept as well: that is not the shelf's.
  const { quota, usage: all, usageDetails } = estimate;
  const usage = usageDetails ? (usageDetails.indexedDB ?? 0) : all;
  return usage === undefined || quota === undefined ? null : { used: usage, quota };
}

/** What is said where there is no room for another site: nothing half of it is kept. */
const unkept = "Nothing of this site is kept: make room by deleting sites from the shelf, or open fewer files.";

/** Keeps a site that was opened. @param id what it is to be known by */
export async function addSite(
  from: Opened,
  id: string = crypto.randomUUID(),
  now = Date.now(),
  db = database,
): Promise<string> {
  const { name, files, refused, folder } = checkOpened(from);
  const record: SiteRecord = {
    id,
    name,
    created: now,
    changed: now,
    pages: files.filter(({ kind }) => kind === "html").length,
    sheets: files.filter(({ kind }) => kind === "css").length,
    refused,
    revision: 0,
    cursor: 0,
    folder,
    deleted: null,
  };
  await stored(
    () =>
      db.transaction("rw", tables(db), async () => {
        await db.sites.add(record);
        await db.files.bulkAdd(files.map((file) => asKept(fileRecord(id, file))));
      }),
    unkept,
  );
  return id;
}

function fileRecord(site: string, file: StoredFile): FileRecord {
  const text = file.kind === "other" ? null : file.text;
  return { site, path: file.path, file, original: text, onDisk: text };
}

/** Notes how texts stand in the folder, by path; null for one that is not there. */
export async function noteOnDisk(
  site: string,
  texts: ReadonlyMap<string, string | null>,
  db = database,
): Promise<void> {
  await stored(() =>
    db.files
      .where("site")
      .equals(site)
      .and(({ path }) => texts.has(path))
      .modify((kept, holder) => {
        holder.value = asKept({ ...asWhole(kept), onDisk: texts.get(kept.path)! });
      }),
  );
}

/** Keeps whether the folder of a site is followed, and written through. */
export async function keepFollowing(
  site: string,
  { follows, writesThrough }: { follows: boolean; writesThrough: boolean },
  db = database,
): Promise<void> {
  await stored(() =>
    db.sites
      .where("id")
      .equals(site)
      .modify((record) => {
        delete record.unfollowed;
        delete record.writesThrough;
        if (!follows) record.unfollowed = true;
        if (writesThrough) record.writesThrough = true;
      }),
  );
}

export async function listSites(db = database): Promise<SiteRecord[]> {
  const all = await stored(() => db.sites.orderBy("changed").reverse().toArray());
  return all.filter(({ deleted }) => deleted === null);
}

export interface LoadedSite {
  record: SiteRecord;
  files: FileRecord[];
  /** Files it was opened with that are no part of it any more. */
  gone: FileRecord[];
  steps: StepRecord[];
}

export async function loadSite(id: string, db = database): Promise<LoadedSite | null> {
  return stored(() =>
    db.transaction("r", tables(db), async () => {
      const record = await db.sites.get(id);
      if (!record || record.deleted !== null) return null;
      const all = (await db.files.where("site").equals(id).toArray()).map(asWhole);
      const [files, gone] = [all.filter((file) => !file.gone), all.filter((file) => file.gone)];
      const steps = await db.steps.where("site").equals(id).sortBy("number");
      return { record, files, gone, steps };
    }),
  );
}

export async function renameSite(id: string, name: string, db = database): Promise<void> {
  const kept = await siteName.validate(name);
  await stored(() => db.sites.update(id, { name: kept }));
}

/** Keeps the values that are tried for a row of the slip; none takes them out. @throws OpenError for more or longer ones than can be kept */
export async function keepTrials(id: string, row: string, values: readonly string[], db = database): Promise<void> {
  const kept = checkTrials(values);
  await stored(() =>
    db.transaction("rw", db.sites, async () => {
      const record = await db.sites.get(id);
      if (!record) return;
      const trials = { ...record.trials, [row]: kept };
      if (kept.length === 0) delete trials[row];
      await db.sites.update(id, { trials });
    }),
  );
}

/** So many findings of a site may be left as they are. */
const mostLeft = 5000;

/** Keeps why a finding is left as it is; null takes that back. @throws OpenError for a reason that is none or too long, and for more than can be kept */
export async function keepLeft(id: string, key: string, reason: string | null, db = database): Promise<void> {
  const kept = reason === null ? null : checkReason(reason);
  await stored(() =>
    db.transaction("rw", db.sites, async () => {
      const record = await db.sites.get(id);
      if (!record) return;
      const left = { ...record.left };
      if (kept === null) delete left[key];
      else left[key] = kept;
      if (Object.keys(left).length > mostLeft) throw new OpenError(`At most ${mostLeft} findings can be left.`);
      await db.sites.update(id, { left });
    }),
  );
}

/** Keeps how many errors and warnings a site has, for the shelf. */
export async function keepFound(id: string, found: number, db = database): Promise<void> {
  await stored(() => db.sites.update(id, { found }));
}

export async function duplicateSite(id: string, now = Date.now(), db = database): Promise<string> {
  const loaded = await loadSite(id, db);
  if (!loaded) throw new OpenError("This site is no longer here.");
  const copy = crypto.randomUUID();
  await stored(
    () =>
      db.transaction("rw", tables(db), async () => {
        await db.sites.add({
          ...loaded.record,
          id: copy,
          name: `${loaded.record.name}, copy`,
          created: now,
          changed: now,
          folder: null,
        });
        await db.files.bulkAdd([...loaded.files, ...loaded.gone].map((file) => asKept({ ...file, site: copy })));
        await db.steps.bulkAdd(loaded.steps.map((step) => ({ ...step, site: copy })));
        for (const table of [db.versions, db.bytes] as Table<{ site: string }>[])
          await table.bulkAdd((await table.where("site").equals(id).toArray()).map((one) => ({ ...one, site: copy })));
      }),
    unkept,
  );
  return copy;
}

/** The files of a site as they were when it was opened: all steps in force are taken back. @throws OpenError when it is gone */
export async function openedFiles(id: string, db = database): Promise<StoredFile[]> {
  const loaded = await loadSite(id, db);
  if (!loaded) throw new OpenError("This site is no longer here.");
  const files = new Map(loaded.files.map(({ file }) => [file.path, file]));
  const inForce = loaded.steps.filter(({ number }) => number < loaded.record.cursor);
  for (const { inverse, files: moved = [] } of inForce.toReversed()) {
    for (const path of new Set(inverse.map((change) => change.path))) {
      const file = files.get(path);
      if (!file || file.kind === "other") continue;
      const own = inverse.filter((change) => change.path === path);
      files.set(path, { ...file, text: applyChanges(file.text, own) });
    }
    for (const { path, after } of invertFiles(moved)) {
      if (after) files.set(path, after);
      else files.delete(path);
    }
  }
  return [...files.values()].sort((a, b) => (a.path < b.path ? -1 : 1));
}

/** Takes a site off the shelf; `restoreSite` brings it back until `clearDeleted` runs. */
export async function deleteSite(id: string, now = Date.now(), db = database): Promise<void> {
  await stored(() => db.sites.update(id, { deleted: now }));
}

export async function restoreSite(id: string, db = database): Promise<void> {
  await stored(() => db.sites.update(id, { deleted: null }));
}

/** Removes for good what was deleted before a time. */
export async function clearDeleted(before: number, db = database): Promise<void> {
  await stored(() =>
    db.transaction("rw", tables(db), async () => {
      const gone = (await db.sites.toArray())
        .filter(({ deleted }) => deleted !== null && deleted < before)
        .map(({ id }) => id);
      await db.sites.bulkDelete(gone);
      await db.files.where("site").anyOf(gone).delete();
      for (const table of [db.steps, db.versions, db.bytes] as Table[]) await table.where("site").anyOf(gone).delete();
    }),
  );
}

/** What a window knows of a site when it writes. */
export interface Known {
  site: string;
  revision: number;
}

/** What one edit does: to texts, and to files as wholes. */
export interface Written {
  label: string;
  changes: readonly TextChange[];
  /** Made before the texts are changed; those that are put in have their text as it is to be. */
  files: readonly FileChange[];
}

/**
 * Writes one edit: the files as they are after it, and the step for the history. What could be redone is gone.
 * @returns the record after the edit. @throws ConflictError, FullError, OpenError
 */
export async function writeStep(
  known: Known,
  { label, changes, files }: Written,
  now = Date.now(),
  db = database,
): Promise<{ record: SiteRecord; step: StepRecord }> {
  return stored(() =>
    db.transaction("rw", tables(db), async () => {
      const record = await current(known, db);
      await moveFiles(record.id, files, db);
      const inverse = await changeFiles(record.id, changes, db);
      const step: StepRecord = {
        site: record.id,
        number: record.cursor,
        label,
        changes: [...changes],
        inverse,
        ...(files.length > 0 && { files: [...files] }),
        time: now,
      };
      await db.steps.where("[site+number]").between([record.id, record.cursor], [record.id, Infinity]).delete();
      await db.steps.put(step);
      return { record: await advance(record, record.cursor + 1, now, db), step };
    }),
  );
}

/** Takes the last step back, or makes the next one again; null when there is none. */
export async function moveInHistory(
  known: Known,
  direction: "undo" | "redo",
  now = Date.now(),
  db = database,
): Promise<({ record: SiteRecord } & Written) | null> {
  return stored(() =>
    db.transaction("rw", tables(db), async () => {
      const record = await current(known, db);
      const back = direction === "undo";
      const number = back ? record.cursor - 1 : record.cursor;
      const step = await db.steps.get([record.id, number]);
      if (!step) return null;
      const { label, files = [] } = step;
      const changes = back ? step.inverse : step.changes;
      const moved = back ? invertFiles(files) : files;
      if (!back) await moveFiles(record.id, moved, db);
      await changeFiles(record.id, changes, db);
      if (back) await moveFiles(record.id, moved, db);
      return { record: await advance(record, back ? number : number + 1, now, db), changes, files: moved, label };
    }),
  );
}

/** @throws OpenError when a file is not as the change says it is */
async function moveFiles(site: string, changes: readonly FileChange[], db: HevretDatabase): Promise<void> {
  for (const { path, before, after } of changes) {
    const known = await fileOf(site, path, db);
    const record = known?.gone ? undefined : known;
    if (!before && record) throw new OpenError(`The site has a file ${path} already.`);
    if (before && !record) throw new OpenError(`${path} is no longer part of the site.`);
    if (after) await db.files.put(asKept(fileWith(known, { site, path, file: after })));
    else if (record!.added) await db.files.delete([site, path]);
    else await db.files.put(asKept({ ...record!, gone: true }));
  }
}

async function fileOf(site: string, path: string, db: HevretDatabase): Promise<FileRecord | undefined> {
  const kept = await db.files.get([site, path]);
  return kept && asWhole(kept);
}

/** A file with what is known of it, also where it was taken out before; what is new is marked so. */
export function fileWith(
  known: FileRecord | undefined,
  { site, path, file }: Pick<FileRecord, "site" | "path" | "file">,
): FileRecord {
  if (!known) return { site, path, file, original: null, onDisk: null, added: true };
  const back = { ...known, file };
  delete back.gone;
  return back;
}

async function current(known: Known, db: HevretDatabase): Promise<SiteRecord> {
  const record = await db.sites.get(known.site);
  if (!record || record.deleted !== null)
    throw new OpenError(
      "This site is no longer kept in this browser: it was deleted in another window, or the browser's data were cleared.",
    );
  if (record.revision !== known.revision) throw new ConflictError();
  return record;
}

async function advance(record: SiteRecord, cursor: number, now: number, db: HevretDatabase): Promise<SiteRecord> {
  const next = { ...record, cursor, changed: now, revision: record.revision + 1 };
  await db.sites.put(next);
  return next;
}

async function changeFiles(site: string, changes: readonly TextChange[], db: HevretDatabase): Promise<TextChange[]> {
  const inverse: TextChange[] = [];
  for (const path of new Set(changes.map((change) => change.path))) {
    const record = await fileOf(site, path, db);
    if (!record || record.gone || record.file.kind === "other")
      throw new OpenError(`${path} is no longer part of the site.`);
    const own = changes.filter((change) => change.path === path);
    append(inverse, invertChanges(record.file.text, own));
    const file: StoredFile = { ...record.file, text: applyChanges(record.file.text, own) };
    await db.files.put(asKept({ ...record, file }));
  }
  return inverse;
}
