/** The declarations that apply to an element, in the order of the cascade (CSS Cascade 6, 2.1). */
import { attachedDeclarations } from "../source/declarations";
import { type Declaration } from "../source/css/syntax";
import type { ElementNode } from "../source/html/document";
import type { Ancestors } from "./ancestors";
import { prepareDeclaration, prepareInQuirks, type Given } from "./declarations";
import { hintsFor } from "./hints";
import { matchRules, type Match, type RuleMatching } from "./pageRules";
import { settableOn } from "./pseudoProperties";
import type { Origin, RuleSet } from "./ruleSet";
import type { WideKeyword } from "./wide";

/** The winning declaration of a longhand, with those it beat behind it. */
export interface Winner {
  given: Given;
  /** The property as declared, before flow-relative names were mapped. */
  name: string;
  block: Block;
  declaration: Declaration;
  beaten: Winner | null;
}

/** The winning declaration of a custom property, with those it beat behind it. */
export interface CustomWinner {
  given: CustomGiven;
  block: Block;
  beaten: CustomWinner | null;
}

export type CustomGiven = { kind: "text"; text: string } | { kind: "wide"; keyword: WideKeyword };

/** Declarations that apply to an element together. */
export interface Block {
  origin: Origin;
  attached: boolean;
  match: Match | null;
  normal: readonly BlockEntry[];
  important: readonly BlockEntry[];
}

export interface BlockEntry {
  declaration: Declaration;
  entries: readonly (readonly [string, Given])[];
  custom: { name: string; given: CustomGiven } | null;
}

type PreparedBlocks = WeakMap<readonly Declaration[], { normal: BlockEntry[]; important: BlockEntry[] }>;
const inStandards: PreparedBlocks = new WeakMap();
const inQuirks: PreparedBlocks = new WeakMap();

/** @param quirks whether lengths may go without a unit (Quirks Mode, 4.2) */
export function blockOf(
  declarations: readonly Declaration[],
  quirks = false,
): { normal: BlockEntry[]; important: BlockEntry[] } {
  const blocks = quirks ? inQuirks : inStandards;
  let block = blocks.get(declarations);
  if (!block) {
    block = { normal: [], important: [] };
    for (const declaration of declarations) {
      const prepared = quirks ? prepareInQuirks(declaration) : prepareDeclaration(declaration);
      const into = declaration.important ? block.important : block.normal;
      if (prepared.kind === "longhands") into.push({ declaration, entries: prepared.entries, custom: null });
      else if (prepared.kind === "custom") into.push({ declaration, entries: [], custom: prepared });
      // Not computed, but asked for as it is written (`declaredText`).
      else if (prepared.kind === "other") into.push({ declaration, entries: [], custom: null });
    }
    blocks.set(declarations, block);
  }
  return block;
}

/** All blocks that apply to an element, weakest first among what is not important. */
export function blocksFor(
  element: ElementNode,
  rules: RuleSet,
  matching: RuleMatching,
  ancestors: Ancestors | null,
  contained: (text: string) => boolean,
): Block[] {
  const { quirks } = matching.context;
  const list = matchRules(rules.index, element, matching, ancestors, contained).map((one) => matchedBlock(one, quirks));
  const hints = hintsFor(element);
  if (hints.length) list.push({ origin: "hint", attached: false, match: null, ...blockOf(hints) });
  const own = attachedDeclarations(element);
  if (own.length) list.push({ origin: "author", attached: true, match: null, ...blockOf(own, quirks) });
  return list.sort(inOrder);
}

/** What a rule says of an element that it matches. */
export function matchedBlock(match: Match, quirks: boolean): Block {
  return { origin: match.rule.origin, attached: false, match, ...blockOf(match.rule.entry.declarations, quirks) };
}

/** The same for a pseudo-element: a page cannot set all on each. */
export function matchedPseudoBlock(match: Match, quirks: boolean, pseudo: string): Block {
  const block = matchedBlock(match, quirks);
  const settable = settableOn(pseudo);
  if (!settable || block.origin === "browser") return block;
  const fit = (list: readonly BlockEntry[]) =>
    list.map((entry) => {
      const entries = entry.entries.filter(([longhand]) => settable.test(longhand));
      return entries.length < entry.entries.length ? { ...entry, entries } : entry;
    });
  return { ...block, normal: fit(block.normal), important: fit(block.important) };
}

/** As they apply, weakest first: hints of attributes before all that is the author's, the style attribute after. */
export function inOrder(a: Block, b: Block): number {
  if (a.match && b.match) return compareMatches(a.match, b.match);
  return originRank[a.origin] - originRank[b.origin] || Number(a.attached) - Number(b.attached);
}

const originRank: Readonly<Record<Origin, number>> = { browser: 0, hint: 1, author: 2 };

/** Order of the cascade for what is not important (CSS Cascade 6, 2.1). */
export function compareMatches(a: Match, b: Match): number {
  const [x, y] = [a.specificity, b.specificity];
  return (
    originRank[a.rule.origin] - originRank[b.rule.origin] ||
    a.rule.layerRank - b.rule.layerRank ||
    x[0] - y[0] ||
    x[1] - y[1] ||
    x[2] - y[2] ||
    (a.proximity === b.proximity ? 0 : b.proximity - a.proximity) ||
    a.rule.order - b.rule.order
  );
}

/** Where a block stands in the order of layers; style attributes come after all. */
export function layerOf(block: Block): number {
  return block.attached ? Infinity : (block.match?.rule.layerRank ?? -1);
}

/** Important blocks from weakest to strongest: origins and layers are turned round, the rest is not. */
function importantOrder(list: readonly Block[]): Block[] {
  return list
    .filter((block) => block.important.length > 0)
    .map((block, at) => ({ block, at }))
    .sort((a, b) => {
      const origin = originRank[b.block.origin] - originRank[a.block.origin];
      if (origin) return origin;
      if (a.block.attached !== b.block.attached) return a.block.attached ? 1 : -1;
      const layer = layerOf(b.block) - layerOf(a.block);
      return layer || a.at - b.at;
    })
    .map(({ block }) => block);
}

/** Calls back for every declaration in ascending order of strength. */
export function forEachInOrder(list: readonly Block[], visit: (block: Block, entry: BlockEntry) => void): void {
  for (const block of list) for (const entry of block.normal) visit(block, entry);
  if (list.every(({ important }) => important.length === 0)) return;
  for (const block of importantOrder(list)) for (const entry of block.important) visit(block, entry);
}
