/**
 * A page made harmless: no script, no frame, no address that could be asked for, no refresh. Every element stays
 * in its place, so that selectors match as they do in the page itself.
 */
import { ident, string, url } from "css-tree/utils";
import { T, closerOf, tokensOf } from "../css/tokens";
import type { Item } from "../css/syntax";
import { resolveAddress } from "../path";
import type { Site, TextFile } from "../site";
import { documentOf, isText, type ElementNode, type HtmlDocument, type Namespace } from "./document";
import { baseOf, importRules, sheetsOfPage, type SheetOwner, type SheetSource } from "./sheets";

/** Plain data: an element of the safe page with its attributes and contents. */
export interface SafeElement {
  index: number;
  tag: string;
  namespace: Namespace;
  attributes: [name: string, value: string][];
  content: (SafeElement | string)[];
}

export interface SafeDocument {
  path: string;
  mode: HtmlDocument["mode"];
  root: SafeElement | null;
}

/** A sheet element's rules as one text, fit to stand in a `style` element. */
export interface SafeSheet {
  /** Index of the `link` or `style` element that it stands for. */
  owner: number;
  media: string;
  text: string;
}

/** How media conditions and selectors are written so that the browser answers them as it is told to. */
export interface SheetRewriting {
  /** Null leaves out what stands under the condition. */
  media(text: string): string | null;
  /** Null leaves out the rule. @param nests whether other rules stand in it */
  selectors(text: string, nests: boolean): string | null;
}

/** Gives the address under which a file of the site can be shown, or null. */
export type AddressOf = (path: string) => string | null;

/** Elements whose content or address would run or fetch something: they stay, empty. */
const emptied = new Set([
  "script",
  "iframe",
  "frame",
  "object",
  "embed",
  "applet",
  "noembed",
  "noframes",
  "template",
  "portal",
  "fencedframe",
]);
const animations = new Set(["animate", "set", "animatemotion", "animatetransform", "discard"]);
/** Attributes that hold addresses; only what follows lets some of them through. */
const addresses = new Set([
  "src",
  "srcset",
  "href",
  "xlink:href",
  "data",
  "action",
  "formaction",
  "poster",
  "background",
  "cite",
  "longdesc",
  "manifest",
  "ping",
  "archive",
  "codebase",
  "classid",
  "profile",
  "imagesrcset",
  "srcdoc",
  "icon",
  "usemap",
  "dynsrc",
  "lowsrc",
  "target",
  "autofocus",
  "http-equiv",
]);

/**
 * A page without anything that runs, asks for something or leads away; elements keep their indexes.
 * @param addressOf of files of the site; null for none
 */
export function safeDocument(site: Site, file: TextFile, addressOf: AddressOf): SafeDocument {
  const document = documentOf(file);
  const context: SafeContext = {
    base: baseOf(document),
    owners: new Set(sheetsOfPage(site, file).owners.map(({ element }) => element)),
    addressOf,
  };
  const root = document.root ? safeTree(document, context) : null;
  return { path: file.path, mode: document.mode, root };
}

interface SafeContext {
  base: string;
  owners: ReadonlySet<number>;
  addressOf: AddressOf;
}

function safeTree(document: HtmlDocument, context: SafeContext): SafeElement {
  const made: SafeElement[] = document.elements.map((element) => ({
    index: element.index,
    tag: context.owners.has(element.index) ? "style" : element.tag,
    namespace: element.namespace,
    attributes: safeAttributes(element, context),
    content: [],
  }));
  for (const element of document.elements) {
    const isSheet = element.tag === "style" || context.owners.has(element.index);
    const empty = isSheet || emptied.has(element.tag.toLowerCase());
    const content = made[element.index]!.content;
    for (const node of element.content) {
      if (!isText(node)) content.push(made[node.index]!);
      else if (!empty) content.push(node.text);
    }
  }
  return made[0]!;
}

/** The attributes an element keeps, pictures with the address of their file. */
function safeAttributes(element: ElementNode, { base, addressOf }: SafeContext): [string, string][] {
  const tag = element.tag.toLowerCase();
  if (animations.has(tag)) return [];
  const kept: [string, string][] = [];
  for (const [name, value] of element.attributes) {
    const lower = name.toLowerCase();
    if (lower.startsWith("on")) continue;
    if (lower === "style") kept.push([name, safeUrls(value, base, addressOf)]);
    else if (lower === "content" && element.attributes.has("http-equiv")) continue;
    else if (!addresses.has(lower))
      // Attributes of drawings are properties (SVG 2, 6.6).
      kept.push([name, element.namespace === "svg" ? safeUrls(value, base, addressOf) : value]);
    else {
      const safe = safeAddress(tag, lower, value, base, addressOf);
      if (safe !== null) kept.push([name, safe]);
    }
  }
  return kept;
}

