/** A page of the site as the interface shows it, and pictures of it. */
import {
  computedValue,
  cssColor,
  defaultConditions,
  documentOf,
  filesKey,
  fontSizeOf,
  forcedStatesOf,
  inkOf,
  isOverridden,
  isStyled,
  legibilityOn,
  overridesFor,
  pictureOf,
  pictureRewriting,
  Recent,
  rewritingFor,
  roleName,
  safeDocument,
  safeSheets,
  sheetsOfPage,
  shortSelector,
  styledPage,
  textFile,
  textId,
  textsOf,
  textStyleKey,
  usedScheme,
  withoutIdle,
  type AddressOf,
  type Conditions,
  type Layouts,
  type PictureLook,
  type PicturePage,
  type PictureStage,
  type PictureUnknown,
  type SafeDocument,
  type Site,
  type Style,
  type StyledPage,
  type TextFile,
} from "@/core";
import { editionOf } from "./editions";
import type { PageDress, PageGlance, PageView, PlaceView, ShownSheet } from "./protocol";

/** @throws RangeError when there is no such page */
export function pageOf(site: Site, path: string, conditions: Conditions): StyledPage {
  const file = textFile(site, path);
  if (file?.kind !== "html") throw new RangeError(`There is no page ${path}.`);
  return styledPage(site, file, conditions);
}

/** The texts of a page with their verdicts. @param layouts what is known of the page as it is laid out */
export function placesOf(page: StyledPage, site: Site, layouts: Layouts): PlaceView[] {
  const { conditions } = page;
  // Texts whose size is the same for every reader.
  const usual =
    conditions.rootSize === defaultConditions.rootSize
      ? null
      : styledPage(site, page.file, { ...conditions, rootSize: defaultConditions.rootSize });
  const levels = new LevelsOfInk();
  return textsOf(page).map((style) => {
    const { element, pseudo } = style;
    const { ratio, needs, verdict, unjudged } = legibilityOn(page, style, layouts);
    const box = pseudo === null ? null : (layouts[page.file.path]?.[textId(element.index, pseudo)]?.text ?? null);
    const short = shortSelector(element);
    const selector = (short === element.tag ? short : element.tag + short) + (pseudo ? `::${pseudo}` : "");
    const ink = inkOf(style);
    return {
      index: element.index,
      pseudo,
      key: textStyleKey(style),
      role: roleName(style),
      selector,
      ratio,
      needs,
      verdict,
      unjudged,
      fixed: usual !== null && pseudo === null && fontSizeOf(usual.styles[element.index]!) === fontSizeOf(style),
      ink: cssColor(ink),
      sizePx: fontSizeOf(style),
      box,
      ...levels.of(style, (ink.alpha ?? 0) < 1),
    };
  });
}

/**
 * Texts of opaque ink stand on level 0; a translucent one on the level after that of the text it stands in, or on the
 * same where a line through that text is a line through it, too.
 */
class LevelsOfInk {
  private readonly known = new Map<number, number>();

  of(style: Style, translucent: boolean): Pick<PlaceView, "level" | "lined"> {
    const { pseudo } = style;
    if (!translucent) {
      if (pseudo === null) this.known.set(style.element.index, 0);
      return { level: 0, lined: false };
    }
    let around = 0;
    let lined = false;
    let goesThrough = pseudo === null && isInLine(style);
    let above = pseudo === null ? style.parent : style;
    for (; above; above = above.parent) {
      const level = this.known.get(above.element.index);
      if (level !== undefined) {
        lined = goesThrough && isSetAlike(style, above);
        around = lined ? level : level + 1;
        break;
      }
      goesThrough &&= isInLine(above);
    }
    if (pseudo === null) this.known.set(style.element.index, around);
    return { level: around, lined };
  }
}

