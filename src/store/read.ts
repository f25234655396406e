/** Files in: from pickers, drops, zips and pasted text, all to the same list with reasons for what is left out. */
import {
  append,
  kindOfPath,
  normalisePath,
  readFile,
  type RefusedFile,
  type SiteFile,
  type StoredFile,
} from "@/core/files";
import { limits, OpenError, siteTooLarge, textTooLarge, tooManyFiles } from "./limits";
import { readEntries } from "./zip";

export interface Opened {
  name: string;
  files: StoredFile[];
  refused: RefusedFile[];
  /** The folder to write back to, where the browser gave one. */
  folder: FileSystemDirectoryHandle | null;
}

/** Files nobody means to open with a site. */
/** What no site is made of. */
export const clutter = /(?:^|\/)(?:\.git|\.svn|node_modules|__MACOSX)(?:\/|$)|(?:^|\/)(?:\.DS_Store|Thumbs\.db)$/;

/** Told how far the reading is; its signal stops it. */
export interface Progress {
  signal: AbortSignal;
  report(files: number): void;
}

class Collector {
  readonly files = new Map<string, SiteFile>();
  readonly refused: RefusedFile[] = [];
  private bytes = 0;

  constructor(private readonly progress?: Progress) {}

  /** Counts before the contents are read, so that too much is never read. */
  admit(path: string, size: number): boolean {
    if (clutter.test(path)) return false;
    if (this.files.size >= limits.files) throw new OpenError(tooManyFiles);
    if (kindOfPath(path) !== "other" && size > limits.textBytes) {
      this.refused.push({ path, reason: textTooLarge });
      return false;
    }
    this.bytes += size;
    if (this.bytes > limits.siteBytes) throw new OpenError(siteTooLarge);
    return true;
  }

  add(path: string, bytes: Uint8Array): void {
    this.files.set(path, { path, bytes });
    this.progress?.report(this.files.size);
  }

  /** @throws DOMException AbortError when the reading was stopped */
  check(): void {
    this.progress?.signal.throwIfAborted();
  }

  finish(name: string, folder: FileSystemDirectoryHandle | null = null): Opened {
    const files: StoredFile[] = [];
    for (const file of withoutCommonFolder([...this.files.values()])) {
      const read = readFile(file);
      if ("reason" in read) this.refused.push(read);
      else files.push(read);
    }
    if (!files.some(({ kind }) => kind !== "other")) {
      const reasons = this.refused.map(({ path, reason }) => ` ${path}: ${reason}`).join("");
      throw new OpenError(`There is no page and no style sheet among these files.${reasons}`);
    }
    return { name, files, refused: this.refused, folder };
  }
}

/** A folder that holds everything is the site's root. */
function withoutCommonFolder(files: SiteFile[]): SiteFile[] {
  const paths = files.map(({ path }) => normalisePath(path));
  const first = paths[0]?.split("/")[0];
  const common = first !== undefined && paths.every((path) => path.startsWith(`${first}/`));
  return files.map((file, at) => ({ ...file, path: common ? paths[at]!.slice(first.length + 1) : paths[at]! }));
}

async function bytesOf(file: File): Promise<Uint8Array> {
  return new Uint8Array(await file.arrayBuffer());
}

/** Files from an input or a drop; `webkitRelativePath` gives the folders where there are any. */
export async function readFiles(list: readonly File[], progress?: Progress): Promise<Opened> {
  const only = list[0];
  if (list.length === 1 && only && /\.zip$/i.test(only.name)) return readZip(only.name, await bytesOf(only), progress);
  const collector = new Collector(progress);
  for (const file of list) {
    const path = file.webkitRelativePath || file.name;
    if (!collector.admit(path, file.size)) continue;
    await addFile(collector, path, file);
  }
  const folder = only?.webkitRelativePath.split("/")[0];
  return collector.finish(folder || only?.name || "Site");
}

