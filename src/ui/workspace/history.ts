/** The files of the site and their history: edits are written one after the other, and nothing that is not stored is lost. */
import type { Conditions, Edit, ElementRef, FileChange, StoredFile } from "@/core";
import type { PlanResult } from "@/engine/protocol";
import type { FileRecord } from "@/store/database";
import type * as sites from "@/store/sites";
import { FullError } from "@/store/failures";
import { ConflictError, fileWith, type LoadedSite } from "@/store/sites";
import { changedFiles, Pending, type Changed } from "./pending";
import type { Desk, FontToAdd, Rehearsal } from "./state";

/** Where sites are kept. */
export type Storage = Pick<
  typeof sites,
  | "addSite"
  | "keepFollowing"
  | "keepFound"
  | "keepLeft"
  | "keepTrials"
  | "loadSite"
  | "moveInHistory"
  | "noteOnDisk"
  | "writeStep"
>;

/** Who shows the site. */
export interface HistoryOwner {
  /** The engine has the files as they are now: all that is shown is shown anew. @param written what was rehearsed before it was written */
  changed(written: Rehearsal | null): Promise<void>;
  /** The site was read again as another window left it. */
  reread(): Promise<void>;
  /** An edit is going to be written: nothing else is rehearsed from now on. */
  settleRehearsals(edit: Edit): Promise<void>;
}

const stillHere = "What you see is still here: export it before you close this window.";

