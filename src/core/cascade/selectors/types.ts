/** Selectors 4 as data. */
import type { Namespace } from "../../source/html/document";

/** Counts of ids; classes, attributes and pseudo-classes; types and pseudo-elements (Selectors 4, 17). */
export type Specificity = readonly [number, number, number];

export type Combinator = " " | ">" | "+" | "~";

export type SimpleSelector =
  | { kind: "type"; name: string; lower: string }
  | { kind: "universal" }
  | { kind: "id"; name: string }
  | { kind: "class"; name: string }
  | {
      kind: "attribute";
      name: string;
      lower: string;
      operator: AttributeOperator | null;
      value: string;
      flag: "i" | null;
    }
  | { kind: "state"; name: string }
  | { kind: "lang"; ranges: readonly string[] }
  | { kind: "dir"; direction: string }
  | { kind: "nth"; of: NthKind; step: number; offset: number; list: readonly Selector[] | null }
  | { kind: "is" | "not"; list: readonly Selector[] }
  | { kind: "has"; list: readonly Selector[] }
  /** Valid, but on a static page nothing matches it. */
  | { kind: "never" };

export type AttributeOperator = "=" | "~=" | "|=" | "^=" | "$=" | "*=";
export type NthKind = "child" | "last-child" | "of-type" | "last-of-type";

export interface Compound {
  simples: readonly SimpleSelector[];
  /** The namespace its elements must be in; null for any, "none" for one that no element here is in. */
  namespace: Namespace | "none" | null;
}

/** A complex selector: compounds from left to right, joined by the combinators between them. */
export interface Selector {
  text: string;
  compounds: readonly Compound[];
  /** combinators[i] stands between compounds[i] and compounds[i + 1]. */
  combinators: readonly Combinator[];
  /** For relative selectors: what stands before the first compound. */
  leading: Combinator | null;
  pseudoElement: string | null;
  specificity: Specificity;
}

/** Less than zero when `a` is weaker. */
export function compareSpecificity(a: Specificity, b: Specificity): number {
  return a[0] - b[0] || a[1] - b[1] || a[2] - b[2];
}
