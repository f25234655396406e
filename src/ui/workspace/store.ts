"use client";

/** One open site as the interface holds it. The files' text is the state; everything else is asked of the engine. */
import { proxy, type Remote } from "comlink";
import { createStore } from "zustand/vanilla";
import type { Engine } from "@/engine/protocol";
import * as sites from "@/store/sites";
import { Asking } from "./asking";
import { createHistory, type Storage } from "./history";
import { createSelection } from "./selection";
import { initial, type Desk, type Workspace, type WorkspaceActions } from "./state";
import { troubles } from "./troubles";
import { createView } from "./view";
import { inWords } from "./words";

/** After so many surveyed pages what is counted over the site is counted anew. */
const countedEvery = 25;

/** Work that takes longer than this says how far it is, in milliseconds. */
const noticeable = 300;

/** The page to open first: the one asked for, else the index nearest the top. */
function firstPage(files: Workspace["files"], asked: string | null): string | null {
  const pages = [...files.values()].filter(({ file }) => file.kind === "html").map(({ path }) => path);
  if (asked && pages.includes(asked)) return asked;
  return pages.find((path) => /(?:^|\/)index\.html?$/i.test(path)) ?? pages[0] ?? null;
}

export interface OpenWorkspace extends Workspace, WorkspaceActions {
  readonly asking: Asking;
}

export type WorkspaceStore = ReturnType<typeof createWorkspace>;

export function createWorkspace(engine: Remote<Engine>, storage: Storage = sites) {
  return createStore<OpenWorkspace>((set, get) => {
    const asking = new Asking(engine, get);
    const renew = () => set({ edition: get().edition + 1 });
    const failed = (error: unknown) => set({ notice: inWords(error), reading: null });
    const desk: Desk = { engine, asking, get, set, renew, failed };

    const selection = createSelection(desk);
    const view = createView(desk);

    const count = async (): Promise<void> => {
      const started = performance.now();
      const report = proxy((done: number, of: number) => {
        if (performance.now() - started > noticeable) set({ reading: done < of ? { done, of } : null });
      });
      const summary = await engine.summary(get().conditions, report);
      if (!summary) return;
      set({ summary, reading: null });
      await keepFound();
    };
    const keepFound = () => history.keepFound(troubles(get()).length);
    /** Nobody waits for what is counted over the site. */
    const countLater = (): void => {
      count().catch(failed);
    };

    const history = createHistory(desk, storage, {
      changed: async (written) => {
        await view.refresh(written);
        set({ rehearsal: null, reach: null, words: null });
        countLater();
        await selection.refresh();
      },
      reread: async () => {
        // What was picked meanwhile stays picked.
        const { page, picked } = get();
        if (page) await view.open(page);
        if (picked) await pick(picked);
        await count();
      },
      settleRehearsals: view.settleRehearsals,
    });

    const setConditions: WorkspaceActions["setConditions"] = async (conditions) => {
      await view.setConditions(conditions);
      countLater();
      await selection.refresh();
    };

    const pick: WorkspaceActions["pick"] = async (ref) => {
      selection.mark(ref);
      // A state is forced only on what is picked.
      const { conditions } = get();
      if (Object.keys(conditions.forced).length && !(ref && conditions.forced[ref.page]?.[ref.index]))
        setConditions({ forced: {} }).catch(failed);
      if (ref && ref.page !== get().page) {
        await view.open(ref.page);
        set({ picked: ref });
      }
      await selection.refresh();
    };

    return {
      ...initial,
      asking,

      load: async (id, page, room) => {
        if (room) set({ conditions: { ...get().conditions, ...room } });
        let opening: Promise<void> | null = null;
        // The desk is put up while the engine reads, and is asked for the page while it does.
        const putUp = () => {
          const first = firstPage(get().files, page);
          set({ status: "ready", page: first });
          opening = first === null ? null : view.open(first);
          // What goes wrong with it is told below.
          opening?.catch(() => undefined);
        };
        try {
          if (!(await history.read(id, putUp))) return;
        } catch (error) {
          failed(error);
          return set({ status: "failed" });
        }
        await opening;
        await count();
      },

      openPage: (path) => history.inTurn(() => view.open(path)),
      setUnstyled: view.setUnstyled,
      setEyes: view.setEyes,
      picture: view.picture,
      rehearse: view.rehearse,
      setConditions,

      layOut: async (layout, whole) => {
        if (!(await view.layOut(layout, whole))) return;
        await selection.refresh();
        if (whole) countLater();
      },

      pick,
      showReach: selection.showReach,
      showSource: selection.showSource,
      pickWords: selection.pickWords,

      write: history.write,
      undo: history.undo,
      redo: history.redo,
      catchUp: history.catchUp,
      fontToAdd: history.fontToAdd,
      keepTrials: history.keepTrials,
      leave: async (key, reason) => {
        await history.leave(key, reason);
        await keepFound();
      },
      renamed: (name) => set({ record: get().record && { ...get().record!, name } }),

      fontsLoaded: (ownFamilies) => set({ ownFamilies }),

      stressed: countLater,

      surveyed: (done, of) => {
        if (done >= of && !get().survey) return;
        set({ survey: done < of ? { done, of, paused: get().survey?.paused ?? false } : null });
        if (done === 0 || (done < of && done % countedEvery !== 0)) return;
        renew();
        countLater();
      },

      pauseSurvey: (paused) => {
        const { survey } = get();
        if (survey) set({ survey: { ...survey, paused } });
      },

      restarted: () => {
        set({
          reading: null,
          notice: "The part of Hevret that reckons stopped and was started anew. Nothing is lost.",
        });
        renew();
        countLater();
      },

      failed,
      dismissNotice: () => set({ notice: null }),
      noteOnDisk: history.noteOnDisk,
      keepFollowing: history.keepFollowing,
      setFollowing: (following) => set({ following }),
      setMeetings: (meetings) => set({ meetings }),
      holdAgainst: (tokensFile) => set({ tokensFile }),

      stopReading: () => {
        set({ reading: null });
        engine.stopSummary().catch(failed);
      },
    };
  });
}
