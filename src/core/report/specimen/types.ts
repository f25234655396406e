import type { Palette } from "../../palette/palette";
import type { StyleRow } from "../../tables/styleTable";
import type { ReportContext } from "../types";
import type { Markup } from "./markup";

/** What several parts of the sheet are made of. */
export interface Source extends ReportContext {
  rows: readonly StyleRow[];
  palette: Palette;
}

/** A part of the sheet, under a heading of its own. */
export interface Section {
  id: string;
  title: string;
  /** What it tells, in a line. */
  lead: string;
  /** Null where the site has nothing of it. */
  make(source: Source): Generator<void, Markup | null>;
}
