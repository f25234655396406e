/** States forced on elements. */
import type { ElementNode, HtmlDocument } from "../source/html/document";
import type { Conditions } from "./conditions";

/** States forced on the elements of a page by index; what is over an element that is hovered or pressed is so too (Selectors 4, 9.2 and 9.3). */
export function forcedStatesOf(
  document: HtmlDocument,
  { forced, forcedEverywhere }: Conditions,
): Map<number, Set<string>> {
  const states = new Map<number, Set<string>>();
  if (forcedEverywhere.length) for (const element of document.elements) add(states, element, forcedEverywhere);
  for (const [index, names] of Object.entries(forced[document.path] ?? {})) {
    const element = document.elements[Number(index)];
    if (!element) continue;
    add(states, element, names);
    const spreading = names.filter((name) => name === "hover" || name === "active");
    if (spreading.length === 0) continue;
    for (let above = element.parent; above; above = above.parent) add(states, above, spreading);
  }
  return states;
}

/** Names of the states that are forced on elements of a page, with those that follow from them (Selectors 4, 9.5.3). */
export function stateNames({ forced }: Conditions, path: string): ReadonlySet<string> {
  const names = new Set(Object.values(forced[path] ?? {}).flat());
  return names.has("focus") ? names.add("focus-within") : names;
}

function add(states: Map<number, Set<string>>, { index }: ElementNode, names: readonly string[]): void {
  states.set(index, new Set([...(states.get(index) ?? []), ...names]));
}
