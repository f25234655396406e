/** The rules by which two versions of a sheet differ, so that they can be exchanged in a sheet that a browser has read. */
import { changeBetween } from "../changes";
import { reparse } from "./reparse";
import { parseSheet, type AtRule, type Item } from "./syntax";

export interface ReadSheet {
  text: string;
  items: readonly Item[];
}

export interface RuleExchange {
  /**
   * For the sheet and each group around, outermost first: the text before the rule in question. As many rules stand before
   * it as a browser reads from that.
   */
  ahead: string[];
  /** The rules that go, one after the other, and those that come in their place. */
  out: string[];
  in: string[];
}

/** At-rules that hold rules as a sheet does, wherever they stand. */
const groups = new Set(["media", "supports", "layer", "container"]);
/** More rules than this are not worth exchanging one by one. */
const most = 20;

/** A sheet with its items. */
export const readSheet = (text: string): ReadSheet => ({ text, items: parseSheet(text) });

/**
 * What leads from one version of a sheet to another.
 * @returns `exchange` is null where the whole sheet has to be read again: where rules cannot be told apart from what is
 * around them, or far too many differ
 */
export function sheetChange(before: ReadSheet, text: string): { after: ReadSheet; exchange: RuleExchange | null } {
  const change = changeBetween("", before.text, text);
  if (!change) return { after: before, exchange: nothing };
  const { start, end, insert } = change;
  const items = reparse(before.items, text, start, end, start + insert.length);
  const after = items ? { text, items } : readSheet(text);
  return { after, exchange: items && exchangeOf(before, after, end) };
}

const nothing: RuleExchange = { ahead: [], out: [], in: [] };

/** @param rest where the texts are the same again, in the one before */
function exchangeOf(before: ReadSheet, after: ReadSheet, rest: number): RuleExchange | null {
  const ahead: string[] = [];
  let [from, was, is] = [0, before.items, after.items];
  for (;;) {
    const [goes, comes] = apart(was, is, rest, after.text.length - before.text.length);
    if (![...was, ...is].every(isReadAlone) || goes.length + comes.length > most) return null;
    const first = comes[0] ?? goes[0];
    if (!first) return nothing;
    ahead.push(after.text.slice(from, first.start));
    const group = goes.length === 1 && comes.length === 1 ? sameGroup(goes[0]!, comes[0]!) : null;
    if (!group)
      return { ahead, out: goes.map((item) => textOf(before, item)), in: comes.map((item) => textOf(after, item)) };
    [from, was, is] = group;
  }
}

/** Namespaces change how all other rules are read; what is skipped may be read otherwise by itself. */
const isReadAlone = (item: Item) => item.kind === "style" || (item.kind === "at" && item.name !== "namespace");

/** Where its rules begin now, what they were and what they are, where one group of rules stands for another. */
function sameGroup(a: Item, b: Item): [from: number, was: readonly Item[], is: readonly Item[]] | null {
  const isGroup = (item: Item): item is AtRule => item.kind === "at" && groups.has(item.name) && item.closed;
  if (!isGroup(a) || !isGroup(b) || a.name !== b.name || a.preludeText !== b.preludeText || !b.block) return null;
  return a.block ? [b.block.start, a.items, b.items] : null;
}

const textOf = ({ text }: ReadSheet, { start, end }: Item) => text.slice(start, end);

/**
 * The items of two lists that are not the same at their beginnings and ends.
 * @param rest from where on the first is as it was @param by how far that has moved
 */
function apart(a: readonly Item[], b: readonly Item[], rest: number, by: number): [Item[], Item[]] {
  const shorter = Math.min(a.length, b.length);
  let lead = 0;
  while (lead < shorter && a[lead] === b[lead]) lead += 1;
  let trail = 0;
  const isSame = (was: Item, is: Item) => was.start >= rest && is.start - was.start === by && is.end - was.end === by;
  while (trail < shorter - lead && isSame(a[a.length - 1 - trail]!, b[b.length - 1 - trail]!)) trail += 1;
  return [a.slice(lead, a.length - trail), b.slice(lead, b.length - trail)];
}
