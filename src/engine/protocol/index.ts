/** What the interface can ask of the core in its worker, by subject. All of it is plain data. */
import type { SiteAnswers } from "./site";
import type { PagesAnswers } from "./pages";
import type { TextsAnswers } from "./texts";
import type { EditsAnswers } from "./edits";
import type { StacksAnswers } from "./stacks";
import type { SheetsAnswers } from "./sheets";
import type { SourceAnswers } from "./source";
import type { DraftsAnswers } from "./drafts";
import type { FindingsAnswers } from "./findings";
import type { ReportsAnswers } from "./reports";

export type { PageSummary, SiteColor, SiteFont, SiteSummary } from "./site";
export type { PageDress, PageGlance, PagePatch, PageView, PlaceView, ShownSheet, SinceEdition } from "./pages";
export type { PlanResult, WrittenChanges } from "./edits";
export type { HeldAgainst, WrittenFiles } from "./sheets";
export type { RuleSource, SourceColor, WrittenHere } from "./source";
export type { FindingView } from "./findings";
export type { ComparedSide } from "./reports";

export interface Engine
  extends
    SiteAnswers,
    PagesAnswers,
    TextsAnswers,
    EditsAnswers,
    StacksAnswers,
    SheetsAnswers,
    SourceAnswers,
    DraftsAnswers,
    FindingsAnswers,
    ReportsAnswers {
  /** Answered once the worker's end would be noticed. */
  started(): Promise<void>;
}
