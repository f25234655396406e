import type { Conditions } from "../cascade/conditions";
import type { KnownPage } from "../cascade/styledPages";
import type { ElementRef } from "../edits/types";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import type { Layouts } from "../textStyles";

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

/** One check: a name and what it finds on a site. */
export interface Check {
  name: string;
  run(context: CheckContext): Finding[];
}

/** Path, line and column of an offset of a file. */
export function at(site: Site, path: string, offset: number): Pick<Finding, "path" | "line" | "column"> {
  return { path, ...positionAt(textFile(site, path)?.text ?? "", offset) };
}