function safeAddress(tag: string, name: string, value: string, base: string, addressOf: AddressOf): string | null {
  if (name === "href" && (tag === "a" || tag === "area"))
    return /^(?:javascript|data|vbscript|blob):/i.test(value.replace(/[\u0000-\u0020]/g, "")) ? "#" : value;
  if ((name === "href" || name === "xlink:href") && value.trim().startsWith("#")) return value;
  const picture =
    (name === "src" && (tag === "img" || tag === "input")) ||
    ((name === "href" || name === "xlink:href") && tag === "image") ||
    name === "background" ||
    name === "poster";
  return picture ? pictureAddress(value, base, addressOf) : null;
}

function pictureAddress(value: string, base: string, addressOf: AddressOf): string | null {
  const address = resolveAddress(value, base);
  if (address.kind === "file") return addressOf(address.path);
  return address.kind === "data" && /^data:image\//i.test(address.url) ? address.url : null;
}

/**
 * The sheets of a page, one for each element that brings one, with what it imports, fit to stand in `style` elements.
 */
export function safeSheets(site: Site, file: TextFile, rewriting: SheetRewriting, addressOf: AddressOf): SafeSheet[] {
  const base = baseOf(documentOf(file));
  return sheetsOfPage(site, file).owners.map((owner) => safeSheet(owner, base, rewriting, addressOf));
}

function safeSheet(owner: SheetOwner, base: string, rewriting: SheetRewriting, addressOf: AddressOf): SafeSheet {
  const own = owner.sheets[owner.sheets.length - 1]!;
  const text = owner.sheets
    .map((sheet) => layerStatements(sheet) + wrapped(sheet, base, rewriting, addressOf))
    .join("\n");
  return { owner: owner.element, media: rewriting.media(own.media[0] ?? "") ?? "not all", text };
}

/** Layers that a sheet names before what it imports come first (CSS Cascade 5, 6.4.4.2). */
function layerStatements(sheet: SheetSource): string {
  return sheet.imports
    .map(({ sheet: from, rule }) =>
      from.items
        .filter((item) => item.kind === "at" && item.name === "layer" && !item.block && item.start < rule.start)
        .map((item) => `${from.text.slice(item.start, item.end)}\n`)
        .join(""),
    )
    .join("");
}

function wrapped(sheet: SheetSource, base: string, rewriting: SheetRewriting, addressOf: AddressOf): string {
  const body = safeBody(sheet, sheet.kind === "embedded" ? base : sheet.path, rewriting, addressOf);
  if (sheet.imports.length === 0) return body;
  let text = body + closersFor(body);
  sheet.imports.forEach(({ layer }, at) => {
    if (layer !== null) text = `@layer ${layer} {\n${text}\n}`;
    const media = sheet.media[at + 1];
    if (media) text = `@media ${rewriting.media(media) ?? "not all"} {\n${text}\n}`;
  });
  for (const supports of sheet.supports)
    text = `@supports ${/^\s*(?:\(|not\b|selector\()/i.test(supports) ? supports : `(${supports})`} {\n${text}\n}`;
  return text;
}

function safeBody(sheet: SheetSource, base: string, rewriting: SheetRewriting, addressOf: AddressOf): string {
  const cuts: { start: number; end: number; insert: string }[] = [];
  for (const rule of importRules(sheet.items)) cuts.push({ start: rule.start, end: rule.end, insert: "" });
  const visit = (items: readonly Item[]) => {
    for (const item of items) {
      if (item.kind !== "at" && item.kind !== "style") continue;
      if (item.kind === "at" && item.name === "import") {
        if (!cuts.some(({ start }) => start === item.start))
          cuts.push({ start: item.start, end: item.end, insert: "" });
        continue;
      }
      const before = item.preludeText;
      const condition = item.kind === "at" && item.name === "media" ? rewriting.media(before) : before;
      const insert = item.kind === "style" ? rewriting.selectors(before, item.items.some(isRule)) : condition;
      if (insert === null) cuts.push({ start: item.start, end: item.end, insert: "" });
      else {
        if (insert !== before) cuts.push({ ...item.prelude, insert });
        visit(item.items);
      }
    }
  };
  visit(sheet.items);
  const parts: string[] = [];
  let at = 0;
  for (const { start, end, insert } of cuts.sort((a, b) => a.start - b.start)) {
    parts.push(sheet.text.slice(at, start), insert);
    at = end;
  }
  return safeUrls(parts.join("") + sheet.text.slice(at), base, addressOf);
}

