/** The rules of one page in force under given conditions, in the order of the cascade, indexed for matching. */
import type { ElementNode, HtmlDocument } from "../source/html/document";
import type { SheetSource } from "../source/html/sheets";
import type { Ancestors } from "./ancestors";
import type { Conditions } from "./conditions";
import { asksForSize } from "./containers";
import { matchesMedia } from "./media";
import {
  isEntry,
  rulesOf,
  type RegisteredProperty,
  type RuleConditions,
  type RuleEntry,
  type ScopeLimits,
} from "./rules";
import { matches, type MatchContext } from "./selectors/match";
import type { Selector, SimpleSelector, Specificity } from "./selectors/types";
import { matchesSupports } from "./supports";

/** Who wrote a declaration; in ascending order for what is not important (CSS Cascade 5, 6.2). */
export type Origin = "browser" | "hint" | "author";

export interface PageRule {
  entry: RuleEntry;
  sheet: SheetSource | null;
  origin: Origin;
  /** Of scopes that name none: the parent of the element that owns the sheet. */
  scopeRoot: ElementNode | null;
  /** Higher wins; unlayered is highest. */
  layerRank: number;
  layer: string | null;
  order: number;
}

/** A rule with the selector by which it matches. */
export interface Match {
  rule: PageRule;
  selector: Selector;
  specificity: Specificity;
  /** Steps up to the scope's root; Infinity outside of scopes. */
  proximity: number;
}

export interface PageRules {
  rules: readonly PageRule[];
  registered: ReadonlyMap<string, RegisteredProperty>;
  index: RuleIndex;
  pseudoIndex: ReadonlyMap<string, RuleIndex>;
}

interface Indexed {
  rule: PageRule;
  selector: Selector;
}

/** Selectors by what their last compound asks for. */
interface RuleIndex {
  ids: Map<string, Indexed[]>;
  classes: Map<string, Indexed[]>;
  types: Map<string, Indexed[]>;
  rest: Indexed[];
}

export interface UnmetCondition {
  kind: "media" | "supports" | "container";
  text: string;
}

/** Why a rule is not in force; null when it is. */
export function unmetCondition(
  conditions: RuleConditions,
  sheet: SheetSource | null,
  at: Conditions,
): UnmetCondition | null {
  for (const text of [...(sheet?.media ?? []), ...conditions.media])
    if (!matchesMedia(text, at)) return { kind: "media", text };
  for (const text of sheet?.supports ?? []) if (!matchesSupports(text)) return { kind: "supports", text };
  if (!conditions.supported)
    return { kind: "supports", text: conditions.supports.find((text) => !matchesSupports(text))! };
  const unknown = Object.keys(at.containers).length === 0 && conditions.containers.find(asksForSize);
  if (unknown) return { kind: "container", text: unknown };
  return null;
}

