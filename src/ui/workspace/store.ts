"use client";

/** One open site as the interface holds it. The files' text is the state; everything else is asked of the engine. */
import { proxy, type Remote } from "comlink";
import { createStore } from "zustand/vanilla";
import {
  applyChanges,
  defaultConditions,
  type Conditions,
  type Edit,
  type ElementRef,
  type PageLayout,
  type Plan,
  type Slip,
  type TextChange,
} from "@/core";
import type { Engine, PagePatch, PageView, PlanResult, SiteSummary } from "@/engine/protocol";
import { EngineError } from "@/engine/client";
import type { MakePicture } from "@/preview/paint";
import type { FileRecord, SiteRecord } from "@/store/database";
import {
  addFile,
  addSite,
  ConflictError,
  FullError,
  keepTrials,
  loadSite,
  moveInHistory,
  writeStep,
  type LoadedSite,
} from "@/store/sites";
import { OpenError } from "@/store/limits";
import { Pending } from "./pending";

export type SaveState = { kind: "saved"; time: number } | { kind: "saving" } | { kind: "unsaved"; reason: string };

/** A change that is shown on the page but not written. */
export interface Rehearsal {
  edit: Edit;
  /** The site's files that it was planned for. */
  files: Workspace["files"];
  result: PlanResult;
  plan: Plan;
  patch: PagePatch;
}

export interface Workspace {
  status: "loading" | "ready" | "missing";
  record: SiteRecord | null;
  files: ReadonlyMap<string, FileRecord>;
  /** Steps that can be redone. */
  redoable: number;
  conditions: Conditions;
  summary: SiteSummary | null;
  /** How many pages are looked at, while that takes noticeably long. */
  reading: { done: number; of: number } | null;
  page: string | null;
  view: PageView | null;
  /** Counts up when the frame has to be built anew. */
  viewNumber: number;
  picked: ElementRef | null;
  slip: Slip | null;
  /** Places a choice would touch, marked on the page before anything is written. */
  reach: readonly ElementRef[] | null;
  rehearsal: Rehearsal | null;
  /** The place in the source that was asked for; the rule to write to is shown when it is null. */
  source: SourcePlace | null;
  words: PickedWords | null;
  save: SaveState;
  notice: string | null;
  unstyled: boolean;
  /** Families that come with the site and are loaded for specimens. */
  ownFamilies: readonly string[];
  /** Counts up whenever what the engine answers about the site may be another: a change, a layout, a font. */
  edition: number;
}

/** Words picked inside a text. */
export interface PickedWords {
  ref: ElementRef;
  /** Counts the element's own text nodes. */
  node: number;
  start: number;
  end: number;
  text: string;
}

export interface SourcePlace {
  path: string;
  offset: number;
}

export interface WorkspaceActions {
  load(id: string, page: string | null): Promise<void>;
  openPage(path: string): Promise<void>;
  pick(ref: ElementRef | null): Promise<void>;
  setConditions(conditions: Partial<Conditions>): Promise<void>;
  setUnstyled(unstyled: boolean): void;
  /** Takes in what the page that is shown tells of what lies under its texts. */
  layOut(layout: PageLayout, whole: boolean): Promise<void>;
  /** The address of a picture of the page as it is shown. */
  picture: MakePicture;
  showReach(places: readonly ElementRef[] | null): void;
  showSource(place: SourcePlace): void;
  pickWords(words: PickedWords | null): void;
  /** Plans an edit and shows it on the page without writing; null takes it off again. */
  rehearse(edit: Edit | null): Promise<PlanResult>;
  write(edit: Edit, label: string): Promise<PlanResult>;
  /** Takes a font file into the site; the changes that declare it, to be looked at and written. */
  addFont(name: string, bytes: Uint8Array): Promise<{ family: string; changes: TextChange[]; problem: string | null }>;
  /** Keeps the values tried for a row of the slip with the site. */
  keepTrials(row: string, values: readonly string[]): void;
  fontsLoaded(families: readonly string[]): void;
  /** The pages that are not shown were laid out: what is counted over the site is counted anew. */
  surveyed(): void;
  undo(): Promise<void>;
  redo(): Promise<void>;
  /** Reads the site again after another window has written. */
  catchUp(): Promise<void>;
  /** The engine ended and was started anew: all is asked again. */
  restarted(): void;
  /** Something was not done that nobody waited for: it is said. */
  failed(error: unknown): void;
  dismissNotice(): void;
  stopReading(): void;
  renamed(name: string): void;
}

