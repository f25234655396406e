/** Entries of a zip (APPNOTE 6.3), read by its directory, with their checksums verified, and bounded whatever they claim. */
import type { Entry, FileEntry } from "@zip.js/zip.js";
import { normalisePath } from "@/core/files";
import { OpenError } from "./limits";

export interface ZipReading {
  /** Whether a file of this path and size is wanted; it may throw what ends the reading. */
  admit(path: string, size: number): boolean;
  add(path: string, bytes: Uint8Array): void;
  refuse(path: string, reason: string): void;
  /** May throw to stop the reading. */
  check(): void;
}

/** Milliseconds after which others are let in. */
const longest = 20;
/** Longer paths no file system takes. */
const longestPath = 1024;

/** What reads archives, loaded when it is needed, or ahead. */
export const loadReader = () => import("@zip.js/zip.js");

/** @throws OpenError where the archive as a whole cannot be read; of single entries it is told why */
export async function readEntries(name: string, bytes: Uint8Array, reading: ZipReading): Promise<void> {
  if (bytes[0] !== 0x50 || bytes[1] !== 0x4b) throw new OpenError(`${name} could not be unpacked: it is not a zip.`);
  const { configure, Uint8ArrayReader, ZipReader } = await loadReader();
  configure({ useWebWorkers: false });
  const reader = new ZipReader(new Uint8ArrayReader(bytes));
  let entries: Entry[];
  try {
    // Names are dealt with one by one.
    entries = await reader.getEntries({ filenameValidation: "tolerant" });
  } catch {
    throw new OpenError(`${name} could not be unpacked: it is damaged, or its end is missing.`);
  }
  const taken = new Set<string>();
  let breathed = performance.now();
  for (const entry of entries) {
    reading.check();
    if (entry.directory) continue;
    const path = normalisePath(entry.filename);
    const reason = nameProblem(path) ?? (taken.has(path) ? "Another file of the archive has the same path." : null);
    if (reason) reading.refuse(entry.filename, reason);
    else if (entry.encrypted) reading.refuse(path, "It is locked with a password.");
    else if (reading.admit(entry.filename, entry.uncompressedSize)) {
      taken.add(path);
      const content = await contentOf(entry);
      if (content) reading.add(entry.filename, content);
      else reading.refuse(path, "It is damaged in the archive.");
    }
    if (performance.now() - breathed < longest) continue;
    // Lets the interface draw, and be stopped. A browser takes some milliseconds for it, too many to do so after each file.
    await new Promise((resolve) => setTimeout(resolve));
    breathed = performance.now();
  }
}

function nameProblem(path: string): string | null {
  if (path === "") return "It has no name.";
  if (path.length > longestPath) return "Its name is too long.";
  return path.split("/").includes("__proto__") ? "It has a name that cannot be used." : null;
}

class TooMuch extends Error {}

/** Null where it is damaged, or larger than it says. */
async function contentOf(entry: FileEntry): Promise<Uint8Array | null> {
  const content = new Uint8Array(entry.uncompressedSize);
  let at = 0;
  const into = new WritableStream<Uint8Array>({
    write(piece) {
      if (at + piece.length > content.length) throw new TooMuch();
      content.set(piece, at);
      at += piece.length;
    },
  });
  try {
    await entry.getData(into, { checkSignature: true, checkOverlappingEntry: true });
  } catch {
    return null;
  }
  return at === content.length ? content : null;
}