export function pageRules(
  browser: SheetSource,
  sheets: readonly SheetSource[],
  document: HtmlDocument,
  conditions: Conditions,
): PageRules {
  const rules: PageRule[] = [];
  const registered = new Map<string, RegisteredProperty>();
  const layers = new LayerOrder();
  for (const [origin, sheet] of [["browser", browser] as const, ...sheets.map((sheet) => ["author", sheet] as const)]) {
    const own = rulesOf(sheet.items);
    const prefix = layerPrefix(sheet);
    const scopeRoot = scopeRootOf(sheet, document);
    for (const property of own.registered) registered.set(property.name, property);
    const inForce = rememberConditions(sheet, conditions);
    if (prefix !== null && inForce(emptyConditions)) layers.meet(prefix);
    for (const step of own.steps) {
      if (!inForce(step.conditions)) continue;
      const layer = step.layer === null ? prefix : prefix === null ? step.layer : `${prefix}.${step.layer}`;
      if (layer !== null) layers.meet(layer);
      if (isEntry(step))
        rules.push({
          entry: step,
          sheet: origin === "browser" ? null : sheet,
          origin,
          scopeRoot,
          layerRank: 0,
          layer,
          order: rules.length,
        });
    }
  }
  const ranks = layers.ranks();
  for (const rule of rules) rule.layerRank = rule.layer === null ? ranks.size : ranks.get(rule.layer)!;
  return { rules, registered, ...buildIndex(rules, document.mode === "quirks") };
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

/** The layer a sheet was imported into, outermost first; null for none. */
export function layerPrefix(sheet: SheetSource): string | null {
  const parts = sheet.imports
    .filter(({ layer }) => layer !== null)
    .map(({ layer, rule, sheet: from }) => layer || `(unnamed ${from.path}:${rule.start})`);
  return parts.length ? parts.join(".") : null;
}

/** Layers in the order in which they were first met; inner layers come before what stands in the outer one itself. */
class LayerOrder {
  private readonly root: LayerNode = { name: "", children: new Map() };

  meet(name: string): void {
    let node = this.root;
    for (const part of splitLayer(name)) {
      let child = node.children.get(part);
      if (!child) {
        child = { name: node.name === "" ? part : `${node.name}.${part}`, children: new Map() };
        node.children.set(part, child);
      }
      node = child;
    }
  }

  ranks(): Map<string, number> {
    const ranks = new Map<string, number>();
    const visit = (node: LayerNode) => {
      for (const child of node.children.values()) visit(child);
      if (node !== this.root) ranks.set(node.name, ranks.size);
    };
    visit(this.root);
    return ranks;
  }
}

interface LayerNode {
  name: string;
  children: Map<string, LayerNode>;
}

function splitLayer(name: string): string[] {
  return name.match(/\([^)]*\)|[^.]+/g) ?? [];
}

function newIndex(): RuleIndex {
  return { ids: new Map(), classes: new Map(), types: new Map(), rest: [] };
}

function buildIndex(
  rules: readonly PageRule[],
  quirks: boolean,
): { index: RuleIndex; pseudoIndex: Map<string, RuleIndex> } {
  const index = newIndex();
  const pseudoIndex = new Map<string, RuleIndex>();
  for (const rule of rules) {
    for (const selector of rule.entry.selectors) {
      let into = index;
      if (selector.pseudoElement !== null) {
        into = pseudoIndex.get(selector.pseudoElement) ?? newIndex();
        pseudoIndex.set(selector.pseudoElement, into);
      }
      const { simples } = selector.compounds[selector.compounds.length - 1]!;
      const find = (kind: SimpleSelector["kind"]) => simples.find((simple) => simple.kind === kind);
      const id = find("id") as { name: string } | undefined;
      const className = find("class") as { name: string } | undefined;
      const type = find("type") as { lower: string } | undefined;
      const indexed = { rule, selector };
      if (id && !quirks) add(into.ids, id.name, indexed);
      else if (className && !quirks) add(into.classes, className.name, indexed);
      else if (type) add(into.types, type.lower, indexed);
      else into.rest.push(indexed);
    }
  }
  return { index, pseudoIndex };
}

function add(map: Map<string, Indexed[]>, key: string, value: Indexed): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}

/** All rules that match an element, in no order; a rule that matches by several selectors comes with the most specific. */
export function matchRules(
  index: RuleIndex,
  element: ElementNode,
  context: MatchContext,
  ancestors: Ancestors | null,
  contained: (text: string) => boolean,
): Match[] {
  const best = new Map<PageRule, Match>();
  const consider = (list: readonly Indexed[] | undefined) => {
    if (!list) return;
    for (const { rule, selector } of list) {
      if (ancestors && !ancestors.mayMatch(selector)) continue;
      const earlier = best.get(rule);
      if (earlier && !isStronger(selector.specificity, earlier.specificity)) continue;
      const proximity = matchInScope(rule.entry.conditions.scopes, rule.scopeRoot, selector, element, context);
      if (proximity !== null && rule.entry.conditions.containers.every(contained))
        best.set(rule, { rule, selector, specificity: selector.specificity, proximity });
    }
  };
  if (element.id !== null) consider(index.ids.get(element.id));
  for (const name of element.classes) consider(index.classes.get(name));
  consider(index.types.get(element.namespace === "html" ? element.tag : element.tag.toLowerCase()));
  consider(index.rest);
  return [...best.values()];
}

