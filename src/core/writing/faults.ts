/** How much of a file's CSS sets nothing, so that what is half typed can be told from what was wrong before. */
import { invalidReason } from "../cascade/declarations";
import { declarationsOfFile, descriptorRules, sheetTexts } from "../source/declarations";
import type { Item } from "../source/css/syntax";
import { textFile, type Site, type TextFile } from "../source/site";

/** Parts that are skipped, and declarations that are invalid, in the sheets and style attributes of a file. */
export function faultsIn(site: Site, path: string): number {
  const file = textFile(site, path);
  if (!file) return 0;
  let faults = known.get(file);
  if (faults === undefined) known.set(file, (faults = countIn(site, file)));
  return faults;
}

const known = new WeakMap<TextFile, number>();

function countIn(site: Site, file: TextFile): number {
  const invalid = declarationsOfFile(site, file).filter(
    ({ declaration: { property, valueText } }) => invalidReason(property, valueText) !== null,
  );
  return invalid.length + sheetTexts(site, file).reduce((sum, { items }) => sum + skippedIn(items), 0);
}

function skippedIn(items: readonly Item[]): number {
  let count = 0;
  for (const item of items) {
    if (item.kind === "skipped") count += 1;
    else if (item.kind === "style" || (item.kind === "at" && !descriptorRules.has(item.name)))
      count += skippedIn(item.items);
  }
  return count;
}
