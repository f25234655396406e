/** What the interface can ask of the core in its worker. All of it is plain data. */
import type {
  Compared,
  Held,
  MediaWidth,
  AllRight,
  AttributeGroup,
  Box,
  ColorSpot,
  Conditions,
  Differing,
  Draft,
  DraftAsked,
  DraftKindName,
  DraftWriting,
  Edit,
  ElementRef,
  FileChange,
  OutlinePart,
  SheetEdit,
  SheetTable,
  Finding,
  Fix,
  FileHits,
  InkThere,
  MarginSide,
  MeetingMargins,
  Judged,
  LinkLooks,
  OutlineChange,
  Override,
  PageLayout,
  PaperAsked,
  PageStress,
  Palette,
  PictureLook,
  PictureStage,
  PictureUnknown,
  Plan,
  PropertyHelp,
  Reach,
  Replacing,
  Report,
  ReportAbout,
  RhythmStep,
  RuleEdit,
  RuleHere,
  RulePlace,
  SafeDocument,
  RuleExchange,
  SafeSheet,
  Search,
  Setting,
  Slip,
  StackUse,
  StandsOn,
  StoredFile,
  StyleRow,
  TargetOption,
  TextChange,
  TextLook,
  TrialContrast,
  Typed,
  Verdict,
  WritingOptions,
  Veils,
} from "@/core";

export interface PageSummary {
  path: string;
  title: string;
  places: number;
  sheets: string[];
}

/** One side of a comparison. */
export interface ComparedSide {
  /** What makes the site it from what it is now: files put in and taken out, then texts changed. */
  files: FileChange[];
  changes: TextChange[];
  /** Null for all pages. */
  page: string | null;
}

