/** The files of the site and their history: edits are written one after the other, and nothing that is not stored is lost. */
import type { Conditions, Edit, ElementRef, FileChange } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import type { FileRecord } from "@/store/database";
import type * as sites from "@/store/sites";
import { FullError } from "@/store/failures";
import { ConflictError, fileWith, type LoadedSite } from "@/store/sites";
import { changedFiles, Pending, type Changed } from "./pending";
import type { Desk, Rehearsal } from "./state";

/** Where sites are kept. */
export type FileStorage = Pick<typeof sites, "addSite" | "loadSite" | "moveInHistory" | "writeStep">;

/** Who shows the site. */
export interface HistoryOwner {
  /** The engine has the files as they are now: all that is shown is shown anew. @param written what was rehearsed before it was written */
  changed(written: Rehearsal | null): Promise<void>;
  /** The site was read again as another window left it. */
  reread(): Promise<void>;
  /** An edit is going to be written: nothing else is rehearsed from now on. */
  settleRehearsals(edit: Edit): Promise<void>;
  /** It was not. */
  notWritten(): void;
}

const stillHere = "What you see is still here: export it before you close this window.";

export class SiteHistory {
  /** Edits are carried out one after the other. */
  private queue: Promise<unknown> = Promise.resolve();
  private readonly pending = new Pending();
  /** Why what is pending is not stored, while it is said. */
  private unsavedReason: string | null = null;

  constructor(
    private readonly desk: Desk,
    private readonly storage: FileStorage,
    private readonly owner: HistoryOwner,
  ) {}

  inTurn<Result>(work: () => Promise<Result>): Promise<Result> {
    const next = this.queue.then(work, work);
    this.queue = next.catch(() => undefined);
    return next;
  }

  /** @returns false where there is no such site @param found while the engine takes the files in */
  async read(id: string, found: () => void = () => undefined): Promise<boolean> {
    const loaded = await this.storage.loadSite(id);
    if (!loaded) {
      this.desk.set({ status: "missing" });
      return false;
    }
    const taken = this.takeIn(loaded);
    found();
    await taken;
    return true;
  }

  write(edit: Edit, label: string, files: readonly FileChange[] = []): Promise<PlanResult> {
    const { engine, get, set } = this.desk;
    return this.inTurn(async () => {
      await this.owner.settleRehearsals(edit);
      const { rehearsal, files: known, record } = get();
      // What is shown is what is written.
      const isPlanned = rehearsal?.files === known && JSON.stringify(rehearsal.edit) === JSON.stringify(edit);
      const result = isPlanned ? rehearsal.result : await engine.plan(edit, get().conditions, get().page);
      if (!result.plan || !record || (result.plan.changes.length === 0 && files.length === 0)) {
        set({ rehearsal: null, reach: null });
        this.owner.notWritten();
        return result;
      }
      const { changes } = result.plan;
      set({ save: { kind: "saving" } });
      await this.change({ changes, files }, isPlanned ? rehearsal : null);
      this.pending.add({ label, changes, files });
      await this.storeOrSay();
      return result;
    });
  }

  /** Takes back what was written last, or writes it again. */
  move(direction: "undo" | "redo"): Promise<void> {
    const { get, set } = this.desk;
    return this.inTurn(async () => {
      if (!get().record) return;
      set({ save: { kind: "saving" } });
      try {
        await this.store();
        const { id, revision } = get().record!;
        const moved = await this.storage.moveInHistory({ site: id, revision }, direction);
        if (moved) {
          this.pending.moved(moved);
          set({ record: moved.record, redoable: get().redoable + (direction === "undo" ? 1 : -1) });
          await this.change(moved);
        }
        this.saved();
      } catch (error) {
        const back = direction === "undo" && !(error instanceof ConflictError) ? this.pending.takeBack() : null;
        if (!back) return this.notStored(error);
        await this.change(back);
        if (this.pending.isEmpty) this.saved();
        else await this.notStored(error);
      }
    });
  }

  /** Reads the site again after another window has written. */
  catchUp(): Promise<void> {
    return this.inTurn(() => this.readAgain());
  }

  private saved(): void {
    const { get, set } = this.desk;
    set({ save: { kind: "saved", time: get().record!.changed } });
  }

  private sayUnsaved(reason: string): void {
    this.unsavedReason = reason;
    this.desk.set({ save: { kind: "unsaved", reason }, notice: reason });
  }

  private store(): Promise<void> {
    const { get, set } = this.desk;
    return this.pending.store(async (step) => {
      const { id, revision } = get().record!;
      const { record } = await this.storage.writeStep({ site: id, revision }, step);
      set({ record, redoable: 0, save: { kind: "saved", time: record.changed } });
      // What was said of it is not true any more.
      if (get().notice === this.unsavedReason) set({ notice: null });
      this.unsavedReason = null;
    });
  }

