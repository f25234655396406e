/** Walks over the rules and declarations of a site as they are written, in sheets and in style attributes. */
import { attributeSource } from "./html/attributeSource";
import { documentOf, writtenElements, type ElementNode } from "./html/document";
import { itemsOf, sheetsOfPage } from "./html/sheets";
import { parseBlock, type Declaration, type Item, type StyleRule } from "./css/syntax";
import { pagesOf, sheetsOf, textFile, type Site, type TextFile } from "./site";
import { eachInSteps, finished } from "./steps";

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

const textsKnown = new WeakMap<TextFile, readonly SheetText[]>();

/** The texts of sheets that a file holds: all of a style sheet, or those a page embeds, which no other file changes. */
export function sheetTexts(site: Site, file: TextFile): readonly SheetText[] {
  let texts = textsKnown.get(file);
  if (!texts) textsKnown.set(file, (texts = textsIn(site, file)));
  return texts;
}

function textsIn(site: Site, file: TextFile): SheetText[] {
  if (file.kind === "css") return [{ file, offset: 0, text: file.text, items: itemsOf(file), media: "" }];
  return sheetsOfPage(site, file)
    .owners.flatMap((owner) => owner.sheets)
    .filter((sheet) => sheet.kind === "embedded" && sheet.path === file.path)
    .map(({ offset, text, items, media }) => ({ file, offset, text, items, media: media[0] ?? "" }));
}

/** At-rules whose declarations are descriptors, which have grammars of their own. */
export const descriptorRules = new Set([
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

const declarationsKnown = new WeakMap<TextFile, readonly DeclarationInFile[]>();

/** Every declaration of a file: of the sheet, or of the sheets a page embeds and its style attributes; walked once for a text. */
export function declarationsOfFile(site: Site, file: TextFile): readonly DeclarationInFile[] {
  return finished(declarationSteps(site, file));
}

/** The same in steps between which others are let in. */
export function* declarationSteps(site: Site, file: TextFile): Generator<void, readonly DeclarationInFile[]> {
  const known = declarationsKnown.get(file);
  if (known) return known;
  const declarations: DeclarationInFile[] = [];
  yield* eachInSteps(declarationsOf(site, file), (one) => declarations.push(one));
  declarationsKnown.set(file, declarations);
  return declarations;
}

function* declarationsOf(site: Site, file: TextFile): Generator<DeclarationInFile> {
  for (const { items, offset } of sheetTexts(site, file))
    for (const one of declarationsIn(items)) yield { ...one, file, offset, exact: true };
  if (file.kind !== "html") return;
  for (const element of writtenElements(documentOf(file))) {
    const attribute = element.attributes.has("style") ? attributeSource(file.text, element, "style") : null;
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

const attached = new Map<string, Declaration[]>();

/** The declarations of a style attribute; offsets are into the attribute's value. */
export function attachedDeclarations(element: ElementNode): readonly Declaration[] {
  const text = element.attributes.get("style");
  if (!text) return [];
  let declarations = attached.get(text);
  if (!declarations) {
    if (attached.size > 5000) attached.clear();
    declarations = parseBlock(text).filter((item) => item.kind === "declaration");
    attached.set(text, declarations);
  }
  return declarations;
}

/** All style rules, nested ones after the one around them. */
export function* styleRules(items: readonly Item[]): Generator<StyleRule> {
  for (const item of items) {
    if (item.kind === "style") yield item;
    if (item.kind === "style" || item.kind === "at") yield* styleRules(item.items);
  }
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
