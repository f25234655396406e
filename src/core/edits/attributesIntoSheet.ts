/** The style attributes of a page moved into a sheet: equal ones are gathered, by what tells their elements apart. */
import { defaultConditions } from "../cascade/conditions";
import { elementsMatching } from "../cascade/selectors";
import { tryParseSelectorList } from "../cascade/selectors/parse";
import { changeBetween, type TextChange } from "../source/changes";
import { attachedDeclarations, sheetTexts } from "../source/declarations";
import { groupBy, append } from "../source/groups";
import { documentOf, plainSelector, writtenElements, type ElementNode } from "../source/html/document";
import { changeSite, pagesOf, sheetsOf, textFile, type Site, type TextFile } from "../source/site";
import { finished } from "../source/steps";
import { attributeFor, classNameFor, gatherAttributes, isClassTaken, withoutAttribute } from "./gather";
import { fileAt } from "./locate";
import { newRule } from "./newRule";
import { reachSteps } from "./reach";
import { blockText, changeIn, moved } from "./ruleText";
import { checkSelectors } from "./selectorList";
import type { ElementRef } from "../text/refs";
import { EditError } from "./types";

/** Style attributes that set the same. */
export interface AttributeGroup {
  /** What they set, as it is written. */
  declarations: string;
  /** How many elements have it. */
  elements: number;
  /** The words or the tag of the first, to know it by. */
  first: string;
  /** The selector that is proposed. */
  selector: string;
  /** "rule": one that is there reaches just these; "apart": something they have tells them apart; "class": they get a new one. */
  how: "rule" | "apart" | "class";
}

/** The style attributes of a page as they would be gathered into a sheet. */
export function attributeGroups(site: Site, path: string, sheet: string): AttributeGroup[] {
  return finished(attributeGroupSteps(site, path, sheet));
}

/** The same in steps, a group each. */
export function* attributeGroupSteps(site: Site, path: string, sheet: string): Generator<void, AttributeGroup[]> {
  const taken = new Set<string>();
  const groups: AttributeGroup[] = [];
  for (const elements of groupsOf(fileAt(site, path))) {
    const { selector, how } = proposalFor(site, path, sheet, elements, taken);
    taken.add(selector);
    const [first] = elements as [ElementNode, ...ElementNode[]];
    const declarations = first.attributes.get("style")!.trim();
    groups.push({ declarations, elements: elements.length, first: first.tag, selector, how });
    yield;
  }
  return groups;
}

/**
 * The style attributes of a page made rules in a sheet.
 * @param selectors one a group, in the order of `attributeGroups`; those that are proposed by default. A class that none of
 * the group has is given to all of it.
 * @throws EditError where none can be moved, or a selector leaves some of its elements out
 */
export function attributesIntoSheet(
  site: Site,
  path: string,
  sheet: string,
  selectors: readonly string[] | null = null,
): TextChange[] {
  const groups = groupsOf(fileAt(site, path));
  if (groups.length === 0) throw new EditError(`${path} has no style attributes that can be moved.`);
  const named = selectors ?? attributeGroups(site, path, sheet).map(({ selector }) => selector);
  const inPage: TextChange[] = [];
  // The sheet grows group by group.
  let now = site;
  groups.forEach((elements, at) => {
    const { page, rule } = groupInto(now, path, sheet, elements, named[at] ?? "");
    append(inPage, page);
    now = changeSite(now, rule);
  });
  const inSheet = changeBetween(sheet, textFile(site, sheet)!.text, textFile(now, sheet)!.text);
  return inSheet ? [...inPage, inSheet] : inPage;
}

const groupsOf = (page: TextFile): ElementNode[][] => [
  ...groupBy(
    writtenElements(documentOf(page)).filter((element) => attachedDeclarations(element).length > 0),
    ({ attributes }) => attributes.get("style")!.trim(),
  ).values(),
];

/** What becomes of a group: in the page, and in the sheet. */
function groupInto(
  site: Site,
  path: string,
  sheet: string,
  elements: readonly ElementNode[],
  selector: string,
): { page: TextChange[]; rule: TextChange[] } {
  const refs = elements.map(({ index }) => ({ page: path, index }));
  const written = selector.trim();
  const name = /^\.([-\w\u0080-\uffff]+)$/.exec(written)?.[1];
  if (name && !elements.some(({ classes }) => classes.includes(name))) {
    const changes = gatherAttributes(site, refs, sheet, name);
    return {
      page: changes.filter((change) => change.path === path),
      rule: changes.filter((change) => change.path === sheet),
    };
  }
  checkSelectors(written);
  const own = elementsMatching(documentOf(fileAt(site, path)), tryParseSelectorList(written)!);
  const left = elements.find(({ index }) => !own.includes(index));
  if (left) throw new EditError(`${written} does not match all of them: a ${left.tag} would be left out.`);
  const page = refs.map((ref) => withoutAttribute(site, ref));
  return { page, rule: intoRule(site, refs[0]!, sheet, written) };
}

