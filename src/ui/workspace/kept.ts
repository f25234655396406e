/** What is kept with the site beside its files: no step of its history, and never undone. */
import type { FileRecord, SiteRecord } from "@/store/database";
import type * as sites from "@/store/sites";
import type { Desk } from "./state";

/** Where it is kept. */
export type KeptStorage = Pick<typeof sites, "keepFollowing" | "keepFound" | "keepLeft" | "keepTrials" | "noteOnDisk">;

export class Kept {
  constructor(
    private readonly desk: Desk,
    private readonly storage: KeptStorage,
  ) {}

  /** Keeps why a finding is left as it is; null takes that back. */
  async leave(key: string, reason: string | null): Promise<void> {
    const { get, set } = this.desk;
    const { record } = get();
    if (!record) return;
    const left = { ...record.left };
    if (reason === null) delete left[key];
    else left[key] = reason;
    this.note({ left });
    try {
      await this.storage.keepLeft(record.id, key, reason);
    } catch (error) {
      this.note({ left: record.left });
      set({ notice: (error as Error).message });
    }
  }

  /** Keeps the values tried for a row of the slip. */
  async trials(row: string, values: readonly string[]): Promise<void> {
    const { record } = this.desk.get();
    if (!record) return;
    this.note({ trials: { ...record.trials, [row]: [...values] } });
    try {
      await this.storage.keepTrials(record.id, row, values);
    } catch (error) {
      this.desk.set({ notice: (error as Error).message });
    }
  }

  /** Keeps how many errors and warnings there are, for the shelf. */
  async found(found: number): Promise<void> {
    const { record } = this.desk.get();
    if (!record || record.found === found) return;
    this.note({ found });
    await this.storage.keepFound(record.id, found);
  }

  /** Keeps whether the folder is followed, and written through. */
  async following(follows: boolean, writesThrough: boolean): Promise<void> {
    const { record } = this.desk.get();
    if (!record) return;
    this.note({ unfollowed: follows ? undefined : true, writesThrough: writesThrough ? true : undefined });
    await this.storage.keepFollowing(record.id, { follows, writesThrough });
  }

  /** Notes how texts stand in the folder, by path; null for one that is not there. */
  async onDisk(texts: ReadonlyMap<string, string | null>): Promise<void> {
    const { get, set } = this.desk;
    const { record, files, gone } = get();
    if (!record || texts.size === 0) return;
    const noted = (known: ReadonlyMap<string, FileRecord>) =>
      new Map([...known].map(([path, file]) => [path, texts.has(path) ? { ...file, onDisk: texts.get(path)! } : file]));
    set({ files: noted(files), gone: noted(gone) });
    await this.storage.noteOnDisk(record.id, texts);
  }

  private note(part: Partial<SiteRecord>): void {
    const { get, set } = this.desk;
    const { record } = get();
    if (record) set({ record: { ...record, ...part } });
  }
}
