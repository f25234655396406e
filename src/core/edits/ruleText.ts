/** Changes within the block of a rule, as changes of its file. */
import type { SheetText } from "../source/declarations";
import type { Item } from "../source/css/syntax";
import type { TextChange } from "../source/changes";
import { indentAt } from "../source/lines";
import type { TextFile } from "../source/site";
import { removeDeclaration, setDeclaration, type BlockText, type Splice } from "./block";
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
