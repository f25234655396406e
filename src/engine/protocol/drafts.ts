/** Schemes that are drafted for readers who wish for them. All of it is plain data. */
import type { Conditions, Draft, DraftAsked, DraftWriting, PaperAsked } from "@/core";
import type { PageView } from "./pages";
import type { WrittenFiles } from "./sheets";

export interface DraftsAnswers {
  /** A scheme for readers who wish for it, telling how often a page was looked at; null where it was stopped, or another asked for. */
  draft(asked: DraftAsked, conditions: Conditions, report?: (looks: number) => void): Promise<Draft | null>;
  stopDraft(): Promise<void>;
  /** A draft as text; the problem when it cannot be written so. */
  writeDraft(draft: Draft, writing: DraftWriting): Promise<WrittenFiles>;
  /** How the site comes out on paper, as text; the problem when it cannot be written so. */
  writePaper(asked: PaperAsked, conditions: Conditions): Promise<WrittenFiles>;
  /** A page as a draft has it. */
  draftView(draft: Draft, path: string, conditions: Conditions): Promise<PageView>;
}