/** Lines through a text go on through what stands in its lines (CSS Text Decoration 3, 2). */
function isInLine(style: Style): boolean {
  const is = (property: string, value: string) => computedValue(style, property) === value;
  return is("display", "inline") && is("vertical-align", "baseline") && is("position", "static");
}

const isSetAlike = (a: Style, b: Style) =>
  cssColor(inkOf(a)) === cssColor(inkOf(b)) &&
  ["font-size", "font-family", "text-decoration-skip-ink"].every(
    (property) => computedValue(a, property) === computedValue(b, property),
  );

/** A page as it is shown, but for its document. */
export type PageLook = Omit<PageView, "document">;

/**
 * How a page is shown.
 * @param layouts what is known of it as it is laid out, when it has the structure that it is told
 * @param outOfSight without the rules that can match nothing on it, which somebody who looks may want to see at work
 */
export function lookOf(
  site: Site,
  path: string,
  conditions: Conditions,
  addressOf: AddressOf,
  layouts: (structure: string) => Layouts,
  outOfSight = false,
): PageLook {
  const page = pageOf(site, path, conditions);
  const structure = structureOfPage(site, page, addressOf);
  return {
    structure,
    sheets: outOfSight ? sheetsAtWork(site, page, addressOf) : shownSheetsOf(site, page, addressOf),
    places: placesOf(page, site, layouts(structure)),
    overrides: overridesFor(page),
    states: statesOf(page),
  };
}

/** What a page is shown from. */
export const documentAt = (site: Site, path: string, conditions: Conditions, addressOf: AddressOf): SafeDocument =>
  documentOfPage(site, pageOf(site, path, conditions), addressOf);

/** A page that is laid out out of sight, without what is known of its texts. */
export function outOfSightOf(site: Site, path: string, conditions: Conditions, addressOf: AddressOf): PageGlance {
  return {
    ...builtOf(site, pageOf(site, path, conditions), addressOf),
    ...dressOf(site, path, conditions, addressOf),
  };
}

/** What it wears. */
export function dressOf(site: Site, path: string, conditions: Conditions, addressOf: AddressOf): PageDress {
  const page = pageOf(site, path, conditions);
  return { sheets: sheetsAtWork(site, page, addressOf), overrides: overridesFor(page), states: statesOf(page) };
}

function sheetsAtWork(site: Site, { conditions, document, file }: StyledPage, addressOf: AddressOf): ShownSheet[] {
  const rewriting = withoutIdle(rewritingFor(conditions, file.path), document);
  return safeSheets(site, file, rewriting, addressOf).map((sheet) => ({
    ...sheet,
    edition: "",
    since: null,
  }));
}

const shownSheets = new WeakMap<StyledPage, ShownSheet[]>();

/** The sheets of a page, fit to be shown. */
export function shownSheetsOf(site: Site, page: StyledPage, addressOf: AddressOf): ShownSheet[] {
  let sheets = shownSheets.get(page);
  if (!sheets) {
    sheets = sheetsOf(site, page, addressOf);
    shownSheets.set(page, sheets);
  }
  return sheets;
}

const sheetsOf = (site: Site, { file, conditions }: Unstyled, addressOf: AddressOf): ShownSheet[] =>
  safeSheets(site, file, rewritingFor(conditions, file.path), addressOf).map((sheet) => ({
    ...sheet,
    edition: editionOf(sheet.text),
    since: null,
  }));

/** What is known of a page before it is styled. */
type Unstyled = Pick<StyledPage, "file" | "document" | "sheets" | "conditions">;

/**
 * A page as it is shown, without what its styles have to be reckoned for; null where they have been, or where it cannot
 * be shown without them. Its sheets are those of the page that is styled under the same conditions next.
 */
