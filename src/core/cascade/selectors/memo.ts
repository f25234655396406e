/** What is found out once for all elements that are matched in one context. */
import { PairMap } from "../../source/memo";
import type { ElementNode } from "../../source/html/document";
import type { MatchContext } from "./match";
import type { Selector, SimpleSelector } from "./types";

export type NthSelector = SimpleSelector & { kind: "nth" };

interface Memo {
  /** Whether an element matches one of a list. */
  lists: PairMap<readonly Selector[], ElementNode, boolean>;
  /** Places of the children of an element. */
  places: PairMap<NthSelector, ElementNode, Uint32Array>;
  /** The elements of a tree that a relative selector can lead to, by its root. */
  found: PairMap<Selector, ElementNode, Relation>;
}

/** Elements, as it is asked for them: after an element, below it, next to it. */
export interface Relation {
  /** Indexes in document order. */
  indexes: Uint32Array;
  has: ReadonlySet<ElementNode>;
  /** The last position that is among them, by parent. */
  last: ReadonlyMap<ElementNode, number>;
}

const memos = new WeakMap<MatchContext, Memo>();

/** What was found out about a document while selectors were matched in one context. */
export function memoOf(context: MatchContext): Memo {
  let memo = memos.get(context);
  if (!memo) memos.set(context, (memo = { lists: new PairMap(), places: new PairMap(), found: new PairMap() }));
  return memo;
}
