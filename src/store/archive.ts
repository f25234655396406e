/**
 * The shelf as one archive: every site with its files, history, versions, and what was left. See docs/exports.md.
 * Bytes stand beside it once each, named by what they are.
 */
import { zipSync } from "fflate";
import { array, boolean, mixed, number, object, string, ValidationError } from "yup";
import {
  database,
  type FileRecord,
  type HevretDatabase,
  type SiteRecord,
  type StepRecord,
  type VersionRecord,
} from "./database";
import { digestOf } from "./digest";
import { stored } from "./failures";
import { asKept, asWhole } from "./keptFiles";
import { limits, OpenError } from "./limits";
import { insidePath, storedFile } from "./schemas";
import { readEntries } from "./zip";

const format = "hevret-shelf";
const contents = "shelf.json";
const bytesFolder = "bytes/";

/** What can be taken in. */
const most = { bytes: 1024 * 1024 * 1024, entries: 50_000, sites: 1000 };

/** A site with all that belongs to it. */
interface WholeSite {
  record: Omit<SiteRecord, "id" | "folder" | "deleted" | "revision">;
  files: Omit<FileRecord, "site">[];
  steps: Omit<StepRecord, "site">[];
  versions: (Omit<VersionRecord, "site" | "files"> & { files: object[] })[];
}

/** The whole shelf as a zip. What was deleted is not in it, and no leave to read folders. */
export async function takeShelfOut(now: Date, db = database): Promise<Uint8Array> {
  const sites = await stored(() => db.sites.toArray());
  const bytes = new Map<string, Uint8Array>();
  const whole: unknown[] = [];
  for (const site of sites) {
    if (site.deleted !== null) continue;
    const { id } = site;
    const of = async <Row extends { site: string }>(rows: PromiseLike<Row[]>) => {
      const found = await stored(() => rows);
      return Promise.all(found.map((row) => packed(without(row, ["site"]), bytes)));
    };
    for (const { digest, bytes: data } of await stored(() => db.bytes.where("site").equals(id).toArray()))
      bytes.set(digest, data);
    whole.push({
      record: without(site, ["id", "folder", "deleted", "revision"]),
      files: await of(
        db.files
          .where("site")
          .equals(id)
          .toArray()
          .then((all) => all.map(asWhole)),
      ),
      steps: await of(db.steps.where("site").equals(id).toArray()),
      versions: await of(db.versions.where("site").equals(id).toArray()),
    });
  }
  const json = new TextEncoder().encode(JSON.stringify({ format, version: 1, sites: whole }));
  const entries = [...bytes].map(([digest, data]): [string, Uint8Array] => [bytesFolder + digest, data]);
  return zipSync(Object.fromEntries([[contents, json], ...entries]), { mtime: now });
}

function without(row: object, names: readonly string[]): object {
  return Object.fromEntries(Object.entries(row).filter(([name]) => !names.includes(name)));
}

/** A value with its bytes put beside it: `{ $bytes: digest }` in their place. */
async function packed(value: unknown, bytes: Map<string, Uint8Array>): Promise<unknown> {
  if (value instanceof Uint8Array) {
    const digest = await digestOf(value);
    bytes.set(digest, value);
    return { $bytes: digest };
  }
  if (Array.isArray(value)) return Promise.all(value.map((one) => packed(one, bytes)));
  if (typeof value !== "object" || value === null) return value;
  const entries = Object.entries(value).map(async ([name, one]) => [name, await packed(one, bytes)] as const);
  return Object.fromEntries(await Promise.all(entries));
}

/** The same back. @throws OpenError where bytes are missing */
function unpacked(value: unknown, bytes: ReadonlyMap<string, Uint8Array>): unknown {
  if (Array.isArray(value)) return value.map((one) => unpacked(one, bytes));
  if (typeof value !== "object" || value === null) return value;
  const { $bytes: digest } = value as { $bytes?: unknown };
  if (typeof digest === "string") {
    const found = bytes.get(digest);
    if (!found) throw new OpenError("This archive is not whole: bytes of a file are missing.");
    return found;
  }
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, unpacked(one, bytes)]));
}

/** A text has its encoding with it, anything else its bytes. */
const wholeFile = storedFile.test("whole", "A file is not whole.", (file: unknown) => {
  const { kind, text, bytes, encoding } = (file ?? { kind: "none" }) as Partial<Record<string, unknown>>;
  if (kind === "none") return true;
  if (kind === "other") return bytes instanceof Uint8Array;
  const { name, bom } = (encoding ?? {}) as Partial<Record<string, unknown>>;
  return (
    typeof text === "string" && isEncoding(name) && (bom === false || (bom === true && /^utf-/.test(String(name))))
  );
});

/** Whether there is an encoding of this name (Encoding, 4.2). */
function isEncoding(name: unknown): boolean {
  try {
    return typeof name === "string" && new TextDecoder(name).encoding === name;
  } catch {
    return false;
  }
}

