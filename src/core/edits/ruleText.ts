/** Rules as a sheet writes them, and changes within their blocks as changes of the file. */
import type { SheetText } from "../source/declarations";
import type { Item } from "../source/css/syntax";
import type { TextChange } from "../source/changes";
import { indentAt, lineEndOf } from "../source/lines";
import type { TextFile } from "../source/site";
import { indentUnit, isMinified, removeDeclaration, setDeclaration, type BlockText, type Splice } from "./block";
import { checkEmbeddable, writable } from "./value";

/** Splices of a sheet's text as changes of its file. @param by offset of the sheet in it */
export function moved(path: string, splices: readonly Splice[], by = 0): TextChange[] {
  return splices.map(({ start, end, insert }) => ({ path, start: start + by, end: end + by, insert }));
}

/** The block of a rule. */
export function blockText(
  { text }: SheetText,
  rule: { block: { start: number; end: number }; items: readonly Item[]; start: number },
): BlockText {
  return { text, block: rule.block, items: rule.items, indent: indentAt(text, rule.start) };
}

/** The splices that give a property a value in a block, or take it away. @throws EditError where the value would end the page's styles */
export function changeIn(file: TextFile, where: BlockText, property: string, value: string | null): Splice[] {
  if (value === null) return removeDeclaration(where, property);
  checkEmbeddable(value, file);
  return setDeclaration(where, property, writable(value, file));
}

/** Properties with their values, in order. */
export type Declarations = readonly (readonly [property: string, value: string])[];

/**
 * A rule in the way of writing of a sheet: in one where that is minified, else in lines of its own.
 * @param like the text of the sheet; "" for a new one
 * @param lead what each line begins with @param unit what declarations are set in by
 */
export function ruleLike(
  like: string,
  selector: string,
  declarations: Declarations,
  lead = "",
  unit = indentUnit(like),
): string {
  if (isMinified(like)) return `${selector}{${declarations.map((one) => one.join(":")).join(";")}}`;
  const lines = declarations.map(([name, value]) => `${lead}${unit}${name}: ${value};`);
  return [`${lead}${selector} {`, ...lines, `${lead}}`].join(lineEndOf(like));
}

/** Rules under a condition, written the same way. @param condition "@media print" */
export function rulesUnder(
  like: string,
  condition: string,
  rules: readonly (readonly [string, Declarations])[],
): string {
  const unit = indentUnit(like);
  const inside = rules.map(([selector, declarations]) => ruleLike(like, selector, declarations, unit));
  if (isMinified(like)) return `${condition}{${inside.join("")}}`;
  return [`${condition} {`, ...inside, "}"].join(lineEndOf(like));
}
