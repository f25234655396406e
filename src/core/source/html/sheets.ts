/**
 * The style sheets of a page, in the order of the cascade, found as a browser would
 * (HTML 4.2.4, 4.2.6, 4.6.7.4; CSSOM 6.2 on alternative sheets; CSS Cascade 5, section 2 on imports).
 */
import { append } from "../groups";
import { addressIn, componentsOf, isKeyword } from "../css/components";
import { parseSheet, type AtRule, type Item } from "../css/syntax";
import { reparse } from "../css/reparse";
import { nearestPath, resolveAddress } from "../path";
import { originOf, textFile, type Site, type TextFile } from "../site";
import { documentOf, isText, type ElementNode, type HtmlDocument } from "./document";

export interface SheetSource {
  kind: "linked" | "embedded" | "imported";
  /** The file the text stands in: the sheet, or the page for an embedded one. */
  path: string;
  text: string;
  /** Offset of the sheet's text within its file; offsets of its items are relative to the text. */
  offset: number;
  items: readonly Item[];
  /** Media conditions all of which must hold: the link's, then each import's. */
  media: readonly string[];
  supports: readonly string[];
  /** The `link` or `style` element, by index. */
  owner: number;
  /** The import rules that lead here, outermost first. */
  imports: readonly ImportRule[];
}

export interface ImportRule {
  sheet: SheetSource;
  rule: AtRule;
  /** Layer name, "" for an anonymous layer, null for none. */
  layer: string | null;
}

/** A sheet that a page asks for and does not get. */
export interface MissingSheet {
  /** Where it is asked for. */
  path: string;
  offset: number;
  address: string;
  /** The path it would have in the site; null for remote ones. */
  target: string | null;
  why: "not among the files" | "remote" | "imports itself";
  nearest: string | null;
}

export interface PageSheets {
  /** One entry for each sheet element in document order, with all it brings in, in order. */
  owners: SheetOwner[];
  missing: MissingSheet[];
}

export interface SheetOwner {
  element: number;
  /** In cascade order: imported sheets before the sheet that imports them. */
  sheets: SheetSource[];
}

const deepestImport = 16;

/** The sheets of a page in the order of the cascade, and those it asks for and does not get. */
export function sheetsOfPage(site: Site, file: TextFile): PageSheets {
  const document = documentOf(file);
  const base = baseOf(document);
  const result: PageSheets = { owners: [], missing: [] };
  const preferred = preferredSet(document);
  for (const element of document.elements) {
    if (element.tag === "link" && element.namespace === "html") linked(site, element, file, base, preferred, result);
    else if (element.tag === "style" && element.namespace !== "math")
      embedded(site, element, file, base, preferred, result);
  }
  return result;
}

