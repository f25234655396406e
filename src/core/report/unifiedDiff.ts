/** Changes of files as a unified diff that `git apply` takes: bytes as they are in the files, line ends and encodings kept. */
import { structuredPatch } from "diff";
import { fromBinary, toBinary } from "../source/binary";
import { fileBytes, type TextFile } from "../source/site";

/** A text file before and after; null where it was not, or is not any more. */
export interface FileVersions {
  path: string;
  before: TextFile | null;
  after: TextFile | null;
}

/** So many lines around a change are told, as `diff -u` does. */
const around = 3;

/** Encodings in which a line end is no byte of its own: no diff of lines can be made of them. */
const wide = /^utf-16/;

/** Whether a file can be in a diff. */
export const canDiffer = ({ before, after }: FileVersions): boolean =>
  ![before, after].some((file) => file !== null && wide.test(file.encoding.name));

/**
 * The diff of all files that differ, by their paths. A file is compared byte by byte, so that it can be applied to what is
 * on the disk, whatever its encoding. Files in UTF-16 are left out (`canDiffer`).
 */
export function unifiedDiff(files: readonly FileVersions[]): Uint8Array {
  const sorted = [...files].sort((a, b) => (a.path < b.path ? -1 : 1));
  return fromBinary(
    sorted
      .filter(canDiffer)
      .map((file) => fileDiff(file))
      .join(""),
  );
}

function fileDiff({ path, before, after }: FileVersions): string {
  const [old, now] = [before, after].map((file) => (file ? toBinary(fileBytes(file)) : ""));
  if ((before === null) === (after === null) && old === now) return "";
  const [a, b] = [named(`a/${path}`), named(`b/${path}`)];
  const mode = modeLine(before, after);
  const head = `diff --git ${a} ${b}\n${mode}`;
  const { hunks } = structuredPatch(path, path, old!, now!, undefined, undefined, { context: around });
  // An empty file has no lines to tell of.
  if (hunks.length === 0) return `${head}index 0000000..e69de29\n`;
  const names = `--- ${before ? ended(a) : "/dev/null"}\n+++ ${after ? ended(b) : "/dev/null"}\n`;
  return `${head}${names}${hunks.map(hunkText).join("")}`;
}

function modeLine(before: TextFile | null, after: TextFile | null): string {
  if (!before) return "new file mode 100644\n";
  return after ? "" : "deleted file mode 100644\n";
}

type Hunk = ReturnType<typeof structuredPatch>["hunks"][number];

function hunkText({ oldStart, oldLines, newStart, newLines, lines }: Hunk): string {
  // Of no lines the one before is named.
  const range = (start: number, count: number) => `${count === 0 ? Math.max(0, start - 1) : start},${count}`;
  return `@@ -${range(oldStart, oldLines)} +${range(newStart, newLines)} @@\n${lines.map((line) => `${line}\n`).join("")}`;
}

/** A path as git quotes it where it has to: what is no printable ASCII, quotes and backslashes (git-config, core.quotePath). */
function named(path: string): string {
  const bytes = [...new TextEncoder().encode(path)];
  if (bytes.every((byte) => byte >= 0x20 && byte < 0x7f && byte !== 0x22 && byte !== 0x5c)) return path;
  const quoted = bytes.map((byte) => {
    if (byte === 0x22 || byte === 0x5c) return `\\${String.fromCharCode(byte)}`;
    return byte >= 0x20 && byte < 0x7f ? String.fromCharCode(byte) : `\\${byte.toString(8).padStart(3, "0")}`;
  });
  return `"${quoted.join("")}"`;
}

/** A tab tells where a name with blanks ends. */
const ended = (name: string) => (name.includes(" ") && !name.startsWith('"') ? `${name}\t` : name);
