/** Links to sheets in pages. */
import { documentOf, type ElementNode } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { resolveAddress } from "../source/path";
import type { TextFile } from "../source/site";

/** Whether an element that stands in a page links a style sheet (HTML, 4.6.7.23). */
export const isSheetLink = ({ tag, attributes, source }: ElementNode): boolean =>
  tag === "link" && source !== null && (attributes.get("rel") ?? "").toLowerCase().split(/\s+/).includes("stylesheet");

/** The links of a page to files of the site, in order. */
export function sheetLinks(page: TextFile): { element: ElementNode; sheet: string }[] {
  const document = documentOf(page);
  const base = baseOf(document);
  return document.elements.filter(isSheetLink).flatMap((element) => {
    const address = resolveAddress(element.attributes.get("href") ?? "", base);
    return address.kind === "file" ? [{ element, sheet: address.path }] : [];
  });
}

/** The links of a page that ask for a sheet. */
export const linksTo = (page: TextFile, path: string): ElementNode[] =>
  sheetLinks(page).flatMap(({ element, sheet }) => (sheet === path ? [element] : []));
