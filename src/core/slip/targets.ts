/** Where an edit of the picked text can be written, with what each choice reaches. */
import { append } from "../source/groups";
import type { ElementRef } from "../text/refs";

import { withStatesEverywhere, type Conditions } from "../cascade/conditions";
import { ruleNow } from "../cascade/explain";
import { matchedBy } from "../cascade/matchedBy";
import { matches } from "../cascade/selectors/match";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { styledPage } from "../cascade/styledPages";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { noReach, pagesAmong } from "../edits/reach";
import type { Reach, Target } from "../edits/types";
import { plainSelector } from "../source/html/document";
import { positionAt } from "../source/lines";
import { pagesOf, sheetsOf, textFile, type Site } from "../source/site";
import { finished } from "../source/steps";
import type { StyleRule } from "../source/css/syntax";
import { refOf, textsOf } from "../text/pageTexts";
import { isPlace, textStyleKey } from "../text/textStyles";
import { classNameFor, isClassTaken } from "../edits/gather";
import { sheetsForNew } from "../edits/locate";
import { rulePlaces, rulesOfKind, type RulePlace } from "../edits/rulePlaces";
import { sheetTexts } from "../source/declarations";

export interface TargetOption {
  target: Target;
  /** The selector, or what is written into. */
  label: string;
  path: string;
  line: number | null;
  reach: Reach;
  /** Group under which it is offered. */
  group: "rule" | "new rule" | "class" | "id" | "style attribute";
  /** Media and other conditions the rule stands under. */
  condition: string | null;
  /** Where in its sheet a new rule can go, the place that is proposed first; none for what is no new rule. */
  places: RulePlace[];
}

/** A way to write, before it is known what it reaches. */
interface Draft extends Omit<TargetOption, "reach" | "target"> {
  target: Target;
  /** Which texts of a page it reaches: what it touches, and what lies in that. */
  touches(page: StyledPage): (style: Style) => boolean;
  /** Whether what lies in what it touches is not reached. */
  alone?: true;
}

/** @param only the page on which it is told what each reaches; null for all */
export function targetsFor(
  site: Site,
  page: StyledPage,
  style: Style,
  now: Conditions,
  only: string | null = null,
): TargetOption[] {
  return finished(targetSteps(site, page, style, now, only));
}

/** The same in steps, a page each. */
export function* targetSteps(
  site: Site,
  page: StyledPage,
  style: Style,
  now: Conditions,
  only: string | null,
): Generator<void, TargetOption[]> {
  const conditions = withStatesEverywhere(now);
  const drafts = draftsFor(site, page, style, conditions);
  const reaches = drafts.map(() => noReach(site, only));
  for (const file of pagesAmong(site, only)) {
    const own = styledPage(site, file, conditions);
    drafts.forEach((draft, at) => {
      const places = placesOn(own, draft);
      append(reaches[at]!.places, places);
      if (places.length) reaches[at]!.pages.push(file.path);
    });
    yield;
  }
  return drafts.flatMap((draft, at) => optionOf(draft, reaches[at]!));
}

/** A class for all like it is offered where there are some. */
function optionOf({ target, label, path, line, group, condition, places }: Draft, reach: Reach): TargetOption[] {
  const option = { label, path, line, group, condition, reach, places };
  if (target.kind !== "class" || target.elements.length > 0) return [{ ...option, target }];
  return reach.places.length > 1 ? [{ ...option, target: { ...target, elements: reach.places } }] : [];
}

function placesOn(page: StyledPage, { touches, alone }: Draft): ElementRef[] {
  const isTouched = touches(page);
  const touched = new Set<Style>();
  const look = (style: Style) => {
    if ((!alone && style.parent !== null && touched.has(style.parent)) || isTouched(style)) touched.add(style);
  };
  page.styles.forEach(look);
  return textsOf(page)
    .filter((style) => {
      if (style.pseudo !== null) look(style);
      return touched.has(style);
    })
    .map((style) => refOf(page.file.path, style));
}

function draftsFor(site: Site, page: StyledPage, style: Style, conditions: Conditions): Draft[] {
  const { element, pseudo } = style;
  const rules = ruleDrafts(site, page, style);
  const plain = plainSelector(element);
  const sheets = sheetsBySubject(site, page, plain);
  const sheet = sheets[0]!;
  const placesIn = (path: string, selector: string) => rulePlaces(site, path, selector);
  const isTaken = (selector: string) => rules.some(({ label, condition }) => label === selector && condition === null);
  if (pseudo !== null) {
    // Rules of their own: as all of its kind have it, and this one alone.
    const origins = [plain, ...(element.id ? [`#${element.id}`] : [])];
    const selectors = origins.map((origin) => `${origin}::${pseudo}`).filter((selector) => !isTaken(selector));
    return [...rules, ...selectors.map((selector) => newRule(selector, sheet, placesIn(sheet, selector)))];
  }
  const here: ElementRef = { page: page.file.path, index: element.index };
  const drafts = [...rules];
  const add = (group: Draft["group"], target: Target, label: string, path: string, places: RulePlace[]) =>
    drafts.push({ target, label, path, line: null, group, condition: null, places, touches: itself(here) });
  const likeIn = placesIn(sheet, plain);
  const selector = isTaken(plain) && style.parent ? `${plainSelector(style.parent.element)} ${plain}` : plain;
  for (const path of sheets) drafts.push(newRule(selector, path, placesIn(path, selector)));
  const files = [...sheetsOf(site), ...pagesOf(site)];
  const name = classNameFor([element], (one) => isClassTaken(files, one));
  add("class", { kind: "class", name, elements: [here], path: sheet }, `.${name}, given to this one`, sheet, likeIn);
  drafts.push({
    target: { kind: "class", name, elements: [], path: sheet },
    label: `.${name}, given to all like it`,
    path: sheet,
    line: null,
    group: "class",
    condition: null,
    places: likeIn,
    touches: likeIt(site, page, style, conditions),
    alone: true,
  });
  const id = element.id ?? name;
  add("id", { kind: "id", name: id, element: here, path: sheet }, `#${id}`, sheet, likeIn);
  if (element.source) {
    const target: Target = { kind: "style-attribute", element: here };
    add("style attribute", target, "style attribute", page.file.path, []);
  }
  return drafts;
}

