/** Links to sheets in pages. */
import { documentOf, type ElementNode } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { resolveAddress } from "../source/path";
import type { TextFile } from "../source/site";

export const isSheetLink = ({ tag, attributes, source }: ElementNode): boolean =>
  tag === "link" && source !== null && (attributes.get("rel") ?? "").toLowerCase().split(/\s+/).includes("stylesheet");

/** The links of a page that ask for a sheet. */
export function linksTo(page: TextFile, sheet: string): ElementNode[] {
  const document = documentOf(page);
  const base = baseOf(document);
  return document.elements.filter((element) => {
    if (!isSheetLink(element)) return false;
    const address = resolveAddress(element.attributes.get("href") ?? "", base);
    return address.kind === "file" && address.path === sheet;
  });
}
