/**
 * The rules of the sheets that pages have, in force under given conditions, in the order of the cascade, indexed for
 * matching. Pages with the same sheets share one set.
 */
import type { Item } from "../source/css/syntax";
import { made, Numbers } from "../source/memo";
import type { SheetSource } from "../source/html/sheets";
import { conditionsKey, type Conditions } from "./conditions";
import { unmetCondition } from "./inForce";
import { layerIn, LayerOrder, layerPrefix, layerWithin } from "./layerOrder";
import { changesBetween, takeOver } from "./ruleChanges";
import { isEntry, layerNames, rulesOf, type RegisteredProperty, type RuleConditions, type RuleEntry } from "./rules";
import type { Selector, SimpleSelector } from "./selectors/types";
import type { StyleBank } from "./styleBank";

/** Who wrote a declaration; in ascending order for what is not important (CSS Cascade 5, 6.2). */
export type Origin = "browser" | "hint" | "author";

export interface PageRule {
  entry: RuleEntry;
  /** Which of the page's sheets it stands in; -1 for the browser's own. */
  sheet: number;
  origin: Origin;
  /** Higher wins; unlayered is highest. */
  layerRank: number;
  layer: string | null;
  order: number;
  /** The same for a rule in all versions of its sheet, whatever it declares. */
  id: number;
}

export interface RuleSet {
  quirks: boolean;
  rules: readonly PageRule[];
  byId: ReadonlyMap<number, PageRule>;
  registered: ReadonlyMap<string, RegisteredProperty>;
  index: RuleIndex;
  pseudoIndex: ReadonlyMap<string, RuleIndex>;
  /** Those of them alone that say what is generated: without, there is no box (CSS Content 3, 2). */
  contentIndex: ReadonlyMap<string, RuleIndex>;
  /** The same in all versions whose rules for pseudo-elements say the same. */
  pseudoVersion: object;
  /** Whether some rules ask for the sizes of containers. */
  hasContainers: boolean;
  /** Styles that come from these rules, by what else they come from. */
  banks: Map<string, StyleBank>;
}

export interface Indexed {
  rule: PageRule;
  selector: Selector;
}

/** Selectors by what their last compound asks for. */
export interface RuleIndex {
  ids: Map<string, Indexed[]>;
  classes: Map<string, Indexed[]>;
  types: Map<string, Indexed[]>;
  rest: Indexed[];
}

interface Kept {
  key: string;
  set: RuleSet;
}

/** Sets by the items of their last sheet, so that they go when its file goes. */
const known = new WeakMap<readonly Item[], Kept[]>();
/** Versions kept at a time, those asked for last: under several conditions, with several versions of the other sheets. */
const mostVersions = 10;
const itemNumbers = new Numbers<readonly Item[]>();

/** What a set is made of. */
interface Sheets {
  browser: SheetSource;
  sheets: readonly SheetSource[];
  quirks: boolean;
  conditions: Conditions;
}

/** @param before the rules of an earlier version of the page, whose ids are taken over */
export function ruleSetOf(asked: Sheets, before: RuleSet | null): RuleSet {
  const { browser, sheets, quirks, conditions } = asked;
  const prefixOf = prefixesOf(sheets);
  const key = JSON.stringify([
    quirks,
    // Without any sizes it is not known which container rules are in force.
    Object.keys(conditions.containers).length > 0,
    conditionsKey(conditions),
    sheets.map((sheet) => [itemNumbers.of(sheet.items), sheet.media, sheet.supports, prefixOf(sheet)]),
  ]);
  const { items } = sheets[sheets.length - 1] ?? browser;
  const kept = known.get(items) ?? [];
  const found = kept.find((one) => one.key === key);
  if (found) return found.set;
  const set = makeSet(asked, before);
  known.set(items, [{ key, set }, ...kept].slice(0, mostVersions));
  return set;
}

/** What layers sheets were imported into, by their place on the page, so that pages with the same sheets share their rules. */
function prefixesOf(sheets: readonly SheetSource[]): (sheet: SheetSource) => string | null {
  const owners = [...new Set(sheets.map(({ owner }) => owner))];
  return (sheet) => layerPrefix(sheet, owners.indexOf(sheet.owner));
}

/** Layers that sheets name in front of the rules by which they import a sheet: they are met before it (CSS Cascade 5, 6.4.4.2). */
function namedBefore(
  { imports }: SheetSource,
  conditions: Conditions,
  prefixOf: (sheet: SheetSource) => string | null,
): string[] {
  return imports.flatMap(({ sheet, rule }) => {
    if (unmetCondition(emptyConditions, sheet, conditions) !== null) return [];
    const names = sheet.items.flatMap((item) =>
      item.kind === "at" && item.name === "layer" && !item.block && item.start < rule.start ? layerNames(item) : [],
    );
    return names.flatMap((name) => (name ? [layerWithin(prefixOf(sheet), name)] : []));
  });
}

