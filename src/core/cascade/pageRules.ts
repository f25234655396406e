/** The rules of one page in force under given conditions, and which of them match its elements. */
import type { ElementNode, HtmlDocument } from "../source/html/document";
import type { SheetSource } from "../source/html/sheets";
import type { Ancestors } from "./ancestors";
import type { Indexed, PageRule, RuleIndex, RuleSet } from "./ruleSet";
import type { ScopeLimits } from "./rules";
import { matches, type MatchContext } from "./selectors/match";
import type { Selector, Specificity } from "./selectors/types";

export interface PageRules {
  set: RuleSet;
  /** The page's own sheets, as its rules count them. */
  sheets: readonly SheetSource[];
}

/** A rule with the selector by which it matches. */
export interface Match {
  rule: PageRule;
  selector: Selector;
  specificity: Specificity;
  /** Steps up to the scope's root; Infinity outside of scopes. */
  proximity: number;
}

/** How the selectors of a page's rules match its elements. */
export interface RuleMatching {
  context: MatchContext;
  /** The root of scopes that name none, for a sheet of the page. */
  rootFor(sheet: number): ElementNode | null;
}

/** What matching the rules of a page needs to know of it. */
export function ruleMatching(context: MatchContext, { sheets }: PageRules, document: HtmlDocument): RuleMatching {
  return { context, rootFor: (sheet) => (sheets[sheet] ? scopeRootOf(sheets[sheet], document) : null) };
}

/** All rules that match an element, in no order; a rule that matches by several selectors comes with the most specific. */
export function matchRules(
  index: RuleIndex,
  element: ElementNode,
  matching: RuleMatching,
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
      const { scopes, containers } = rule.entry.conditions;
      const root = scopes.length ? matching.rootFor(rule.sheet) : null;
      const proximity = matchInScope(scopes, root, selector, element, matching.context);
      if (proximity !== null && containers.every(contained))
        best.set(rule, { rule, selector, specificity: selector.specificity, proximity });
    }
  };
  if (element.id !== null) consider(index.ids.get(element.id));
  for (const name of element.classes) consider(index.classes.get(name));
  consider(index.types.get(typeOf(element)));
  consider(index.rest);
  return [...best.values()];
}

/** The name by which rules ask for elements of a type. */
const typeOf = ({ namespace, tag }: ElementNode): string => (namespace === "html" ? tag : tag.toLowerCase());

/** Whether some rule asks for an element by its id, a class or its tag, or for any at all: without, none matches it. */
export function isAskedFor({ ids, classes, types, rest }: RuleIndex, element: ElementNode): boolean {
  return (
    rest.length > 0 ||
    types.has(typeOf(element)) ||
    (element.id !== null && ids.has(element.id)) ||
    element.classes.some((name) => classes.has(name))
  );
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
