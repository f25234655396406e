import { invalidReason } from "../cascade/declarations";
import type { Declaration } from "../source/css/syntax";
import { closerOf, T, tokensOf } from "../source/css/tokens";
import { blocksOf, type Block } from "./blocks";
import { meantBy } from "./meant/declaration";
import { changed, endOfLine, quoted } from "./texts";
import { at, type Check, type Found } from "./types";

/** Quotation marks and parentheses that are never closed, and quotation marks that are none. */
export const quotes: Check = {
  name: "quotes",
  group: "idle",
  inFile: (file, site) =>
    blocksOf(site, file).flatMap((block) =>
      block.items.flatMap((item) =>
        item.kind === "declaration" ? [...typographic(block, item), ...open(block, item)] : [],
      ),
    ),
};

const marks = /[\u201c\u201d\u201e\u2018\u2019\u201a\u00ab\u00bb]/g;

/** Typographic marks are letters of a name: a family of that name exists nowhere. */
function typographic(block: Block, { property, value, valueText, start }: Declaration): Found[] {
  const outside = valueText.replace(/"[^"]*"|'[^']*'|url\([^)]*\)/g, (whole) => " ".repeat(whole.length));
  const spots = [...outside.matchAll(marks)];
  if (spots.length === 0 || property.startsWith("--") || invalidReason(property, valueText)) return [];
  return [
    {
      level: "error",
      message: `${quoted(`${property}: ${valueText}`)} has typographic quotation marks: they are read as letters of the name.`,
      because: "A string stands between straight quotation marks, U+0022 or U+0027 (CSS Syntax 3, 4.3.5).",
      ...at(block.file, block.offset + start),
      ways: () => [
        {
          label: "Write straight quotation marks",
          changes: spots.map(({ index }) =>
            changed(block, value.start + index, value.start + index + 1, block.element ? "'" : '"'),
          ),
        },
      ],
    },
  ];
}

/** A value that runs on over the end of its line because something in it is left open. */
function open(block: Block, declaration: Declaration): Found[] {
  const { text, file, offset } = block;
  const { value, property, start } = declaration;
  const end = endOfLine(text, value.start);
  const line = text.slice(value.start, Math.min(end, text.length)).replace(/\s*\}?\s*$/, "");
  const bare = line.replace(/\s*;.*$/, "");
  if (property.startsWith("--") || !isOpen(text.slice(value.start, Math.max(value.end, declaration.end)))) return [];
  const quote = /^(?:[^"']|"[^"]*"|'[^']*')*(["'])[^"']*$/.exec(line)?.[1];
  const parentheses = bare.split("(").length - bare.split(")").length;
  if (!quote && parentheses <= 0) return [];
  const closed = quote ? closings(bare, quote) : [bare + ")".repeat(parentheses)];
  const fits = closed.filter((one) => invalidReason(property, one) === null || meantBy(property, one) !== null);
  const what = quote ? "The quotation mark" : "The parenthesis";
  return [
    {
      level: "error",
      message: `${what} in ${quoted(`${property}: ${bare}`)} is never closed: what follows is read as part of the value, and all of it is skipped.`,
      because:
        "A string ends with its line, a parenthesis with its closing one; until then nothing counts (CSS Syntax 3, 4.3.5 and 5.4.8).",
      ...at(file, offset + start),
      ways: () =>
        fits.map((one) => ({
          label: `Write \`${one}\``,
          changes: [changed(block, value.start, value.start + bare.length, one)],
        })),
    },
  ];
}

/** Whether a value holds a string that breaks off, or a semicolon in parentheses. */
function isOpen(value: string): boolean {
  const { types, count } = tokensOf(value);
  const closers: number[] = [];
  for (let at = 0; at < count; at += 1) {
    const type = types[at]!;
    const closer = closerOf(type);
    if (type === T.BadString || type === T.BadUrl) return true;
    if (type === T.Semicolon && closers.length > 0) return true;
    if (closer) closers.push(closer);
    else if (type === closers.at(-1)) closers.pop();
  }
  return false;
}

/** Where the mark may belong: before the first comma, or at the end. */
function closings(value: string, quote: string): string[] {
  const from = value.lastIndexOf(quote);
  const comma = value.indexOf(",", from);
  const all = comma > 0 ? [value.slice(0, comma) + quote + value.slice(comma)] : [];
  return [...all, value + quote];
}
