/** Finding the block that an edit is about. */
import { isForScreens, sheetTexts, styleRules, type SheetText } from "../source/declarations";
import { documentOf } from "../source/html/document";
import type { Declaration, DisabledDeclaration, StyleRule } from "../source/css/syntax";
import { textFile, type Site, type TextFile } from "../source/site";
import { type PageSheets } from "../source/html/sheets";
import { EditError } from "./types";

/** The page or sheet at a path. @throws EditError when there is none */
export function fileAt(site: Site, path: string): TextFile {
  const file = textFile(site, path);
  if (!file) throw new EditError(`There is no page or style sheet at ${path}.`);
  return file;
}

/** The style rule that starts at an offset of a file. @throws EditError when there is none */
export function ruleAt(site: Site, path: string, start: number): { sheet: SheetText; rule: StyleRule } {
  for (const sheet of sheetTexts(site, fileAt(site, path))) {
    for (const rule of styleRules(sheet.items)) if (rule.start + sheet.offset === start) return { sheet, rule };
  }
  throw new EditError(`There is no rule at character ${start} of ${path}.`);
}

/** The declaration, on or off, that starts at an offset of a file, with its rule. */
export function declarationAt(
  site: Site,
  path: string,
  start: number,
): { sheet: SheetText; rule: StyleRule; item: Declaration | DisabledDeclaration } {
  for (const sheet of sheetTexts(site, fileAt(site, path))) {
    for (const rule of styleRules(sheet.items)) {
      for (const item of rule.items) {
        if ((item.kind === "declaration" || item.kind === "disabled") && item.start + sheet.offset === start)
          return { sheet, rule, item };
      }
    }
  }
  throw new EditError(`There is no declaration at character ${start} of ${path}.`);
}

/** An element by its page and index. @throws EditError when there is none */
export function elementAt(site: Site, page: string, index: number) {
  const file = fileAt(site, page);
  const element = file.kind === "html" ? documentOf(file).elements[index] : undefined;
  if (!element) throw new EditError(`${page} has no element number ${index}.`);
  return { file, element };
}

/** The sheet that new rules go into: the last linked one of the page, else one it embeds. */
export const sheetForNew = (sheets: PageSheets): string | null => sheetsForNew(sheets)[0] ?? null;

/** The sheets of a page that new rules can go into, the one that is proposed first: linked ones from the last on, then its own. */
export function sheetsForNew({ owners }: PageSheets): string[] {
  const sheets = owners.flatMap((owner) => owner.sheets).toReversed();
  const open = sheets.filter(({ kind, media }) => kind !== "imported" && isForScreens(media[0] ?? ""));
  const ordered = [...open.filter(({ kind }) => kind === "linked"), ...open.filter(({ kind }) => kind === "embedded")];
  return [...new Set(ordered.map(({ path }) => path))];
}

/** The sheet of a file that new rules go into: the last of those a page embeds for screens. */
export function sheetForNewRule(site: Site, file: TextFile): SheetText {
  const sheets = sheetTexts(site, file);
  const sheet = sheets.findLast(({ media }) => isForScreens(media));
  if (!sheet)
    throw new EditError(
      sheets.length ? `${file.path} has styles for other media only.` : `${file.path} has no style sheet of its own.`,
    );
  return sheet;
}
