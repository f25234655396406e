/** Every distinct stack of a site, and edits of one wherever it stands. */
import { declarationsOfSite } from "../source/declarations";
import type { ElementRef } from "../text/refs";
import { gatherTexts } from "../text/pageTexts";
import type { Conditions } from "../cascade/conditions";
import { prepare } from "../cascade/declarations";
import { valueSpan } from "../cascade/explain";
import { serialiseFamily, type FamilyName } from "../cascade/properties/font";
import { styledPage } from "../cascade/styledPages";
import { computedValue, type Style } from "../cascade/style";
import { EditError } from "../edits/types";
import { define } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { pagesOf, type Site } from "../source/site";
import { wordsOf } from "../text/pseudoTexts";
import { stackInfo, type StackInfo } from "../type/members";

/** Where a stack is written. Offsets of the file. */
export interface StackSpot {
  path: string;
  start: number;
  end: number;
}

export interface StackUse {
  /** As computed. */
  stack: string;
  places: ElementRef[];
  /** Words of its first place. */
  sample: string;
  declarations: StackSpot[];
  info: StackInfo;
}

/** Most places first. */
export function stackTable(site: Site, conditions: Conditions): StackUse[] {
  const spots = stackSpots(site);
  const pages = pagesOf(site).map((file) => styledPage(site, file, conditions));
  const stackOf = (style: Style) => computedValue(style, "font-family");
  return gatherTexts<StackUse>(pages, stackOf, (style, page) => {
    const stack = stackOf(style);
    return {
      stack,
      places: [],
      sample: wordsOf(page, style).slice(0, 40),
      declarations: spots.get(stack) ?? [],
      info: stackInfo(page, stack)!,
    };
  }).sort((a, b) => b.places.length - a.places.length);
}

/** Where sheets write stacks, by the stack as computed. */
function stackSpots(site: Site): Map<string, StackSpot[]> {
  const spots = new Map<string, StackSpot[]>();
  for (const { declaration, file, offset, exact } of declarationsOfSite(site)) {
    if (!exact || (declaration.property !== "font-family" && declaration.property !== "font")) continue;
    const prepared = prepare(declaration.property, declaration.valueText);
    const given = prepared.kind === "longhands" ? prepared.entries.find(([name]) => name === "font-family")?.[1] : null;
    const span = given?.kind === "value" ? valueSpan(declaration, "font-family") : null;
    if (given?.kind !== "value" || !span) continue;
    const stack = (given.value as FamilyName[]).map(serialiseFamily).join(", ");
    const from = offset + declaration.value.start;
    spots.set(stack, [
      ...(spots.get(stack) ?? []),
      { path: file.path, start: from + span.start, end: from + span.end },
    ]);
  }
  return spots;
}

/** Another stack in every place that a stack is written. @throws EditError when no sheet writes it */
export function restack(site: Site, stack: string, instead: string): TextChange[] {
  const spots = stackSpots(site).get(stack) ?? [];
  if (spots.length === 0)
    throw new EditError(
      "No style sheet writes this stack as it is: it is the browser's own, or comes from a custom property.",
    );
  return spots.map((spot) => ({ ...spot, insert: instead }));
}

/** Puts a stack under the name of a custom property. @throws EditError */
export function nameStack(site: Site, stack: string, name: string, taken: ReadonlySet<string>): TextChange[] {
  const spots = stackSpots(site).get(stack) ?? [];
  if (spots.length === 0)
    throw new EditError("No style sheet writes this stack as it is, so there is nothing to name.");
  return define(site, spots, name, stack, taken);
}