const isRule = ({ kind }: Item) => kind === "at" || kind === "style";

/** Functions in which a string is an address (CSS Images 4, 2.4; CSS Values 5, 3). */
const takesAddress = /^(?:url|src|image|(?:-webkit-)?(?:image-set|cross-fade))$/i;
/** A string that leads elsewhere by itself: in a custom property it may come to stand in such a function. */
const leadsAway = /^\s*(?:[a-z][a-z0-9+.-]*:|[/\\]{2})/i;

/** What the name of a custom property, or of its initial value, may begin with. */
const mayBeCustom = /[-i\\]/i;

/** Addresses in a style text: files of the site get theirs, everything else none. */
function safeUrls(text: string, base: string, addressOf: AddressOf): string {
  if (!/url|src|image|cross-fade|--|initial-value|\\/i.test(text)) return text;
  const tokens = tokensOf(text);
  const parts: string[] = [];
  let at = 0;
  const put = (start: number, end: number, replacement: string) => {
    parts.push(text.slice(at, start), replacement);
    at = end;
  };
  /** Whether each function or bracket that is open takes strings as addresses. */
  const open: boolean[] = [];
  /** How many brackets were open where the value of a custom property began. */
  let custom: number | null = null;
  for (let token = 0; token < tokens.count; token += 1) {
    const type = tokens.types[token]!;
    const start = tokens.starts[token]!;
    const end = tokens.starts[token + 1]!;
    if (start < at) continue;
    // Most tokens are none of those that are looked at: their text is not asked for.
    const raw = () => text.slice(start, end);
    const name = type === T.Function ? ident.decode(text.slice(start, end - 1)).toLowerCase() : "";
    if (type === T.Function && name === "url" && !/^\s*["']/.test(text.slice(end))) {
      // Spelled with escapes, it holds an address all the same (CSS Syntax 3, 4.3.4).
      const close = /(?<!\\)\)|$/.exec(text.slice(end))!;
      const stop = end + close.index + close[0].length;
      put(start, stop, `url("${cssAddress(url.decode(`url(${text.slice(end, stop)}`), base, addressOf)}")`);
    } else if (type === T.Url || type === T.BadUrl) {
      put(start, end, `url("${cssAddress(url.decode(raw()), base, addressOf)}")`);
    } else if (type === T.String && (open.at(-1) || (custom !== null && leadsAway.test(string.decode(raw()))))) {
      put(start, end, `"${cssAddress(string.decode(raw()), base, addressOf)}"`);
    } else if (
      type === T.Ident &&
      mayBeCustom.test(text[start]!) &&
      /^(?:--|initial-value$)/i.test(ident.decode(raw()))
    ) {
      if (/^\s*:/.test(text.slice(end, end + 50))) custom = open.length;
    } else if (closerOf(type)) {
      open.push(type === T.Function && takesAddress.test(name));
    } else if (type === T.Semicolon && custom === open.length) {
      custom = null;
    } else if (type === T.RightParenthesis || type === T.RightSquareBracket || type === T.RightCurlyBracket) {
      open.pop();
      if (custom !== null && open.length < custom) custom = null;
    }
  }
  return parts.join("") + text.slice(at);
}

function cssAddress(address: string, base: string, addressOf: AddressOf): string {
  const target = resolveAddress(address, base);
  if (address.startsWith("#")) return address;
  if (target.kind === "data")
    return /^data:(?:image|font|application\/(?:x-)?font)/i.test(target.url)
      ? target.url.replace(/["\\\n]/g, encodeURIComponent)
      : "";
  return target.kind === "file" ? (addressOf(target.path) ?? "") : "";
}

/** What has to be added so that a text leaves nothing open behind it. */
function closersFor(text: string): string {
  const tokens = tokensOf(text);
  const open: number[] = [];
  for (let token = 0; token < tokens.count; token += 1) {
    const type = tokens.types[token]!;
    const closer = closerOf(type);
    if (closer) open.push(closer);
    else if (type === open[open.length - 1]) open.pop();
  }
  const last = tokens.count - 1;
  const comment = last >= 0 && tokens.types[last] === T.Comment && !/\*\/$/.test(text) ? "*/" : "";
  const marks: Record<number, string> = {
    [T.RightCurlyBracket]: "}",
    [T.RightSquareBracket]: "]",
    [T.RightParenthesis]: ")",
  };
  return `${comment}\n${open
    .reverse()
    .map((type) => marks[type])
    .join("")}`;
}
