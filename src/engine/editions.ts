/** Editions of the sheets that are shown: between two of them, only the rules that differ are sent to be exchanged. */
import { readSheet, sheetChange, type ReadSheet } from "@/core";
import type { ShownSheet, SinceEdition } from "./protocol";

interface Edition {
  id: string;
  read: ReadSheet | null;
}

/** So many texts are known at once, those asked for last. */
const most = 12;

const editions = new Map<string, Edition>();
/** Editions of another worker are others: what is shown may be of one that has ended. */
const worker = Math.random().toString(36).slice(2);
let latest = 0;

/** Equal for equal texts, as long as they are known. */
export function editionOf(text: string): string {
  return known(text).id;
}

function known(text: string): Edition {
  let edition = editions.get(text);
  if (edition) editions.delete(text);
  else {
    latest += 1;
    edition = { id: `${worker} ${latest}`, read: null };
  }
  editions.set(text, edition);
  if (editions.size > most) editions.delete(editions.keys().next().value!);
  return edition;
}

/** The same sheets, each with what leads to it from the sheet in its place before. */
export function sinceEditions(before: readonly ShownSheet[], sheets: readonly ShownSheet[]): ShownSheet[] {
  return sheets.map((sheet, at) => {
    const old = before[at];
    return old && old.owner === sheet.owner && old.edition !== sheet.edition
      ? { ...sheet, since: sinceEdition(old, sheet) }
      : sheet;
  });
}

function sinceEdition(before: ShownSheet, { text }: ShownSheet): SinceEdition | null {
  const old = known(before.text);
  old.read ??= readSheet(before.text);
  const { after, exchange } = sheetChange(old.read, text);
  known(text).read = after;
  return exchange && { edition: before.edition, exchange };
}
