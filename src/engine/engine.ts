/** What the core answers in its worker. It holds the site; the interface asks and shows. */
import {
  alikeOf,
  allRightSteps,
  attributeGroupSteps,
  changeSite,
  colorSpots,
  colorSpotsIn,
  combine,
  completions,
  conditionsUnder,
  definedProperties,
  changesInWords,
  dataAddress,
  comparedSteps,
  differingSteps,
  draftedSite,
  draftKindNames,
  draftKinds,
  draftSteps,
  provenUnder,
  rhythmSteps,
  writeDraft,
  writePaper,
  EditError,
  editsOn,
  facesOfPage,
  faultsIn,
  findSteps,
  FontError,
  fixSteps,
  fontFaceFor,
  groundsUnder,
  helpFor,
  ignoredMessage,
  inksOn,
  meetingMargins,
  veilsOver,
  judgeChange,
  judgeSteps,
  layoutNow,
  layoutWith,
  linkLooks,
  lookOf,
  matchFallback,
  nameColor,
  nameStack,
  outlineAfter,
  pagesOf,
  paletteOf,
  planOnPage,
  planRuleEdit,
  planSheetEdit,
  planSteps,
  planWithFiles,
  positionAt,
  propertyAt,
  readFontFile,
  refAfter,
  replaceFound,
  readTokens,
  replaceByTokens,
  reports,
  restack,
  retag,
  ruleAround,
  ruleHere,
  rulePlaces,
  selectorReachSteps,
  settingOf,
  siteOf,
  sizesAt,
  slipAtOnce,
  slipTargets,
  sheetOutlineSteps,
  sheetTable,
  stackTable,
  strayingSteps,
  TokensError,
  styledPage,
  textFile,
  textStyleTable,
  mediaWidths,
  placeNames,
  trialContrasts,
  withFiles,
  withTyped,
  writingOptions,
  type FileChange,
  type Judged,
  type Conditions,
  type Edit,
  type Finding,
  type AddressOf,
  type Layouts,
  type PageLayout,
  type PageStress,
  type Plan,
  type Site,
  type Stresses,
  type StyledPage,
  type TextChange,
} from "@/core";
import { Addresses } from "./addresses";
import { sinceEditions } from "./editions";
import { summarySteps } from "./summary";
import { Turns } from "./turns";
import { warmSteps } from "./warm";
import { pageAsPicture, pageOf, placesOf, sheetsOfPage, viewOf } from "./views";
import type {
  ComparedSide,
  Engine,
  FindingView,
  PagePatch,
  PageView,
  PlanResult,
  SiteColor,
  SiteFont,
  SiteSummary,
  WrittenFiles,
} from "./protocol";

let site: Site = siteOf([]);
const turns = new Turns();

/** Counts what is asked about all pages; what takes long gives way to the next of its kind. */
const latest = {
  allRight: 0,
  attributeGroups: 0,
  changesInWords: 0,
  compare: 0,
  differences: 0,
  draft: 0,
  find: 0,
  heldAgainst: 0,
  reach: 0,
  rhythm: 0,
  selectors: 0,
  summary: 0,
  survey: 0,
  targets: 0,
};

/** How far a draft is is told once in so many looks. */
const looksBetween = 10;

/** Whether what is asked now is still wanted: until the next of its kind is asked for, or stopped. */
function asLatest(kind: keyof typeof latest): () => boolean {
  const mine = (latest[kind] += 1);
  return () => mine === latest[kind];
}

/** How often reports were stopped; several may be made at a time. */
let stoppedReports = 0;

/** How often each that shows ways to set a finding right has asked for some. */
const askers = new Map<string, number>();

const addresses = new Addresses();
const addressesIn =
  ({ files }: Site): AddressOf =>
  (path) =>
    addresses.of(path, files.get(path));

const isNoText = ({ before, after }: FileChange) => (after ?? before)?.kind === "other";

/** What was read of a page that was shown, for one structure of it. */
interface KnownLayout {
  structure: string;
  layout: PageLayout;
  /** The page as it was shown last. */
  page: StyledPage | undefined;
  /** Whether all texts were looked at since the page was shown as it is. */
  whole: boolean;
}

