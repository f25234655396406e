/** Which sheets pages have, in which order: links written, taken off and moved; sheets made, renamed and deleted. */
import { append } from "../source/groups";
import type { TextChange } from "../source/changes";
import { attributeSource } from "../source/html/attributeSource";
import { documentOf, type ElementNode } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { leadBefore } from "../source/lines";
import { addressFrom, barredInPaths, normalisePath, resolveAddress } from "../source/path";
import { pagesOf, readFile, sheetsOf, type FileChange, type Site, type TextFile } from "../source/site";
import { addressesIn, readdressed, type WrittenAddress } from "../source/css/addresses";
import type { AtRule } from "../source/css/syntax";
import { sheetTexts, type SheetText } from "../source/declarations";
import { escapeAttribute, replaceValue } from "./attributes";
import { attributesIntoSheet } from "./attributesIntoSheet";
import { ruleWithBlanks } from "./gather";
import { intoHead } from "./intoHead";
import { headIntoSheet, sheetIntoHead } from "./intoSheet";
import { isSheetLink, linksTo } from "./links";
import { fileAt } from "./locate";
import { EditError } from "./types";

/** What is done to the sheets of a site. */
export type SheetEdit =
  | { kind: "link" | "unlink"; sheet: string; pages: readonly string[] }
  /** One place up or down in the order in which pages read their sheets. */
  | { kind: "move"; sheet: string; pages: readonly string[]; by: -1 | 1 }
  /** For whom it is, on pages that link to it. */
  | (SheetUse & { kind: "use"; sheet: string; pages: readonly string[] })
  /** A new, empty sheet, linked by pages; before their other sheets or behind them. */
  | { kind: "new"; sheet: string; pages: readonly string[]; first: boolean }
  /** Another path for a sheet, with every link and import that asks for it and the addresses in it. */
  | { kind: "rename"; sheet: string; to: string }
  /** What a page has in its head put at the end of a sheet, or a sheet put into a page's head. */
  | { kind: "from-head" | "to-head"; sheet: string; page: string }
  /** The style attributes of a page made rules of a sheet. @see attributesIntoSheet */
  | { kind: "from-elements"; sheet: string; page: string; selectors: readonly string[] | null }
  /** Taken off all pages, out of the sheets that import it, and out of the site. */
  | { kind: "delete"; sheet: string };

/** For whom a sheet is. */
export interface SheetUse {
  /** Its media condition; null for everybody. */
  media: string | null;
  /** The name under which readers can choose it instead (HTML, 4.6.7.4); null where it is always read. */
  alternative: string | null;
}

export interface SheetPlan {
  changes: TextChange[];
  files: FileChange[];
}

/** @throws EditError, in plain words, when it cannot be done */
export function planSheetEdit(site: Site, edit: SheetEdit): SheetPlan {
  switch (edit.kind) {
    case "link":
      return { changes: onEach(edit.pages, (page) => linkOnce(site, page, edit.sheet)), files: [] };
    case "unlink":
      return { changes: onEach(edit.pages, (page) => unlink(site, page, edit.sheet)), files: [] };
    case "move":
      return { changes: onEach(edit.pages, (page) => move(site, page, edit.sheet, edit.by)), files: [] };
    case "use":
      return { changes: onEach(edit.pages, (page) => setUse(site, page, edit.sheet, edit)), files: [] };
    case "from-head":
      return { changes: headIntoSheet(site, edit.page, edit.sheet), files: [] };
    case "to-head":
      return { changes: sheetIntoHead(site, edit.page, edit.sheet), files: [] };
    case "from-elements":
      return { changes: attributesIntoSheet(site, edit.page, edit.sheet, edit.selectors), files: [] };
    case "new":
      return newSheet(site, edit);
    case "rename":
      return renameSheet(site, edit.sheet, edit.to);
    case "delete":
      return deleteSheet(site, edit.sheet);
  }
}