function makeSet({ browser, sheets, quirks, conditions }: Sheets, before: RuleSet | null): RuleSet {
  const rules: PageRule[] = [];
  const registered = new Map<string, RegisteredProperty>();
  const layers = new LayerOrder();
  const prefixOf = prefixesOf(sheets);
  for (const [at, sheet] of [browser, ...sheets].entries()) {
    const own = rulesOf(sheet.items);
    const prefix = prefixOf(sheet);
    for (const property of own.registered) registered.set(property.name, property);
    const inForce = rememberConditions(sheet, conditions);
    for (const name of namedBefore(sheet, conditions, prefixOf)) layers.meet(name);
    if (prefix !== null && inForce(emptyConditions)) layers.meet(prefix);
    for (const step of own.steps) {
      if (!inForce(step.conditions)) continue;
      const layer = layerWithin(prefix, layerIn(step.layer, at));
      if (layer !== null) layers.meet(layer);
      if (!isEntry(step)) continue;
      const origin = at === 0 ? "browser" : "author";
      rules.push({ entry: step, sheet: at - 1, origin, layerRank: 0, layer, order: rules.length, id: 0 });
    }
  }
  const ranks = layers.ranks();
  for (const rule of rules) rule.layerRank = rule.layer === null ? ranks.size : ranks.get(rule.layer)!;
  takeOver(rules, before?.rules ?? []);
  const byId = new Map(rules.map((rule) => [rule.id, rule]));
  const hasContainers = rules.some(({ entry }) => entry.conditions.containers.length > 0);
  const set: RuleSet = {
    quirks,
    rules,
    byId,
    hasContainers,
    registered,
    ...indexOf(rules, quirks),
    pseudoVersion: {},
    banks: new Map(),
  };
  if (before && changesBetween(before, set)?.pseudo === false) set.pseudoVersion = before.pseudoVersion;
  return set;
}

const emptyConditions: RuleConditions = { media: [], supports: [], supported: true, containers: [], scopes: [] };

/** Conditions are shared by many rules: each set is judged once. */
function rememberConditions(sheet: SheetSource, at: Conditions): (conditions: RuleConditions) => boolean {
  const judged = new Map<RuleConditions, boolean>();
  return (conditions) => {
    let result = judged.get(conditions);
    if (result === undefined) {
      result = unmetCondition(conditions, sheet, at) === null;
      judged.set(conditions, result);
    }
    return result;
  };
}

function newIndex(): RuleIndex {
  return { ids: new Map(), classes: new Map(), types: new Map(), rest: [] };
}

/** Rules by the id, class or tag that an element must have to match. */
export function indexOf(
  rules: readonly PageRule[],
  quirks: boolean,
): Pick<RuleSet, "index" | "pseudoIndex" | "contentIndex"> {
  const index = newIndex();
  const pseudoIndex = new Map<string, RuleIndex>();
  const contentIndex = new Map<string, RuleIndex>();
  for (const rule of rules) {
    const saysContent = rule.entry.declarations.some(({ property }) => property === "content" || property === "all");
    for (const selector of rule.entry.selectors) {
      const { pseudoElement } = selector;
      const indexed = { rule, selector };
      if (pseudoElement === null) put(index, indexed, quirks);
      else {
        put(made(pseudoIndex, pseudoElement, newIndex), indexed, quirks);
        if (saysContent) put(made(contentIndex, pseudoElement, newIndex), indexed, quirks);
      }
    }
  }
  return { index, pseudoIndex, contentIndex };
}

function put(into: RuleIndex, indexed: Indexed, quirks: boolean): void {
  const { compounds } = indexed.selector;
  const { simples } = compounds[compounds.length - 1]!;
  const find = (kind: SimpleSelector["kind"]) => simples.find((simple) => simple.kind === kind);
  const id = find("id") as { name: string } | undefined;
  const className = find("class") as { name: string } | undefined;
  const type = find("type") as { lower: string } | undefined;
  if (id && !quirks) add(into.ids, id.name, indexed);
  else if (className && !quirks) add(into.classes, className.name, indexed);
  else if (type) add(into.types, type.lower, indexed);
  else into.rest.push(indexed);
}

function add(map: Map<string, Indexed[]>, key: string, value: Indexed): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}
