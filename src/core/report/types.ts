import type { Conditions } from "../cascade/conditions";
import type { Stresses } from "../findings";
import type { Site } from "../source/site";
import type { Layouts } from "../text/textStyles";

export interface ReportContext {
  site: Site;
  conditions: Conditions;
  layouts: Layouts;
  /** What gives way when pages are laid out as some readers have them, as far as that is known. */
  stresses?: Stresses;
}

/** One way to hand over what is known of a site: a text in an open format. */
export interface Report {
  id: string;
  /** What it is, for people. */
  label: string;
  /** Added to the site's name. */
  file: string;
  type: string;
  make(context: ReportContext): string;
}

/** Rows as CSV (RFC 4180), with a line of names first. */
export function csv(names: readonly string[], rows: readonly (readonly (string | number | boolean)[])[]): string {
  const cell = (value: string | number | boolean) => {
    const text = String(value);
    // What a spreadsheet would take for a formula is marked as text.
    const safe = /^[=+@\t\r]|^-(?!\d*\.?\d+$)/.test(text) ? `'${text}` : text;
    return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
  };
  return [names, ...rows].map((row) => `${row.map(cell).join(",")}\r\n`).join("");
}
