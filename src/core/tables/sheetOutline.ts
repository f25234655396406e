/** The rules of a sheet in order, with the comments over them as headings, and how many elements each reaches. */
import { elementsAtRest, readersOf, restingRules, type RestingRule, type SheetReader } from "../cascade/matchedAtRest";
import { selectorsOf } from "../edits/ruleEdits";
import { descriptorRules, sheetTexts, type SheetText } from "../source/declarations";
import { headingIn } from "../source/css/headings";
import type { Item, StyleRule } from "../source/css/syntax";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import type { ElementRef } from "../text/refs";

export interface OutlineRule {
  /** The whole list, on one line. */
  selector: string;
  /** Each of the list. */
  selectors: string[];
  /** Of the rule in its file. */
  start: number;
  /** Its lines in the file, from 1. */
  line: number;
  lastLine: number;
  /** The properties it sets, in order, each once. */
  properties: string[];
  /** The conditions it stands under: "@media print". */
  under: string[];
  /** How many elements it matches on pages that read the sheet, whatever state they are in. */
  places: number;
  first: ElementRef | null;
}

export interface OutlinePart {
  /** The comment over it; null for rules before the first. */
  heading: string | null;
  rules: OutlineRule[];
}

/** In steps, some rules each; of a page, the sheets that it embeds. */
export function* sheetOutlineSteps(site: Site, path: string): Generator<void, OutlinePart[]> {
  const file = textFile(site, path);
  if (!file) return [];
  const parts: OutlinePart[] = [];
  for (const sheet of sheetTexts(site, file)) {
    const readers = readersOf(site, sheet);
    const resting = restingRules(sheet.items);
    let end = 0;
    for (const { rule, under, top } of rulesIn(sheet.items, [], null)) {
      const heading = top.start >= end ? headingIn(sheet.text.slice(end, top.start)) : null;
      end = Math.max(end, top.end);
      if (heading !== null || parts.length === 0) parts.push({ heading, rules: [] });
      parts.at(-1)!.rules.push({ ...outlineOf(sheet, rule, under), ...reachOf(resting.get(rule.start), readers) });
      yield;
    }
  }
  return parts;
}

interface Walked {
  rule: StyleRule;
  under: string[];
  /** What it stands in at the top of its sheet; itself where it stands there. */
  top: Item;
}

function* rulesIn(items: readonly Item[], under: string[], top: Item | null): Generator<Walked> {
  for (const item of items) {
    if (item.kind === "style") {
      yield { rule: item, under, top: top ?? item };
      yield* rulesIn(item.items, [...under, item.preludeText.replace(/\s+/g, " ")], top ?? item);
    } else if (item.kind === "at" && item.block && !descriptorRules.has(item.name))
      yield* rulesIn(
        item.items,
        [...under, `@${item.name} ${item.preludeText}`.trim().replace(/\s+/g, " ")],
        top ?? item,
      );
  }
}

function outlineOf(
  { file, offset }: SheetText,
  rule: StyleRule,
  under: string[],
): Omit<OutlineRule, "places" | "first"> {
  const start = offset + rule.start;
  const properties = rule.items.flatMap((item) => (item.kind === "declaration" ? [item.property] : []));
  return {
    selector: rule.preludeText.replace(/\s+/g, " "),
    selectors: selectorsOf(rule).map((one) => one.replace(/\s+/g, " ")),
    start,
    line: positionAt(file.text, start).line,
    lastLine: positionAt(file.text, offset + rule.end).line,
    properties: [...new Set(properties)],
    under,
  };
}

/** The page first that is first in the site. */
function reachOf(
  rule: RestingRule | undefined,
  readers: readonly SheetReader[],
): Pick<OutlineRule, "places" | "first"> {
  const found = new Map((rule ? readers : []).map((reader) => [reader.file.path, elementsAtRest(rule!, reader)]));
  const refs = [...found].flatMap(([page, indexes]) => indexes.map((index) => ({ page, index })));
  return { places: refs.length, first: refs[0] ?? null };
}