const layouts = new Map<string, KnownLayout>();
/** The layout of a page with changes that are shown and not written: once they are, it is that of the page. */
let tried: { path: string; changes: string; known: KnownLayout } | null = null;

/** The page that was shown last with changes that are not written: once they are, it is the page as it is shown. */
let rehearsed: { path: string; changes: string; page: StyledPage } | null = null;

/** The pages as they were sent to be shown last. */
const shown = new Map<string, StyledPage>();

/** What is known of all pages as they are laid out, each looked at when it is asked for: what was painted counts for texts that are as they were. */
function knownLayouts(conditions: Conditions): Layouts {
  const from = site;
  const all: Record<string, PageLayout> = {};
  for (const [path, { layout, page }] of layouts) {
    const file = textFile(from, path);
    if (file?.kind !== "html") continue;
    let now: PageLayout | null = null;
    const get = () => (now ??= layoutNow(layout, page, styledPage(from, file, conditions)));
    Object.defineProperty(all, path, { get, enumerable: true });
  }
  return all;
}

/** What gives way on pages as some readers have them, by their styles: as long as those are the same, so is it. */
const stresses = new WeakMap<StyledPage["styles"], PageStress>();

function knownStresses(from: Site, conditions: Conditions): Stresses {
  const all: Record<string, PageStress> = {};
  for (const path of layouts.keys()) {
    const file = textFile(from, path);
    const own = file?.kind === "html" ? stresses.get(styledPage(from, file, conditions).styles) : undefined;
    if (own) all[path] = own;
  }
  return all;
}

const measuredNow = (conditions: Conditions) => ({
  layouts: knownLayouts(conditions),
  stresses: knownStresses(site, conditions),
});

/** The layout of a page, if it is of the page with this structure. */
function layoutFor(path: string, structure: string, page: StyledPage): Layouts {
  const known = layouts.get(path);
  return known?.structure === structure ? { [path]: layoutNow(known.layout, known.page, page) } : {};
}

/** @param kept whether it is the page as it is shown from now on @param outOfSight see `viewOf` */
function viewFor(
  from: Site,
  path: string,
  conditions: Conditions,
  { kept = from === site, outOfSight = false } = {},
): PageView {
  const known = (structure: string) => {
    // A page that has got other elements has to be laid out anew.
    if (kept && layouts.get(path)?.structure !== structure) layouts.delete(path);
    return layoutFor(path, structure, pageOf(from, path, conditions));
  };
  const view = viewOf(from, path, conditions, addressesIn(from), known, outOfSight);
  if (kept) shown.set(path, pageOf(from, path, conditions));
  return view;
}

function patchOf(from: Site, path: string, structure: string, conditions: Conditions): PagePatch {
  const view = viewFor(from, path, conditions);
  if (view.structure !== structure) return view;
  const before = from === site ? [] : sheetsOfPage(site, pageOf(site, path, conditions), addressesIn(site));
  return { ...view, sheets: sinceEditions(before, view.sheets), document: null };
}

/** The fonts that pages bring and that can be loaded, in steps, a page each. */
function* fontSteps(from: Site): Generator<void, SiteFont[]> {
  const fonts = new Map<string, SiteFont>();
  for (const file of pagesOf(from)) {
    for (const face of facesOfPage(from, file)) {
      const address = face.file && face.path ? addressesIn(from)(face.path) : null;
      if (!address) continue;
      const { family, italic } = face;
      const font: SiteFont = { family, weight: face.weight.join(" "), style: italic ? "italic" : "normal", address };
      fonts.set(`${font.family} ${font.weight} ${font.style}`, font);
    }
    yield;
  }
  return [...fonts.values()];
}

/** What a plan does to contrast. */
function judged({ changes, reach }: Plan, conditions: Conditions): Judged {
  return judgeChange(site, changeSite(site, changes), reach.places, conditions, knownLayouts(conditions));
}

/** A plan that is counted over the site, as the site is when it is asked for. */
function* judgedPlan(from: Site, edit: Edit, conditions: Conditions): Generator<void, PlanResult> {
  const known = knownLayouts(conditions);
  const plan = yield* planSteps(from, edit, conditions);
  const judged = yield* judgeSteps(from, changeSite(from, plan.changes), plan.reach.places, conditions, known);
  return { plan, judged, problem: null };
}

