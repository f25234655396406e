import { sheetTexts } from "../source/declarations";
import { isKnownProperty } from "../cascade/declarations";
import { T, tokensOf } from "../source/css/tokens";
import type { AtRule, Declaration, Item, StyleRule } from "../source/css/syntax";
import { at, type Check, type Finding } from "./types";

/** Slips of the pen that change how a sheet is read: a missing semicolon or brace, a comment left open. */
export const brokenText: Check = {
  name: "broken-text",
  inFile: (file, site) => {
    const findings: Finding[] = [];
    for (const { text, offset, items } of sheetTexts(site, file)) {
      const add = (message: string, start: number) =>
        findings.push({ check: "broken-text", level: "error", message, ...at(file, offset + start), places: [] });
      for (const declaration of swallowing(items)) {
        const lost = swallowed(declaration)!;
        add(
          `A semicolon is missing after \`${lost.before}\`: \`${lost.property}\` is read as part of the value and both are ignored.`,
          declaration.start,
        );
      }
      const open = unclosed(items);
      if (open)
        add(
          `The block of \`${open.kind === "at" ? `@${open.name} ` : ""}${open.preludeText}\` is never closed: all that follows is read as part of it.`,
          open.start,
        );
      const comment = openComment(text);
      if (comment !== null) add("A comment is opened here and never closed: all that follows is left out.", comment);
    }
    return findings;
  },
};

function* swallowing(items: readonly Item[]): Generator<Declaration> {
  for (const item of items) {
    if (item.kind === "declaration" && swallowed(item)) yield item;
    else if (item.kind === "style" || item.kind === "at") yield* swallowing(item.items);
  }
}

/** The property that a value has taken in, at the start of a later line. */
function swallowed({ property, valueText }: Declaration): { before: string; property: string } | null {
  if (property.startsWith("--")) return null;
  const match = /^([^\r\n]*?)[ \t]*(?:\r\n|\n|\r)\s*([-a-z]+)\s*:/i.exec(valueText);
  return match && isKnownProperty(match[2]!.toLowerCase()) ? { before: match[1]!, property: match[2]! } : null;
}

/** The innermost block that the text ends in. */
function unclosed(items: readonly Item[]): StyleRule | AtRule | null {
  const last = items.findLast((item) => item.kind === "style" || item.kind === "at");
  if (!last || (last.kind !== "style" && last.kind !== "at") || last.closed || !last.block) return null;
  return unclosed(last.items) ?? last;
}

function openComment(text: string): number | null {
  const tokens = tokensOf(text);
  const last = tokens.count - 1;
  if (last < 0 || tokens.types[last] !== T.Comment || /\/\*[\s\S]*\*\/$/.test(text.slice(tokens.starts[last])))
    return null;
  return tokens.starts[last]!;
}
