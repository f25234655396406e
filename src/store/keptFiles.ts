/** Files as they are kept: a text that is as it was opened, and as it stands in the folder, is kept once. */
import type { FileRecord } from "./database";

/** What is missing is the text of the file. */
export interface KeptFile extends Omit<FileRecord, "original" | "onDisk"> {
  original?: string | null;
  onDisk?: string | null;
}

const textOf = ({ file }: Pick<FileRecord, "file">): string | null => (file.kind === "other" ? null : file.text);

/** A record as it is kept. */
export function asKept({ original, onDisk, ...rest }: FileRecord): KeptFile {
  const text = textOf(rest);
  return { ...rest, ...(original !== text && { original }), ...(onDisk !== text && { onDisk }) };
}

/** A kept record with all its texts; also one that was kept whole. */
export function asWhole(kept: KeptFile): FileRecord {
  const text = textOf(kept);
  const { original = text, onDisk = text } = kept;
  return { ...kept, original, onDisk };
}