function isStronger(a: Specificity, b: Specificity): boolean {
  return a[0] - b[0] > 0 || (a[0] === b[0] && (a[1] - b[1] > 0 || (a[1] === b[1] && a[2] > b[2])));
}

/** The root of scopes that name none (CSS Cascade 6, 2.5.1). */
export function scopeRootOf({ owner }: SheetSource, { elements }: HtmlDocument): ElementNode | null {
  return elements[owner]?.parent ?? null;
}

/**
 * Steps to the nearest scope root under which the selector matches; null when it does not.
 * @param unnamed the root of scopes that name none
 */
export function matchInScope(
  scopes: readonly ScopeLimits[],
  unnamed: ElementNode | null,
  selector: Selector,
  element: ElementNode,
  context: MatchContext,
): number | null {
  if (scopes.length === 0) return matches(selector, element, context) ? Infinity : null;
  for (const [root, steps] of rootsAround(scopes, unnamed, element, context))
    if (matches(selector, element, { ...context, scope: root })) return steps;
  return null;
}

/** The roots of the innermost scope that an element is in, nearest first, with the steps up to them. */
function* rootsAround(
  scopes: readonly ScopeLimits[],
  unnamed: ElementNode | null,
  element: ElementNode,
  context: MatchContext,
): Generator<readonly [ElementNode, number]> {
  const { start, end } = scopes[scopes.length - 1]!;
  const outer = scopes.slice(0, -1);
  const isInside = (root: ElementNode) => outer.length === 0 || !rootsAround(outer, unnamed, root, context).next().done;
  let steps = 0;
  for (let root: ElementNode | null = element; root; root = root.parent, steps += 1) {
    const isRoot = start
      ? start.some((one) => matchInScope(outer, unnamed, one, root!, context) !== null)
      : root === unnamed && isInside(root);
    if (isRoot && !(end && isBeyond(end, element, root, { ...context, scope: root }))) yield [root, steps];
  }
}

function isBeyond(end: readonly Selector[], element: ElementNode, root: ElementNode, context: MatchContext): boolean {
  for (let node: ElementNode | null = element; node && node !== root.parent; node = node.parent) {
    if (end.some((selector) => matches(selector, node!, context))) return true;
  }
  return false;
}

/**
 * The rules, by their order, whose declarations differ between two versions of a page's rules that are otherwise
 * alike: the same selectors under the same conditions in the same layers. Null when more than that differs.
 */
export function changedRules(before: PageRules, after: PageRules): ReadonlySet<number> | null {
  if (before.rules.length !== after.rules.length || before.registered.size !== 0 || after.registered.size !== 0)
    return null;
  const changed = new Set<number>();
  for (const [order, rule] of after.rules.entries()) {
    const old = before.rules[order]!;
    if (rule === old || rule.entry === old.entry) continue;
    if (rule.entry.selectors !== old.entry.selectors || rule.layerRank !== old.layerRank || rule.origin !== old.origin)
      return null;
    const { scopes, containers } = rule.entry.conditions;
    if (scopes.length || containers.length || old.entry.conditions.scopes.length) return null;
    if (!sameDeclarations(rule.entry, old.entry)) changed.add(order);
  }
  return changed;
}

function sameDeclarations(a: RuleEntry, b: RuleEntry): boolean {
  return (
    a.declarations.length === b.declarations.length &&
    a.declarations.every((one, at) => {
      const other = b.declarations[at]!;
      return one.valueText === other.valueText && one.property === other.property && one.important === other.important;
    })
  );
}
