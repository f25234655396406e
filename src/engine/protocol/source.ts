/** The source as it is read, searched and written. All of it is plain data. */
import type { Conditions, FileHits, PropertyHelp, RuleHere, Search, TextChange, Typed, WritingOptions } from "@/core";

/** Lines of a rule in its file, from 1; those of the file where there is none. */
export interface RuleSource {
  isRule: boolean;
  firstLine: number;
  lastLine: number;
}

export interface WrittenHere {
  /** Null outside of rules, and where no page is shown. */
  rule: RuleHere | null;
  /** About the property that stands there; null where none does, or nothing is known of it. */
  help: PropertyHelp | null;
}

/** A colour where it stands. */
export interface SourceColor {
  start: number;
  end: number;
  css: string;
}

export interface SourceAnswers {
  /** The rule around an offset; the whole file when there is none. */
  source(path: string, offset: number): Promise<RuleSource | null>;
  complete(property: string, typed: string): Promise<string[]>;
  /** Where something stands in pages and sheets; null where something else was looked for meanwhile. */
  find(search: Search): Promise<FileHits[] | null>;
  /** The changes that put other words in its place, in these files. */
  replaceFound(search: Search, by: string, paths: string[]): Promise<TextChange[]>;
  /** How one can go on writing in a file. */
  writing(typed: Typed, offset: number, page: string | null, conditions: Conditions): Promise<WritingOptions | null>;
  /** What stands at a place of a file, and what it does on a page. */
  written(typed: Typed, offset: number, page: string | null, conditions: Conditions): Promise<WrittenHere>;
  /** Whether no more of a file sets nothing than before it was written on. */
  parses(typed: Typed): Promise<boolean>;
  /** The colours in a file. */
  colorsIn(typed: Typed): Promise<SourceColor[]>;
  /** What a property does; null where nothing is known of it. */
  help(property: string): Promise<PropertyHelp | null>;
  /** Why a value cannot be written; null when it can. */
  check(property: string, value: string): Promise<string | null>;
}