/** Pages of which it is not known what lies under their texts, those after the one shown first, in steps. */
function* unlaidSteps(from: Site, conditions: Conditions, shown: string | null): Generator<void, string[]> {
  const files = pagesOf(from);
  const next = files.findIndex(({ path }) => path === shown) + 1;
  const unlaid: string[] = [];
  for (const file of [...files.slice(next), ...files.slice(0, next)]) {
    if (file.path === shown) continue;
    const known = layouts.get(file.path);
    // A page that was never laid out need not be styled to know it.
    if (!known?.whole || known.page?.styles !== styledPage(from, file, conditions).styles) unlaid.push(file.path);
    yield;
  }
  return unlaid;
}

/** What is changed once sheets were put in or taken out. */
function* movedPlan(
  from: Site,
  changes: readonly TextChange[],
  files: readonly FileChange[],
  conditions: Conditions,
): Generator<void, PlanResult> {
  return { plan: yield* planWithFiles(from, changes, files, conditions), judged: null, problem: null };
}

/** The ways to set a finding right, with the first of its texts as it is and as it would be. */
function* findingView(from: Site, finding: Finding, conditions: Conditions): Generator<void, FindingView> {
  const known = knownLayouts(conditions);
  const stresses = knownStresses(from, conditions);
  const fixes = yield* fixSteps(from, finding, conditions, { layouts: known, stresses });
  const [place] = finding.places;
  const then = conditionsUnder(finding, conditions);
  const look = (of: Site, layouts: Layouts) =>
    place ? lookOf(of, place, then, then === conditions ? layouts : {}) : null;
  return {
    now: look(from, known),
    fixes: fixes.map((fix) => ({ ...fix, then: look(changeSite(from, fix.changes), {}) })),
  };
}

/** What was made, or why it cannot be. */
function attempt<Made>(make: () => Made): { made: Made | null; problem: string | null } {
  try {
    return { made: make(), problem: null };
  } catch (error) {
    const isKnown = error instanceof EditError || error instanceof RangeError || error instanceof TokensError;
    if (isKnown) return { made: null, problem: error.message };
    throw error;
  }
}

function changesOf(make: () => TextChange[]): { changes: TextChange[]; problem: string | null } {
  const { made, problem } = attempt(make);
  return { changes: made ?? [], problem };
}

function filesOf(make: () => { changes: TextChange[]; files: FileChange[] }): WrittenFiles {
  const { made, problem } = attempt(make);
  return { changes: made?.changes ?? [], files: made?.files ?? [], problem };
}