/** Work that takes longer than this says how far it is, in milliseconds. */
const noticeable = 300;

export type WorkspaceStore = ReturnType<typeof createWorkspace>;

const initial: Workspace = {
  status: "loading",
  record: null,
  files: new Map(),
  redoable: 0,
  conditions: defaultConditions,
  summary: null,
  reading: null,
  page: null,
  view: null,
  viewNumber: 0,
  picked: null,
  slip: null,
  reach: null,
  rehearsal: null,
  source: null,
  words: null,
  save: { kind: "saving" },
  notice: null,
  unstyled: false,
  ownFamilies: [],
  edition: 0,
};

/** What an error says to people; of those that were not foreseen, only that there was one. */
function inWords(error: unknown): string {
  const foreseen = [EngineError, FullError, ConflictError, OpenError].some((kind) => error instanceof kind);
  return foreseen
    ? (error as Error).message
    : "Something did not work here. Your files are as they were; if it happens again, export them and open the site anew.";
}

const textsOf = (files: readonly FileRecord[]): Map<string, string> =>
  new Map(files.flatMap(({ path, file }) => (file.kind === "other" ? [] : [[path, file.text] as const])));

const dressOf = ({ sheets, overrides, states }: Omit<PagePatch, "document">) => ({ sheets, overrides, states });

/** Whether a page has the same sheets, and the same put on its elements. */
function isDressedAs(a: Omit<PagePatch, "document">, b: Omit<PagePatch, "document">): boolean {
  return a.structure === b.structure && JSON.stringify(dressOf(a)) === JSON.stringify(dressOf(b));
}

