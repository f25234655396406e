/** Which sheets pages have, in which order: links written, taken off and moved; sheets made, renamed and deleted. */
import type { TextChange } from "../source/changes";
import { attributeSource } from "../source/html/attributeSource";
import { documentOf, type ElementNode } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { leadBefore, lineEndOf, lineLead } from "../source/lines";
import { addressFrom, normalisePath, resolveAddress } from "../source/path";
import { pagesOf, readFile, sheetsOf, type FileChange, type Site, type TextFile } from "../source/site";
import { addressesIn, readdressed } from "../source/css/addresses";
import { sheetTexts } from "../source/declarations";
import { replaceValue } from "./attributes";
import { attributesIntoSheet, headIntoSheet } from "./intoSheet";
import { fileAt } from "./locate";
import { EditError } from "./types";

/** What is done to the sheets of a site. */
export type SheetEdit =
  | { kind: "link" | "unlink"; sheet: string; page: string }
  /** One place up or down in the order in which a page reads its sheets. */
  | { kind: "move"; sheet: string; page: string; by: -1 | 1 }
  /** A new, empty sheet, linked by pages. */
  | { kind: "new"; sheet: string; pages: readonly string[] }
  /** Another path for a sheet, with every link and import that asks for it and the addresses in it. */
  | { kind: "rename"; sheet: string; to: string }
  /** What a page has in its head, or on its elements, put at the end of a sheet. */
  | { kind: "from-head" | "from-elements"; sheet: string; page: string }
  /** Taken off all pages and out of the site. */
  | { kind: "delete"; sheet: string };

export interface SheetPlan {
  changes: TextChange[];
  files: FileChange[];
}

/** @throws EditError, in plain words, when it cannot be done */
export function planSheetEdit(site: Site, edit: SheetEdit): SheetPlan {
  switch (edit.kind) {
    case "link":
      return { changes: [linkOnce(site, edit.page, edit.sheet)], files: [] };
    case "unlink":
      return { changes: unlink(site, edit.page, edit.sheet), files: [] };
    case "move":
      return { changes: move(site, edit.page, edit.sheet, edit.by), files: [] };
    case "from-head":
      return { changes: headIntoSheet(site, edit.page, edit.sheet), files: [] };
    case "from-elements":
      return { changes: attributesIntoSheet(site, edit.page, edit.sheet), files: [] };
    case "new":
      return newSheet(site, edit.sheet, edit.pages);
    case "rename":
      return renameSheet(site, edit.sheet, edit.to);
    case "delete": {
      const before = fileAt(site, edit.sheet);
      const changes = pagesOf(site).flatMap((page) =>
        linksTo(page, edit.sheet).length ? unlink(site, page.path, edit.sheet) : [],
      );
      return { changes, files: [{ path: edit.sheet, before, after: null }] };
    }
  }
}

/** The links of a page that ask for a sheet. */
function linksTo(page: TextFile, sheet: string): ElementNode[] {
  const document = documentOf(page);
  const base = baseOf(document);
  return document.elements.filter((element) => {
    if (!isSheetLink(element)) return false;
    const address = resolveAddress(element.attributes.get("href") ?? "", base);
    return address.kind === "file" && address.path === sheet;
  });
}

const isSheetLink = ({ tag, attributes, source }: ElementNode): boolean =>
  tag === "link" && source !== null && (attributes.get("rel") ?? "").toLowerCase().split(/\s+/).includes("stylesheet");

function linkOnce(site: Site, path: string, sheet: string): TextChange {
  const page = fileAt(site, path);
  if (linksTo(page, sheet).length) throw new EditError(`${path} has ${sheet} already.`);
  return linkTo(page, sheet);
}

function unlink(site: Site, path: string, sheet: string): TextChange[] {
  const page = fileAt(site, path);
  const links = linksTo(page, sheet);
  if (links.length === 0) throw new EditError(`${path} has no link to ${sheet} of its own.`);
  return links.map(({ source }) => {
    const { start, end } = source!.startTag;
    return { path, start: leadBefore(page.text, start), end, insert: "" };
  });
}

function move(site: Site, path: string, sheet: string, by: -1 | 1): TextChange[] {
  const page = fileAt(site, path);
  const links = documentOf(page).elements.filter(isSheetLink);
  const own = linksTo(page, sheet)[0];
  const other = own && links[links.indexOf(own) + by];
  if (!own) throw new EditError(`${path} has no link to ${sheet} of its own.`);
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

interface TagSpan {
  start: number;
  end: number;
}

/** A path as files of the site have it. @throws EditError where it cannot be one, or is one already */
function newPath(site: Site, typed: string): string {
  const path = normalisePath(typed.trim());
  if (!path || /[\\?#*:|"<>\u0000-\u001f]/.test(path) || path.endsWith("/"))
    throw new EditError(`"${typed}" cannot be the name of a file.`);
  if (!/\.css$/i.test(path)) throw new EditError(`A style sheet ends in .css: ${path}.css would do.`);
  const taken = [...site.files.keys()].find((one) => one.toLowerCase() === path.toLowerCase());
  if (taken) throw new EditError(`${taken} is among the files already.`);
  return path;
}

function newSheet(site: Site, typed: string, pages: readonly string[]): SheetPlan {
  const path = newPath(site, typed);
  const after = readFile({ path, text: "" }) as TextFile;
  return {
    changes: pages.map((page) => linkTo(fileAt(site, page), path)),
    files: [{ path, before: null, after }],
  };
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
  const files = [...sheetsOf(site), ...pagesOf(site)].filter(({ path }) => path !== sheet);
  const imports = files.flatMap((file) => {
    const base = file.kind === "html" ? baseOf(documentOf(file)) : file.path;
    return sheetTexts(site, file).flatMap(({ text, offset }) =>
      addressesIn(text)
        .filter(({ address }) => leadsTo(address, base) === sheet)
        .map(({ start, end }) => ({
          path: file.path,
          start: offset + start,
          end: offset + end,
          insert: addressFrom(base, to),
        })),
    );
  });
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

/** A link to a sheet put into a page: behind its other links to sheets, else at the end of its head, else at its start. */
export function linkTo(page: TextFile, sheet: string): TextChange {
  const document = documentOf(page);
  const { text, path } = page;
  const links = document.elements.filter(isSheetLink);
  const quote = /\bhref\s*=\s*'/i.test(text) && !/\bhref\s*=\s*"/i.test(text) ? "'" : '"';
  const link = `<link rel=${quote}stylesheet${quote} href=${quote}${addressFrom(baseOf(document), sheet)}${quote}>`;
  const last = links.at(-1)?.source?.startTag;
  const put = (at: number, insert: string) => ({ path, start: at, end: at, insert });
  const lead = (at: number) => lineLead(text, at);
  if (last) return put(last.end, lead(last.start) + link);
  const head = document.elements.find(({ tag }) => tag === "head");
  const children = head?.children.filter(({ source }) => source) ?? [];
  const styles = children.find(({ tag }) => tag === "style")?.source?.whole;
  if (styles) return put(styles.start, link + lead(styles.start));
  const before = children.at(-1)?.source?.whole;
  if (before) return put(before.end, (lead(before.start) || lineEndOf(text)) + link);
  if (head?.source) return put(head.source.startTag.end, lineEndOf(text) + link);
  const root = document.root?.source?.startTag.end ?? /^\s*<!doctype[^>]*>/i.exec(text)?.[0].length ?? 0;
  return put(root, root ? lineEndOf(text) + link : link + lineEndOf(text));
}
