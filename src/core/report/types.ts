import type { Conditions } from "../cascade/conditions";
import type { Stresses } from "../findings";
import type { Site } from "../source/site";
import type { Layouts } from "../text/textStyles";

/** What is known of a site beside its files. */
export interface ReportAbout {
  /** What the site is called. */
  name: string;
  /** Why findings are left as they are, by their keys. */
  left: Readonly<Record<string, string>>;
}

export interface ReportContext extends ReportAbout {
  site: Site;
  conditions: Conditions;
  layouts: Layouts;
  /** What gives way when pages are laid out as some readers have them, as far as that is known. */
  stresses?: Stresses;
}

/** What reports are about, in the order in which they are offered. */
export const reportGroups = [
  { id: "uses", title: "What the site uses" },
  { id: "found", title: "What was found" },
] as const;

/** One way to hand over what is known of a site: a text in an open format. */
export interface Report {
  id: string;
  group: (typeof reportGroups)[number]["id"];
  /** What it is, for people. */
  label: string;
  /** What it is good for. */
  hint: string;
  /** Added to the site's name. */
  file: string;
  type: string;
  /** In steps, so that others can be let in between them. */
  make(context: ReportContext): Generator<void, string>;
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
