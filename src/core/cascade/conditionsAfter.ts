import type { TextChange } from "../source/changes";
import { movesOn } from "../source/html/movedElements";
import type { Site } from "../source/site";
import type { Conditions } from "./conditions";

/**
 * The same conditions for a site with changes: what is measured of single elements, and forced on them, is that of the
 * elements as they are counted then.
 * @param after the site with the changes
 */
export function conditionsAfter(
  conditions: Conditions,
  before: Site,
  after: Site,
  changes: readonly TextChange[],
): Conditions {
  const { containers, forced } = conditions;
  const moves = new Map<string, ReadonlyMap<number, number>>();
  for (const path of new Set([...Object.keys(containers), ...Object.keys(forced)])) {
    const own = movesOn(before, after, path, changes);
    if (own && [...own].some(([was, is]) => was !== is)) moves.set(path, own);
  }
  if (moves.size === 0) return conditions;
  return { ...conditions, containers: moved(containers, moves), forced: moved(forced, moves) };
}

function moved<T>(
  byPage: Readonly<Record<string, Readonly<Record<number, T>>>>,
  moves: ReadonlyMap<string, ReadonlyMap<number, number>>,
): Record<string, Readonly<Record<number, T>>> {
  const result: Record<string, Readonly<Record<number, T>>> = { ...byPage };
  for (const [path, indexes] of moves) {
    if (!result[path]) continue;
    const own = Object.entries(result[path]).flatMap(([index, value]) => {
      const now = indexes.get(Number(index));
      return now === undefined ? [] : [[now, value] as const];
    });
    result[path] = Object.fromEntries(own);
  }
  return result;
}
