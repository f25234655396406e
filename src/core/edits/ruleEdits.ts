/** Rules of a sheet split, copied, put elsewhere and gathered by hand. */
import type { TextChange } from "../source/changes";
import type { Declaration, Item, StyleRule } from "../source/css/syntax";
import type { SheetText } from "../source/declarations";
import { lineEndOf, lineLead } from "../source/lines";
import type { Site } from "../source/site";
import { startWithBlank } from "./block";
import { ruleWithBlanks } from "./gather";
import { ruleAt } from "./locate";
import { blockText, moved } from "./ruleText";
import { checkSelectors, joinedLike } from "./selectorList";
import { EditError } from "./types";
import { checkEmbeddable } from "./value";

/** What is done to rules by hand. `start` is that of a rule, an offset of the file. */
export type RuleEdit =
  /** Some of a rule's selectors, by their number, get a rule of their own behind it. */
  | { kind: "split-selectors"; path: string; start: number; selectors: readonly number[] }
  /** Some of a rule's properties get a rule of their own behind it. */
  | { kind: "split-properties"; path: string; start: number; properties: readonly string[] }
  /** The same declarations for other selectors, behind it. */
  | { kind: "copy-rule"; path: string; start: number; selectors: string }
  /** Before the rule that comes before it in what it stands in, or behind the one that comes behind it. */
  | { kind: "move-rule"; path: string; start: number; by: -1 | 1 }
  /** What several rules all declare alike, once, for the selectors of all, before the first of them. */
  | { kind: "gather-rules"; path: string; starts: readonly number[] };

/** @throws EditError, in plain words, when it cannot be done */
export function planRuleEdit(site: Site, edit: RuleEdit): TextChange[] {
  switch (edit.kind) {
    case "split-selectors":
      return splitSelectors(site, edit.path, edit.start, edit.selectors);
    case "split-properties":
      return splitProperties(site, edit.path, edit.start, edit.properties);
    case "copy-rule":
      return copyRule(site, edit.path, edit.start, edit.selectors);
    case "move-rule":
      return moveRule(site, edit.path, edit.start, edit.by);
    case "gather-rules":
      return gatherDeclarations(site, edit.path, edit.starts);
  }
}

/** The selectors of a rule's list, as they are written. */
export function selectorsOf({ preludeText }: Pick<StyleRule, "preludeText">): string[] {
  const parts: string[] = [];
  let depth = 0;
  let quote = "";
  let part = "";
  for (const character of preludeText) {
    if (quote) quote = character === quote ? "" : quote;
    else if (character === '"' || character === "'") quote = character;
    else if ("([".includes(character)) depth += 1;
    else if (")]".includes(character)) depth -= 1;
    if (character === "," && depth === 0 && !quote) {
      parts.push(part.trim());
      part = "";
    } else part += character;
  }
  return [...parts, part.trim()];
}

function changeIn(path: string, { offset }: SheetText, start: number, end: number, insert: string): TextChange {
  return { path, start: offset + start, end: offset + end, insert };
}

/** A rule's text behind its selectors, from the blank before its brace on. */
const bodyOf = ({ text }: SheetText, rule: StyleRule): string =>
  text.slice(rule.prelude.start + rule.preludeText.length, rule.end);

/** A rule that something can be put behind. @throws EditError where its brace is not closed */
function closedRuleAt(site: Site, path: string, start: number): ReturnType<typeof ruleAt> {
  const found = ruleAt(site, path, start);
  if (!found.rule.closed) throw new EditError("The rule's brace is not closed: close it first.");
  return found;
}

/** What parts a rule from one that is put behind it: as it is parted from what is before it, on lines of their own. */
function partedFrom({ text }: SheetText, rule: StyleRule): string {
  const [from] = ruleWithBlanks(text, rule);
  const gap = text.slice(from, rule.start);
  if (/^\s+$/.test(gap) && /[\r\n]/.test(gap)) return gap;
  const isAlone = lineLead(text, rule.start) !== "" || rule.start === 0;
  return isAlone && /[\r\n]/.test(text) ? lineEndOf(text) : "";
}

function splitSelectors(site: Site, path: string, start: number, chosen: readonly number[]): TextChange[] {
  const { sheet, rule } = closedRuleAt(site, path, start);
  const all = selectorsOf(rule);
  const [own, rest] = [true, false].map((isChosen) => all.filter((_, at) => chosen.includes(at) === isChosen));
  if (!own!.length || !rest!.length) throw new EditError("Some of the selectors have to stay, and some to go.");
  const list = changeIn(
    path,
    sheet,
    rule.prelude.start,
    rule.prelude.start + rule.preludeText.length,
    joinedLike(sheet, rule, rest!),
  );
  const copy = `${partedFrom(sheet, rule)}${joinedLike(sheet, rule, own!)}${bodyOf(sheet, rule)}`;
  return [list, changeIn(path, sheet, rule.end, rule.end, copy)];
}

function copyRule(site: Site, path: string, start: number, selectors: string): TextChange[] {
  const { sheet, rule } = closedRuleAt(site, path, start);
  const written = selectors.trim();
  checkSelectors(written);
  checkEmbeddable(written, sheet.file);
  const copy = `${partedFrom(sheet, rule)}${written}${bodyOf(sheet, rule)}`;
  return [changeIn(path, sheet, rule.end, rule.end, copy)];
}

const isDeclaration = (item: Item): item is Declaration => item.kind === "declaration";

const endOf = ({ semicolon, end }: Declaration): number => (semicolon === null ? end : semicolon + 1);

