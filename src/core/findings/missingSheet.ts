import { replaceValue } from "../edits/attributes";
import { addressFrom } from "../source/path";
import { documentOf } from "../source/html/document";
import { baseOf } from "../source/html/sheets";
import { attributeSource } from "../source/html/attributeSource";
import type { MissingSheet } from "../source/html/sheets";
import { sheetsOf, textFile, type Site } from "../source/site";
import { inSite, type Check, type Found, type Way } from "./types";

/** Sheets that a page asks for and does not get. */
export const missingSheet: Check = {
  name: "missing-sheet",
  group: "idle",
  *onSite({ site, pages }) {
    const found = new Map<string, Found>();
    for (const page of pages) {
      for (const told of page.sheets.missing) {
        const missing = { ...told, nearest: told.nearest ?? sameName(site, told.address) };
        const { path, offset, address, nearest } = missing;
        const why = isOnDisk(address) ? "not among the files" : missing.why;
        const message = {
          remote: `${address} is on another server and is left out.`,
          "imports itself": `${address} imports itself, so browsers leave it out.`,
          "not among the files": `${address} is asked for but is not among the files.${nearest ? ` The nearest file is ${nearest}.` : ""}`,
        }[why];
        found.set(`${path}:${offset}`, {
          level: why === "remote" ? "note" : "error",
          message,
          because:
            why === "remote"
              ? "Nothing is fetched while the site is looked at: what lies elsewhere can look and count otherwise."
              : "An address has to name the file letter by letter, folder and letter case included; otherwise nothing of the sheet is read (HTML, 4.6.7.4).",
          ...inSite(site, path, offset),
          ways: () => waysFor(site, missing),
        });
      }
      yield;
    }
    return [...found.values()];
  },
};

/** An address that names a place on one computer, where no reader's browser finds anything. */
const isOnDisk = (address: string) => /^(?:file:|[a-z]:[\\/])/i.test(address.trim());

/** The sheet with the same name, wherever it stands and whether its ending is written or not. */
function sameName(site: Site, address: string): string | null {
  if (/^(?:https?:)?\/\//i.test(address)) return null;
  const name = address
    .replace(/[?#].*$/, "")
    .split(/[\\/]/)
    .at(-1)!
    .toLowerCase()
    .replace(/\.css$/, "");
  const nameOf = ({ path }: { path: string }) =>
    path
      .slice(path.lastIndexOf("/") + 1)
      .toLowerCase()
      .replace(/\.css$/, "");
  return sheetsOf(site).find((sheet) => nameOf(sheet) === name)?.path ?? null;
}

function waysFor(site: Site, { path, offset, address, nearest, why }: MissingSheet): Way[] {
  const file = textFile(site, path);
  if (!file) return [];
  const ways: Way[] = [];
  const near = file.text.indexOf(address, offset);
  const label = (to: string) => `Ask for \`${to}\``;
  if (file.kind === "html") {
    const element = documentOf(file).elements.find(({ source }) => source?.startTag.start === offset);
    const source = element && attributeSource(file.text, element, "href");
    if (element && source && nearest) {
      const to = addressFrom(baseOf(documentOf(file)), nearest);
      ways.push({ label: label(to), changes: [{ path, ...replaceValue(file.text, source, to) }] });
    }
    if (element?.source && why !== "imports itself") {
      const { start, end } = element.source.startTag;
      ways.push({ label: "Take the link out", changes: [{ path, start, end, insert: "" }] });
    }
    if (element) return ways;
  }
  if (nearest && near >= 0) {
    const to = addressFrom(path, nearest);
    ways.push({ label: label(to), changes: [{ path, start: near, end: near + address.length, insert: to }] });
  }
  const end = file.text.indexOf(";", offset);
  if (end >= 0)
    ways.push({ label: "Take the import out", changes: [{ path, start: offset, end: end + 1, insert: "" }] });
  return ways;
}