/** What the interface asks; all but `started`, which is the worker's own. */
const answers: Omit<Engine, "started"> = {
  warm: async (files) => {
    await turns.inSlices(warmSteps(files), () => site.files.size === 0);
  },

  open: async (files) => {
    addresses.clear();
    layouts.clear();
    shown.clear();
    tried = null;
    rehearsed = null;
    site = siteOf(files);
  },

  summary: async (conditions, report): Promise<SiteSummary | null> => {
    const steps = summarySteps(site, conditions, knownLayouts(conditions), knownStresses(site, conditions));
    return turns.whileQuiet(steps, asLatest("summary"), ({ done, of }) => void report?.(done, of));
  },

  stopSummary: async () => {
    latest.summary += 1;
  },

  page: async (path, conditions) => viewFor(site, path, conditions),

  pageOutOfSight: async (path, conditions) => viewFor(site, path, conditions, { outOfSight: true }),

  setting: async (picked, places, property, conditions) => settingOf(site, picked, places, property, conditions),

  siteFonts: async () => (await turns.inSlices(fontSteps(site), () => true)) ?? [],

  grounds: async (picked, places, conditions) =>
    groundsUnder(site, picked, places, conditions, knownLayouts(conditions)),

  inks: async (picked, conditions) => inksOn(site, picked, conditions, knownLayouts(conditions)),

  veils: async (picked, color, conditions) =>
    veilsOver(inksOn(site, picked, conditions, knownLayouts(conditions)), picked, color),

  margins: async ({ page, index }, side, conditions) => meetingMargins(pageOf(site, page, conditions), index, side),

  palette: async (conditions) => paletteOf(site, conditions, knownLayouts(conditions)),

  styleTable: async (conditions) => textStyleTable(site, conditions, knownLayouts(conditions)),

  rhythm: async (conditions) => turns.inSlices(rhythmSteps(site, conditions), asLatest("rhythm")),

  placeNames: async (refs) => placeNames(site, refs),

  mediaWidths: async (path, conditions) => {
    const file = textFile(site, path);
    return file ? mediaWidths(site, file, conditions) : [];
  },

  trialContrasts: async (picked, candidates, conditions) =>
    trialContrasts(site, picked, candidates, conditions, knownLayouts(conditions)),

  editsOn: async (texts, conditions) => {
    const { made, problem } = attempt(() =>
      texts.flatMap(({ ref, declarations }) => editsOn(site, ref, declarations, conditions)),
    );
    return { edits: made ?? [], problem };
  },

  variant: async (path, changes, conditions, files = []) =>
    viewFor(changeSite(withFiles(site, files), changes), path, conditions, { kept: false }),

  combine: async (edits) => changesOf(() => combine(site, edits)),

  sizesAt: async (refs, widths, conditions) => {
    // Width by width, so that each page is styled once for each.
    const columns = widths.map((width) => refs.map((ref) => sizesAt(site, ref, [width], conditions)[0] ?? 0));
    return refs.map((_, at) => columns.map((column) => column[at]!));
  },

  nameColor: async (spots, name) => changesOf(() => nameColor(site, spots, name, definedProperties(site))),

  stacks: async (conditions) => stackTable(site, conditions),

  sheets: async () => sheetTable(site),

  outline: async (path) => (await turns.inSlices(sheetOutlineSteps(site, path), () => true))!,

  planSheets: async (edit) => {
    return filesOf(() =>
      "sheet" in edit ? planSheetEdit(site, edit) : { changes: planRuleEdit(site, edit), files: [] },
    );
  },

  asked: async () => draftKindNames.filter((kind) => draftKinds[kind].isAsked(site)),

  draft: async (asked, conditions, report) => {
    let looks = 0;
    const told = () => void ((looks += 1) % looksBetween === 0 && report?.(looks));
    return turns.inSlices(draftSteps(site, conditions, asked), asLatest("draft"), told);
  },

  stopDraft: async () => {
    latest.draft += 1;
  },

  writeDraft: async (draft, writing) => filesOf(() => writeDraft(site, draft, definedProperties(site), writing)),

  writePaper: async (asked, conditions) => filesOf(() => writePaper(site, conditions, asked)),

  draftView: async (draft, path, conditions) => viewFor(draftedSite(site, draft), path, conditions, { kept: false }),

  attributeGroups: async (page, sheet) =>
    turns.inSlices(attributeGroupSteps(site, page, sheet), asLatest("attributeGroups")),

  retag: async (ref, to, all) => {
    const { changes, problem } = changesOf(() => retag(site, all ? alikeOf(site, ref) : [ref], to));
    return { changes, outline: outlineAfter(site, changes), problem };
  },

  differences: async (changes, files, conditions, except = null) =>
    turns.inSlices(
      differingSteps(
        site,
        changeSite(withFiles(site, files), changes),
        changes,
        conditions,
        provenUnder(conditions, except),
      ),
      asLatest("differences"),
    ),

  matchFallback: async (stack, fallback, conditions) =>
    changesOf(() => matchFallback(site, stack, fallback, conditions)),

  checkFont: async (bytes) => {
    try {
      const { family, style } = readFontFile(bytes);
      return { family, style, problem: null };
    } catch (error) {
      if (error instanceof FontError) return { family: "", style: "", problem: error.message };
      throw error;
    }
  },

  declareFont: async (path, bytes, family) => {
    const added: FileChange = { path, before: null, after: { kind: "other", path, bytes } };
    return changesOf(() => fontFaceFor(withFiles(site, [added]), path, readFontFile(bytes), family));
  },

  restack: async (stack, instead) => changesOf(() => restack(site, stack, instead)),

  nameStack: async (stack, name) => changesOf(() => nameStack(site, stack, name, definedProperties(site))),

  reports: async () => reports.map(({ id, group, label, hint }) => ({ id, group, label, hint })),

  report: async (id, about, conditions) => {
    const report = reports.find((one) => one.id === id);
    if (!report) throw new RangeError(`There is no report ${id}.`);
    const stresses = knownStresses(site, conditions);
    const steps = report.make({ ...about, site, conditions, layouts: knownLayouts(conditions), stresses });
    const since = stoppedReports;
    const text = await turns.inSlices(steps, () => since === stoppedReports);
    return text === null ? null : { file: report.file, type: report.type, text };
  },

  heldAgainst: async (text) => {
    const { made, problem } = attempt(() => readTokens(text));
    if (!made) return { problem: problem! };
    const held = await turns.inSlices(strayingSteps(site, made.tokens), asLatest("heldAgainst"));
    return held && { tokens: made.tokens.length, problems: made.problems, others: made.others, held };
  },

  replaceByTokens: async (text, wanted, how) =>
    changesOf(() => replaceByTokens(site, readTokens(text).tokens, wanted, how)),

  compare: async (before, after, conditions) => {
    const sideOf = ({ changes, files, page }: ComparedSide) => ({
      site: changeSite(withFiles(site, files), changes),
      page,
    });
    return turns.inSlices(comparedSteps(sideOf(before), sideOf(after), conditions), asLatest("compare"));
  },

  stopReports: async () => {
    stoppedReports += 1;
  },

  changesInWords: async (before, conditions) =>
    turns.inSlices(changesInWords(siteOf(before), site, conditions), asLatest("changesInWords")),

  siteColors: async () => {
    const colors = new Map<string, SiteColor>();
    for (const { value, css } of colorSpots(site)) {
      if (css === null) continue;
      const known = colors.get(css);
      if (known) known.uses += 1;
      else colors.set(css, { css, value, uses: 1 });
    }
    return [...colors.values()].sort((a, b) => b.uses - a.uses);
  },

  fixes: async (finding, conditions, asker) => {
    const mine = (askers.get(asker) ?? 0) + 1;
    askers.set(asker, mine);
    return turns.inSlices(findingView(site, finding, conditions), () => askers.get(asker) === mine);
  },

  setAllRight: async (findings, conditions) =>
    turns.inSlices(allRightSteps(site, findings, conditions, measuredNow(conditions)), asLatest("allRight")),

  linkLooks: async (ref, conditions) => linkLooks(site, ref, conditions, knownLayouts(conditions)),

  slip: async (ref, conditions) => {
    latest.targets += 1;
    return attempt(() => slipAtOnce(site, ref, conditions, knownLayouts(conditions))).made;
  },

  targets: async (ref, conditions) => {
    const { made: steps } = attempt(() => slipTargets(site, ref, conditions));
    return steps && turns.inSlices(steps, asLatest("targets"));
  },

  plan: async (edit, conditions, page) => {
    latest.reach += 1;
    const { made: plan, problem } = attempt(() => planOnPage(site, edit, conditions, page));
    return { plan, judged: plan && judged(plan, conditions), problem };
  },

  reach: async (edit, conditions, files = []) => {
    const wanted = asLatest("reach");
    const moves = edit.kind === "text" && files.some(({ path }) => path.endsWith(".css"));
    const steps = moves ? movedPlan(site, edit.changes, files, conditions) : judgedPlan(site, edit, conditions);
    // The first step makes the changes, and says why it cannot.
    const { problem } = attempt(() => steps.next());
    return problem === null ? turns.inSlices(steps, wanted) : { plan: null, judged: null, problem };
  },

  rehearse: async (changes, path, structure, conditions) => {
    const from = changeSite(site, changes);
    rehearsed = { path, changes: JSON.stringify(changes), page: pageOf(from, path, conditions) };
    return patchOf(from, path, structure, conditions);
  },

  layOut: async (path, structure, layout, whole, conditions, changes) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const page = pageOf(from, path, conditions);
    const before = layoutFor(path, structure, page)[path] ?? {};
    const merged = layoutWith(before, layout, whole);
    if (from === site) layouts.set(path, { structure, layout: merged, page: shown.get(path), whole });
    else tried = { path, changes: JSON.stringify(changes), known: { structure, layout: merged, page, whole } };
    return placesOf(page, from, { [path]: merged });
  },

  picture: async (path, changes, conditions, stage, look, unknown) => {
    const from = changes.length ? changeSite(site, changes) : site;
    const svg = pageAsPicture(from, path, conditions, addressesIn(from), stage, look, unknown);
    const whole = svg.replace(/blob:[^"'()\s&<>\\]+/g, (address) => addresses.asData(address));
    return dataAddress("image/svg+xml", new TextEncoder().encode(whole));
  },

  unlaidPages: async (conditions, shown) =>
    (await turns.inSlices(unlaidSteps(site, conditions, shown), asLatest("survey"))) ?? [],

  unstressedPages: async (conditions) =>
    pagesOf(site)
      .filter((file) => layouts.has(file.path) && !stresses.has(styledPage(site, file, conditions).styles))
      .map(({ path }) => path),

  stressed: async (path, conditions, stress) => {
    stresses.set(pageOf(site, path, conditions).styles, stress);
    return Object.values(stress).some((list) => list.length > 0);
  },

  commit: async (changes, files, follow = null) => {
    const before = site;
    site = changeSite(withFiles(site, files), changes);
    // What was painted, or laid out, was so with the pictures and fonts that there were.
    if (files.some(isNoText)) layouts.clear();
    const key = JSON.stringify(changes);
    if (rehearsed?.changes === key) shown.set(rehearsed.path, rehearsed.page);
    if (tried?.changes === key) layouts.set(tried.path, { ...tried.known, whole: false });
    tried = null;
    rehearsed = null;
    return follow && refAfter(before, site, follow, changes);
  },

  patch: async (path, structure, conditions) => patchOf(site, path, structure, conditions),

  source: async (path, offset) => {
    const file = textFile(site, path);
    if (!file) return null;
    const found = ruleAround(site, path, offset);
    const { text } = file;
    const start = found ? found.sheet.offset + found.rule.start : 0;
    const end = found ? found.sheet.offset + found.rule.end : text.length;
    return { isRule: found !== null, firstLine: positionAt(text, start).line, lastLine: positionAt(text, end).line };
  },

  complete: async (property, typed) => completions(property, typed),

  rulePlaces: async (path, selectors) => rulePlaces(site, path, selectors),

  selectorReach: async (path, selectors, conditions) =>
    turns.inSlices(selectorReachSteps(site, path, selectors, conditions), asLatest("selectors")),

  find: async (search) => turns.inSlices(findSteps(site, search), asLatest("find")),

  replaceFound: async (search, by, paths) => replaceFound(site, search, by, paths),

  writing: async (typed, offset, page, conditions) => {
    const from = withTyped(site, typed);
    return writingOptions(
      { site: from, path: typed.path, page, conditions, layouts: knownLayouts(conditions) },
      offset,
    );
  },

  written: async (typed, offset, page, conditions) => {
    const from = withTyped(site, typed);
    const property = propertyAt(from, typed.path, offset);
    const file = page === null ? null : textFile(from, page);
    return {
      rule: file ? ruleHere(from, styledPage(from, file, conditions), typed.path, offset) : null,
      help: property === null ? null : helpFor(property),
    };
  },

  parses: async (typed) => faultsIn(withTyped(site, typed), typed.path) <= faultsIn(site, typed.path),

  colorsIn: async (typed) => {
    const spots = colorSpotsIn(withTyped(site, typed), typed.path);
    return spots.flatMap(({ start, end, css }) => (css === null ? [] : [{ start, end, css }]));
  },

  help: async (property) => helpFor(property),

  check: async (property, value) => (value.trim() === "" ? "A value is missing." : ignoredMessage(property, value)),
};

/** What nobody waits for. */
const counting: readonly (keyof Engine)[] = [
  "siteFonts",
  "stressed",
  "summary",
  "stopSummary",
  "unlaidPages",
  "unstressedPages",
  "warm",
];

/** The same, where whatever somebody waits for goes before what is counted. */
export const engine = Object.fromEntries(
  Object.entries(answers).map(([name, answer]: [string, (...asking: never[]) => unknown]) => [
    name,
    counting.includes(name as keyof Engine) ? answer : (...asking: never[]) => turns.asking(() => answer(...asking)),
  ]),
) as unknown as typeof answers;
