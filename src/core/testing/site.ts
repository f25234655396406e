/** Small sites for tests. */
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import fc from "fast-check";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { computedValue, type Style } from "../cascade/style";
import { openSite, textFile, type Site, type SiteFile } from "../source/site";

export const site = (files: Record<string, string>): Site =>
  openSite(Object.entries(files).map(([path, text]) => ({ path, text })));

/** A page with one sheet in its head. */
export const pageWith = (css: string, body: string, doctype = "<!doctype html>"): Site =>
  site({ "index.html": `${doctype}<html><head><style>${css}</style></head><body>${body}</body></html>` });

export function stylesOf(from: Site, path = "index.html", conditions: Partial<Conditions> = {}): readonly Style[] {
  return styledPage(from, textFile(from, path)!, { ...defaultConditions, ...conditions }).styles;
}

/** The style of the element with an id. */
export function styleOf(from: Site, id: string, conditions: Partial<Conditions> = {}): Style {
  const style = stylesOf(from, "index.html", conditions).find(({ element }) => element.id === id);
  if (!style) throw new Error(`No element has the id ${id}.`);
  return style;
}

export const computed = (from: Site, id: string, property: string, conditions: Partial<Conditions> = {}): string =>
  computedValue(styleOf(from, id, conditions), property);

const folder = new URL("../../../samples/ossel-ferries", import.meta.url).pathname;

export function sampleFiles(): SiteFile[] {
  return readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile())
    .map((entry) => join(entry.parentPath, entry.name))
    .sort()
    .map((path) => ({ path: path.slice(folder.length + 1), bytes: new Uint8Array(readFileSync(path)) }));
}

/** Text made of the pieces CSS is made of, mostly not valid. */
export const cssSoup = fc
  .array(
    fc.constantFrom(
      "a",
      "h1",
      ".b",
      "#c",
      "{",
      "}",
      "(",
      ")",
      "[",
      "]",
      ":",
      ";",
      ",",
      " ",
      "\n",
      "\r\n",
      "color",
      "red",
      "font-size",
      "12px",
      "1.5em",
      "@media",
      "@layer x",
      "@import 'a.css'",
      "!important",
      "/*",
      "*/",
      '"',
      "'",
      "\\",
      "&",
      ">",
      "+",
      "~",
      "*",
      "url(",
      "var(--x)",
      "--x",
      "calc(1px + 2%)",
      ":is(",
      ":not(",
      "::before",
      "<!--",
      "-->",
      "50%",
      "#fff",
      "\u00e9",
      "\0",
    ),
    { maxLength: 60 },
  )
  .map((pieces) => pieces.join(""));
