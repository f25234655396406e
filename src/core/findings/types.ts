import type { ElementRef } from "../text/refs";
import type { Conditions } from "../cascade/conditions";
import type { KnownPage } from "../cascade/styledPages";
import { positionAt } from "../source/lines";
import { textFile, type Site, type TextFile } from "../source/site";
import type { TextChange } from "../source/changes";
import type { Layouts } from "../text/textStyles";
import type { Declaration } from "../source/css/syntax";
import type { Block } from "./blocks";
import type { Spot } from "./cause";
import type { Stresses } from "./stress";

/** Someone cannot read or nothing happens; may not work for someone; tidiness. */
export type Level = "error" | "warning" | "note";

/** What a finding costs, in the order in which it is told. */
export const groups = [
  { id: "unread", title: "Cannot be read" },
  { id: "idle", title: "Does nothing, or not what was meant" },
  { id: "readers", title: "Lost for some readers" },
  { id: "page", title: "Not as the page suggests" },
  { id: "tidy", title: "Could be one" },
] as const;

export type Group = (typeof groups)[number]["id"];

/** Where something stands. Line and column from 1, the column in UTF-16 units. */
export interface Where {
  path: string;
  line: number;
  column: number;
}

/** What a finding comes from, as it is written. */
export interface Cause extends Where {
  text: string;
}

/** Something wrong or doubtful: what it is, in plain words, why it matters, and where. Plain data. */
export interface Finding extends Where {
  check: string;
  group: Group;
  level: Level;
  message: string;
  /** Why it matters, with the section of the standard that says so. */
  because: string;
  causes: Cause[];
  places: ElementRef[];
  /** The property it is about, a longhand where it is computed; missing where it is about none. */
  property?: string;
  /** Under which circumstances, where they are others than those looked at; missing where they are not. */
  under?: Circumstances;
}

/** What readers bring about: the scheme they have, states of links and controls. */
export interface Circumstances {
  scheme?: "light" | "dark";
  states?: readonly string[];
}

/** One way to set a finding right, not yet looked at: the runner offers it once it has computed that it helps. */
export interface Way {
  /** What is done, as a command: "Write `font-size`". */
  label: string;
  changes: TextChange[];
  /** "nothing": offered only where no text comes out differently; "layout": whether it helps shows once it is laid out. */
  proof?: "nothing" | "layout";
}

/** What a check finds; the runner stamps the rest. */
export interface Found extends Where {
  level: Level;
  /** Where it costs something else than the other findings of its check. */
  group?: Group;
  message: string;
  because: string;
  causes?: Cause[];
  places?: ElementRef[];
  under?: Circumstances;
  /** The declaration it is about: where it is told, wherever that stands by then. */
  spot?: Spot | null;
  /** Equal for what is one finding at one spot, whatever its words; these words by default. */
  kind?: string;
  /** Of several that are one finding, that with the least rank is told. */
  rank?: number;
  /** Ways to set it right, best first, made when they are asked for. */
  ways?: (context: CheckContext) => Way[];
}

export interface CheckContext {
  site: Site;
  pages: readonly KnownPage[];
  conditions: Conditions;
  layouts: Layouts;
  stresses: Stresses;
}

/** One check: a name, what its findings cost, and what it finds in files, on pages, or on the site as a whole. */
export interface Check {
  name: string;
  group: Group;
  /** What a page or sheet shows by itself: kept as long as its text is the same. Where it takes long, in steps. */
  inFile?(file: TextFile, site: Site): Found[] | Generator<void, Found[]>;
  /** What a declaration shows by itself, and what it stands with: kept as what its file shows. */
  inDeclaration?(declaration: Declaration, block: Block): Found[];
  /** What a page shows as it is styled and laid out: kept as long as both are the same. */
  onPage?(page: KnownPage, layouts: Layouts): Found[];
  /** What only all pages together tell, in steps between which others are let in. */
  onSite?(context: CheckContext): Generator<void, Found[]>;
}

/** Path, line and column of an offset of a file. */
export function at({ path, text }: Pick<TextFile, "path" | "text">, offset: number): Where {
  return { path, ...positionAt(text, offset) };
}

/** The same for a file by its path; its start where the site has no such text. */
export function inSite(site: Site, path: string, offset: number): Where {
  const file = textFile(site, path);
  return file ? at(file, offset) : { path, line: 1, column: 1 };
}
