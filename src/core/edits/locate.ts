/** Finding the block that an edit is about. */
import { attachedDeclarations } from "../cascade/blocks";
import { documentOf } from "../source/html/document";
import { itemsOf, sheetsOfPage } from "../source/html/sheets";
import type { Declaration, DisabledDeclaration, Item, StyleRule } from "../source/css/syntax";
import { pagesOf, sheetsOf, textFile, type Site, type TextFile } from "../source/site";
import { attributeSource } from "./attributes";
import { EditError } from "./types";

/** A sheet's text within a file: the whole of a style sheet, or one embedded in a page. */
export interface SheetText {
  file: TextFile;
  /** Offset of the sheet's text in the file. */
  offset: number;
  text: string;
  items: readonly Item[];
  /** The condition it stands under as a whole, where it is embedded. */
  media: string;
}

/** Whether a sheet is for every reader at a screen, so that new rules can go into it. */
export function isForScreens(media: string): boolean {
  return ["", "all", "screen"].includes(media.trim().toLowerCase());
}

export function sheetTexts(site: Site, file: TextFile): SheetText[] {
  if (file.kind === "css") return [{ file, offset: 0, text: file.text, items: itemsOf(file), media: "" }];
  return sheetsOfPage(site, file)
    .owners.flatMap((owner) => owner.sheets)
    .filter((sheet) => sheet.kind === "embedded" && sheet.path === file.path)
    .map(({ offset, text, items, media }) => ({ file, offset, text, items, media: media[0] ?? "" }));
}

/** At-rules whose declarations are descriptors, which have grammars of their own. */
const descriptorRules = new Set([
  "font-face",
  "page",
  "property",
  "counter-style",
  "font-palette-values",
  "font-feature-values",
  "view-transition",
]);

/** Declarations of rules, nested ones too, each with the selectors of its rule. */
export function* declarationsIn(
  items: readonly Item[],
  selector = "",
): Generator<{ declaration: Declaration; selector: string }> {
  for (const item of items) {
    if (item.kind === "declaration") yield { declaration: item, selector };
    else if (item.kind === "style") yield* declarationsIn(item.items, item.preludeText.replace(/\s+/g, " "));
    else if (item.kind === "at" && !descriptorRules.has(item.name))
      yield* declarationsIn(item.items, selector || `@${item.name}`);
  }
}

/** A declaration of a file, in a sheet or a style attribute. */
export interface DeclarationInFile {
  declaration: Declaration;
  selector: string;
  file: TextFile;
  /** What its offsets are counted from. */
  offset: number;
  /** False in a style attribute with character references, where what stands behind them has moved. */
  exact: boolean;
}

/** Every declaration of a file: of the sheet, or of the sheets a page embeds and its style attributes. */
export function* declarationsOfFile(site: Site, file: TextFile): Generator<DeclarationInFile> {
  for (const { items, offset } of sheetTexts(site, file))
    for (const one of declarationsIn(items)) yield { ...one, file, offset, exact: true };
  if (file.kind !== "html") return;
  for (const element of documentOf(file).elements) {
    const attribute = attributeSource(file.text, element, "style");
    if (!attribute) continue;
    const { raw, value } = attribute;
    const exact = file.text.slice(raw.start, raw.end) === value;
    for (const declaration of attachedDeclarations(element))
      yield { declaration, selector: `style of ${element.tag}`, file, offset: raw.start, exact };
  }
}

/** Every declaration of a site, sheets first, then pages. */
export function* declarationsOfSite(site: Site): Generator<DeclarationInFile> {
  for (const file of [...sheetsOf(site), ...pagesOf(site)]) yield* declarationsOfFile(site, file);
}

export function fileAt(site: Site, path: string): TextFile {
  const file = textFile(site, path);
  if (!file) throw new EditError(`There is no page or style sheet at ${path}.`);
  return file;
}

function* styleRules(items: readonly Item[]): Generator<StyleRule> {
  for (const item of items) {
    if (item.kind === "style") yield item;
    if (item.kind === "style" || item.kind === "at") yield* styleRules(item.items);
  }
}

/** The style rule that starts at an offset of a file. @throws EditError when there is none */
export function ruleAt(site: Site, path: string, start: number): { sheet: SheetText; rule: StyleRule } {
  for (const sheet of sheetTexts(site, fileAt(site, path))) {
    for (const rule of styleRules(sheet.items)) if (rule.start + sheet.offset === start) return { sheet, rule };
  }
  throw new EditError(`There is no rule at character ${start} of ${path}.`);
}

/** The innermost style rule around an offset of a file, or null. */
export function ruleAround(site: Site, path: string, offset: number): { sheet: SheetText; rule: StyleRule } | null {
  const file = textFile(site, path);
  if (!file) return null;
  let found: { sheet: SheetText; rule: StyleRule } | null = null;
  for (const sheet of sheetTexts(site, file)) {
    for (const rule of styleRules(sheet.items)) {
      if (rule.start + sheet.offset <= offset && offset <= rule.end + sheet.offset) found = { sheet, rule };
    }
  }
  return found;
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

export function elementAt(site: Site, page: string, index: number) {
  const file = fileAt(site, page);
  const element = file.kind === "html" ? documentOf(file).elements[index] : undefined;
  if (!element) throw new EditError(`${page} has no element number ${index}.`);
  return { file, element };
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