/** What a new rule with these selectors would reach, on all pages that read its sheet; null where they are none. In steps, a page each. */
export function* selectorReachSteps(
  site: Site,
  path: string,
  selectors: string,
  now: Conditions,
): Generator<void, Reach | null> {
  if (!tryParseSelectorList(selectors)) return null;
  const draft = newRule(selectors, path);
  const conditions = withStatesEverywhere(now);
  const reach = noReach(site, null);
  for (const file of pagesOf(site)) {
    const places = placesOn(styledPage(site, file, conditions), draft);
    append(reach.places, places);
    if (places.length) reach.pages.push(file.path);
    yield;
  }
  return reach;
}

/** Where a new rule can go on a page: sheets that have rules of its kind first, its head last. */
function sheetsBySubject(site: Site, { sheets, file }: StyledPage, selector: string): string[] {
  const counts = new Map(
    sheetsForNew(sheets).map((path) => {
      const own = textFile(site, path);
      return [path, own ? rulesOfKind(sheetTexts(site, own), selector) : 0];
    }),
  );
  const ordered = [...counts.keys()].sort((a, b) => counts.get(b)! - counts.get(a)!);
  return [...new Set([...ordered, file.path])];
}

/** The sheet that a rule with a selector goes to: one with rules of its kind, if the page has such. */
export const sheetForNew = (site: Site, page: StyledPage, selector: string): string =>
  sheetsBySubject(site, page, selector)[0]!;

/** The rules that match an element, strongest first. */
export const ruleTargets = (
  site: Site,
  page: StyledPage,
  style: Style,
): Pick<TargetOption, "target" | "label" | "condition">[] => ruleDrafts(site, page, style);

function ruleDrafts(site: Site, page: StyledPage, style: Style): Draft[] {
  const drafts: Draft[] = [];
  for (const block of [...style.blocks].reverse()) {
    if (!block.match) continue;
    const { sheet, entry } = ruleNow(page, block.match);
    if (!sheet) continue;
    const { rule, conditions: under } = entry;
    const start = sheet.offset + rule.start;
    if (drafts.some(({ target }) => target.kind === "rule" && target.path === sheet.path && target.start === start))
      continue;
    const text = textFile(site, sheet.path)?.text ?? sheet.text;
    drafts.push({
      target: { kind: "rule", path: sheet.path, start },
      label: rule.preludeText.replace(/\s+/g, " "),
      path: sheet.path,
      line: positionAt(text, start).line,
      group: "rule",
      places: [],
      condition: under.media.length ? `@media ${under.media.join(" and ")}` : null,
      touches: matching(rule),
    });
  }
  return drafts;
}

/** What a rule matches. */
function matching(rule: StyleRule): Draft["touches"] {
  const matched = matchedBy(rule);
  return (page) => {
    const on = matched(page);
    return (style) => on(style) !== null;
  };
}

function newRule(selector: string, path: string, places: RulePlace[] = []): Draft {
  const list = tryParseSelectorList(selector) ?? [];
  return {
    target: { kind: "new-rule", path, selector },
    label: selector,
    path,
    line: null,
    group: "new rule",
    condition: null,
    places,
    touches: ({ sheets, file }) => {
      const isRead = file.path === path || sheets.owners.some((owner) => owner.sheets.some((one) => one.path === path));
      if (!isRead) return () => false;
      return ({ pseudo, element }) =>
        list.some(
          (one) => one.pseudoElement === pseudo && matches(one, element, { quirks: false, scope: null, forced: null }),
        );
    },
  };
}

/** One element, and what lies in it. */
function itself(here: ElementRef): Draft["touches"] {
  return ({ file }) =>
    ({ element, pseudo }) =>
      pseudo === null && file.path === here.page && element.index === here.index;
}

/** Places of the same text style and the same kind of element. */
function likeIt(site: Site, page: StyledPage, picked: Style, conditions: Conditions): Draft["touches"] {
  const key = textStyleKey(styledPage(site, page.file, conditions).styles[picked.element.index]!);
  return () => (style) =>
    style.pseudo === null &&
    style.element.tag === picked.element.tag &&
    style.element.source !== null &&
    isPlace(style) &&
    textStyleKey(style) === key;
}
