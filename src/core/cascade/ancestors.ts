/**
 * What the ancestors of an element are called, kept while the tree is walked, so that most selectors that ask for
 * an ancestor which is not there are turned away without climbing. It may let through; it never turns away wrongly.
 */
import type { ElementNode } from "../source/html/document";
import type { Selector } from "./selectors/types";

const size = 4096;

function hash(kind: string, name: string): number {
  let value = kind.charCodeAt(0);
  for (let at = 0; at < name.length; at += 1) value = (Math.imul(value, 31) + name.charCodeAt(at)) | 0;
  return value & (size - 1);
}

const wanted = new WeakMap<Selector, readonly number[]>();

/** Names that some ancestor must have for the selector to match; letter case aside, so quirks mode is safe too. */
function wantedOf(selector: Selector): readonly number[] {
  let list = wanted.get(selector);
  if (list) return list;
  const names: number[] = [];
  for (let at = selector.compounds.length - 2, above = false; at >= 0; at -= 1) {
    const join = selector.combinators[at];
    above = join === " " || join === ">";
    if (!above) break;
    for (const simple of selector.compounds[at]!.simples) {
      if (simple.kind === "class") names.push(hash(".", simple.name.toLowerCase()));
      else if (simple.kind === "id") names.push(hash("#", simple.name.toLowerCase()));
      else if (simple.kind === "type") names.push(hash("<", simple.lower));
    }
  }
  list = names;
  wanted.set(selector, list);
  return list;
}

export class Ancestors {
  private readonly counts = new Uint16Array(size);
  private readonly stack: { element: ElementNode; names: number[] }[] = [];

  /** Goes to an element; elements must come in document order. */
  enter(element: ElementNode): void {
    while (this.stack.length > 0 && this.stack[this.stack.length - 1]!.element !== element.parent) {
      for (const name of this.stack.pop()!.names) this.counts[name]! -= 1;
    }
  }

  /** Makes an element an ancestor of those that come next. */
  leave(element: ElementNode): void {
    if (element.children.length === 0) return;
    const names = [
      hash("<", element.tag.toLowerCase()),
      ...element.classes.map((name) => hash(".", name.toLowerCase())),
    ];
    if (element.id !== null) names.push(hash("#", element.id.toLowerCase()));
    for (const name of names) this.counts[name]! += 1;
    this.stack.push({ element, names });
  }

  mayMatch(selector: Selector): boolean {
    for (const name of wantedOf(selector)) if (this.counts[name] === 0) return false;
    return true;
  }
}
