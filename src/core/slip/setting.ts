/** How a value comes out over the places it reaches, and what its units refer to. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { textAt } from "../text/pageTexts";
import { computedValue, fontSizeOf, leadingOf, rootOf, valueOf, type Style } from "../cascade/style";
import type { Site } from "../source/site";
import { roleName } from "../text/textStyles";
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
  /** Font size of the element the value is declared for: the text's own, or that of the one it is inherited from; px. */
  declaredAt: number;
  /** Null for `normal`. */
  leading: number | null;
  /** What the property comes to in all the places, most places first. */
  outcomes: Outcome[];
  stack: StackInfo | null;
  /** For a line height: the texts inside that inherit it as a length. */
  heirs: Heir[];
}

/** Texts of one size that a line height comes to as a length. */
export interface Heir {
  role: string;
  sizePx: number;
  leadingPx: number;
  places: ElementRef[];
}

/** @param property a longhand */
export function settingOf(
  site: Site,
  picked: ElementRef,
  places: readonly ElementRef[],
  property: string,
  conditions: Conditions,
): Setting | null {
  const styleAt = (ref: ElementRef): Style | null => textAt(site, ref, conditions)?.style ?? null;
  const found = textAt(site, picked, conditions);
  if (!found) return null;
  const { page, style } = found;
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
    declaredAt: fontSizeOf(holderOf(style, property)),
    leading: leadingOf(style),
    outcomes: [...outcomes.values()].sort((a, b) => b.places.length - a.places.length),
    heirs: property === "line-height" ? heirsOf(places, styleAt) : [],
    stack: stackInfo(page, computedValue(style, "font-family")),
  };
}

/** The element whose own declaration gives a property its value; the text's own where none does. */
function holderOf(style: Style, property: string): Style {
  for (let holder: Style | null = style; holder; holder = holder.parent)
    if (holder.shared.winners.has(property)) return holder;
  return style;
}

/** Those that get the length from above, whatever their own size is (CSS Inline 3, 4.2), by role and size; largest first. */
function heirsOf(places: readonly ElementRef[], styleAt: (ref: ElementRef) => Style | null): Heir[] {
  const heirs = new Map<string, Heir>();
  for (const place of places) {
    const style = styleAt(place);
    const leading = style && valueOf(style, "line-height");
    if (!style || leading?.kind !== "px" || style.shared.winners.has("line-height")) continue;
    const heir = { role: roleName(style), sizePx: fontSizeOf(style), leadingPx: leading.value, places: [place] };
    const key = `${heir.role} ${heir.sizePx} ${heir.leadingPx}`;
    const known = heirs.get(key);
    if (known) known.places.push(place);
    else heirs.set(key, heir);
  }
  return [...heirs.values()].sort((a, b) => b.sizePx - a.sizePx);
}