export function glanceOf(
  site: Site,
  path: string,
  conditions: Conditions,
  addressOf: AddressOf,
): { glance: PageGlance; keepFor(page: StyledPage): void } | null {
  const file = textFile(site, path);
  if (file?.kind !== "html" || isStyled(site, file, conditions) || isOverridden(conditions)) return null;
  const page = { file, document: documentOf(file), sheets: sheetsOfPage(site, file), conditions };
  const sheets = sheetsOf(site, page, addressOf);
  return {
    glance: { ...builtOf(site, page, addressOf), sheets, overrides: [], states: statesOf(page) },
    keepFor: (styled) => shownSheets.set(styled, sheets),
  };
}

function statesOf({ document, conditions }: Pick<Unstyled, "document" | "conditions">): PageView["states"] {
  return [...forcedStatesOf(document, conditions)].map(([index, names]) => [index, [...names].join(" ")]);
}

/** A picture of a page as the text of an SVG document, with the addresses of the page in it. */
export function pageAsPicture(
  site: Site,
  path: string,
  conditions: Conditions,
  addressOf: AddressOf,
  stage: PictureStage,
  look: PictureLook,
  unknown: PictureUnknown | null,
): string {
  const page = pageOf(site, path, conditions);
  let picture = picturePages.get(page);
  if (!picture) {
    picture = {
      document: documentOfPage(site, page, addressOf),
      sheets: safeSheets(site, page.file, pictureRewriting(page), addressOf),
      overrides: overridesFor(page),
      states: statesOf(page),
      scheme: usedScheme(page),
    };
    picturePages.set(page, picture);
  }
  return pictureOf(picture, stage, look, unknown);
}

/** Of a large site, most pages are looked at once: what is shown of them is not kept of all. */
const keptPages = 8;

/** What is the same in all pictures of a page. */
const picturePages = new Recent<StyledPage, PicturePage>(keptPages);

type Unseen = Pick<Unstyled, "file" | "sheets">;

/** What a document is made from: the elements whose sheets are taken out, and the files that addresses may lead to. */
interface Making {
  owners: string;
  files: string;
}

const makingOf = (site: Site, { sheets }: Unseen): Making => ({
  owners: sheets.owners.map(({ element }) => element).join(),
  files: filesKey(site),
});

const isMadeFrom = (a: Making, b: Making) => a.owners === b.owners && a.files === b.files;

const documents = new Recent<TextFile, Making & { document: SafeDocument }>(keptPages);
const structures = new WeakMap<TextFile, Making & { structure: string }>();

/** The page without its sheets, made for each version of its file, each set of sheets it finds, and each set of pictures. */
function documentOfPage(site: Site, page: Unseen, addressOf: AddressOf): SafeDocument {
  const making = makingOf(site, page);
  const known = documents.get(page.file);
  if (known && isMadeFrom(known, making)) return known.document;
  const document = safeDocument(site, page.file, addressOf);
  documents.set(page.file, { ...making, document });
  return document;
}

/** The same for documents that are the same; known of every page once it was made. */
function structureOfPage(site: Site, page: Unseen, addressOf: AddressOf): string {
  const making = makingOf(site, page);
  const known = structures.get(page.file);
  if (known && isMadeFrom(known, making)) return known.structure;
  const structure = fingerprint(documentOfPage(site, page, addressOf));
  structures.set(page.file, { ...making, structure });
  return structure;
}

const builtOf = (site: Site, page: Unseen, addressOf: AddressOf): Pick<PageView, "document" | "structure"> => ({
  document: documentOfPage(site, page, addressOf),
  structure: structureOfPage(site, page, addressOf),
});

function fingerprint(document: SafeDocument): string {
  const text = JSON.stringify(document);
  let hash = 0;
  for (let at = 0; at < text.length; at += 1) hash = (Math.imul(hash, 31) + text.charCodeAt(at)) | 0;
  return `${text.length}:${hash}`;
}

/** The words of a page's title; its path where it has none. */
export function titleOf(file: TextFile): string {
  const title = documentOf(file).elements.find(({ tag }) => tag === "title");
  const words = title?.content
    .map((node) => ("text" in node ? node.text : ""))
    .join("")
    .trim();
  return words || file.path;
}
