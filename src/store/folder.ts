/** A folder that other programs write to: what is there now, and what of it is another than here. */
import {
  changeBetween,
  joinedText,
  joinTexts,
  readFile,
  sameContents,
  type FileChange,
  type JoinedPart,
  type StoredFile,
  type TextChange,
} from "@/core";
import type { FileRecord } from "./database";
import { limits } from "./limits";
import { clutter } from "./read";

/** By what it is seen that a file was written: nothing is read that is as it was. */
type Stamp = string;

/** What was seen of a folder. */
export interface Seen {
  stamps: ReadonlyMap<string, Stamp>;
  /** All paths that were seen; null where not all of it could be: then nothing is said of what is missing. */
  paths: ReadonlySet<string> | null;
  /** Files that were written since it was looked at last. */
  written: StoredFile[];
  /** Whether something was left for the next look, since it is being written just now. */
  isBusy: boolean;
}

/** Milliseconds that a file has to be left alone before it is read: programs write in several steps. */
const settled = 200;

/**
 * Looks into a folder.
 * @param before what was seen last, by path
 * @param isKnown whether a file of this size that was not seen yet is taken for the one that is here, unread
 * @throws DOMException where leave to read is gone, or the folder
 */
export async function lookInto(
  folder: FileSystemDirectoryHandle,
  before: Seen["stamps"] = new Map(),
  isKnown: (path: string, size: number) => boolean = () => false,
): Promise<Seen> {
  const stamps = new Map<string, Stamp>();
  const paths = new Set<string>();
  const written: StoredFile[] = [];
  let bytes = 0;
  let isWhole = true;
  let isBusy = false;
  const take = async (path: string, handle: FileSystemFileHandle): Promise<void> => {
    paths.add(path);
    const file = await handle.getFile().catch(() => null);
    if (file) bytes += file.size;
    if (!file || isBeingWritten(file)) {
      isBusy = true;
      // What was known of it holds until it can be read.
      if (before.has(path)) stamps.set(path, before.get(path)!);
      return;
    }
    if (bytes > limits.siteBytes) return void (isWhole = false);
    const stamp = `${file.lastModified} ${file.size}`;
    stamps.set(path, stamp);
    if (before.get(path) === stamp || (!before.has(path) && isKnown(path, file.size))) return;
    const read = await readIn(path, file);
    if (read === "busy") {
      isBusy = true;
      stamps.delete(path);
    } else if (read) written.push(read);
  };
  const walk = async (directory: FileSystemDirectoryHandle, prefix: string): Promise<void> => {
    for await (const [name, handle] of directory.entries()) {
      const path = prefix + name;
      if (clutter.test(path)) continue;
      if (paths.size >= limits.files) return void (isWhole = false);
      if (handle.kind === "file") await take(path, handle as FileSystemFileHandle);
      else
        await walk(handle as FileSystemDirectoryHandle, `${path}/`).catch((error: unknown) => {
          // It went while it was looked into.
          if ((error as Error).name !== "NotFoundError") throw error;
          isBusy = true;
          isWhole = false;
        });
    }
  };
  await walk(folder, "");
  return { stamps, paths: isWhole ? paths : null, written, isBusy };
}

const isBeingWritten = ({ lastModified }: File): boolean => {
  const age = Date.now() - lastModified;
  return age >= 0 && age < settled;
};

/** Null for one that cannot be taken in; "busy" for one that cannot be read just now. */
async function readIn(path: string, file: File): Promise<StoredFile | null | "busy"> {
  try {
    const read = readFile({ path, bytes: new Uint8Array(await file.arrayBuffer()) });
    if ("reason" in read) return null;
    return read.kind !== "other" && read.text.length > limits.textBytes ? null : read;
  } catch {
    return "busy";
  }
}

/** A file that both sides changed in the same lines, or that one side changed and the other took out. */
export interface Meeting {
  path: string;
  /** Runs of lines, those that both changed among them. */
  parts: JoinedPart[];
  there: string;
}

/** What is to be done so that the site has what is in the folder, too. */
export interface FromFolder {
  changes: TextChange[];
  files: FileChange[];
  meetings: Meeting[];
  /** Texts as they stand in the folder now, by path; null for one that is not there. */
  onDisk: Map<string, string | null>;
}

/**
 * What other programs changed, joined with what was changed here.
 * @param paths all that is in the folder; null where files that are missing say nothing
 */
export function fromFolder(
  files: ReadonlyMap<string, FileRecord>,
  gone: ReadonlyMap<string, FileRecord>,
  written: readonly StoredFile[],
  paths: ReadonlySet<string> | null,
): FromFolder {
  const found: FromFolder = { changes: [], files: [], meetings: [], onDisk: new Map() };
  for (const file of written) {
    const record = files.get(file.path);
    if (record) take(found, record, file);
    else if (!isAsLeft(gone.get(file.path), file)) {
      found.files.push({ path: file.path, before: null, after: file });
      found.onDisk.set(file.path, textOf(file));
    }
  }
  if (paths) for (const record of files.values()) if (!paths.has(record.path)) takeOut(found, record);
  return found;
}

const textOf = (file: StoredFile) => (file.kind === "other" ? null : file.text);

/** Whether a file was taken out here, and nobody wrote it since. */
const isAsLeft = (record: FileRecord | undefined, file: StoredFile): boolean =>
  record !== undefined &&
  (file.kind === "other" ? sameContents(record.file, file) : record.onDisk !== null && record.onDisk === file.text);

function take(found: FromFolder, record: FileRecord, file: StoredFile): void {
  const { path, file: own, onDisk, original } = record;
  if (own.kind === "other" || file.kind === "other") {
    if (!sameContents(own, file)) found.files.push({ path, before: own, after: file });
    return;
  }
  const base = onDisk ?? original ?? "";
  if (file.text === base && onDisk !== null) return;
  const parts = joinTexts(base, own.text, file.text);
  if (own.text !== file.text && parts.some(({ kind }) => kind === "both")) {
    found.meetings.push({ path, parts, there: file.text });
    return;
  }
  const text = own.text === file.text ? file.text : joinedText(parts, () => "");
  const change = changeBetween(path, own.text, text);
  if (change) found.changes.push(change);
  found.onDisk.set(path, file.text);
}

function takeOut(found: FromFolder, { path, file, onDisk, added }: FileRecord): void {
  // What was put in here has not been written there yet.
  if (added && onDisk === null) return;
  if (file.kind !== "other" && file.text !== onDisk) {
    // It was changed here: it stays, and counts as not written.
    found.onDisk.set(path, null);
    return;
  }
  found.files.push({ path, before: file, after: null });
}
