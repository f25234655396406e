import { applyChanges, type TextChange } from "./changes";
import { decodeText, encodeText, type Encoding, type TextKind } from "./encoding";
import { Numbers, PairMap } from "./memo";
import { normalisePath } from "./path";

/** What a site is opened from. Text files that come as bytes are decoded as a browser would. */
export type SiteFile = { path: string; text: string } | { path: string; bytes: Uint8Array };

/** A page or sheet, with what is needed to write it back byte for byte. */
export interface TextFile {
  kind: TextKind;
  path: string;
  text: string;
  encoding: Encoding;
}

/** Anything else of the site: fonts, pictures, scripts. */
export interface BinaryFile {
  kind: "other";
  path: string;
  bytes: Uint8Array;
}

export type StoredFile = TextFile | BinaryFile;

/** A file that could not be taken in, with the reason in plain words. */
export interface RefusedFile {
  path: string;
  reason: string;
}

/**
 * A site: its files and nothing else. Immutable; everything derived is kept beside the file objects,
 * so files that did not change are shared between sites and never read twice.
 */
export interface Site {
  files: ReadonlyMap<string, StoredFile>;
  refused: readonly RefusedFile[];
}

/** What a file is, by the ending of its path. */
export function kindOfPath(path: string): TextKind | "other" {
  if (/\.(?:html?|xhtml)$/i.test(path)) return "html";
  if (/\.css$/i.test(path)) return "css";
  return "other";
}

/** Takes files in; never throws on their contents. A later file with the same path takes the place of an earlier one. */
export function openSite(files: readonly SiteFile[]): Site {
  const stored = new Map<string, StoredFile>();
  const refused: RefusedFile[] = [];
  for (const file of files) {
    const read = readFile(file);
    if ("reason" in read) refused.push(read);
    else stored.set(read.path, read);
  }
  return { files: new Map([...stored].sort(([a], [b]) => (a < b ? -1 : 1))), refused };
}

/** A site from files that were stored before, as `readFile` gave them. */
export function siteOf(files: Iterable<StoredFile>): Site {
  const sorted = [...files].sort((a, b) => (a.path < b.path ? -1 : 1));
  return { files: new Map(sorted.map((file) => [file.path, file])), refused: [] };
}

/** A file as it is kept: text with its encoding, or bytes; refused, with the reason, where it cannot be read. */
export function readFile(file: SiteFile): StoredFile | RefusedFile {
  const path = normalisePath(file.path);
  const kind = kindOfPath(path);
  if ("text" in file) {
    if (kind === "other") return { kind, path, bytes: new TextEncoder().encode(file.text) };
    return { kind, path, text: file.text, encoding: { name: "utf-8", bom: false } };
  }
  if (kind === "other") return { kind, path, bytes: file.bytes };
  const decoded = decodeText(file.bytes, kind);
  return "reason" in decoded ? { path, reason: decoded.reason } : { kind, path, ...decoded };
}

/** The bytes of a file, as it is to be saved: text in its own encoding, byte for byte where nothing was changed. */
export function fileBytes(file: StoredFile): Uint8Array {
  return file.kind === "other" ? file.bytes : encodeText(file.text, file.encoding, file.kind);
}

/** A text file of the site; null when there is none of that path or it is not text. */
export function textFile(site: Site, path: string): TextFile | null {
  const file = site.files.get(path);
  return file && file.kind !== "other" ? file : null;
}

/** The file a changed file comes from, and what was changed; what is kept for the one can be made over for the other. */
export interface FileOrigin {
  file: TextFile;
  changes: readonly TextChange[];
}

const origins = new WeakMap<TextFile, FileOrigin>();

/** Of which version a file was made, by which changes; null for a file as it was opened. */
export function originOf(file: TextFile): FileOrigin | null {
  return origins.get(file) ?? null;
}

/** Each site as it was changed last: what is planned, tried, shown, painted and written is one and the same. */
const changedLast = new WeakMap<Site, Map<string, Site>>();
/** Changes of a site that are kept: a value that is shown and those on trial beside it. */
const mostKept = 8;

/** The site with its texts changed. @throws RangeError when a change does not fit its file. */
export function changeSite(site: Site, changes: readonly TextChange[]): Site {
  if (changes.length === 0) return site;
  const key = JSON.stringify(changes);
  const kept = changedLast.get(site) ?? new Map<string, Site>();
  changedLast.set(site, kept);
  const changed = kept.get(key) ?? withChanges(site, changes);
  // Those asked for last stay.
  kept.delete(key);
  kept.set(key, changed);
  if (kept.size > mostKept) kept.delete(kept.keys().next().value!);
  return changed;
}

function withChanges(site: Site, changes: readonly TextChange[]): Site {
  const byPath = groupByPath(changes);
  const files = new Map(site.files);
  for (const [path, own] of byPath) {
    const file = textFile(site, path);
    if (!file) throw new RangeError(`There is no page or style sheet at ${path}.`);
    const changed: TextFile = { ...file, text: applyChanges(file.text, own) };
    origins.set(changed, { file, changes: own });
    files.set(path, changed);
  }
  return { files, refused: site.refused };
}

/** A file put into the site, or taken out of it; null where it is not. */
export interface FileChange {
  path: string;
  before: StoredFile | null;
  after: StoredFile | null;
}

/** The same site with files put in and taken out. */
export function withFiles(site: Site, changes: readonly FileChange[]): Site {
  if (changes.length === 0) return site;
  const files = new Map(site.files);
  for (const { path, after } of changes) {
    if (after) files.set(path, after);
    else files.delete(path);
  }
  return { files, refused: site.refused };
}

/** What takes changes of files back, last first. */
export function invertFiles(changes: readonly FileChange[]): FileChange[] {
  return changes.toReversed().map(({ path, before, after }) => ({ path, before: after, after: before }));
}

function groupByPath(changes: readonly TextChange[]): Map<string, TextChange[]> {
  const groups = new Map<string, TextChange[]>();
  for (const change of changes) groups.set(change.path, [...(groups.get(change.path) ?? []), change]);
  return groups;
}

const compared = new PairMap<Uint8Array, Uint8Array, boolean>();

/** Whether bytes are equal; of two that were compared it is known. */
export function sameBytes(a: Uint8Array, b: Uint8Array): boolean {
  if (a === b) return true;
  if (a.length !== b.length) return false;
  return compared.of(a, b, () => {
    for (let at = 0; at < a.length; at += 1) if (a[at] !== b[at]) return false;
    return true;
  });
}

/** Whether two files hold the same text, or the same bytes. */
export function sameContents(a: StoredFile, b: StoredFile): boolean {
  if (a.kind === "other" || b.kind === "other") return a.kind === b.kind && sameBytes(fileBytes(a), fileBytes(b));
  return a.text === b.text;
}

const numbers = new Numbers<BinaryFile>();
const keys = new WeakMap<Site["files"], string>();

/** Equal for sites that have files at the same paths, and the same files wherever those are no text. */
export function filesKey({ files }: Site): string {
  let key = keys.get(files);
  if (key === undefined) {
    key = [...files].map(([path, file]) => (file.kind === "other" ? `${path} ${numbers.of(file)}` : path)).join("\n");
    keys.set(files, key);
  }
  return key;
}

/** The pages of a site, in the order of its files. */
export function pagesOf(site: Site): TextFile[] {
  return [...site.files.values()].filter((file): file is TextFile => file.kind === "html");
}

/** The style sheets of a site, in the order of its files. */
export function sheetsOf(site: Site): TextFile[] {
  return [...site.files.values()].filter((file): file is TextFile => file.kind === "css");
}
