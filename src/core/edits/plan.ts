/** Edits turned into changes of text, with what they reach. Nothing is written here. */
import { attributeSource } from "../source/html/attributeSource";
import type { SheetText } from "../source/declarations";
import type { ElementRef } from "../text/refs";
import { defaultConditions, withStatesEverywhere, type Conditions } from "../cascade/conditions";
import { conditionsAfter } from "../cascade/conditionsAfter";
import { invalidReason, isKnownProperty } from "../cascade/declarations";
import { parseBlock } from "../source/css/syntax";
import { changeSite, withFiles, type FileChange, type Site } from "../source/site";
import type { TextChange } from "../source/changes";
import { finished } from "../source/steps";
import { textAt } from "../text/pageTexts";
import { refAfter, refsBefore } from "../text/refAfter";
import { insertAttribute, spliceAttribute } from "./attributes";
import { switchOff, switchOn, type BlockText } from "./block";
import { declarationAt, elementAt, ruleAt } from "./locate";
import { newRule } from "./newRule";
import { fold, unfold } from "./fold";
import { reachSteps } from "./reach";
import { effectWarnings, endWarnings, resetWarnings } from "./warnings";
import { unwrapWords, wrapWords } from "./words";
import { setSelectors } from "./selectorList";
import { blockText, changeIn, moved } from "./ruleText";
import { checkName, checkSelfContained, writable } from "./value";
import { EditError, type Edit, type Plan, type Reach, type Target } from "./types";

/**
 * The changes an edit makes and the places it touches under the given conditions.
 * @throws EditError, in plain words, when the edit cannot be made
 */
export function planEdit(site: Site, edit: Edit, conditions: Conditions = defaultConditions): Plan {
  return finished(planSteps(site, edit, conditions));
}

/** What changes reach that are made once files were put in and taken out, in steps, a page each. */
export function* planWithFiles(
  site: Site,
  changes: readonly TextChange[],
  files: readonly FileChange[],
  conditions: Conditions,
): Generator<void, Plan> {
  const after = changeSite(withFiles(site, files), changes);
  yield;
  const reach = yield* reachBefore(site, after, changes, conditions, null);
  return { changes: [...changes], reach, warnings: [] };
}

/** The same with what it reaches on one page alone. @throws EditError */
export function planOnPage(site: Site, edit: Edit, conditions: Conditions, page: string | null): Plan {
  return finished(planSteps(site, edit, conditions, page));
}

/** The same in steps, a page each. @param only the page on which it is told what it reaches; null for all @throws EditError */
export function* planSteps(
  site: Site,
  edit: Edit,
  conditions: Conditions,
  only: string | null = null,
): Generator<void, Plan> {
  const changes = changesFor(site, edit);
  const after = changeSite(site, changes);
  const warnings = warningsFor(site, after, changes, edit, conditions);
  yield;
  const reach = yield* reachBefore(site, after, changes, conditions, only);
  return { changes, reach, warnings };
}

/** What changes reach, as places are counted before them; what is new is counted on its page alone. */
function* reachBefore(
  site: Site,
  after: Site,
  changes: readonly TextChange[],
  conditions: Conditions,
  only: string | null,
): Generator<void, Reach> {
  const reach = yield* reachSteps(site, after, changes, withStatesEverywhere(conditions), only);
  const was = refsBefore(site, after, changes);
  return { ...reach, places: reach.places.flatMap((ref) => was(ref) ?? []) };
}

function warningsFor(
  site: Site,
  after: Site,
  changes: readonly TextChange[],
  edit: Edit,
  conditions: Conditions,
): string[] {
  if (edit.kind === "fold" || edit.kind === "unfold") return foldWarnings(site, edit);
  if (edit.kind !== "declare") return [];
  const old = textAt(site, edit.place, conditions);
  const later = conditionsAfter(conditions, site, after, changes);
  const now = textAt(after, edit.place && refAfter(site, after, edit.place, changes), later);
  return [
    ...endWarnings(site, edit),
    ...(now ? effectWarnings(after, edit, old, now) : []),
    ...(old && now ? resetWarnings(site, after, edit, old, now) : []),
  ];
}

/** The site with a plan carried out; files that did not change are shared. */
export function applyPlan(site: Site, plan: Pick<Plan, "changes">): Site {
  return changeSite(site, plan.changes);
}

/** The changes an edit makes, without what they reach. @throws EditError */
export function changesFor(site: Site, edit: Edit): TextChange[] {
  switch (edit.kind) {
    case "text":
      return edit.changes.filter(({ start, end, insert }) => start !== end || insert !== "");
    case "toggle":
      return toggle(site, edit);
    case "fold":
    case "unfold": {
      const { sheet, rule } = ruleAt(site, edit.path, edit.start);
      return moved(edit.path, folding(sheet, rule, edit).splices, sheet.offset);
    }
    case "wrap":
    case "unwrap": {
      const { path, splices } = edit.kind === "wrap" ? wrapWords(site, edit) : unwrapWords(site, edit);
      return moved(path, splices);
    }
    case "selectors":
      return setSelectors(site, edit.path, edit.start, edit.selectors);
    case "declare":
      if (edit.value !== null) checkValue(edit.property, edit.value);
      return declare(site, edit.target, edit.property, edit.value);
  }
}