/** The pages among these that something can be done on. @throws EditError, the reason of the first, where there is none */
function onEach(pages: readonly string[], make: (page: string) => TextChange[]): TextChange[] {
  const made: TextChange[] = [];
  let reason: EditError | null = null;
  for (const page of pages) {
    try {
      append(made, make(page));
    } catch (error) {
      if (!(error instanceof EditError)) throw error;
      reason ??= error;
    }
  }
  if (made.length === 0) throw reason ?? new EditError("There is no page to do it on.");
  return made;
}

function linkOnce(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  if (linksTo(page, sheet).length) throw new EditError(`${path} has ${sheet} already.`);
  return [linkTo(page, sheet)];
}

function ownLinks(page: TextFile, sheet: string): ElementNode[] {
  const links = linksTo(page, sheet);
  if (links.length === 0) throw new EditError(`${page.path} has no link to ${sheet} of its own.`);
  return links;
}

function unlink(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  return ownLinks(page, sheet).map(({ source }) => {
    const { start, end } = source!.startTag;
    return { path, start: leadBefore(page.text, start), end, insert: "" };
  });
}

function move(site: Site, path: string, sheet: string, by: -1 | 1): TextChange[] {
  const page = fileAt(site, path);
  const links = documentOf(page).elements.filter(isSheetLink);
  const own = ownLinks(page, sheet)[0]!;
  const other = links[links.indexOf(own) + by];
  if (!other) throw new EditError(`${sheet} is the ${by < 0 ? "first" : "last"} that ${path} links to.`);
  const [a, b] = [own, other].map(({ source }) => source!.startTag) as [TagSpan, TagSpan];
  const put = (at: TagSpan, from: TagSpan): TextChange => ({
    path,
    start: at.start,
    end: at.end,
    insert: page.text.slice(from.start, from.end),
  });
  return [put(a, b), put(b, a)];
}

/** The attributes of a page's links to a sheet that say for whom it is. Those that are null are taken out. */
function setUse(site: Site, path: string, sheet: string, use: SheetUse): TextChange[] {
  const page = fileAt(site, path);
  const written: readonly (readonly [name: string, value: string | null])[] = [
    ["rel", use.alternative ? "alternate stylesheet" : "stylesheet"],
    ["title", use.alternative],
    ["media", use.media],
  ];
  return ownLinks(page, sheet).flatMap((link) =>
    written.flatMap(([name, value]) => attributeChange(page, link, name, value)),
  );
}

function attributeChange(page: TextFile, element: ElementNode, name: string, value: string | null): TextChange[] {
  const { path, text } = page;
  const own = attributeSource(text, element, name);
  if (own && value !== null) return own.value === value ? [] : [{ path, ...replaceValue(text, own, value) }];
  const span = element.source?.attributes.get(name);
  if (span && value === null) return [{ path, start: leadBefore(text, span.start), end: span.end, insert: "" }];
  if (value === null) return [];
  // Behind the address, where people write it.
  const href = element.source?.attributes.get("href");
  return href ? [{ path, start: href.end, end: href.end, insert: ` ${name}="${escapeAttribute(value, '"')}"` }] : [];
}

interface TagSpan {
  start: number;
  end: number;
}

/** A path as files of the site have it. @throws EditError where it cannot be one, or is one already */
function newPath(site: Site, typed: string): string {
  const path = normalisePath(typed.trim());
  if (!path || barredInPaths.test(path) || path.endsWith("/"))
    throw new EditError(`"${typed}" cannot be the name of a file.`);
  if (!/\.css$/i.test(path)) throw new EditError(`A style sheet ends in .css: ${path}.css would do.`);
  const taken = [...site.files.keys()].find((one) => one.toLowerCase() === path.toLowerCase());
  if (taken) throw new EditError(`${taken} is among the files already.`);
  return path;
}

/** A sheet put into the site, with links from pages. @throws EditError where it cannot have that name */
export function newSheet(
  site: Site,
  { sheet, pages, first }: Pick<SheetEdit & { kind: "new" }, "sheet" | "pages" | "first">,
  text = "",
): SheetPlan {
  const path = newPath(site, sheet);
  const after = readFile({ path, text }) as TextFile;
  return {
    changes: pages.map((page) => linkTo(fileAt(site, page), path, first)),
    files: [{ path, before: null, after }],
  };
}

