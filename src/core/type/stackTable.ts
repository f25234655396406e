/** Every distinct stack of a site, and edits of one wherever it stands. */
import type { Conditions } from "../cascade/conditions";
import { prepare } from "../cascade/declarations";
import { valueSpan } from "../cascade/explain";
import { serialiseFamily, type FamilyName } from "../cascade/properties/font";
import { styledPage } from "../cascade/styledPages";
import { computedValue } from "../cascade/styles";
import { sheetTexts } from "../edits/locate";
import { EditError, type ElementRef } from "../edits/types";
import { declarationsIn } from "../findings/declarations";
import { define } from "../palette/properties";
import type { TextChange } from "../source/changes";
import { isText } from "../source/html/document";
import { pagesOf, sheetsOf, type Site } from "../source/site";
import { isPlace } from "../textStyles";
import { stackInfo, type StackInfo } from "./members";

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
  pages: number;
  /** Words of its first place. */
  sample: string;
  declarations: StackSpot[];
  info: StackInfo;
}

/** Most places first. */
export function stackTable(site: Site, conditions: Conditions): StackUse[] {
  const uses = new Map<string, StackUse & { on: Set<string> }>();
  const spots = stackSpots(site);
  for (const file of pagesOf(site)) {
    const page = styledPage(site, file, conditions);
    for (const style of page.styles) {
      if (!isPlace(style)) continue;
      const stack = computedValue(style, "font-family");
      let use = uses.get(stack);
      if (!use) {
        const words = style.element.content.filter(isText).map(({ text }) => text).join(" ").replace(/\s+/g, " ").trim();
        use = { stack, places: [], pages: 0, sample: words.slice(0, 40), declarations: spots.get(stack) ?? [], info: stackInfo(page, stack)!, on: new Set() };
        uses.set(stack, use);
      }
      use.places.push({ page: file.path, index: style.element.index });
      use.on.add(file.path);
    }
  }
  return [...uses.values()].map(({ on, ...use }) => ({ ...use, pages: on.size })).sort((a, b) => b.places.length - a.places.length);
}

/** Where sheets write stacks, by the stack as computed. */
function stackSpots(site: Site): Map<string, StackSpot[]> {
  const spots = new Map<string, StackSpot[]>();
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) {
    for (const sheet of sheetTexts(site, file)) {
      for (const declaration of declarationsIn(sheet.items)) {
        if (declaration.property !== "font-family" && declaration.property !== "font") continue;
        const prepared = prepare(declaration.property, declaration.valueText);
        const entry = prepared.kind === "longhands" ? prepared.entries.find(([name]) => name === "font-family")?.[1] : null;
        const span = entry?.kind === "value" ? valueSpan(declaration, "font-family") : null;
        if (entry?.kind !== "value" || !span) continue;
        const stack = (entry.value as FamilyName[]).map(serialiseFamily).join(", ");
        const from = sheet.offset + declaration.value.start;
        spots.set(stack, [...(spots.get(stack) ?? []), { path: file.path, start: from + span.start, end: from + span.end }]);
      }
    }
  }
  return spots;
}

/** Another stack in every place that a stack is written. @throws EditError when no sheet writes it */
export function restack(site: Site, stack: string, instead: string): TextChange[] {
  const spots = stackSpots(site).get(stack) ?? [];
  if (spots.length === 0) throw new EditError("No style sheet writes this stack as it is: it is the browser's own, or comes from a custom property.");
  return spots.map((spot) => ({ ...spot, insert: instead }));
}

/** Puts a stack under the name of a custom property. @throws EditError */
export function nameStack(site: Site, stack: string, name: string, taken: ReadonlySet<string>): TextChange[] {
  const spots = stackSpots(site).get(stack) ?? [];
  if (spots.length === 0) throw new EditError("No style sheet writes this stack as it is, so there is nothing to name.");
  return define(site, spots, name, stack, taken);
}
