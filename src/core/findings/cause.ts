/** What a computed value comes from, as it is written. */
import type { KnownPage } from "../cascade/styledPages";
import { forEachInOrder, type Block } from "../cascade/blocks";
import { longhandIndex, longhands } from "../cascade/properties";
import { spotOf } from "../cascade/explain";
import type { Style } from "../cascade/style";
import type { Declaration } from "../source/css/syntax";
import { changesFor } from "../edits/plan";
import { EditError, type Target } from "../edits/types";
import { plainSelector } from "../source/html/document";
import { sheetForNew } from "../edits/locate";
import { inSite, type Cause, type Way } from "./types";
import type { Site } from "../source/site";

/** A declaration of the site that gives an element, or one around it, a value. */
export interface Spot {
  path: string;
  /** Of the declaration in its file. */
  offset: number;
  /** Start of its rule; null in a style attribute. */
  rule: number | null;
  declaration: Declaration;
  holder: Style;
  /** What it was asked for: the longhand, or the property where that is not computed. */
  property: string;
}

/** The declaration that a longhand of a text comes from; null where it is the browser's own, or nobody's. */
export function spotFor(page: KnownPage, style: Style, longhand: string): Spot | null {
  const { inherited } = longhands[longhandIndex.get(longhand)!]!;
  let holder: Style | null = style;
  for (; holder; holder = holder.parent) {
    const winner = holder.shared.winners.get(longhand);
    const goesOn = winner
      ? winner.given.kind === "wide" &&
        (winner.given.keyword === "inherit" || (winner.given.keyword === "unset" && inherited))
      : inherited;
    if (goesOn) continue;
    const spot = winner && spotOf(page, holder.element, winner.block, winner.declaration);
    return spot && winner ? { ...spot, declaration: winner.declaration, holder, property: longhand } : null;
  }
  return null;
}

/** The declaration of a property that is not computed which wins on an element; null where none is its own. */
export function declaredSpot(page: KnownPage, style: Style, property: string): Spot | null {
  let last: { block: Block; declaration: Declaration } | null = null;
  forEachInOrder(style.blocks, (block, { declaration }) => {
    if (declaration.property === property) last = { block, declaration };
  });
  if (!last) return null;
  const { block, declaration } = last as { block: Block; declaration: Declaration };
  const spot = spotOf(page, style.element, block, declaration);
  return spot && { ...spot, declaration, holder: style, property };
}

/** A spot as a cause of a finding. */
export function causeAt(site: Site, { path, offset, declaration }: Spot): Cause {
  return { ...inSite(site, path, offset), text: `${declaration.property}: ${declaration.valueText}` };
}

/** Where an edit of a spot is written. */
export function targetOf(page: string, { path, rule, holder }: Spot): Target {
  return rule === null
    ? { kind: "style-attribute", element: { page, index: holder.element.index } }
    : { kind: "rule", path, start: rule };
}

/** A way that sets a property where a text gets it from; none where that cannot be written. */
export function declareWay(
  site: Site,
  label: string,
  target: Target | null,
  property: string,
  value: string | null,
): Way[] {
  if (!target) return [];
  try {
    return [{ label, changes: changesFor(site, { kind: "declare", target, property, value }) }];
  } catch (error) {
    if (error instanceof EditError) return [];
    throw error;
  }
}

/** A rule of its own for an element of which nobody sets something: in the sheet of its page that new rules go into, else its style attribute. */
export function ownTarget(page: KnownPage, style: Style): Target | null {
  const sheet = sheetForNew(page.sheets);
  const selector = plainSelector(style.element) + (style.pseudo ? `::${style.pseudo}` : "");
  if (sheet) return { kind: "new-rule", path: sheet, selector };
  return style.pseudo
    ? null
    : { kind: "style-attribute", element: { page: page.file.path, index: style.element.index } };
}

/** Where a property of a text is written: where it comes from, else a rule of its own. */
export function targetFor(page: KnownPage, style: Style, spot: Spot | null): Target | null {
  return spot ? targetOf(page.file.path, spot) : ownTarget(page, style);
}
