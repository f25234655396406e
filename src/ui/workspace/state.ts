/** What is known of one open site, and what can be done with it. */
import type { Remote } from "comlink";
import {
  defaultConditions,
  type Conditions,
  type Edit,
  type ElementRef,
  type EyesName,
  type FileChange,
  type PageLayout,
  type Plan,
  type Slip,
  type TextChange,
} from "@/core";
import type { Engine, PageGlance, PagePatch, PlaceView, PlanResult, SiteSummary } from "@/engine/protocol";
import type { MakePicture } from "@/preview/paint";
import type { Meeting } from "@/store/folder";
import type { FileRecord, SiteRecord } from "@/store/database";
import type { Asking } from "./asking";

export type SaveState = { kind: "saved"; time: number } | { kind: "saving" } | { kind: "unsaved"; reason: string };

/** A change that is shown on the page but not written. */
export interface Rehearsal {
  edit: Edit;
  /** The site's files that it was planned for. */
  files: Workspace["files"];
  /** What it is shown under. */
  conditions: Conditions;
  result: PlanResult;
  plan: Plan;
  patch: PagePatch;
}

export type ShownView = PageGlance & {
  places: PlaceView[] | null;
  /** What it is shown under. */
  conditions: Conditions;
};

export interface Workspace {
  /** "failed" where it cannot be read; the notice says why. */
  status: "loading" | "ready" | "missing" | "failed";
  record: SiteRecord | null;
  files: ReadonlyMap<string, FileRecord>;
  /** Files that the site was opened with and that are no part of it any more. */
  gone: ReadonlyMap<string, FileRecord>;
  /** Steps that can be redone. */
  redoable: number;
  conditions: Conditions;
  summary: SiteSummary | null;
  /** How many pages are looked at, while that takes noticeably long. */
  reading: { done: number; of: number; paused: boolean } | null;
  /** How many of the pages that are not shown were looked under, while that goes on or is paused. */
  survey: { done: number; of: number; paused: boolean } | null;
  /** How many pages are still to be laid out as some readers have them. */
  unstressed: number;
  page: string | null;
  /** The page as it is shown; its places are null until its texts are known. */
  view: ShownView | null;
  /** Counts up when the frame has to be built anew. */
  viewNumber: number;
  picked: ElementRef | null;
  /** Counts the slips of picks: what is picked may stand elsewhere among the elements later. */
  slips: number;
  slip: Slip | null;
  /** Places a choice would touch, marked on the page before anything is written. */
  reach: readonly ElementRef[] | null;
  rehearsal: Rehearsal | null;
  /** What is tried and not shown any more since something else was written: who tries it does so again. */
  untried: { edit: Edit } | null;
  /** The place in the source that was asked for; the rule to write to is shown when it is null. */
  source: SourcePlace | null;
  words: PickedWords | null;
  save: SaveState;
  notice: string | null;
  unstyled: boolean;
  /** Whose eyes the page, specimens and trials are seen with; null for one's own. */
  eyes: EyesName | null;
  /** The tokens file that the site is held against. */
  tokensFile: { name: string; text: string } | null;
  /** Whether what other programs write into the site's folder is looked for; "asks" where leave is to be given anew. */
  following: "none" | "asks" | "yes";
  /** Files that were changed here and in the folder in the same lines. */
  meetings: readonly Meeting[];
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

export interface FontToAdd {
  family: string;
  changes: TextChange[];
  files: FileChange[];
  problem: string | null;
}

export interface WorkspaceActions {
  /** @param room the window of the page, as far as it is known before it stands, CSS px */
  load(id: string, page: string | null, room: Pick<Conditions, "width" | "height"> | null): Promise<void>;
  openPage(path: string): Promise<void>;
  pick(ref: ElementRef | null): Promise<void>;
  setConditions(conditions: Partial<Conditions>): Promise<void>;
  setUnstyled(unstyled: boolean): void;
  setEyes(eyes: EyesName | null): void;
  /** Takes in what the page that is shown tells of what lies under its texts. */
  layOut(layout: PageLayout, whole: boolean): Promise<void>;
  /** The address of a picture of the page as it is shown. */
  picture: MakePicture;
  showReach(places: readonly ElementRef[] | null): void;
  showSource(place: SourcePlace): void;
  pickWords(words: PickedWords | null): void;
  /**
   * Plans an edit and shows it on the page without writing; null takes it off again. What it reaches on other pages is
   * `told` later.
   */
  rehearse(edit: Edit | null, told?: (result: PlanResult) => void): Promise<PlanResult>;
  /** Takes an edit off again when whoever rehearsed it is gone, unless another was since, or it is being written. */
  letGo(edit: Edit): void;
  /** @param files put into the site with it */
  write(edit: Edit, label: string, files?: readonly FileChange[]): Promise<PlanResult>;
  /** What takes a font file into the site and declares it, to be looked at and written. */
  fontToAdd(name: string, bytes: Uint8Array): Promise<FontToAdd>;
  /** Keeps the values tried for a row of the slip with the site. */
  keepTrials(row: string, values: readonly string[]): Promise<void>;
  /** Says why a finding is left as it is, and keeps that with the site; null takes it back. */
  leave(key: string, reason: string | null): Promise<void>;
  fontsLoaded(families: readonly string[]): void;
  /** So many of the pages that are not shown were laid out: what is counted over the site is counted anew when all are. */
  surveyed(done: number, of: number): void;
  /** So many pages are still to be laid out as some readers have them. */
  stressing(pages: number): void;
  pauseSurvey(paused: boolean): void;
  /** Pages were laid out as some readers have them: what is counted over the site is counted anew. */
  stressed(): void;
  undo(): Promise<void>;
  redo(): Promise<void>;
  /** Reads the site again after another window has written. */
  catchUp(): Promise<void>;
  /** The engine ended and was started anew: all is asked again. */
  restarted(): void;
  /** Something was not done that nobody waited for: it is said. */
  failed(error: unknown): void;
  dismissNotice(): void;
  /** Notes how texts stand in the folder, by path; null for one that is not there. */
  noteOnDisk(texts: ReadonlyMap<string, string | null>): Promise<void>;
  keepFollowing(follows: boolean, writesThrough: boolean): Promise<void>;
  setFollowing(following: Workspace["following"]): void;
  setMeetings(meetings: readonly Meeting[]): void;
  /** Opens a tokens file beside the site; null closes it. */
  holdAgainst(tokensFile: Workspace["tokensFile"]): void;
  pauseReading(paused: boolean): void;
  renamed(name: string): void;
}

export const initial: Workspace = {
  status: "loading",
  record: null,
  files: new Map(),
  gone: new Map(),
  redoable: 0,
  conditions: defaultConditions,
  summary: null,
  reading: null,
  survey: null,
  unstressed: 0,
  page: null,
  view: null,
  viewNumber: 0,
  picked: null,
  slips: 0,
  slip: null,
  reach: null,
  rehearsal: null,
  untried: null,
  source: null,
  words: null,
  save: { kind: "saving" },
  notice: null,
  unstyled: false,
  eyes: null,
  tokensFile: null,
  following: "none",
  meetings: [],
  ownFamilies: [],
  edition: 0,
};

/** What the parts of an open site work with. */
export interface Desk {
  readonly engine: Remote<Engine>;
  readonly asking: Asking;
  get(): Workspace;
  set(part: Partial<Workspace>): void;
  /** What was asked about the site is asked anew. */
  renew(): void;
  /** Says in plain words what nobody waited for and was not done. */
  failed(error: unknown): void;
}
