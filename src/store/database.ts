/** Sites in the browser's own database. The text of the files is the state; history is a list of text changes. */
import Dexie, { type Table } from "dexie";
import { NewerError } from "./failures";
import type { KeptFile } from "./keptFiles";
import type { FileChange, RefusedFile, StoredFile, TextChange } from "@/core";

export interface SiteRecord {
  id: string;
  name: string;
  /** Milliseconds since 1970. */
  created: number;
  changed: number;
  pages: number;
  sheets: number;
  refused: RefusedFile[];
  /** Counts every write; a window that knows an older number is behind. */
  revision: number;
  /** How many steps of the history are in force; those after it can be redone. */
  cursor: number;
  folder: FileSystemDirectoryHandle | null;
  /** Set where what other programs write into the folder is left alone. */
  unfollowed?: true;
  /** Set where every step is written into the folder at once. */
  writesThrough?: true;
  /** Values tried, by the row of the slip; missing where none were. */
  trials?: Record<string, string[]>;
  /** Why findings are left as they are, by their keys; missing where none are. */
  left?: Record<string, string>;
  /** Errors and warnings that were found last; missing until they were counted. */
  found?: number;
  /** Set while the site can still be brought back. */
  deleted: number | null;
}

export interface FileRecord {
  site: string;
  path: string;
  file: StoredFile;
  /** The text at opening, to compare with; null for files that are not text. */
  original: string | null;
  /** Taken in after the site was opened. */
  added?: true;
  /** Taken out of the site since: kept with what it was, should it come back. */
  gone?: true;
  /** The text as last read from the folder or written to it. */
  onDisk: string | null;
}

/** One edit: what it changed, and what takes it back. */
export interface StepRecord {
  site: string;
  /** Place in the history, from 0. */
  number: number;
  label: string;
  changes: TextChange[];
  inverse: TextChange[];
  /** Files put in or taken out before the texts are changed; missing where none were. */
  files?: FileChange[];
  time: number;
}

/** A file of a version: a text as it was, or what has these bytes. */
export type VersionFile = Exclude<StoredFile, { kind: "other" }> | { kind: "other"; path: string; digest: string };

/** A site as it was when somebody kept it under a name. */
export interface VersionRecord {
  site: string;
  id: string;
  name: string;
  time: number;
  files: VersionFile[];
}

/** Bytes that versions of a site have, once each. */
export interface BytesRecord {
  site: string;
  /** SHA-256 in hexadecimal digits. */
  digest: string;
  bytes: Uint8Array;
}

/** Of what is kept, and how. */
const version = 2;

export class HevretDatabase extends Dexie {
  sites!: Table<SiteRecord, string>;
  files!: Table<KeptFile, [string, string]>;
  steps!: Table<StepRecord, [string, number]>;
  versions!: Table<VersionRecord, [string, string]>;
  bytes!: Table<BytesRecord, [string, string]>;

  constructor(name = "hevret") {
    super(name);
    // What a newer version keeps is not to be read as if it were ours.
    this.on("ready", (opened) => {
      // Dexie counts in tens (Dexie.Version).
      if ((opened as Dexie).backendDB().version >= (version + 1) * 10) throw new NewerError();
    });
    this.version(1).stores({
      sites: "id, changed",
      files: "[site+path], site",
      steps: "[site+number], site",
    });
    this.version(version).stores({ versions: "[site+id], site", bytes: "[site+digest], site" });
  }
}

export const database = new HevretDatabase();
