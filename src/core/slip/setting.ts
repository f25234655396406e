/** How a value comes out over the places it reaches, and what its units refer to. */
import type { Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { computedValue, fontSizeOf, leadingOf, rootOf, type Style } from "../cascade/styles";
import type { ElementRef } from "../edits/types";
import { textFile, type Site } from "../source/site";
import { stackInfo, type StackInfo } from "../type/members";

export interface Outcome {
  /** Computed. */
  value: string;
  places: ElementRef[];
}

export interface Setting {
  /** Font size of the picked text, of its parent and of the root, px. */
  size: number;
  parent: number;
  root: number;
  /** Null for `normal`. */
  leading: number | null;
  /** What the property comes to in all the places, most places first. */
  outcomes: Outcome[];
  stack: StackInfo | null;
}

/** @param property a longhand */
export function settingOf(site: Site, picked: ElementRef, places: readonly ElementRef[], property: string, conditions: Conditions): Setting | null {
  const styleAt = ({ page: path, index }: ElementRef): Style | null => {
    const file = textFile(site, path);
    return file?.kind === "html" ? (styledPage(site, file, conditions).styles[index] ?? null) : null;
  };
  const style = styleAt(picked);
  const file = textFile(site, picked.page);
  if (!style || !file) return null;
  const outcomes = new Map<string, Outcome>();
  for (const place of places.length ? places : [picked]) {
    const one = styleAt(place);
    if (!one) continue;
    const value = computedValue(one, property);
    const known = outcomes.get(value);
    if (known) known.places.push(place);
    else outcomes.set(value, { value, places: [place] });
  }
  return {
    size: fontSizeOf(style),
    parent: style.parent ? fontSizeOf(style.parent) : conditions.rootSize,
    root: fontSizeOf(rootOf(style)),
    leading: leadingOf(style),
    outcomes: [...outcomes.values()].sort((a, b) => b.places.length - a.places.length),
    stack: stackInfo(styledPage(site, file, conditions), computedValue(style, "font-family")),
  };
}
