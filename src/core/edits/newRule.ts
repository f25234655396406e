/** A rule of its own put into a sheet, written as the sheet is. */
import { sheetEndOf } from "../source/css/open";
import type { Item } from "../source/css/syntax";
import type { TextChange } from "../source/changes";
import { lineEndOf, linesOf } from "../source/lines";
import { isForScreens, sheetTexts, type SheetText } from "../source/declarations";
import type { Site, TextFile } from "../source/site";
import { isMinified } from "./block";
import { intoHead } from "./intoHead";
import { fileAt, sheetForNewRule } from "./locate";
import { blockText, changeIn, moved, ruleLike, type Declarations } from "./ruleText";
import { checkSelectors } from "./selectorList";
import { EditError } from "./types";
import { checkEmbeddable, writable } from "./value";

/**
 * A rule behind a part of a sheet, or at its end; what it sets is put into the last rule there where that has the
 * selector. A page that embeds no sheet gets one.
 * @param declarations properties with their values, in order
 * @param behind the start of what it comes behind at the top of the sheet, an offset of the file
 * @throws EditError
 */
export function newRule(
  site: Site,
  path: string,
  selector: string,
  declarations: Declarations,
  behind?: number,
): TextChange[] {
  checkSelectors(selector);
  const file = fileAt(site, path);
  for (const written of [selector, ...declarations.map(([, value]) => value)]) checkEmbeddable(written, file);
  const own = declarations.map(([name, value]) => [name, writable(value, file)] as const);
  if (file.kind === "html" && !hasOwnStyles(site, file)) return [styleElement(file, selector, own)];
  const sheet = sheetForNewRule(site, file);
  if (behind !== undefined) return [ruleBehind(sheet, selector, own, behind)];
  return intoLast(sheet, selector, declarations) ?? [ruleAtEnd(sheet, selector, own)];
}

/** Whether a page embeds a sheet that new rules can go into. */
export const hasOwnStyles = (site: Site, page: TextFile): boolean =>
  sheetTexts(site, page).some(({ media }) => isForScreens(media));

/** A declaration put into the last rule of a sheet, where that has the selector. */
function intoLast(sheet: SheetText, selector: string, declarations: Declarations): TextChange[] | null {
  const { file, offset, items } = sheet;
  const last = items.findLast(({ kind }) => kind === "style");
  const [first, ...more] = declarations;
  if (!first || more.length || last?.kind !== "style" || last.preludeText !== selector) return null;
  return moved(file.path, changeIn(file, blockText(sheet, last), ...first), offset);
}

/** A rule as a sheet writes it; one that a page embeds is set in as far as that. */
const writtenIn = ({ file, text }: SheetText, selector: string, declarations: Declarations): string => {
  if (file.kind === "css") return ruleLike(text, selector, declarations);
  return ruleLike(text, selector, declarations, /(?:^|[\r\n])([ \t]+)\S/.exec(text)?.[1] ?? "", "  ");
};

const ruleAtEnd = (sheet: SheetText, selector: string, declarations: Declarations): TextChange =>
  atSheetEnd(sheet, writtenIn(sheet, selector, declarations));

/** Rules put at the end of a sheet; what the end of its text closes only is closed first. */
export function atSheetEnd({ file, text, offset }: SheetText, rules: string): TextChange {
  const open = sheetEndOf(text);
  const change = (start: number, insert: string): TextChange => ({
    path: file.path,
    start: offset + start,
    end: offset + start,
    insert,
  });
  if (isMinified(text)) return change(text.length, `${open?.closers ?? ""}${rules}`);
  const newline = lineEndOf(text);
  if (open) return change(text.length, `${open.closers}${newline}${newline}${rules}${newline}`);
  const tail = /[ \t\r\n\f]*$/.exec(text)![0];
  const at = text.length - tail.length;
  return change(at, at === 0 ? rules + newline : `${newline}${newline}${rules}${tail === "" ? newline : ""}`);
}

function ruleBehind(sheet: SheetText, selector: string, declarations: Declarations, behind: number): TextChange {
  const { file, text, offset, items } = sheet;
  const at = items.findIndex(({ start }) => offset + start === behind);
  if (at < 0) throw new EditError(`Nothing that a rule could come behind is at character ${behind} of ${file.path}.`);
  const { end } = items[at]!;
  // What the end of the sheet closes only is closed first.
  if (sheetEndOf(text) && at === items.length - 1) return ruleAtEnd(sheet, selector, declarations);
  const space = isMinified(text) ? "" : spaceBefore(text, items, at);
  const insert = space + writtenIn(sheet, selector, declarations);
  return { path: file.path, start: offset + end, end: offset + end, insert };
}

/** The line ends that rules are parted by there: as the one before is parted from the one before it, else from the next. */
function spaceBefore(text: string, items: readonly Item[], at: number): string {
  const newline = lineEndOf(text);
  const [own, next, last] = [items[at]!, items[at + 1], items[at - 1]];
  const gaps = [last && text.slice(last.end, own.start), next && text.slice(own.end, next.start)];
  const gap = gaps.find((one) => one?.trim() === "");
  return gap && linesOf(gap).length === 2 ? newline : newline + newline;
}

/** A style element with the rule, for a page that has none. */
function styleElement(page: TextFile, selector: string, declarations: Declarations): TextChange {
  const newline = lineEndOf(page.text);
  const rule = ruleLike(newline, selector, declarations);
  return intoHead(page, `<style>${newline}${rule}${newline}</style>`);
}
