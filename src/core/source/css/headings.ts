/** Comments between the rules of a sheet, as headings of what follows. */
import { linesOf } from "../lines";
import type { Item } from "./syntax";

/** The last comment of what stands between two rules, on one line, without its stars; null where there is none. */
export function headingIn(between: string): string | null {
  const comment = [...between.matchAll(/\/\*([\s\S]*?)\*\//g)].at(-1)?.[1];
  const words = linesOf(comment ?? "")
    .map((line) => line.replace(/^[\s*=_-]+|[\s*=_-]+$/g, ""))
    .find((line) => line !== "");
  return words ?? null;
}

export interface SheetPart {
  /** Null for what stands before the first comment. */
  heading: string | null;
  /** What stands at the top of the sheet there, at least one. */
  items: Item[];
}

/** What stands at the top of a sheet, under the comments over it. */
export function partsOf(text: string, items: readonly Item[]): SheetPart[] {
  const parts: SheetPart[] = [];
  let end = 0;
  for (const item of items) {
    const heading = headingIn(text.slice(end, item.start));
    end = item.end;
    const part = parts.at(-1);
    if (heading !== null || !part) parts.push({ heading, items: [item] });
    else part.items.push(item);
  }
  return parts;
}
