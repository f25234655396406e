/** Edits made here that are not stored yet, and the files as they are stored: what is written is never written blindly. */
import {
  append,
  applyChanges,
  invertChanges,
  invertFiles,
  rebased,
  type FileChange,
  type StoredFile,
  type TextChange,
} from "@/core";
import type { Written } from "@/store/sites";

/** Changes of texts and of files as wholes. */
export type Changed = Pick<Written, "changes" | "files">;

type Files = ReadonlyMap<string, StoredFile>;

const textOf = (file: StoredFile | null | undefined) => (file && file.kind !== "other" ? file.text : "");

/** Files with a step made: first those put in and taken out, then the texts. */
export function changedFiles(files: Files, { changes, files: moved }: Changed): Map<string, StoredFile> {
  const result = new Map(files);
  for (const { path, after } of moved) {
    if (after) result.set(path, after);
    else result.delete(path);
  }
  for (const path of new Set(changes.map((change) => change.path))) {
    const file = result.get(path);
    if (!file || file.kind === "other") continue;
    const own = changes.filter((change) => change.path === path);
    result.set(path, { ...file, text: applyChanges(file.text, own) });
  }
  return result;
}

export class Pending {
  private steps: Written[] = [];
  private stored: Files = new Map();

  /** The files were read as they are stored. */
  read(files: readonly StoredFile[]): void {
    this.steps = [];
    this.stored = new Map(files.map((file) => [file.path, file]));
  }

  get isEmpty(): boolean {
    return this.steps.length === 0;
  }

  add(step: Written): void {
    this.steps.push(step);
  }

  /** Writes one step after the other, oldest first; what cannot be written stays, and what writing threw is thrown. */
  async store(write: (step: Written) => Promise<void>): Promise<void> {
    for (let next = this.steps[0]; next; next = this.steps[0]) {
      await write(next);
      this.steps.shift();
      this.moved(next);
    }
  }

  /** Takes the last step away; what takes it back, null where nothing is pending. */
  takeBack(): Changed | null {
    const step = this.steps.pop();
    if (!step) return null;
    const before = changedFiles(this.now(), { changes: [], files: step.files });
    const changes = [...new Set(step.changes.map(({ path }) => path))].flatMap((path) =>
      invertChanges(
        textOf(before.get(path)),
        step.changes.filter((change) => change.path === path),
      ),
    );
    return { changes, files: invertFiles(step.files) };
  }

  /** The files with all that is pending. */
  private now(): Files {
    return this.steps.reduce<Files>(changedFiles, this.stored);
  }

  /** What is stored was changed from here. */
  moved(step: Changed): void {
    this.stored = changedFiles(this.stored, step);
  }

  /**
   * All that is pending, as one step upon files that another window stored meanwhile.
   * Null where both changed the same place, or a file is gone or came from both.
   */
  upon(stored: readonly StoredFile[]): Written | null {
    const theirs = new Map(stored.map((file) => [file.path, file]));
    const now = this.now();
    const files: FileChange[] = [];
    for (const path of new Set(this.steps.flatMap((step) => step.files.map((change) => change.path)))) {
      const [before, after] = [this.stored.get(path) ?? null, now.get(path) ?? null];
      if (before === after) continue;
      if ((before === null) !== !theirs.has(path)) return null;
      files.push({ path, before, after });
    }
    const changes: TextChange[] = [];
    const put = new Set(files.map(({ path }) => path));
    for (const path of new Set(this.steps.flatMap((step) => step.changes.map((change) => change.path)))) {
      if (put.has(path)) continue;
      const [base, there] = [this.stored.get(path), theirs.get(path)];
      if (!base || !there) return null;
      const moved = rebased(path, textOf(base), textOf(now.get(path)), textOf(there));
      if (!moved) return null;
      append(changes, moved);
    }
    return { label: this.steps.map(({ label }) => label).join("; "), changes, files };
  }
}
