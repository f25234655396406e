import { invalidReason } from "../cascade/declarations";
import type { Declaration } from "../source/css/syntax";
import { closerOf, T, tokensOf } from "../source/css/tokens";
import { sheetTexts, type SheetText } from "../source/declarations";
import type { Block } from "./blocks";
import { meantBy } from "./meant/declaration";
import { endOfLine } from "../source/lines";
import { breaksOff, changed, quoted } from "./texts";
import { at, type Check, type Found } from "./types";

/** Quotation marks and parentheses that are never closed, and quotation marks that are none. */
export const quotes: Check = {
  name: "quotes",
  group: "idle",
  inFile: (file, site) => sheetTexts(site, file).flatMap(brokenOff),
  inDeclaration: (declaration, block) => [...typographic(block, declaration), ...open(block, declaration)],
};

const mark = /[\u201c\u201d\u201e\u2018\u2019\u201a\u00ab\u00bb]/;
const marks = new RegExp(mark, "g");

/** Typographic marks are letters of a name: a family of that name exists nowhere. */
function typographic(block: Block, { property, value, valueText, start }: Declaration): Found[] {
  if (!mark.test(valueText)) return [];
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

/** A parenthesis that is left open, so that the value runs on over the end of its line, or that holds semicolons. */
function open(block: Block, declaration: Declaration): Found[] {
  const { text, file, offset } = block;
  const { value, property, start } = declaration;
  const whole = text.slice(value.start, Math.max(value.end, declaration.end));
  if (property.startsWith("--") || !holdsSemicolon(whole)) return [];
  const line = text.slice(value.start, endOfLine(text, value.start));
  const closes = matching(line);
  const bare = closes === null ? line.replace(/\s*[;}].*$/, "") : line.slice(0, closes);
  const meant =
    closes === null
      ? bare + ")".repeat(Math.max(0, count(bare, "(") - count(bare, ")")))
      : bare.replace(/\s*;\s*/g, ", ");
  const takes = invalidReason(property, meant) === null ? meant : (meantBy(property, meant)?.value ?? null);
  if (takes === null) return [];
  const what =
    closes === null
      ? "is never closed: what follows is read as part of the value, and all of it is skipped"
      : "holds a semicolon where a comma belongs, so all of it is skipped";
  return [
    {
      level: "error",
      message: `The parenthesis in ${quoted(`${property}: ${bare}`)} ${what}.`,
      because:
        "A parenthesis takes in all up to its closing one; until then nothing else counts (CSS Syntax 3, 5.4.8).",
      ...at(file, offset + start),
      ways: () => [
        { label: `Write \`${takes}\``, changes: [changed(block, value.start, value.start + bare.length, takes)] },
      ],
    },
  ];
}

const count = (text: string, sign: string) => text.split(sign).length - 1;

/** Where the parentheses of a line have all been closed, behind the last; null where they are not. */
function matching(line: string): number | null {
  let depth = 0;
  for (let at = 0; at < line.length; at += 1) {
    if (line[at] === "(") depth += 1;
    else if (line[at] === ")" && (depth -= 1) === 0) return at + 1;
  }
  return null;
}

/** Whether a value holds a semicolon in parentheses. */
function holdsSemicolon(value: string): boolean {
  if (!/[;\\]|url\(/i.test(value)) return false;
  const { types, count: tokens } = tokensOf(value);
  const closers: number[] = [];
  for (let at = 0; at < tokens; at += 1) {
    const type = types[at]!;
    const closer = closerOf(type);
    if (type === T.BadUrl || (type === T.Semicolon && closers.length > 0)) return true;
    if (closer) closers.push(closer);
    else if (type === closers.at(-1)) closers.pop();
  }
  return false;
}

/** Strings that break off at the end of their line. */
function brokenOff(sheet: SheetText): Found[] {
  if (!breaksOff(sheet)) return [];
  const { text, file, offset } = sheet;
  const { types, starts, count: tokens } = tokensOf(text);
  const all: Found[] = [];
  for (let at_ = 0; at_ < tokens; at_ += 1) {
    if (types[at_] !== T.BadString) continue;
    const start = starts[at_]!;
    const head = /(?:^|[;{\r\n])\s*(--)?([-a-z]+)\s*:\s*([^;{}\r\n]*)$/i.exec(
      text.slice(Math.max(0, start - 300), start),
    );
    const end = endOfLine(text, start);
    const rest = text
      .slice(start, end)
      .replace(/\s*(?:;[^;]*)?\}?\s*$/, "")
      .replace(/\s*;\s*\}?\s*$/, "");
    const property = head?.[2]?.toLowerCase() ?? "";
    const before = head?.[3] ?? "";
    const closed = closings(rest, text[start]!).filter(
      (one) => !head || invalidReason(property, before + one) === null || meantBy(property, before + one) !== null,
    );
    all.push({
      level: "error",
      message: `The quotation mark in ${quoted(head ? `${property}: ${before}${rest}` : rest)} is never closed: what stands around it is skipped.`,
      because: "A string ends in its line, with the mark it began with (CSS Syntax 3, 4.3.5).",
      ...at(file, offset + start),
      ways: () =>
        closed.map((one) => ({
          label: `Write \`${before}${one}\``,
          changes: [changed(sheet, start, start + rest.length, one)],
        })),
    });
  }
  return all;
}

/** Where the mark may belong: before the first comma, or at the end. */
function closings(value: string, quote: string): string[] {
  const comma = value.indexOf(",");
  const all = comma > 0 ? [value.slice(0, comma) + quote + value.slice(comma)] : [];
  return [...all, value + quote];
}