/** Declarations taken out of their rule; all that leaves it empty is the caller's to see to. */
function takenOut(path: string, sheet: SheetText, rule: StyleRule, declarations: readonly Declaration[]): TextChange[] {
  const where = blockText(sheet, rule);
  return moved(
    path,
    declarations.map((one) => ({ start: startWithBlank(where, one.start), end: endOf(one), insert: "" })),
    sheet.offset,
  );
}

/** Declarations with what stands before each, parted by semicolons as in its rule, as a block with the braces of a rule. */
function blockWith({ text }: SheetText, rule: StyleRule, declarations: readonly Declaration[]): string {
  const where = blockText({ text } as SheetText, rule);
  const ends = rule.items.findLast(isDeclaration)?.semicolon !== null;
  const parts = declarations.map((one, at) => {
    const written = text.slice(startWithBlank(where, one.start), one.end);
    return at < declarations.length - 1 || ends ? `${written};` : written;
  });
  const opening = text.slice(rule.prelude.start + rule.preludeText.length, rule.block.start);
  const before = text.slice(startWithBlank(where, rule.block.end), rule.block.end);
  return `${opening}${parts.join("")}${before}}`;
}

function splitProperties(site: Site, path: string, start: number, properties: readonly string[]): TextChange[] {
  const { sheet, rule } = closedRuleAt(site, path, start);
  const all = rule.items.filter(isDeclaration);
  const own = all.filter(({ property }) => properties.includes(property));
  if (own.length === 0 || own.length === all.length)
    throw new EditError("Some of the properties have to stay, and some to go.");
  const insert = `${partedFrom(sheet, rule)}${rule.preludeText}${blockWith(sheet, rule, own)}`;
  return [...takenOut(path, sheet, rule, own), changeIn(path, sheet, rule.end, rule.end, insert)];
}

/** What a rule stands among: the rules at the top of its sheet, or in the block around it. */
function siblingsOf(items: readonly Item[], rule: StyleRule): readonly Item[] | null {
  if (items.includes(rule)) return items;
  for (const item of items) {
    const found = item.kind === "style" || item.kind === "at" ? siblingsOf(item.items, rule) : null;
    if (found) return found;
  }
  return null;
}

const stayAtTop = new Set(["charset", "import", "namespace"]);

function moveRule(site: Site, path: string, start: number, by: -1 | 1): TextChange[] {
  const { sheet, rule } = ruleAt(site, path, start);
  const siblings = (siblingsOf(sheet.items, rule) ?? []).filter(
    (item) => item.kind === "style" || (item.kind === "at" && !stayAtTop.has(item.name)),
  );
  const other = siblings[siblings.indexOf(rule) + by];
  if (!other) throw new EditError(`There is no rule ${by < 0 ? "before" : "behind"} it.`);
  const [first, second] = by < 0 ? [other, rule] : [rule, other];
  const { text } = sheet;
  const isClosed = (item: Item) => !("closed" in item) || item.closed;
  const written = (item: Item) => text.slice(item.start, item.end) + (isClosed(item) ? "" : "}");
  return [
    changeIn(path, sheet, first.start, first.end, written(second)),
    changeIn(path, sheet, second.start, second.end, written(first)),
  ];
}

const isAlike = (a: Declaration, b: Declaration): boolean =>
  a.property === b.property && a.valueText === b.valueText && a.important === b.important;

/** The declarations that all rules have alike, as the first has them. */
function sharedDeclarations(rules: readonly StyleRule[]): Declaration[] {
  const [first, ...others] = rules.map((rule) => rule.items.filter(isDeclaration));
  return (first ?? []).filter((own) => others.every((list) => list.some((one) => isAlike(own, one))));
}

function gatherDeclarations(site: Site, path: string, starts: readonly number[]): TextChange[] {
  const ordered = [...starts].sort((a, b) => a - b);
  const sheets = new Set(ordered.map((start) => ruleAt(site, path, start).sheet));
  const [sheet] = sheets;
  const rules = ordered.map((start) => ruleAt(site, path, start).rule);
  if (!sheet || rules.length < 2) throw new EditError("Choose two rules at least.");
  const among = siblingsOf(sheet.items, rules[0]!);
  if (sheets.size > 1 || rules.some((rule) => !among?.includes(rule)))
    throw new EditError("These rules do not stand under the same conditions.");
  const shared = sharedDeclarations(rules);
  if (shared.length === 0) throw new EditError("These rules have no declaration in common.");
  const first = rules[0]!;
  const selectors = [...new Set(rules.flatMap((rule) => selectorsOf(rule)))];
  const gathered = `${joinedLike(sheet, first, selectors)}${blockWith(sheet, first, shared)}`;
  const gap = partedFrom(sheet, first) || (/[\r\n]/.test(sheet.text) ? lineEndOf(sheet.text) : "");
  return rules.flatMap((rule) => {
    const gone = rule.items.filter(isDeclaration).filter((one) => shared.some((own) => isAlike(own, one)));
    const isEmptied =
      gone.length === rule.items.length && !/\/\*/.test(sheet.text.slice(rule.block.start, rule.block.end));
    if (rule !== first)
      return isEmptied
        ? [changeIn(path, sheet, ...ruleWithBlanks(sheet.text, rule), "")]
        : takenOut(path, sheet, rule, gone);
    if (isEmptied) return [changeIn(path, sheet, rule.start, rule.end, gathered)];
    return [changeIn(path, sheet, rule.start, rule.start, gathered + gap), ...takenOut(path, sheet, rule, gone)];
  });
}
