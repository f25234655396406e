/** Files out: one file, the changed ones or the whole site as zip, or back into the folder they came from. */
import { zipSync } from "fflate";
import { fileBytes, encodeText, sameBytes, type StoredFile } from "@/core/files";
import type { FileRecord } from "./database";

export function isChanged({ file, original, added }: FileRecord): boolean {
  return added === true || (file.kind !== "other" && file.text !== original);
}

export function zipOf(files: readonly StoredFile[], now: Date): Uint8Array<ArrayBuffer> {
  return zipSync(
    Object.fromEntries(files.map((file) => [file.path, [fileBytes(file), { mtime: now }]])),
  ) as Uint8Array<ArrayBuffer>;
}

/** Hands bytes to the browser as a download. */
export function download(name: string, bytes: Uint8Array, type: string): void {
  const address = URL.createObjectURL(new Blob([bytes as BlobPart], { type }));
  const link = document.createElement("a");
  link.href = address;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(address), 60_000);
}

/** Files in the folder that are no longer as they were when last read from it or written to it. */
export async function changedMeanwhile(
  folder: FileSystemDirectoryHandle,
  files: readonly FileRecord[],
): Promise<string[]> {
  const changed: string[] = [];
  for (const record of files) {
    const { file, onDisk } = record;
    if (file.kind === "other" || onDisk === null) continue;
    const expected = encodeText(onDisk, file.encoding, file.kind);
    const actual = await bytesIn(folder, record.path);
    if (!actual || !sameBytes(actual, expected)) changed.push(record.path);
  }
  return changed;
}

async function bytesIn(folder: FileSystemDirectoryHandle, path: string): Promise<Uint8Array | null> {
  try {
    const handle = await handleOf(folder, path, false);
    return new Uint8Array(await (await handle.getFile()).arrayBuffer());
  } catch {
    return null;
  }
}

async function handleOf(
  folder: FileSystemDirectoryHandle,
  path: string,
  create: boolean,
): Promise<FileSystemFileHandle> {
  const parts = path.split("/");
  let directory = folder;
  for (const part of parts.slice(0, -1)) directory = await directory.getDirectoryHandle(part, { create });
  return directory.getFileHandle(parts[parts.length - 1]!, { create });
}

/** Takes files out of a folder; those that are not there are taken for gone. @throws Error when it is refused */
export async function removeFrom(folder: FileSystemDirectoryHandle, paths: readonly string[]): Promise<void> {
  for (const path of paths) {
    const parts = path.split("/");
    try {
      let directory = folder;
      for (const part of parts.slice(0, -1)) directory = await directory.getDirectoryHandle(part);
      await directory.removeEntry(parts.at(-1)!);
    } catch (error) {
      if ((error as Error).name !== "NotFoundError") throw error;
    }
  }
}

/** Writes files back; the browser asks the user for leave. @throws Error when it is refused */
export async function writeBack(folder: FileSystemDirectoryHandle, files: readonly StoredFile[]): Promise<void> {
  for (const file of files) {
    const stream = await (await handleOf(folder, file.path, true)).createWritable();
    await stream.write(fileBytes(file) as BufferSource);
    await stream.close();
  }
}