export function createWorkspace(engine: Remote<Engine>) {
  return createStore<Workspace & WorkspaceActions>((set, get) => {
    /** Edits are carried out one after the other. */
    let queue: Promise<unknown> = Promise.resolve();
    /** Only the last of several rehearsals asked for at once is shown. */
    let rehearsals = 0;
    let picks = 0;
    /** Only the page opened last is shown. */
    let openings = 0;
    const pending = new Pending();

    const store = () =>
      pending.store(async ({ label, changes }) => {
        const { id, revision } = get().record!;
        const { record } = await writeStep({ site: id, revision }, label, changes);
        set({ record, redoable: 0, save: { kind: "saved", time: record.changed } });
        // What was said of it is not true any more.
        if (get().notice === unsavedReason) set({ notice: null });
        unsavedReason = null;
      });

    /** Why what is pending is not stored, while it is said. */
    let unsavedReason: string | null = null;
    const sayUnsaved = (reason: string) => {
      unsavedReason = reason;
      set({ save: { kind: "unsaved", reason }, notice: reason });
    };

    /** What was asked about the site is asked anew. */
    const renew = () => set({ edition: get().edition + 1 });

    const inTurn = <Result>(work: () => Promise<Result>): Promise<Result> => {
      const next = queue.then(work, work);
      queue = next.catch(() => undefined);
      return next;
    };

    const refreshSlip = async () => {
      const { picked, conditions } = get();
      const mine = (picks += 1);
      const slip = picked ? await engine.slip(picked, conditions) : null;
      if (mine === picks) set({ slip, picked: slip ? picked : null });
    };

    const refreshSummary = async () => {
      const started = performance.now();
      const report = proxy((done: number, of: number) => {
        if (performance.now() - started > noticeable) set({ reading: done < of ? { done, of } : null });
      });
      const summary = await engine.summary(get().conditions, report);
      if (summary) set({ summary, reading: null });
    };

    const patchView = (patch: PagePatch) => {
      const { view, viewNumber, rehearsal } = get();
      if (!view) return;
      const { document, ...rest } = patch;
      // What is dressed as it was is not looked at anew.
      const dress = [rehearsal?.patch, view].find((known) => known && isDressedAs(known, rest));
      const now = dress ? { ...rest, ...dressOf(dress) } : rest;
      set(document ? { view: { ...now, document }, viewNumber: viewNumber + 1 } : { view: { ...view, ...now } });
    };

    /** Whether the page, the conditions and the files are those that something was asked for. */
    const isStill = ({ page, conditions, files }: Pick<Workspace, "page" | "conditions" | "files">) => {
      const now = get();
      return now.page === page && now.conditions === conditions && now.files === files;
    };

    /** Asks for the page as it is now; an answer that comes when it is another is dropped. */
    const refreshView = async () => {
      const asked = get();
      if (!asked.page || !asked.view) return;
      const patch = await engine.patch(asked.page, asked.view.structure, asked.conditions);
      if (isStill(asked)) patchView(patch);
    };

    const afterChange = async (changes: readonly TextChange[]) => {
      await engine.commit([...changes]);
      renew();
      await refreshView();
      set({ rehearsal: null, reach: null, words: null });
      void refreshSummary();
      await refreshSlip();
    };

    const changeFiles = (changes: readonly TextChange[]) => {
      const files = new Map(get().files);
      for (const path of new Set(changes.map((change) => change.path))) {
        const known = files.get(path);
        if (!known || known.file.kind === "other") continue;
        const own = changes.filter((change) => change.path === path);
        files.set(path, { ...known, file: { ...known.file, text: applyChanges(known.file.text, own) } });
      }
      set({ files });
    };

    const readFrom = async (id: string): Promise<boolean> => {
      const loaded = await loadSite(id);
      if (!loaded) {
        set({ status: "missing" });
        return false;
      }
      await takeIn(loaded);
      return true;
    };

    const takeIn = async ({ record, files, steps }: LoadedSite) => {
      pending.read(textsOf(files));
      await engine.open(files.map(({ file }) => file));
      renew();
      set({
        record,
        files: new Map(files.map((file) => [file.path, file])),
        redoable: steps.length - record.cursor,
        save: { kind: "saved", time: record.changed },
      });
    };

    const failed = async (error: unknown) => {
      if (error instanceof ConflictError) {
        const told = !pending.isEmpty;
        await catchUp();
        if (!told) set({ notice: error.message });
      } else {
        const reason =
          error instanceof FullError ? error.message : `It could not be saved: ${(error as Error).message}`;
        sayUnsaved(reason);
      }
    };

    const catchUp = async () => {
      const { record } = get();
      if (!record) return;
      const loaded = await loadSite(record.id);
      if (!loaded || pending.isEmpty) {
        if (!(await readFrom(record.id))) return;
      } else if (!(await putUpon(loaded))) return;
      // What was picked meanwhile stays picked.
      const { page, picked } = get();
      if (page) await openPage(page);
      if (picked) await get().pick(picked);
      await refreshSummary();
    };

    /** Puts what is not stored yet upon what another window stored, or keeps it aside. False when neither was possible. */
    const putUpon = async (loaded: LoadedSite): Promise<boolean> => {
      const step = pending.upon(textsOf(loaded.files));
      if (!step) return keepAside(loaded);
      await takeIn(loaded);
      if (step.changes.length === 0) return true;
      changeFiles(step.changes);
      await engine.commit([...step.changes]);
      renew();
      pending.add(step);
      set({ save: { kind: "saving" } });
      try {
        await store();
        set({ notice: "Another window changed this site. What was not saved here was put upon it and is saved now." });
      } catch (error) {
        await failed(error);
      }
      return true;
    };

    /** Both changed the same place: what is here becomes a site of its own, so that neither is lost. */
    const keepAside = async (loaded: LoadedSite): Promise<boolean> => {
      const name = `${loaded.record.name}, not saved in time`;
      try {
        const files = [...get().files.values()].map(({ file }) => file);
        await addSite({ name, files, refused: [], folder: null });
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

    const openPage = async (path: string) => {
      const mine = (openings += 1);
      let asked = get();
      let view = await engine.page(path, asked.conditions);
      // Conditions that changed meanwhile are those it is shown under.
      while (mine === openings && (get().conditions !== asked.conditions || get().files !== asked.files)) {
        asked = get();
        view = await engine.page(path, asked.conditions);
      }
      if (mine !== openings) return;
      set({
        page: path,
        view,
        viewNumber: get().viewNumber + 1,
        picked: null,
        slip: null,
        reach: null,
        rehearsal: null,
        source: null,
      });
    };

    const move = (direction: "undo" | "redo") =>
      inTurn(async () => {
        if (!get().record) return;
        set({ save: { kind: "saving" } });
        try {
          await store();
          const { id, revision } = get().record!;
          const moved = await moveInHistory({ site: id, revision }, direction);
          if (moved) {
            pending.moved(moved.changes);
            changeFiles(moved.changes);
            set({ record: moved.record, redoable: get().redoable + (direction === "undo" ? 1 : -1) });
            await afterChange(moved.changes);
          }
          set({ save: { kind: "saved", time: get().record!.changed } });
        } catch (error) {
          const back = direction === "undo" && !(error instanceof ConflictError) ? pending.takeBack() : null;
          if (!back) return failed(error);
          changeFiles(back);
          await afterChange(back);
          if (pending.isEmpty) set({ save: { kind: "saved", time: get().record!.changed } });
          else await failed(error);
        }
      });

    return {
      ...initial,

      load: async (id, page) => {
        if (!(await readFrom(id))) return;
        const pages = [...get().files.values()].filter(({ file }) => file.kind === "html").map(({ path }) => path);
        const first =
          page && pages.includes(page)
            ? page
            : (pages.find((path) => /(?:^|\/)index\.html?$/i.test(path)) ?? pages[0] ?? null);
        if (first) await openPage(first);
        set({ status: "ready" });
        await refreshSummary();
      },

      openPage: (path) => inTurn(() => openPage(path)),

      pick: async (ref) => {
        set({ picked: ref, reach: null, source: null, words: null });
        // A state is forced only on what is picked.
        const { conditions } = get();
        if (Object.keys(conditions.forced).length && !(ref && conditions.forced[ref.page]?.[ref.index]))
          void get().setConditions({ forced: {} });
        if (ref && ref.page !== get().page) {
          await openPage(ref.page);
          set({ picked: ref });
        }
        await refreshSlip();
      },

      setConditions: async (conditions) => {
        set({ conditions: { ...get().conditions, ...conditions } });
        await refreshView();
        // What is tried is tried under the new conditions, too.
        const asked = get();
        const { page, view, rehearsal } = asked;
        if (page && view && rehearsal) {
          const patch = await engine.rehearse(rehearsal.plan.changes, page, view.structure, asked.conditions);
          if (isStill(asked) && get().rehearsal?.plan === rehearsal.plan) set({ rehearsal: { ...rehearsal, patch } });
        }
        void refreshSummary();
        await refreshSlip();
      },

      setUnstyled: (unstyled) => set({ unstyled }),

      addFont: async (name, bytes) => {
        const { record } = get();
        const checked = await engine.checkFont(bytes);
        if (checked.problem || !record) return { family: "", changes: [], problem: checked.problem };
        const path = `fonts/${name.replace(/[^\w.-]+/g, "-")}`;
        try {
          const added = await addFile(record.id, path, bytes);
          set({ files: new Map([...get().files, [path, added]]) });
        } catch (error) {
          return { family: "", changes: [], problem: (error as Error).message };
        }
        const declared = await engine.addFont(path, bytes, checked.family);
        renew();
        return { family: checked.family, ...declared };
      },

      keepTrials: (row, values) => {
        const { record } = get();
        if (!record) return;
        set({ record: { ...record, trials: { ...record.trials, [row]: [...values] } } });
        void keepTrials(record.id, row, values).catch((error: Error) => set({ notice: error.message }));
      },

      fontsLoaded: (ownFamilies) => set({ ownFamilies }),

      surveyed: () => {
        renew();
        void refreshSummary();
      },

      layOut: async (layout, whole) => {
        const { page, view, rehearsal, conditions } = get();
        if (!page || !view) return;
        const { structure, sheets } = rehearsal?.patch ?? view;
        const changes = rehearsal?.plan.changes ?? [];
        const places = await engine.layOut(page, structure, layout, whole, conditions, changes);
        const now = get();
        if (now.page !== page || now.conditions !== conditions) return;
        // What was shown before it was written may be written by now.
        const isShown = (now.rehearsal?.patch ?? now.view)?.sheets === sheets;
        if (isShown && now.rehearsal)
          return set({ rehearsal: { ...now.rehearsal, patch: { ...now.rehearsal.patch, places } } });
        if (whole) renew();
        if (!isShown || !now.view) return;
        set({ view: { ...now.view, places } });
        await refreshSlip();
        if (whole) void refreshSummary();
      },

      picture: (look, stage, unknown) => {
        const { page, rehearsal, conditions } = get();
        return engine.picture(page!, rehearsal?.plan.changes ?? [], conditions, stage, look, unknown);
      },

      showReach: (reach) => set({ reach }),

      showSource: (source) => set({ source }),

      pickWords: (words) => set({ words }),

      rehearse: async (edit) => {
        const mine = (rehearsals += 1);
        if (!edit) {
          set({ rehearsal: null, reach: null });
          return { plan: null, judged: null, problem: null };
        }
        const result = await engine.plan(edit, get().conditions);
        const { page, view, conditions } = get();
        if (!result.plan || !page || !view) {
          if (mine === rehearsals) set({ rehearsal: null, reach: null });
          return result;
        }
        const patch = await engine.rehearse(result.plan.changes, page, view.structure, conditions);
        const { plan } = result;
        if (mine === rehearsals)
          set({ rehearsal: { edit, files: get().files, result, plan, patch }, reach: plan.reach.places });
        return result;
      },

      write: (edit, label) =>
        inTurn(async () => {
          rehearsals += 1;
          const { rehearsal, files, record } = get();
          // What is shown is what is written.
          const isPlanned = rehearsal?.files === files && JSON.stringify(rehearsal.edit) === JSON.stringify(edit);
          const result = isPlanned ? rehearsal.result : await engine.plan(edit, get().conditions, true);
          if (!result.plan || !record || result.plan.changes.length === 0) {
            set({ rehearsal: null, reach: null });
            return result;
          }
          const { changes } = result.plan;
          set({ save: { kind: "saving" } });
          changeFiles(changes);
          await afterChange(changes);
          pending.add({ label, changes });
          try {
            await store();
          } catch (error) {
            await failed(error);
          }
          return result;
        }),

      undo: () => move("undo"),
      redo: () => move("redo"),
      catchUp: () => inTurn(catchUp),
      dismissNotice: () => set({ notice: null }),

      restarted: () => {
        set({
          reading: null,
          notice: "The part of Hevret that reckons stopped and was started anew. Nothing is lost.",
        });
        renew();
        void refreshSummary();
      },

      failed: (error) => set({ notice: inWords(error), reading: null }),

      stopReading: () => {
        void engine.stopSummary();
        set({ reading: null });
      },

      renamed: (name) => set({ record: get().record && { ...get().record!, name } }),
    };
  });
}