async function addFile(collector: Collector, path: string, file: File): Promise<void> {
  collector.check();
  try {
    collector.add(path, await bytesOf(file));
  } catch {
    collector.refused.push({ path, reason: "The browser could not read it." });
  }
}

/** A folder the browser gives read and write access to. */
export async function readFolder(folder: FileSystemDirectoryHandle, progress?: Progress): Promise<Opened> {
  const collector = new Collector(progress);
  const walk = async (directory: FileSystemDirectoryHandle, prefix: string): Promise<void> => {
    for await (const [name, handle] of directory.entries()) {
      const path = prefix + name;
      if (clutter.test(path)) continue;
      if (handle.kind === "directory") await walk(handle as FileSystemDirectoryHandle, `${path}/`);
      else {
        const file = await (handle as FileSystemFileHandle).getFile();
        if (collector.admit(path, file.size)) await addFile(collector, path, file);
      }
    }
  };
  await walk(folder, "");
  return collector.finish(folder.name, folder);
}

/** Everything dropped, folders walked through. */
export async function readDrop(items: DataTransferItemList, progress?: Progress): Promise<Opened> {
  const entries = [...items].map((item) => item.webkitGetAsEntry()).filter((entry) => entry !== null);
  const only = entries[0];
  if (entries.length === 1 && only?.isFile && /\.zip$/i.test(only.name)) {
    const file = await fileOf(only as FileSystemFileEntry);
    return readZip(file.name, await bytesOf(file), progress);
  }
  const collector = new Collector(progress);
  const walk = async (entry: FileSystemEntry): Promise<void> => {
    const path = entry.fullPath.replace(/^\//, "");
    if (clutter.test(path)) return;
    if (entry.isDirectory) {
      for (const child of await childrenOf(entry as FileSystemDirectoryEntry)) await walk(child);
      return;
    }
    const file = await fileOf(entry as FileSystemFileEntry);
    if (collector.admit(path, file.size)) await addFile(collector, path, file);
  };
  for (const entry of entries) await walk(entry);
  return collector.finish(only?.name ?? "Site");
}

function fileOf(entry: FileSystemFileEntry): Promise<File> {
  return new Promise((resolve, reject) => entry.file(resolve, reject));
}

async function childrenOf(entry: FileSystemDirectoryEntry): Promise<FileSystemEntry[]> {
  const reader = entry.createReader();
  const all: FileSystemEntry[] = [];
  for (;;) {
    const some = await new Promise<FileSystemEntry[]>((resolve, reject) => reader.readEntries(resolve, reject));
    if (some.length === 0) return all;
    append(all, some);
  }
}

/** A zip; one bad entry never refuses the rest. */
export async function readZip(name: string, bytes: Uint8Array, progress?: Progress): Promise<Opened> {
  const collector = new Collector(progress);
  await readEntries(name, bytes, {
    admit: (path, size) => collector.admit(path, size),
    add: (path, content) => collector.add(path, content),
    refuse: (path, reason) => collector.refused.push({ path, reason }),
    check: () => collector.check(),
  });
  return collector.finish(name.replace(/\.zip$/i, ""));
}

/** Pasted HTML and CSS as a site of two files; the page is linked to the sheet unless it links to one itself. */
export function readPasted(html: string, css: string): Opened {
  const linked = /<link\b[^>]*stylesheet|<style\b/i.test(html);
  const link = '<link rel="stylesheet" href="style.css">\n';
  const head = /<head\b[^>]*>/i.exec(html);
  const at = head ? head.index + head[0].length : 0;
  const page = linked || css.trim() === "" ? html : `${html.slice(0, at)}${head ? "\n" : ""}${link}${html.slice(at)}`;
  const files: SiteFile[] = [{ path: "page.html", text: page }];
  if (css.trim() !== "") files.push({ path: "style.css", text: css });
  return { name: "Pasted page", files: files.map((file) => readFile(file) as StoredFile), refused: [], folder: null };
}
