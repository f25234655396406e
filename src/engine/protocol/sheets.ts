/** Sheets, their rules, and the tokens they keep to. All of it is plain data. */
import type { AttributeGroup, FileChange, Held, OutlinePart, Replacing, RuleEdit, SheetEdit, SheetTable } from "@/core";
import type { WrittenChanges } from "./edits";

/** What a site writes against the tokens it is to keep to. */
export interface HeldAgainst {
  tokens: number;
  problems: { name: string; problem: string }[];
  /** Tokens of kinds that nothing is held against. */
  others: number;
  held: Held[];
}

/** Changes with the files that are put in and taken out before, or why there are none. */
export interface WrittenFiles extends WrittenChanges {
  files: FileChange[];
}

export interface SheetsAnswers {
  sheets(): Promise<SheetTable>;
  /** The rules of a sheet, or of those that a page embeds. */
  outline(path: string): Promise<OutlinePart[]>;
  /** What something done to the sheets of the site changes; the problem when it cannot be done. */
  planSheets(edit: SheetEdit | RuleEdit): Promise<WrittenFiles>;
  /** The style attributes of a page as they would be gathered into a sheet; null where another page's were asked for meanwhile. */
  attributeGroups(page: string, sheet: string): Promise<AttributeGroup[] | null>;
  /** What the site writes against a tokens file; null where that was asked again meanwhile, the problem when it is none. */
  heldAgainst(tokensFile: string): Promise<HeldAgainst | { problem: string } | null>;
  /** The nearest tokens in the place of values; the problem when that cannot be. */
  replaceByTokens(tokensFile: string, wanted: Pick<Held, "kind" | "value">[], how: Replacing): Promise<WrittenChanges>;
}
