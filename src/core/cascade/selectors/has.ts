/**
 * `:has()` (Selectors 4, 4.5). For each part of a relative selector, from its end, it is found out once which elements of
 * the tree fit it and what follows it; an anchor then only asks whether one of those stands where it has to.
 */
import type { ElementNode } from "../../source/html/document";
import type { MatchContext } from "./match";
import { memoOf, type Relation } from "./memo";
import type { Combinator, Compound, Selector } from "./types";

type Matches = (compound: Compound, element: ElementNode, context: MatchContext) => boolean;

/** Whether there is an element, found from the anchor, that the relative selector fits. */
export function hasRelative(selector: Selector, anchor: ElementNode, context: MatchContext, matches: Matches): boolean {
  const root = rootOf(anchor);
  const relation = memoOf(context).found.of(selector, root, () => firstOf(selector, allIn(root), context, matches));
  return leadsTo(anchor, selector.leading ?? " ", relation);
}

function rootOf(element: ElementNode): ElementNode {
  let root = element;
  while (root.parent) root = root.parent;
  return root;
}

const trees = new WeakMap<ElementNode, readonly ElementNode[]>();

/** An element with all below it, in document order, in no recursion: pages may nest deeper than the stack. */
function allIn(root: ElementNode): readonly ElementNode[] {
  let all = trees.get(root);
  if (!all) {
    const elements: ElementNode[] = [];
    const pending = [root];
    for (let next = pending.pop(); next; next = pending.pop()) {
      elements.push(next);
      for (let at = next.children.length - 1; at >= 0; at -= 1) pending.push(next.children[at]!);
    }
    trees.set(root, (all = elements));
  }
  return all;
}

/** The elements that the first compound fits and from which all that follows is found. */
function firstOf(
  { compounds, combinators }: Selector,
  elements: readonly ElementNode[],
  context: MatchContext,
  matches: Matches,
): Relation {
  let relation: Relation | null = null;
  for (let at = compounds.length - 1; at >= 0; at -= 1) {
    const next: Relation | null = relation;
    const join = combinators[at];
    relation = relationOf(
      elements.filter(
        (element) => (!next || leadsTo(element, join!, next)) && matches(compounds[at]!, element, context),
      ),
    );
  }
  return relation!;
}

function relationOf(elements: readonly ElementNode[]): Relation {
  const last = new Map<ElementNode, number>();
  for (const { parent, position } of elements) if (parent) last.set(parent, position);
  return { indexes: Uint32Array.from(elements, ({ index }) => index), has: new Set(elements), last };
}

function leadsTo(from: ElementNode, join: Combinator, { indexes, has, last }: Relation): boolean {
  switch (join) {
    case ">":
      return last.has(from);
    case "+": {
      const next = from.parent?.children[from.position + 1];
      return next !== undefined && has.has(next);
    }
    case "~":
      return from.parent !== null && (last.get(from.parent) ?? -1) > from.position;
    default: {
      // What is below an element follows it, up to the next that is not.
      const first = indexes[firstAfter(indexes, from.index)];
      return first !== undefined && first <= lastBelow(from).index;
    }
  }
}

function firstAfter(indexes: Uint32Array, index: number): number {
  let low = 0;
  let high = indexes.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (indexes[middle]! > index) high = middle;
    else low = middle + 1;
  }
  return low;
}

function lastBelow(element: ElementNode): ElementNode {
  let last = element;
  while (last.children.length > 0) last = last.children[last.children.length - 1]!;
  return last;
}