/** What a site writes against the tokens it is to keep to. */
export interface HeldAgainst {
  tokens: number;
  problems: { name: string; problem: string }[];
  /** Tokens of kinds that nothing is held against. */
  others: number;
  held: Held[];
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

/** What changes on a page that is shown: its sheets, and the document when its structure changed. */
export interface PagePatch extends Omit<PageView, "document"> {
  document: SafeDocument | null;
}

/** Lines of a rule in its file, from 1; those of the file where there is none. */
export interface RuleSource {
  isRule: boolean;
  firstLine: number;
  lastLine: number;
}

export interface PlanResult {
  plan: Plan | null;
  /** What it does to contrast; null without a plan. */
  judged: Judged | null;
  /** Why it cannot be made. */
  problem: string | null;
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

/** A finding with the ways to set it right, as the text it is about looks now and would look. */
export interface FindingView {
  /** Null where it is about no text. */
  now: TextLook | null;
  fixes: (Fix & { then: TextLook | null })[];
}

export interface WrittenHere {
  /** Null outside of rules, and where no page is shown. */
  rule: RuleHere | null;
  /** About the property that stands there; null where none does, or nothing is known of it. */
  help: PropertyHelp | null;
}

/** Changes with the files that are put in and taken out before, or why there are none. */
export interface WrittenFiles {
  changes: TextChange[];
  files: FileChange[];
  problem: string | null;
}

/** A colour where it stands. */
export interface SourceColor {
  start: number;
  end: number;
  css: string;
}

export interface Engine {
  /** Answered once the worker's end would be noticed. */
  started(): Promise<void>;
  /** Works through a small site until one is opened, so that what comes runs faster. */
  warm(files: StoredFile[]): Promise<void>;
  open(files: StoredFile[]): Promise<void>;
  /**
   * Looks at all pages, one after the other, and says how many are done; other calls are answered in between.
   * Null when it was stopped, or when a later call took its place.
   */
  summary(conditions: Conditions, report?: (done: number, of: number) => void): Promise<SiteSummary | null>;
  stopSummary(): Promise<void>;
  /** @param ahead told of the page before its texts are known, where they are not yet; it may be told after the answer came */
  page(path: string, conditions: Conditions, ahead?: (glance: PageGlance) => void): Promise<PageView>;
  /** A page to be laid out where nobody sees it; its sheets hold only what can match something on it. */
  pageOutOfSight(path: string, conditions: Conditions): Promise<PageView>;
  /** How a longhand comes out in places, and what its units refer to. */
  setting(
    picked: ElementRef,
    places: readonly ElementRef[],
    property: string,
    conditions: Conditions,
  ): Promise<Setting | null>;
  /** Fonts that the sheets of the site bring with them and that can be loaded. */
  siteFonts(): Promise<SiteFont[]>;
  /** The grounds that the picked text's ink stands on, in these places. */
  grounds(picked: ElementRef, places: readonly ElementRef[], conditions: Conditions): Promise<StandsOn[]>;
  /** The inks that stand on the picked text's ground. */
  inks(picked: ElementRef, conditions: Conditions): Promise<InkThere[]>;
  /** The weakest veils with which all texts on the picked text's ground can be read: black, white, and one of a colour, if one is named. */
  veils(picked: ElementRef, color: string | null, conditions: Conditions): Promise<Veils>;
  /** The margins that meet with one of the picked text; null where none does, or that is not known. */
  margins(picked: ElementRef, side: MarginSide, conditions: Conditions): Promise<MeetingMargins | null>;
  palette(conditions: Conditions): Promise<Palette>;
  /** What readers wish for that the site asks already. */
  asked(): Promise<DraftKindName[]>;
  /** A scheme for readers who wish for it, telling how often a page was looked at; null where it was stopped, or another asked for. */
  draft(asked: DraftAsked, conditions: Conditions, report?: (looks: number) => void): Promise<Draft | null>;
  stopDraft(): Promise<void>;
  /** A draft as text; the problem when it cannot be written so. */
  writeDraft(draft: Draft, writing: DraftWriting): Promise<WrittenFiles>;
  /** How the site comes out on paper, as text; the problem when it cannot be written so. */
  writePaper(asked: PaperAsked, conditions: Conditions): Promise<WrittenFiles>;
  /** A page as a draft has it. */
  draftView(draft: Draft, path: string, conditions: Conditions): Promise<PageView>;
  stacks(conditions: Conditions): Promise<StackUse[]>;
  sheets(): Promise<SheetTable>;
  /** The rules of a sheet, or of those that a page embeds. */
  outline(path: string): Promise<OutlinePart[]>;
  /** What something done to the sheets of the site changes; the problem when it cannot be done. */
  planSheets(edit: SheetEdit | RuleEdit): Promise<WrittenFiles>;
  /** The style attributes of a page as they would be gathered into a sheet; null where another page's were asked for meanwhile. */
  attributeGroups(page: string, sheet: string): Promise<AttributeGroup[] | null>;
  /** Another tag for an element, or for all with the same tag, id and classes; with what it does to the headings of the page; the problem when one cannot be that. */
  retag(
    ref: ElementRef,
    to: string,
    all: boolean,
  ): Promise<{ changes: TextChange[]; outline: OutlineChange | null; problem: string | null }>;
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
  /** A fallback with the measures of a stack's first member, from a local face. */
  matchFallback(
    stack: string,
    fallback: string,
    conditions: Conditions,
  ): Promise<{ changes: TextChange[]; problem: string | null }>;
  /** Reads a font file; the problem when it is none. */
  checkFont(bytes: Uint8Array): Promise<{ family: string; style: string; problem: string | null }>;
  /** The changes that declare a font file which is to be put into the site. */
  declareFont(
    path: string,
    bytes: Uint8Array,
    family: string,
  ): Promise<{ changes: TextChange[]; problem: string | null }>;
  /** Another stack wherever one is written. */
  restack(stack: string, instead: string): Promise<{ changes: TextChange[]; problem: string | null }>;
  nameStack(stack: string, name: string): Promise<{ changes: TextChange[]; problem: string | null }>;
  styleTable(conditions: Conditions): Promise<StyleRow[]>;
  /** The steps of the site's margins and paddings; null where they were asked for again meanwhile. */
  rhythm(conditions: Conditions): Promise<RhythmStep[] | null>;
  /** Places by their words and lines, for people. */
  placeNames(refs: readonly ElementRef[]): Promise<string[]>;
  /** Where the media conditions of a page begin or cease to hold, narrowest first. */
  mediaWidths(path: string, conditions: Conditions): Promise<MediaWidth[]>;
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
  /** A page as it would look with changes, and files put in and taken out before, and under other conditions, to be looked at apart. */
  variant(path: string, changes: TextChange[], conditions: Conditions, files?: FileChange[]): Promise<PageView>;
  /** Several edits as one; the problem when one of them cannot be made. */
  combine(edits: Edit[]): Promise<{ changes: TextChange[]; problem: string | null }>;
  /** Sizes of texts at several widths of the window, px, a list a text. */
  sizesAt(refs: ElementRef[], widths: number[], conditions: Conditions): Promise<number[][]>;
  /** Puts colours under a name of a custom property; the problem when it cannot be. */
  nameColor(spots: ColorSpot[], name: string): Promise<{ changes: TextChange[]; problem: string | null }>;
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
  /** What the site writes against a tokens file; null where that was asked again meanwhile, the problem when it is none. */
  heldAgainst(tokensFile: string): Promise<HeldAgainst | { problem: string } | null>;
  /** The nearest tokens in the place of values; the problem when that cannot be. */
  replaceByTokens(
    tokensFile: string,
    wanted: Pick<Held, "kind" | "value">[],
    how: Replacing,
  ): Promise<{ changes: TextChange[]; problem: string | null }>;
  /** What differs between two versions, or two pages; null where that was asked again meanwhile. */
  compare(before: ComparedSide, after: ComparedSide, conditions: Conditions): Promise<Compared | null>;
  /** What was changed since the site had these files, in words; null where that was asked again meanwhile. */
  changesInWords(before: StoredFile[], conditions: Conditions): Promise<string | null>;
  /** The ways to set a finding right, each computed; null where the same asker asked about another meanwhile. */
  fixes(finding: Finding, conditions: Conditions, asker: string): Promise<FindingView | null>;
  /** What sets several findings right at once; null where it was asked about others meanwhile. */
  setAllRight(findings: Finding[], conditions: Conditions): Promise<AllRight | null>;
  /** Colours that sheets and style attributes name, those most used first. */
  siteColors(): Promise<SiteColor[]>;
  linkLooks(ref: ElementRef, conditions: Conditions): Promise<LinkLooks | null>;
  /** At once: what each way to write reaches is told of the text's own page. */
  slip(ref: ElementRef, conditions: Conditions): Promise<Slip | null>;
  /** Where the text of a slip can be written to, counted over the site; null where another slip was asked for. */
  targets(ref: ElementRef, conditions: Conditions): Promise<TargetOption[] | null>;
  /** At once: what an edit reaches is told of one page, the one that is shown. */
  plan(edit: Edit, conditions: Conditions, page: string | null): Promise<PlanResult>;
  /** The same, counted over the site, with files put in and taken out before it is made; null where another edit was asked about meanwhile. */
  reach(edit: Edit, conditions: Conditions, files?: FileChange[]): Promise<PlanResult | null>;
  /** How a page would look with changes that are not made yet. */
  rehearse(changes: TextChange[], path: string, structure: string, conditions: Conditions): Promise<PagePatch>;
  /**
   * Takes in what the laid-out page tells of what lies under its texts, and judges them anew. It counts as long as the
   * page has this structure. With changes that are not made yet, for the page as it would be with them.
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
  patch(path: string, structure: string, conditions: Conditions): Promise<PagePatch>;
  /** The rule around an offset; the whole file when there is none. */
  source(path: string, offset: number): Promise<RuleSource | null>;
  complete(property: string, typed: string): Promise<string[]>;
  /** Where in a sheet a rule with these selectors can go, the place that is proposed first. */
  rulePlaces(path: string, selectors: string): Promise<RulePlace[]>;
  /** What a list of selectors reaches on the pages that read a sheet; null where it is none. */
  selectorReach(path: string, selectors: string, conditions: Conditions): Promise<Reach | null>;
  /** Where something stands in pages and sheets; null where something else was looked for meanwhile. */
  find(search: Search): Promise<FileHits[] | null>;
  /** The changes that put other words in its place, in these files. */
  replaceFound(search: Search, by: string, paths: string[]): Promise<TextChange[]>;
  /** How one can go on writing in a file. */
  writing(typed: Typed, offset: number, page: string | null, conditions: Conditions): Promise<WritingOptions | null>;
  /** What stands at a place of a file, and what it does on a page. */
  written(typed: Typed, offset: number, page: string | null, conditions: Conditions): Promise<WrittenHere>;
  /** Whether no more of a file sets nothing than before it was written on. */
  parses(typed: Typed): Promise<boolean>;
  /** The colours in a file. */
  colorsIn(typed: Typed): Promise<SourceColor[]>;
  /** What a property does; null where nothing is known of it. */
  help(property: string): Promise<PropertyHelp | null>;
  /** Why a value cannot be written; null when it can. */
  check(property: string, value: string): Promise<string | null>;
}
