/** The site as a whole: opened, changed, counted. All of it is plain data. */
import type {
  Conditions,
  DraftKindName,
  ElementRef,
  FileChange,
  Finding,
  PageStress,
  StoredFile,
  TextChange,
} from "@/core";

export interface PageSummary {
  path: string;
  title: string;
  places: number;
  sheets: string[];
}

export interface SiteSummary {
  pages: PageSummary[];
  sheets: string[];
  textStyles: number;
  /** Font stacks in use. */
  stacks: number;
  /** Colour values, as written. */
  colors: number;
  findings: Finding[];
}

export interface SiteColor {
  css: string;
  /** As it is most often written. */
  value: string;
  uses: number;
}

/** A font that comes with the site, to set specimens in. */
export interface SiteFont {
  family: string;
  weight: string;
  style: "normal" | "italic";
  /** In memory. */
  address: string;
}

export interface SiteAnswers {
  /** Works through a small site until one is opened, so that what comes runs faster. */
  warm(files: StoredFile[]): Promise<void>;
  open(files: StoredFile[]): Promise<void>;
  /**
   * Looks at all pages, one after the other, and says how many are done; other calls are answered in between.
   * Null when it was stopped, or when a later call took its place.
   */
  summary(conditions: Conditions, report?: (done: number, of: number) => void): Promise<SiteSummary | null>;
  stopSummary(): Promise<void>;
  /** Fonts that the sheets of the site bring with them and that can be loaded. */
  siteFonts(): Promise<SiteFont[]>;
  /** Has what the worker does not hold any more collected; all of it, which takes up to a second, or what it comes to. */
  collect(all: boolean): Promise<void>;
  /** What readers wish for that the site asks already. */
  asked(): Promise<DraftKindName[]>;
  /** Places by their words and lines, for people. */
  placeNames(refs: readonly ElementRef[]): Promise<string[]>;
  /** Colours that sheets and style attributes name, those most used first. */
  siteColors(): Promise<SiteColor[]>;
  /** Pages of which it is not known, or not any more, what gives way when they are laid out as some readers have them. */
  unstressedPages(conditions: Conditions): Promise<string[]>;
  /** Takes that in. Whether anything gives way. */
  stressed(path: string, conditions: Conditions, stress: PageStress): Promise<boolean>;
  /**
   * Makes changes: files are put in and taken out before texts are changed.
   * @param follow a place that is to be found again
   * @returns where it is then; null where it is gone, or none was to be found
   */
  commit(changes: TextChange[], files: FileChange[], follow?: ElementRef | null): Promise<ElementRef | null>;
}