export function createHistory({ engine, get, set, renew }: Desk, storage: Storage, owner: HistoryOwner) {
  /** Edits are carried out one after the other. */
  let queue: Promise<unknown> = Promise.resolve();
  const pending = new Pending();
  /** Why what is pending is not stored, while it is said. */
  let unsavedReason: string | null = null;

  const inTurn = <Result>(work: () => Promise<Result>): Promise<Result> => {
    const next = queue.then(work, work);
    queue = next.catch(() => undefined);
    return next;
  };

  const saved = () => set({ save: { kind: "saved", time: get().record!.changed } });

  const sayUnsaved = (reason: string) => {
    unsavedReason = reason;
    set({ save: { kind: "unsaved", reason }, notice: reason });
  };

  const store = () =>
    pending.store(async (step) => {
      const { id, revision } = get().record!;
      const { record } = await storage.writeStep({ site: id, revision }, step);
      set({ record, redoable: 0, save: { kind: "saved", time: record.changed } });
      // What was said of it is not true any more.
      if (get().notice === unsavedReason) set({ notice: null });
      unsavedReason = null;
    });

  const changeFiles = (changed: Changed) => {
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
  };

  const commit = async ({ changes, files }: Changed) => {
    const { picked } = get();
    const now = await engine.commit([...changes], [...files], picked);
    // What was picked stays picked, wherever it stands among the elements by now.
    if (picked && get().picked === picked) set({ picked: now, conditions: followedIn(get().conditions, picked, now) });
    renew();
  };

  const change = async (changed: Changed, written: Rehearsal | null = null) => {
    changeFiles(changed);
    await commit(changed);
    await owner.changed(written);
  };

  const takeIn = async ({ record, files, gone, steps }: LoadedSite) => {
    pending.read(files.map(({ file }) => file));
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
  };

  /** @returns false where there is no such site @param found while the engine takes the files in */
  const read = async (id: string, found: () => void = () => undefined): Promise<boolean> => {
    const loaded = await storage.loadSite(id);
    if (!loaded) {
      set({ status: "missing" });
      return false;
    }
    const taken = takeIn(loaded);
    found();
    await taken;
    return true;
  };

  const notStored = async (error: unknown) => {
    if (error instanceof ConflictError) {
      const told = !pending.isEmpty;
      await catchUp();
      if (!told) set({ notice: error.message });
    } else {
      const { message } = error as Error;
      // Of a full storage it is said by itself what can be done.
      sayUnsaved(error instanceof FullError ? message : `It could not be saved. ${message} ${stillHere}`);
    }
  };

  const catchUp = async () => {
    const { record } = get();
    if (!record) return;
    const loaded = await storage.loadSite(record.id);
    if (!loaded || pending.isEmpty) {
      if (!(await read(record.id))) return;
    } else if (!(await putUpon(loaded))) return;
    await owner.reread();
  };

  /** Puts what is not stored yet upon what another window stored, or keeps it aside. False when neither was possible. */
  const putUpon = async (loaded: LoadedSite): Promise<boolean> => {
    const step = pending.upon(loaded.files.map(({ file }) => file));
    if (!step) return keepAside(loaded);
    await takeIn(loaded);
    if (step.changes.length === 0 && step.files.length === 0) return true;
    changeFiles(step);
    await commit(step);
    pending.add(step);
    set({ save: { kind: "saving" } });
    try {
      await store();
      set({ notice: "Another window changed this site. What was not saved here was put upon it and is saved now." });
    } catch (error) {
      await notStored(error);
    }
    return true;
  };

  /** Both changed the same place: what is here becomes a site of its own, so that neither is lost. */
  const keepAside = async (loaded: LoadedSite): Promise<boolean> => {
    const name = `${loaded.record.name}, not saved in time`;
    try {
      const files = [...get().files.values()].map(({ file }) => file);
      await storage.addSite({ name, files, refused: [], folder: null });
    } catch (error) {
      const reason = `Another window changed the same place, and what is here could not be kept aside: ${(error as Error).message} Export it before you close this window.`;
      sayUnsaved(reason);
      return false;
    }
    await takeIn(loaded);
    set({
      notice: `Another window changed the same place. What was not saved here is kept on the shelf as \u201c${name}\u201d; the site is shown as the other window left it.`,
    });
    return true;
  };

  const move = (direction: "undo" | "redo") =>
    inTurn(async () => {
      if (!get().record) return;
      set({ save: { kind: "saving" } });
      try {
        await store();
        const { id, revision } = get().record!;
        const moved = await storage.moveInHistory({ site: id, revision }, direction);
        if (moved) {
          pending.moved(moved);
          set({ record: moved.record, redoable: get().redoable + (direction === "undo" ? 1 : -1) });
          await change(moved);
        }
        saved();
      } catch (error) {
        const back = direction === "undo" && !(error instanceof ConflictError) ? pending.takeBack() : null;
        if (!back) return notStored(error);
        await change(back);
        if (pending.isEmpty) saved();
        else await notStored(error);
      }
    });

  const write = (edit: Edit, label: string, files: readonly FileChange[] = []): Promise<PlanResult> =>
    inTurn(async () => {
      await owner.settleRehearsals(edit);
      const { rehearsal, files: known, record } = get();
      // What is shown is what is written.
      const isPlanned = rehearsal?.files === known && JSON.stringify(rehearsal.edit) === JSON.stringify(edit);
      const result = isPlanned ? rehearsal.result : await engine.plan(edit, get().conditions, get().page);
      if (!result.plan || !record || (result.plan.changes.length === 0 && files.length === 0)) {
        set({ rehearsal: null, reach: null });
        return result;
      }
      const { changes } = result.plan;
      set({ save: { kind: "saving" } });
      await change({ changes, files }, isPlanned ? rehearsal : null);
      pending.add({ label, changes, files });
      try {
        await store();
      } catch (error) {
        await notStored(error);
      }
      return result;
    });

  return {
    inTurn,
    read,
    write,
    undo: () => move("undo"),
    redo: () => move("redo"),
    catchUp: () => inTurn(catchUp),

    fontToAdd: async (name: string, bytes: Uint8Array): Promise<FontToAdd> => {
      const nothing = { family: "", changes: [], files: [] };
      const checked = await engine.checkFont(bytes);
      if (checked.problem) return { ...nothing, problem: checked.problem };
      const path = `fonts/${name.replace(/[^\w.-]+/g, "-")}`;
      if (get().files.has(path)) return { ...nothing, problem: `The site has a file ${path} already.` };
      const { changes, problem } = await engine.declareFont(path, bytes, checked.family);
      const after: StoredFile = { kind: "other", path, bytes };
      return { family: checked.family, changes, files: [{ path, before: null, after }], problem };
    },

    /** Keeps why a finding is left as it is; null takes that back. */
    leave: async (key: string, reason: string | null): Promise<void> => {
      const { record } = get();
      if (!record) return;
      const left = { ...record.left };
      if (reason === null) delete left[key];
      else left[key] = reason;
      set({ record: { ...record, left } });
      try {
        await storage.keepLeft(record.id, key, reason);
      } catch (error) {
        set({ record: get().record && { ...get().record!, left: record.left }, notice: (error as Error).message });
      }
    },

    /** Notes how texts stand in the folder, by path; null for one that is not there. */
    noteOnDisk: async (texts: ReadonlyMap<string, string | null>): Promise<void> => {
      const { record, files, gone } = get();
      if (!record || texts.size === 0) return;
      const noted = (known: ReadonlyMap<string, FileRecord>) =>
        new Map(
          [...known].map(([path, file]) => [path, texts.has(path) ? { ...file, onDisk: texts.get(path)! } : file]),
        );
      set({ files: noted(files), gone: noted(gone) });
      await storage.noteOnDisk(record.id, texts);
    },

    /** Keeps whether the folder is followed, and written through. */
    keepFollowing: async (follows: boolean, writesThrough: boolean): Promise<void> => {
      const { record } = get();
      if (!record) return;
      const kept = { ...record };
      delete kept.unfollowed;
      delete kept.writesThrough;
      set({
        record: { ...kept, ...(!follows && { unfollowed: true }), ...(writesThrough && { writesThrough: true }) },
      });
      await storage.keepFollowing(record.id, { follows, writesThrough });
    },

    /** Keeps how many errors and warnings there are, for the shelf. */
    keepFound: async (found: number): Promise<void> => {
      const { record } = get();
      if (!record || record.found === found) return;
      set({ record: { ...record, found } });
      await storage.keepFound(record.id, found);
    },

    /** Keeps the values tried for a row of the slip with the site. */
    keepTrials: async (row: string, values: readonly string[]): Promise<void> => {
      const { record } = get();
      if (!record) return;
      set({ record: { ...record, trials: { ...record.trials, [row]: [...values] } } });
      try {
        await storage.keepTrials(record.id, row, values);
      } catch (error) {
        set({ notice: (error as Error).message });
      }
    },
  };
}

/** A state that is forced on what is picked is forced on it where it is then. */
function followedIn(conditions: Conditions, picked: ElementRef, now: ElementRef | null): Conditions {
  const states = conditions.forced[picked.page]?.[picked.index];
  if (!states || picked.index === now?.index) return conditions;
  return { ...conditions, forced: now ? { [now.page]: { [now.index]: states } } : {} };
}