type FoldEdit = Edit & { kind: "fold" | "unfold" };

function folding(sheet: SheetText, rule: Parameters<typeof blockText>[1], edit: FoldEdit) {
  return (edit.kind === "fold" ? fold : unfold)(blockText(sheet, rule), edit.shorthand);
}

function foldWarnings(site: Site, edit: FoldEdit): string[] {
  const { sheet, rule } = ruleAt(site, edit.path, edit.start);
  const { setBack } = folding(sheet, rule, edit);
  if (setBack.length === 0) return [];
  return [
    edit.kind === "fold"
      ? `${edit.shorthand} sets back what it does not name: ${setBack.join(", ")}.`
      : `${edit.shorthand} had set back ${setBack.join(", ")}: that is written out.`,
  ];
}

function checkValue(property: string, value: string): void {
  if (!isKnownProperty(property.toLowerCase())) throw new EditError(`${property} is not a property.`);
  checkSelfContained(value, "The value");
  if (invalidReason(property, value)) throw new EditError(`${value} is not a value of ${property}.`);
}

function declare(site: Site, target: Target, property: string, value: string | null): TextChange[] {
  switch (target.kind) {
    case "rule": {
      const { sheet, rule } = ruleAt(site, target.path, target.start);
      return moved(target.path, changeIn(sheet.file, blockText(sheet, rule), property, value), sheet.offset);
    }
    case "new-rule":
      return newRule(site, target.path, target.selector, declared(property, value), target.behind);
    case "class": {
      checkName(target.name, "class");
      const changes = target.elements.flatMap((ref) => giveClass(site, ref, target.name));
      return [...changes, ...newRule(site, target.path, `.${target.name}`, declared(property, value), target.behind)];
    }
    case "id": {
      checkName(target.name, "id");
      const { file, element } = elementAt(site, target.element.page, target.element.index);
      const rule = newRule(site, target.path, `#${target.name}`, declared(property, value), target.behind);
      if (element.id === target.name) return rule;
      if (element.id !== null) throw new EditError(`This element already has the id ${element.id}.`);
      return [...moved(file.path, [insertAttribute(file.text, element, "id", target.name)]), ...rule];
    }
    case "style-attribute":
      return styleAttribute(site, target.element, property, value);
  }
}

/** A class more for an element; nothing where it has it. */
export function giveClass(site: Site, ref: ElementRef, name: string): TextChange[] {
  const { file, element } = elementAt(site, ref.page, ref.index);
  if (element.classes.includes(name)) return [];
  const attribute = attributeSource(file.text, element, "class");
  if (!attribute) return moved(file.path, [insertAttribute(file.text, element, "class", name)]);
  const { value } = attribute;
  const end = value.trimEnd().length;
  return moved(
    file.path,
    spliceAttribute(file.text, attribute, [{ start: end, end, insert: value.trim() === "" ? name : ` ${name}` }]),
  );
}

function styleAttribute(site: Site, ref: ElementRef, property: string, value: string | null): TextChange[] {
  const { file, element } = elementAt(site, ref.page, ref.index);
  const attribute = attributeSource(file.text, element, "style");
  if (!attribute) {
    if (value === null) throw new EditError("This element has no style attribute.");
    return moved(file.path, [insertAttribute(file.text, element, "style", `${property}: ${writable(value, file)}`)]);
  }
  const text = attribute.value;
  const where: BlockText = { text, block: { start: 0, end: text.length }, items: parseBlock(text), indent: "" };
  const blank = value !== null && text.trim() === "";
  const splices = blank
    ? [{ start: 0, end: text.length, insert: `${property}: ${writable(value, file)}` }]
    : changeIn(file, where, property, value);
  return moved(file.path, spliceAttribute(file.text, attribute, splices));
}

function declared(property: string, value: string | null): [readonly [string, string]] {
  if (value === null) throw new EditError("A new rule needs a value.");
  return [[property, value]];
}

function toggle(site: Site, edit: Edit & { kind: "toggle" }): TextChange[] {
  if (edit.element) {
    const { file, element } = elementAt(site, edit.element.page, edit.element.index);
    const attribute = attributeSource(file.text, element, "style");
    if (!attribute) throw new EditError("This element has no style attribute.");
    const items = parseBlock(attribute.value);
    const item = items.find(
      (one) => (one.kind === "declaration" || one.kind === "disabled") && one.start === edit.start,
    );
    const where: BlockText = {
      text: attribute.value,
      block: { start: 0, end: attribute.value.length },
      items,
      indent: "",
    };
    if (item?.kind === "declaration")
      return moved(file.path, spliceAttribute(file.text, attribute, [switchOff(where, item)]));
    if (item?.kind === "disabled")
      return moved(file.path, spliceAttribute(file.text, attribute, switchOn(where, item)));
    throw new EditError("There is no such declaration in the style attribute.");
  }
  const { sheet, rule, item } = declarationAt(site, edit.path, edit.start);
  const where = blockText(sheet, rule);
  const splices = item.kind === "declaration" ? [switchOff(where, item)] : switchOn(where, item);
  return moved(edit.path, splices, sheet.offset);
}