  private async storeOrSay(): Promise<boolean> {
    try {
      await this.store();
      return true;
    } catch (error) {
      await this.notStored(error);
      return false;
    }
  }

  private async notStored(error: unknown): Promise<void> {
    if (error instanceof ConflictError) {
      const told = !this.pending.isEmpty;
      await this.readAgain();
      if (!told) this.desk.set({ notice: error.message });
    } else {
      const { message } = error as Error;
      // Of a full storage it is said by itself what can be done.
      this.sayUnsaved(error instanceof FullError ? message : `It could not be saved. ${message} ${stillHere}`);
    }
  }

  private async change(changed: Changed, written: Rehearsal | null = null): Promise<void> {
    this.changeFiles(changed);
    await this.commit(changed);
    await this.owner.changed(written);
  }

  private changeFiles(changed: Changed): void {
    const { get, set } = this.desk;
    const { files: known, gone } = get();
    const stored = new Map([...known].map(([path, { file }]) => [path, file]));
    const files = new Map<string, FileRecord>();
    for (const [path, file] of changedFiles(stored, changed)) {
      const record = known.get(path);
      const site = get().record!.id;
      files.set(path, record?.file === file ? record : fileWith(record ?? gone.get(path), { site, path, file }));
    }
    const out = [...known.values(), ...gone.values()].filter(({ path, added }) => !added && !files.has(path));
    set({ files, gone: new Map(out.map((record) => [record.path, record])) });
  }

  private async commit({ changes, files }: Changed): Promise<void> {
    const { engine, get, set, renew } = this.desk;
    const { picked } = get();
    const now = await engine.commit([...changes], [...files], picked);
    // What was picked stays picked, wherever it stands among the elements by now.
    if (picked && get().picked === picked) set({ picked: now, conditions: followedIn(get().conditions, picked, now) });
    renew();
  }

  private async takeIn({ record, files, gone, steps }: LoadedSite): Promise<void> {
    const { engine, set, renew } = this.desk;
    this.pending.read(files.map(({ file }) => file));
    const opened = engine.open(files.map(({ file }) => file));
    // What is asked from now on is asked of these files.
    renew();
    set({
      record,
      files: new Map(files.map((file) => [file.path, file])),
      gone: new Map(gone.map((file) => [file.path, file])),
      redoable: steps.length - record.cursor,
      save: { kind: "saved", time: record.changed },
    });
    await opened;
  }

  private async readAgain(): Promise<void> {
    const { record } = this.desk.get();
    if (!record) return;
    const loaded = await this.storage.loadSite(record.id);
    if (!loaded || this.pending.isEmpty) {
      if (!(await this.read(record.id))) return;
    } else if (!(await this.putUpon(loaded))) return;
    await this.owner.reread();
  }

  /** Puts what is not stored yet upon what another window stored, or keeps it aside. False when neither was possible. */
  private async putUpon(loaded: LoadedSite): Promise<boolean> {
    const { set } = this.desk;
    const step = this.pending.upon(loaded.files.map(({ file }) => file));
    if (!step) return this.keepAside(loaded);
    await this.takeIn(loaded);
    if (step.changes.length === 0 && step.files.length === 0) return true;
    this.changeFiles(step);
    await this.commit(step);
    this.pending.add(step);
    set({ save: { kind: "saving" } });
    if (await this.storeOrSay())
      set({ notice: "Another window changed this site. What was not saved here was put upon it and is saved now." });
    return true;
  }

  /** Both changed the same place: what is here becomes a site of its own, so that neither is lost. */
  private async keepAside(loaded: LoadedSite): Promise<boolean> {
    const { get, set } = this.desk;
    const name = `${loaded.record.name}, not saved in time`;
    try {
      const files = [...get().files.values()].map(({ file }) => file);
      await this.storage.addSite({ name, files, refused: [], folder: null });
    } catch (error) {
      const reason = `Another window changed the same place, and what is here could not be kept aside: ${(error as Error).message} Export it before you close this window.`;
      this.sayUnsaved(reason);
      return false;
    }
    await this.takeIn(loaded);
    set({
      notice: `Another window changed the same place. What was not saved here is kept on the shelf as \u201c${name}\u201d; the site is shown as the other window left it.`,
    });
    return true;
  }
}

/** A state that is forced on what is picked is forced on it where it is then. */
function followedIn(conditions: Conditions, picked: ElementRef, now: ElementRef | null): Conditions {
  const states = conditions.forced[picked.page]?.[picked.index];
  if (!states || picked.index === now?.index) return conditions;
  return { ...conditions, forced: now ? { [now.page]: { [now.index]: states } } : {} };
}
