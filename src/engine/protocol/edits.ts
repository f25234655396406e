/** Edits: what they change, and what they reach. All of it is plain data. */
import type {
  ColorSpot,
  Conditions,
  Edit,
  ElementRef,
  FileChange,
  Judged,
  OutlineChange,
  Plan,
  Reach,
  RulePlace,
  TextChange,
  TrialContrast,
} from "@/core";

/** Changes to texts, or why they cannot be made. */
export interface WrittenChanges {
  changes: TextChange[];
  /** In plain words; null where they can. */
  problem: string | null;
}

export interface PlanResult {
  plan: Plan | null;
  /** What it does to contrast; null without a plan. */
  judged: Judged | null;
  /** Why it cannot be made. */
  problem: string | null;
}

export interface EditsAnswers {
  /** Another tag for an element, or for all with the same tag, id and classes; with what it does to the headings of the page; the problem when one cannot be that. */
  retag(ref: ElementRef, to: string, all: boolean): Promise<WrittenChanges & { outline: OutlineChange | null }>;
  /** The contrast of the picked text with each candidate, as edits, that is only tried. */
  trialContrasts(
    picked: ElementRef,
    candidates: readonly (readonly Edit[])[],
    conditions: Conditions,
  ): Promise<(TrialContrast | null)[]>;
  /** Declarations given to texts, as edits, each where the text has that property from; the problem when they cannot be given. */
  editsOn(
    texts: readonly { ref: ElementRef; declarations: readonly (readonly [property: string, value: string])[] }[],
    conditions: Conditions,
  ): Promise<{ edits: Edit[]; problem: string | null }>;
  /** Several edits as one; the problem when one of them cannot be made. */
  combine(edits: Edit[]): Promise<WrittenChanges>;
  /** Puts colours under a name of a custom property; the problem when it cannot be. */
  nameColor(spots: ColorSpot[], name: string): Promise<WrittenChanges>;
  /** At once: what an edit reaches is told of one page, the one that is shown. */
  plan(edit: Edit, conditions: Conditions, page: string | null): Promise<PlanResult>;
  /** The same, counted over the site, with files put in and taken out before it is made; null where another edit was asked about meanwhile. */
  reach(edit: Edit, conditions: Conditions, files?: FileChange[]): Promise<PlanResult | null>;
  /** Where in a sheet a rule with these selectors can go, the place that is proposed first. */
  rulePlaces(path: string, selectors: string): Promise<RulePlace[]>;
  /** What a list of selectors reaches on the pages that read a sheet; null where it is none. */
  selectorReach(path: string, selectors: string, conditions: Conditions): Promise<Reach | null>;
}
