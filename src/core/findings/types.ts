import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import type { KnownPage } from "../cascade/styledPages";
import { positionAt } from "../source/lines";
import { textFile, type Site, type TextFile } from "../source/site";
import type { Layouts } from "../text/textStyles";

export type Level = "error" | "warning" | "note";

/** Something wrong or doubtful: what it is, in plain words, and where. Line and column from 1. */
export interface Finding {
  check: string;
  level: Level;
  message: string;
  path: string;
  line: number;
  column: number;
  places: ElementRef[];
}

export interface CheckContext {
  site: Site;
  pages: readonly KnownPage[];
  conditions: Conditions;
  layouts: Layouts;
}

/** One check: a name and what it finds, in files, on pages, or on the site as a whole; each has one of the three. */
export interface Check {
  name: string;
  /** What a page or sheet shows by itself: kept as long as its text is the same. */
  inFile?(file: TextFile, site: Site): Finding[];
  /** What a page shows as it is styled and laid out: kept as long as both are the same. */
  onPage?(page: KnownPage, layouts: Layouts): Finding[];
  /** What only all pages together tell, in steps between which others are let in. */
  onSite?(context: CheckContext): Generator<void, Finding[]>;
}

/** Path, line and column of an offset of a file. */
export function at({ path, text }: TextFile, offset: number): Pick<Finding, "path" | "line" | "column"> {
  return { path, ...positionAt(text, offset) };
}

/** The same for a file by its path; its start where the site has no such text. */
export function inSite(site: Site, path: string, offset: number): Pick<Finding, "path" | "line" | "column"> {
  const file = textFile(site, path);
  return file ? at(file, offset) : { path, line: 1, column: 1 };
}