function deleteSheet(site: Site, sheet: string): SheetPlan {
  const before = fileAt(site, sheet);
  const links = pagesOf(site).flatMap((page) => (linksTo(page, sheet).length ? unlink(site, page.path, sheet) : []));
  const imports = importsOf(site, sheet).map(({ file, offset, text, rule }): TextChange => {
    const [start, end] = ruleWithBlanks(text, rule);
    return { path: file.path, start: offset + start, end: offset + end, insert: "" };
  });
  return { changes: [...links, ...imports], files: [{ path: sheet, before, after: null }] };
}

/** An import of a sheet, in the text of another or of one that a page embeds. */
interface ImportOf extends SheetText {
  rule: AtRule;
  /** Where its address is written, offsets of the text. */
  address: WrittenAddress;
  /** What that is resolved against. */
  base: string;
}

function importsOf(site: Site, sheet: string): ImportOf[] {
  const files = [...sheetsOf(site), ...pagesOf(site)].filter(({ path }) => path !== sheet);
  return files.flatMap((file) => {
    const base = file.kind === "html" ? baseOf(documentOf(file)) : file.path;
    return sheetTexts(site, file).flatMap((own) =>
      own.items.flatMap((rule): ImportOf[] => {
        if (rule.kind !== "at" || rule.name !== "import") return [];
        const [address] = addressesIn(own.text.slice(rule.start, rule.end));
        if (!address || leadsTo(address.address, base) !== sheet) return [];
        const { start, end } = address;
        return [{ ...own, base, rule, address: { ...address, start: rule.start + start, end: rule.start + end } }];
      }),
    );
  });
}

function renameSheet(site: Site, sheet: string, typed: string): SheetPlan {
  const before = fileAt(site, sheet);
  const to = newPath(site, typed);
  const links = pagesOf(site).flatMap((page) => {
    const base = baseOf(documentOf(page));
    return linksTo(page, sheet).flatMap((element): TextChange[] => {
      const source = attributeSource(page.text, element, "href");
      const rest = /[?#].*$/s.exec(source?.value.trim() ?? "")?.[0] ?? "";
      return source ? [{ path: page.path, ...replaceValue(page.text, source, addressFrom(base, to) + rest) }] : [];
    });
  });
  const imports = importsOf(site, sheet).map(({ file, offset, base, address: { start, end } }): TextChange => ({
    path: file.path,
    start: offset + start,
    end: offset + end,
    insert: addressFrom(base, to),
  }));
  return {
    changes: [...links, ...imports],
    files: [
      { path: sheet, before, after: null },
      { path: to, before: null, after: { ...before, path: to, text: readdressed(before.text, sheet, to) } },
    ],
  };
}

const leadsTo = (address: string, base: string): string | null => {
  const found = resolveAddress(address, base);
  return found.kind === "file" ? found.path : null;
};

/**
 * A link to a sheet put into a page: behind its other links to sheets, else before its own styles, else at the end of its
 * head.
 * @param first whether it goes before its other links
 */
export function linkTo(page: TextFile, sheet: string, first = false): TextChange {
  const document = documentOf(page);
  const { text } = page;
  const quote = /\bhref\s*=\s*'/i.test(text) && !/\bhref\s*=\s*"/i.test(text) ? "'" : '"';
  const link = `<link rel=${quote}stylesheet${quote} href=${quote}${addressFrom(baseOf(document), sheet)}${quote}>`;
  const head = document.elements.find(({ tag }) => tag === "head");
  const firstLink = first ? document.elements.find(isSheetLink) : undefined;
  if (firstLink) return intoHead(page, link, { before: firstLink });
  return intoHead(page, link, {
    behind: document.elements.findLast(isSheetLink),
    before: head?.children.find(({ tag, source }) => tag === "style" && source !== null),
  });
}