const count = number().integer().min(0).required();
const text = string().max(limits.textBytes).defined();
const change = object({ path: insidePath, start: count, end: count, insert: text });
const changes = array().of(change.required()).required();
const fileChange = object({
  path: insidePath,
  before: wholeFile.nullable().defined(),
  after: wholeFile.nullable().defined(),
});
const words = (longest: number) => string().min(1).max(longest).required();
const map = mixed<Record<string, string | string[]>>((value): value is Record<string, string | string[]> => {
  const isText = (one: unknown) => typeof one === "string" && one.length <= 500;
  return (
    typeof value === "object" &&
    value !== null &&
    Object.values(value).every((one) => isText(one) || (Array.isArray(one) && one.every(isText)))
  );
});

const siteSchema = object({
  record: object({
    name: words(200),
    created: count,
    changed: count,
    pages: count,
    sheets: count,
    refused: array()
      .of(object({ path: string().required(), reason: string().required() }).required())
      .required(),
    cursor: count,
    trials: map,
    left: map,
    found: number().integer().min(0),
    unfollowed: boolean(),
    writesThrough: boolean(),
  }).required(),
  files: array()
    .of(
      object({
        path: insidePath,
        file: wholeFile.required(),
        original: text.nullable(),
        onDisk: text.nullable(),
        added: boolean(),
        gone: boolean(),
      }).required(),
    )
    .max(limits.files)
    .required(),
  steps: array()
    .of(
      object({
        number: count,
        label: words(2000),
        changes,
        inverse: changes,
        files: array().of(fileChange.required()),
        time: count,
      }).required(),
    )
    .required(),
  versions: array()
    .of(
      object({
        id: words(100),
        name: words(200),
        time: count,
        files: array()
          .of(
            object({
              kind: string().oneOf(["html", "css", "other"]).required(),
              path: insidePath,
              text: string().max(limits.textBytes),
              digest: string().max(64),
            }).required(),
          )
          .required(),
      }).required(),
    )
    .max(200)
    .required(),
});

const shelf = object({
  format: string().oneOf([format]).required(),
  version: number().oneOf([1]).required(),
  sites: array().of(siteSchema.required()).max(most.sites).required(),
}).required();

/** Takes sites of an archive in, beside those that are there. @returns how many @throws OpenError in plain words; then none is taken in */
export async function takeShelfIn(name: string, archive: Uint8Array, db = database): Promise<number> {
  const { json, bytes } = await unzipped(name, archive);
  const sites = checked(name, json, bytes);
  await stored(
    () =>
      db.transaction("rw", [db.sites, db.files, db.steps, db.versions, db.bytes], async () => {
        for (const site of sites) await add(site, bytes, db);
      }),
    "Nothing of this archive is kept: make room by deleting sites from the shelf.",
  );
  return sites.length;
}

async function unzipped(name: string, archive: Uint8Array) {
  const bytes = new Map<string, Uint8Array>();
  let json: string | null = null;
  let size = 0;
  let entries = 0;
  await readEntries(name, archive, {
    admit: (_, own) => {
      if ((size += own) > most.bytes || (entries += 1) > most.entries)
        throw new OpenError(`${name} is larger than a shelf can be.`);
      return true;
    },
    add: (path, data) => {
      if (path === contents) json = new TextDecoder().decode(data);
      else if (path.startsWith(bytesFolder)) bytes.set(path.slice(bytesFolder.length), data);
    },
    refuse: (path, reason) => {
      throw new OpenError(`${name} cannot be taken in. ${path}: ${reason}`);
    },
    check: () => undefined,
  });
  if (json === null) throw new OpenError(`${name} is no shelf: there is no ${contents} in it.`);
  return { json: json as string, bytes };
}

function checked(name: string, json: string, bytes: ReadonlyMap<string, Uint8Array>): WholeSite[] {
  try {
    const { sites } = shelf.validateSync(unpacked(JSON.parse(json), bytes), { strict: true });
    for (const { record, steps } of sites)
      if (record.cursor > steps.length) throw new OpenError(`${name} cannot be taken in: a history is not whole.`);
    return sites as unknown as WholeSite[];
  } catch (error) {
    // What is nested deeper than can be read is a RangeError.
    if (error instanceof ValidationError || error instanceof SyntaxError || error instanceof RangeError)
      throw new OpenError(`${name} cannot be taken in: ${error.message}.`);
    throw error;
  }
}

async function add(
  { record, files, steps, versions }: WholeSite,
  bytes: ReadonlyMap<string, Uint8Array>,
  db: HevretDatabase,
): Promise<void> {
  const site = crypto.randomUUID();
  await db.sites.add({ ...record, id: site, folder: null, deleted: null, revision: 0 });
  await db.files.bulkAdd(files.map((file) => asKept({ ...file, site })));
  await db.steps.bulkAdd(steps.map((step) => ({ ...step, site })));
  await db.versions.bulkAdd(versions.map((version) => ({ ...version, site })) as VersionRecord[]);
  const digests = new Set(
    versions.flatMap(({ files: own }) => own.flatMap((file) => ("digest" in file ? String(file.digest) : []))),
  );
  for (const digest of digests) {
    const data = bytes.get(digest);
    if (!data) throw new OpenError("This archive is not whole: bytes of a version are missing.");
    await db.bytes.put({ site, digest, bytes: data });
  }
}
