/** What wins among the declarations that apply to an element (CSS Cascade 6, 2.1). */
import { made } from "../source/memo";
import { forEachInOrder, layerOf, type Block, type CustomWinner, type Winner } from "./blocks";
import { isLogical } from "./properties";

interface Cascaded {
  /** By longhand. */
  winners: ReadonlyMap<string, Winner>;
  /** The custom properties among it. */
  own: ReadonlyMap<string, CustomWinner>;
  /** Whether a longhand is named by the flow, not by sides. */
  usesLogical: boolean;
}

const cascaded = new WeakMap<readonly Block[], Cascaded>();

/** What wins in a list of blocks, by the names that are declared: elements that the same blocks apply to share it. */
export const cascadeOf = (list: readonly Block[]): Cascaded => made(cascaded, list, () => winnersIn(list));

/** The same by other names. @param nameOf the longhand that a declared one stands for */
export function winnersIn(list: readonly Block[], nameOf = (declared: string): string => declared): Cascaded {
  const winners = new Map<string, Winner>();
  const own = new Map<string, CustomWinner>();
  let usesLogical = false;
  forEachInOrder(list, (block, { declaration, entries, custom }) => {
    for (const [declared, given] of entries) {
      usesLogical ||= isLogical(declared);
      const name = nameOf(declared);
      winners.set(name, { given, name: declared, block, declaration, beaten: winners.get(name) ?? null });
    }
    if (custom) own.set(custom.name, { given: custom.given, block, beaten: own.get(custom.name) ?? null });
  });
  return { winners, own, usesLogical };
}

/** What is left when an origin or a layer is taken away (CSS Cascade 5, 7.3.4 and 7.3.5). */
export function rolledBack<One extends { block: Block; beaten: One | null }>(
  winner: One,
  keyword: "revert" | "revert-layer",
): One | null {
  const level = (one: One) => (one.block.origin === "browser" ? 0 : 1);
  for (let next = winner.beaten; next; next = next.beaten) {
    if (level(next) < level(winner)) return next;
    // What is important in a layer beats those after it, but never goes back to them.
    if (
      keyword === "revert-layer" &&
      (layerOf(next.block) < layerOf(winner.block) || next.block.origin !== winner.block.origin)
    )
      return next;
  }
  return null;
}
