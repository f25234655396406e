/** Pages as they are shown, laid out and painted. All of it is plain data. */
import type {
  Box,
  Conditions,
  Differing,
  DraftKindName,
  ElementRef,
  FileChange,
  MediaWidth,
  Override,
  PageLayout,
  PictureLook,
  PictureStage,
  PictureUnknown,
  RuleExchange,
  SafeDocument,
  SafeSheet,
  TextChange,
  Verdict,
} from "@/core";

/** A place on the page, as the page view needs it. */
export interface PlaceView {
  index: number;
  /** The pseudo-element that shows the text; null for the element's own. */
  pseudo: string | null;
  /** Equal for places of one text style. */
  key: string;
  role: string;
  selector: string;
  /** On the worst of its grounds. */
  ratio: number;
  needs: number;
  verdict: Verdict;
  /** Why it is not judged; null where it is. */
  unjudged: string | null;
  /** Before anything is laid over or under it, as CSS. */
  ink: string;
  sizePx: number;
  /** Where the text of a pseudo-element was seen, CSS px of the page; null until it was, and for an element's own. */
  box: Box | null;
  /** How many translucent inks around it have to be looked at apart from it. */
  level: number;
  /** Whether a line through the text it stands in runs through it, too, in its ink. */
  lined: boolean;
  /** While another size of the reader's is rehearsed: whether the text stays as it is. */
  fixed: boolean;
}

export interface ShownSheet extends SafeSheet {
  /** Equal for equal texts, as long as the worker lives; empty where nothing will take its place. */
  edition: string;
  /** What leads to it from an earlier edition; null where that is not known, or worth nothing. */
  since: SinceEdition | null;
}

export interface SinceEdition {
  edition: string;
  exchange: RuleExchange;
}

export interface PageView {
  document: SafeDocument;
  sheets: ShownSheet[];
  places: PlaceView[];
  overrides: Override[];
  /** States forced on elements, by index, parted by blanks. */
  states: [index: number, states: string][];
  /** Fingerprint of the document without sheets: while it stays, sheets can be changed in place. */
  structure: string;
}

/** A page before anything is known of its texts: all that it takes to show it. */
export type PageGlance = Omit<PageView, "places">;

/** What a page wears under its conditions. */
export type PageDress = Pick<PageView, "sheets" | "overrides" | "states">;

/** What changes on a page that is shown: its sheets, and the document when its structure changed. */
export interface PagePatch extends Omit<PageView, "document"> {
  document: SafeDocument | null;
}

export interface PagesAnswers {
  /** @param ahead told of the page before its texts are known, where they are not yet; it may be told after the answer came */
  page(path: string, conditions: Conditions, ahead?: (glance: PageGlance) => void): Promise<PageView>;
  /** A page to be laid out where nobody sees it; its sheets hold only what can match something on it. */
  pageOutOfSight(path: string, conditions: Conditions): Promise<PageView>;
  /** The same for who asks nothing about its texts: they are not judged for it, and it is not the page as it is shown. */
  glanceOutOfSight(path: string, conditions: Conditions): Promise<PageGlance>;
  /**
   * What such a page wears in a window of another width; null where it is what it wears at its own: browsers answer
   * conditions of media themselves, as long as nothing else is rehearsed.
   */
  dressOutOfSight(path: string, conditions: Conditions, width: number): Promise<PageDress | null>;
  /**
   * Texts that come out differently with changes, and files put in and taken out before, whatever a reader brings about;
   * null where others were asked about meanwhile.
   * @param except readers who wish for this are left out
   */
  differences(
    changes: readonly TextChange[],
    files: readonly FileChange[],
    conditions: Conditions,
    except?: DraftKindName | null,
  ): Promise<Differing | null>;
  /** Where the media conditions of a page begin or cease to hold, narrowest first. */
  mediaWidths(path: string, conditions: Conditions): Promise<MediaWidth[]>;
  /**
   * A page as it would look with changes, and files put in and taken out before, and under other conditions, to be looked at
   * apart. Elements have the numbers that they have without the changes.
   */
  variant(path: string, changes: TextChange[], conditions: Conditions, files?: FileChange[]): Promise<PageView>;
  /** Sizes of texts at several widths of the window, px, a list a text. */
  sizesAt(refs: ElementRef[], widths: number[], conditions: Conditions): Promise<number[][]>;
  /**
   * How a page would look with changes that are not made yet. Elements have the numbers that they have without them; those
   * that are new come after all others.
   */
  rehearse(changes: TextChange[], path: string, structure: string, conditions: Conditions): Promise<PagePatch>;
  /**
   * Takes in what the laid-out page tells of what lies under its texts, and judges them anew. It counts as long as the
   * page has this structure. With changes that are not made yet, for the page as it would be with them; elements are numbered as
   * they are without them.
   * @param whole whether it is told of all texts; of others, what is known stands
   */
  layOut(
    path: string,
    structure: string,
    layout: PageLayout,
    whole: boolean,
    conditions: Conditions,
    changes: TextChange[],
  ): Promise<PlaceView[]>;
  /** Takes in what a page that nobody sees tells of all its texts, once it is laid out. */
  layOutOfSight(path: string, structure: string, layout: PageLayout, conditions: Conditions): Promise<void>;
  /** The address of a picture of a page, to be painted out of sight. */
  picture(
    path: string,
    changes: TextChange[],
    conditions: Conditions,
    stage: PictureStage,
    look: PictureLook,
    unknown: PictureUnknown | null,
  ): Promise<string>;
  /** Pages of which it is not known, or not any more, what lies under their texts: those after the one shown first. */
  unlaidPages(conditions: Conditions, shown: string | null): Promise<string[]>;
  patch(path: string, structure: string, conditions: Conditions): Promise<PagePatch>;
}
