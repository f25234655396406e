/** Settings of one text given to another: where each of them is written. */
import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import { ruleNow, spotOf } from "../cascade/explain";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { EditError, type Edit, type Target } from "../edits/types";
import { plainSelector } from "../source/html/document";
import type { Site } from "../source/site";
import { textAt } from "../text/pageTexts";
import { sheetForNew } from "../edits/locate";

/**
 * Each declaration goes where the text has its value of that property from, if that is a rule for the text itself; what it
 * inherits or does not have goes into the strongest rule for the text, or a new one.
 * @throws EditError when there is no such text, or no sheet to write to
 */
export function editsOn(
  site: Site,
  ref: ElementRef,
  declarations: readonly (readonly [property: string, value: string])[],
  conditions: Conditions,
): Edit[] {
  const found = textAt(site, { page: ref.page, index: ref.index }, conditions);
  if (!found) throw new EditError(`${ref.page} has no element number ${ref.index}.`);
  const { page, style } = found;
  return declarations.map(([property, value]) => ({
    kind: "declare",
    target: ownRule(page, style, property) ?? strongestRule(page, style) ?? newRule(page, style),
    property,
    value,
    place: ref,
  }));
}

function ownRule(page: StyledPage, style: Style, property: string): Target | null {
  const winner = style.shared.winners.get(property);
  if (winner?.block.origin !== "author") return null;
  if (winner.block.attached)
    return { kind: "style-attribute", element: { page: page.file.path, index: style.element.index } };
  const spot = spotOf(page, style.element, winner.block, winner.declaration);
  return spot?.rule == null ? null : { kind: "rule", path: spot.path, start: spot.rule };
}

function strongestRule(page: StyledPage, style: Style): Target | null {
  for (const { match, origin } of [...style.blocks].reverse()) {
    // A rule for everything is none for the text itself.
    if (!match || origin !== "author" || match.specificity.every((part) => part === 0)) continue;
    const { sheet, entry } = ruleNow(page, match);
    if (sheet) return { kind: "rule", path: sheet.path, start: sheet.offset + entry.rule.start };
  }
  return null;
}

function newRule(page: StyledPage, { element }: Style): Target {
  const path = sheetForNew(page.sheets);
  if (!path) throw new EditError(`${page.file.path} has no style sheet that a rule could go into.`);
  return { kind: "new-rule", path, selector: plainSelector(element) };
}
