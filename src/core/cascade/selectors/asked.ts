/** Which states selectors ask for: all others match the same whatever readers do. */
import { made } from "../../source/memo";
import type { Selector } from "./types";

/** Lists by what they ask for: nesting can name the same list many times over. */
const known = new WeakMap<readonly Selector[], ReadonlySet<string>>();

/** Names of the states that a list asks for, on any element and at any depth (Selectors 4, 9). */
export function statesAskedIn(list: readonly Selector[]): ReadonlySet<string> {
  return made(known, list, () => {
    const states = new Set<string>();
    for (const { compounds } of list) {
      for (const { simples } of compounds) {
        for (const simple of simples) {
          if (simple.kind === "state") states.add(simple.name);
          else if ("list" in simple && simple.list) for (const name of statesAskedIn(simple.list)) states.add(name);
        }
      }
    }
    return states;
  });
}
