/** Declarations that would set something of a picked element and do nothing: switched off, or not valid. */
import { invalidReason } from "../cascade/declarations";
import { ruleNow } from "../cascade/explain";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { ignoredMessage } from "../findings";
import { parseBlock, type Item } from "../source/css/syntax";
import { attributeSource } from "../source/html/attributeSource";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import type { ElementRef } from "../text/refs";
import { slipRows, type SlipRow } from "./rows";

export interface IdleDeclaration {
  state: "off" | "ignored";
  /** Why it is ignored, in plain words. */
  reason: string | null;
  property: string;
  value: string;
  selector: string;
  path: string;
  line: number;
  /** Offset of the declaration in its file, or in the style attribute when `element` is set. */
  start: number;
  element: ElementRef | null;
}

/** Where items of a rule, or of a style attribute, stand. */
interface Holder {
  selector: string;
  path: string;
  /** Of the items in the file, or in the attribute. */
  offset: number;
  /** Whose attribute it is, and where that stands; null for a rule. */
  attribute: { element: ElementRef; at: number } | null;
}

/** Those in the rules and the style attribute of an element, by the rows of the slip that they are about. */
export function idleByRow(site: Site, page: StyledPage, style: Style): ReadonlyMap<string, IdleDeclaration[]> {
  const byRow = new Map<string, IdleDeclaration[]>();
  const consider = (items: readonly Item[], holder: Holder) => {
    for (const item of items) {
      if (item.kind !== "disabled" && item.kind !== "declaration") continue;
      const declaration = item.kind === "disabled" ? item.declaration : item;
      const rows = rowsAbout(declaration.property);
      const ignored =
        rows.length > 0 &&
        item.kind === "declaration" &&
        invalidReason(declaration.property, declaration.valueText) !== null;
      if (item.kind === "declaration" && !ignored) continue;
      const start = item.start + holder.offset;
      const one: IdleDeclaration = {
        state: ignored ? "ignored" : "off",
        reason: ignored ? ignoredMessage(declaration.property, declaration.valueText) : null,
        property: declaration.property,
        value: declaration.valueText,
        selector: holder.selector,
        path: holder.path,
        line: positionAt(textFile(site, holder.path)?.text ?? "", holder.attribute?.at ?? start).line,
        start,
        element: holder.attribute?.element ?? null,
      };
      for (const { id } of rows) byRow.set(id, [...(byRow.get(id) ?? []), one]);
    }
  };
  const seen = new Set<unknown>();
  for (const block of [...style.blocks].reverse()) {
    if (!block.match) continue;
    const { sheet, entry } = ruleNow(page, block.match);
    const { rule } = entry;
    if (!sheet || seen.has(rule)) continue;
    seen.add(rule);
    consider(rule.items, { selector: rule.preludeText, path: sheet.path, offset: sheet.offset, attribute: null });
  }
  const attribute = attributeSource(page.file.text, style.element, "style");
  if (attribute) {
    const element = { page: page.file.path, index: style.element.index };
    consider(parseBlock(attribute.value), {
      selector: "style attribute",
      path: page.file.path,
      offset: 0,
      attribute: { element, at: attribute.raw.start },
    });
  }
  return byRow;
}

const known = new Map<string, readonly SlipRow[]>();

/** The rows that a property sets something of. */
function rowsAbout(property: string): readonly SlipRow[] {
  const name = aliases[property] ?? property;
  let rows = known.get(name);
  if (!rows) {
    const sets = [name, ...(shorthands.get(name)?.longhands ?? [])];
    rows = slipRows.filter(
      ({ longhand, property: written, sides, of }) =>
        of === undefined && (name === written || (sides?.flat() ?? [longhand]).some((one) => sets.includes(one))),
    );
    if (rows.length > 0) known.set(name, rows);
  }
  return rows;
}
