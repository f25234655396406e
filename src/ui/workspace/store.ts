"use client";

/** One open site as the interface holds it. The files' text is the state; everything else is asked of the engine. */
import type { Remote } from "comlink";
import { createStore } from "zustand/vanilla";
import type { Engine } from "@/engine/protocol";
import * as sites from "@/store/sites";
import { Asking } from "./asking";
import { Counting } from "./counting";
import { fontToAdd } from "./fontToAdd";
import { SiteHistory, type FileStorage } from "./history";
import { Kept, type KeptStorage } from "./kept";
import { createSelection } from "./selection";
import { initial, type Desk, type Workspace, type WorkspaceActions } from "./state";
import { View } from "./view";
import { inWords } from "./words";

/** The page to open first: the one asked for, else the index nearest the top. */
function firstPage(files: Workspace["files"], asked: string | null): string | null {
  const pages = [...files.values()].filter(({ file }) => file.kind === "html").map(({ path }) => path);
  if (asked && pages.includes(asked)) return asked;
  return pages.find((path) => /(?:^|\/)index\.html?$/i.test(path)) ?? pages[0] ?? null;
}

/** Where sites are kept. */
export type Storage = FileStorage & KeptStorage;

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
    return { ...initial, asking, failed, ...plainActions(desk), ...actionsOf(desk, storage) };
  });
}

type Plain =
  | "setUnstyled"
  | "setEyes"
  | "renamed"
  | "fontsLoaded"
  | "pauseSurvey"
  | "stressing"
  | "dismissNotice"
  | "setFollowing"
  | "setMeetings"
  | "holdAgainst";

/** What is only noted. */
const plainActions = ({ get, set }: Desk): Pick<WorkspaceActions, Plain> => ({
  setUnstyled: (unstyled) => set({ unstyled }),
  setEyes: (eyes) => set({ eyes }),
  renamed: (name) => set({ record: get().record && { ...get().record!, name } }),
  fontsLoaded: (ownFamilies) => set({ ownFamilies }),
  pauseSurvey: (paused) => set({ survey: get().survey && { ...get().survey!, paused } }),
  stressing: (unstressed) => set({ unstressed }),
  dismissNotice: () => set({ notice: null }),
  setFollowing: (following) => set({ following }),
  setMeetings: (meetings) => set({ meetings }),
  holdAgainst: (tokensFile) => set({ tokensFile }),
});

/** What the parts of an open site do together. */
function actionsOf(desk: Desk, storage: Storage): Omit<WorkspaceActions, Plain | "failed"> {
  const { get, set, failed } = desk;
  const [selection, view, kept] = [createSelection(desk), new View(desk), new Kept(desk, storage)];
  const counting = new Counting(desk, kept);

  const history = new SiteHistory(desk, storage, {
    changed: async (written) => {
      await view.refresh(written);
      set({ rehearsal: null, reach: null, words: null });
      counting.later();
      await selection.refresh();
      view.leftToTry();
    },
    reread: async () => {
      // What was picked meanwhile stays picked.
      const { page, picked } = get();
      if (page) await view.open(page);
      if (picked) await pick(picked);
      await counting.now();
    },
    settleRehearsals: (edit) => view.settleRehearsals(edit),
    notWritten: () => view.leftToTry(),
  });

  const setConditions: WorkspaceActions["setConditions"] = async (conditions) => {
    await view.setConditions(conditions);
    counting.later();
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
    load: (id, page, room) => load({ desk, history, view, counting }, id, page, room),
    openPage: (path) => history.inTurn(() => view.open(path)),
    ...triedOn(view),
    setConditions,
    layOut: async (layout, whole) => {
      if (!(await view.layOut(layout, whole))) return;
      await selection.refresh();
      if (whole) counting.later();
    },
    pick,
    showReach: selection.showReach,
    showSource: selection.showSource,
    pickWords: selection.pickWords,
    write: (edit, label, files) => history.write(edit, label, files),
    undo: () => history.move("undo"),
    redo: () => history.move("redo"),
    catchUp: () => history.catchUp(),
    fontToAdd: (name, bytes) => fontToAdd(desk, name, bytes),
    ...countedAndKept(counting, kept),
  };
}

const triedOn = (view: View): Pick<WorkspaceActions, "picture" | "rehearse" | "letGo"> => ({
  picture: view.picture,
  rehearse: (edit, told) => view.rehearse(edit, told),
  letGo: (edit) => view.letGo(edit),
});

const countedAndKept = (counting: Counting, kept: Kept) => ({
  keepTrials: (row: string, values: readonly string[]) => kept.trials(row, values),
  leave: async (key: string, reason: string | null) => {
    await kept.leave(key, reason);
    await counting.keepFound();
  },
  noteOnDisk: (texts: ReadonlyMap<string, string | null>) => kept.onDisk(texts),
  keepFollowing: (follows: boolean, writesThrough: boolean) => kept.following(follows, writesThrough),
  stressed: counting.later,
  surveyed: counting.surveyed,
  pauseReading: counting.pause,
  restarted: counting.restarted,
});

interface Parts {
  desk: Desk;
  history: SiteHistory;
  view: View;
  counting: Counting;
}

async function load(
  { desk: { get, set, failed }, history, view, counting }: Parts,
  ...[id, page, room]: Parameters<WorkspaceActions["load"]>
): Promise<void> {
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
  await counting.now();
}
