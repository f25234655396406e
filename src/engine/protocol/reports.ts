/** Ways out, and what differs between two versions. All of it is plain data. */
import type { Compared, Conditions, FileChange, Report, ReportAbout, StoredFile, TextChange } from "@/core";

/** One side of a comparison. */
export interface ComparedSide {
  /** What makes the site it from what it is now: files put in and taken out, then texts changed. */
  files: FileChange[];
  changes: TextChange[];
  /** Null for all pages. */
  page: string | null;
}

export interface ReportsAnswers {
  /** The reports that can be had. */
  reports(): Promise<Pick<Report, "id" | "group" | "label" | "hint">[]>;
  /** A report by its id; null where it was stopped. */
  report(
    id: string,
    about: ReportAbout,
    conditions: Conditions,
  ): Promise<{ file: string; type: string; text: string } | null>;
  /** No report that is being made is wanted any more. */
  stopReports(): Promise<void>;
  /** What differs between two versions, or two pages; null where that was asked again meanwhile. */
  compare(before: ComparedSide, after: ComparedSide, conditions: Conditions): Promise<Compared | null>;
  /** What was changed since the site had these files, in words; null where that was asked again meanwhile. */
  changesInWords(before: StoredFile[], conditions: Conditions): Promise<string | null>;
}