/** The address that relative ones are resolved against: the page's path, or what `base` says. */
export function baseOf(document: HtmlDocument): string {
  const element = document.elements.find((element) => element.tag === "base" && element.attributes.has("href"));
  if (!element) return document.path;
  const address = element.attributes.get("href")!;
  const target = resolveAddress(address, document.path);
  if (target.kind !== "file") return document.path;
  return address
    .trim()
    .replace(/[?#].*$/s, "")
    .endsWith("/") || target.path === ""
    ? `${target.path}/`.replace(/^\/$/, "")
    : target.path;
}

/** The title of the first titled sheet that is not alternate: the set in force. */
function preferredSet({ elements }: HtmlDocument): string | null {
  const first = elements.find(
    (element) =>
      element.attributes.get("title") &&
      (element.tag === "style" ? isCssType(element) : linksSheet(element) && !relWords(element).includes("alternate")),
  );
  return first?.attributes.get("title") ?? null;
}

/** Whether an element asks for a sheet that may come into force (HTML, 4.6.7.24). */
const linksSheet = (element: ElementNode): boolean =>
  element.tag === "link" &&
  relWords(element).includes("stylesheet") &&
  Boolean(element.attributes.get("href")?.trim()) &&
  isCssType(element) &&
  !element.attributes.has("disabled");

function relWords(element: ElementNode): string[] {
  return (element.attributes.get("rel") ?? "").toLowerCase().split(/[ \t\n\r\f]+/);
}

function isCssType(element: ElementNode): boolean {
  const type = (element.attributes.get("type") ?? "").trim().toLowerCase();
  return type === "" || type === "text/css" || (element.tag === "link" && type.startsWith("text/css;"));
}

function linked(
  site: Site,
  element: ElementNode,
  file: TextFile,
  base: string,
  preferred: string | null,
  result: PageSheets,
): void {
  if (!linksSheet(element)) return;
  const words = relWords(element);
  const href = element.attributes.get("href")!;
  const title = element.attributes.get("title");
  if (words.includes("alternate") && (!title || title !== preferred)) return;
  if (title && title !== preferred) return;
  const offset = element.source?.startTag.start ?? 0;
  const address = resolveAddress(href, base);
  const sheet = address.kind === "file" ? textFile(site, address.path) : null;
  if (address.kind !== "file" || sheet?.kind !== "css") {
    result.missing.push(missing(site, href, file.path, offset, base));
    return;
  }
  const source: SheetSource = {
    kind: "linked",
    path: sheet.path,
    text: sheet.text,
    offset: 0,
    items: itemsOf(sheet),
    media: [element.attributes.get("media") ?? ""],
    supports: [],
    owner: element.index,
    imports: [],
  };
  result.owners.push({ element: element.index, sheets: withImports(site, source, sheet.path, [sheet.path], result) });
}

function embedded(
  site: Site,
  element: ElementNode,
  file: TextFile,
  base: string,
  preferred: string | null,
  result: PageSheets,
): void {
  if (!isCssType(element)) return;
  const title = element.attributes.get("title");
  if (title && title !== preferred) return;
  const inside = element.content.find(isText);
  const span = inside?.source ?? null;
  const text = span ? file.text.slice(span.start, span.end) : (inside?.text ?? "");
  const source: SheetSource = {
    kind: "embedded",
    path: file.path,
    text,
    offset: span?.start ?? 0,
    items: parsedSheet(text),
    media: [element.attributes.get("media") ?? ""],
    supports: [],
    owner: element.index,
    imports: [],
  };
  result.owners.push({ element: element.index, sheets: withImports(site, source, base, [], result) });
}

function missing(site: Site, address: string, path: string, offset: number, base: string): MissingSheet {
  const target = resolveAddress(address, base);
  if (target.kind !== "file") return { path, offset, address, target: null, why: "remote", nearest: null };
  const sheets = [...site.files.keys()].filter((name) => name.toLowerCase().endsWith(".css"));
  return {
    path,
    offset,
    address,
    target: target.path,
    why: "not among the files",
    nearest: nearestPath(target.path, sheets),
  };
}

/** The sheet after all that it imports. */
function withImports(
  site: Site,
  sheet: SheetSource,
  base: string,
  chain: readonly string[],
  result: PageSheets,
): SheetSource[] {
  const all: SheetSource[] = [];
  for (const rule of importRules(sheet.items)) {
    const wanted = importOf(rule);
    if (!wanted) continue;
    const offset = sheet.offset + rule.start;
    const address = resolveAddress(wanted.address, base);
    const file = address.kind === "file" ? textFile(site, address.path) : null;
    if (address.kind !== "file" || file?.kind !== "css") {
      if (address.kind !== "none") result.missing.push(missing(site, wanted.address, sheet.path, offset, base));
      continue;
    }
    if (chain.includes(file.path) || chain.length >= deepestImport) {
      result.missing.push({
        path: sheet.path,
        offset,
        address: wanted.address,
        target: file.path,
        why: "imports itself",
        nearest: null,
      });
      continue;
    }
    const imported: SheetSource = {
      kind: "imported",
      path: file.path,
      text: file.text,
      offset: 0,
      items: itemsOf(file),
      media: [...sheet.media, wanted.media],
      supports: wanted.supports === null ? sheet.supports : [...sheet.supports, wanted.supports],
      owner: sheet.owner,
      imports: [...sheet.imports, { sheet, rule, layer: wanted.layer }],
    };
    append(all, withImports(site, imported, file.path, [...chain, file.path], result));
  }
  all.push(sheet);
  return all;
}

/** The import rules of a sheet that stand where they count: before everything but charset and layer statements. */
export function importRules(items: readonly Item[]): AtRule[] {
  const rules: AtRule[] = [];
  for (const item of items) {
    if (item.kind === "skipped") continue;
    if (item.kind !== "at") break;
    if (item.name === "import") rules.push(item);
    else if (item.name !== "charset" && !(item.name === "layer" && !item.block)) break;
  }
  return rules;
}

interface Import {
  address: string;
  layer: string | null;
  supports: string | null;
  media: string;
}

/** What an import rule asks for (CSS Cascade 5, 2.1); null when it is not well formed. */
function importOf(rule: AtRule): Import | null {
  if (rule.block) return null;
  const parts = componentsOf(rule.preludeText);
  const first = parts[0];
  const address = first?.type === "string" ? first.value : addressIn(first);
  if (!first || address === null) return null;
  let end = first.end;
  let next = 1;
  let layer: string | null = null;
  let supports: string | null = null;
  const layerPart = parts[next];
  if (isKeyword(layerPart, "layer")) layer = "";
  else if (layerPart?.type === "function" && layerPart.name === "layer") {
    layer = rule.preludeText.slice(layerPart.start + "layer(".length, layerPart.end - 1).trim();
  }
  if (layer !== null) {
    end = layerPart!.end;
    next += 1;
  }
  const supportsPart = parts[next];
  if (supportsPart?.type === "function" && supportsPart.name === "supports") {
    supports = rule.preludeText.slice(supportsPart.start + "supports(".length, supportsPart.end - 1).trim();
    end = supportsPart.end;
  }
  return { address, layer, supports, media: rule.preludeText.slice(end).trim() };
}

const sheetItems = new WeakMap<TextFile, readonly Item[]>();

/** The items of a style sheet file, read once for each file. */
export function itemsOf(file: TextFile): readonly Item[] {
  let items = sheetItems.get(file);
  if (!items) {
    items = madeOver(file) ?? parseSheet(file.text);
    sheetItems.set(file, items);
  }
  return items;
}

/** The items made over from those of the file it was changed from. */
function madeOver(file: TextFile): Item[] | null {
  const origin = originOf(file);
  const before = origin && sheetItems.get(origin.file);
  if (!origin || !before) return null;
  const start = origin.changes.reduce((first, change) => Math.min(first, change.start), Infinity);
  const oldEnd = origin.changes.reduce((last, change) => Math.max(last, change.end), 0);
  return reparse(before, file.text, start, oldEnd, oldEnd + file.text.length - origin.file.text.length);
}

const embeddedItems = new Map<string, readonly Item[]>();

function parsedSheet(text: string): readonly Item[] {
  let items = embeddedItems.get(text);
  if (!items) {
    if (embeddedItems.size > 200) embeddedItems.clear();
    items = parseSheet(text);
    embeddedItems.set(text, items);
  }
  return items;
}