/** What a style attribute sets put into the last rule of a sheet that has just this selector, or a new one. */
function intoRule(site: Site, ref: ElementRef, sheet: string, selector: string): TextChange[] {
  let now = site;
  for (const [property, value] of attributeFor(site, ref, sheet)) {
    const file = fileAt(now, sheet);
    const own = ruleWith(now, file, selector);
    const change = own
      ? moved(sheet, changeIn(file, blockText(own.sheet, own.rule), property, value), own.sheet.offset)
      : newRule(now, sheet, selector, [[property, value]]);
    now = changeSite(now, change);
  }
  const change = changeBetween(sheet, fileAt(site, sheet).text, fileAt(now, sheet).text);
  return change ? [change] : [];
}

function ruleWith(site: Site, file: TextFile, selector: string) {
  for (const sheet of sheetTexts(site, file).toReversed()) {
    const rule = sheet.items.findLast((item) => item.kind === "style" && item.preludeText === selector);
    if (rule?.kind === "style") return { sheet, rule };
  }
  return null;
}

type Proposal = Pick<AttributeGroup, "selector" | "how">;

/** The first way that leaves the page as it is: a rule that is there, something the elements have, a new class. */
function proposalFor(
  site: Site,
  path: string,
  sheet: string,
  elements: readonly ElementNode[],
  taken: ReadonlySet<string>,
): Proposal {
  const files = [...sheetsOf(site), ...pagesOf(site)];
  const name = classNameFor(elements, (one) => taken.has(`.${one}`) || isClassTaken(files, one));
  const fresh: Proposal = { selector: `.${name}`, how: "class" };
  const likely = [...rulesFor(site, path, sheet, elements), ...apart(site, path, elements)];
  return (
    likely.filter(({ selector }) => !taken.has(selector)).find((one) => leaves(site, path, sheet, elements, one)) ??
    fresh
  );
}

function leaves(
  site: Site,
  path: string,
  sheet: string,
  elements: readonly ElementNode[],
  { selector }: Proposal,
): boolean {
  const { page, rule } = groupInto(site, path, sheet, elements, selector);
  const changes = [...page, ...rule];
  return finished(reachSteps(site, changeSite(site, changes), changes, defaultConditions, path)).places.length === 0;
}

/** Whether a selector matches these elements of a page, and nothing else on any. */
function isExact(site: Site, path: string, elements: readonly ElementNode[], selector: string): boolean {
  const list = tryParseSelectorList(selector);
  if (!list) return false;
  return pagesOf(site).every((file) => {
    const found = elementsMatching(documentOf(file), list);
    if (file.path !== path) return found.length === 0;
    return found.length === elements.length && elements.every(({ index }) => found.includes(index));
  });
}

function rulesFor(site: Site, path: string, sheet: string, elements: readonly ElementNode[]): Proposal[] {
  return sheetTexts(site, fileAt(site, sheet))
    .flatMap(({ items }) => items.flatMap((item) => (item.kind === "style" ? [item.preludeText] : [])))
    .filter((selector) => isExact(site, path, elements, selector))
    .map((selector) => ({ selector, how: "rule" }));
}

/** What tells elements apart: a class all have, the id of the only one, their tag inside what they stand in. */
function apart(site: Site, path: string, elements: readonly ElementNode[]): Proposal[] {
  const [first, ...others] = elements as [ElementNode, ...ElementNode[]];
  const shared = first.classes.filter((name) => others.every(({ classes }) => classes.includes(name)));
  const around = first.parent && others.every(({ parent }) => parent === first.parent) ? first.parent : null;
  const selectors = [
    ...shared.map((name) => `.${name}`),
    ...(others.length === 0 && first.id ? [`#${first.id}`] : []),
    ...(around && others.every(({ tag }) => tag === first.tag) ? [`${plainSelector(around)} ${first.tag}`] : []),
  ];
  return selectors
    .filter((selector) => isExact(site, path, elements, selector))
    .map((selector) => ({ selector, how: "apart" }));
}
