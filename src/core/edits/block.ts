/** Changes to the declarations of one block, in the block's own way of writing. Offsets are of the given text. */
import { replaceInShorthand } from "./shorthand";
import { prepare } from "../cascade/declarations";
import { aliases } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { openEndOf } from "../source/css/open";
import { lineEnd, lineEndOf } from "../source/lines";
import type { Declaration, DisabledDeclaration, Item, Span } from "../source/css/syntax";
import { EditError } from "./types";

export interface Splice {
  start: number;
  end: number;
  insert: string;
}

/** A block to change: the text it stands in, its contents, and what is in it. */
export interface BlockText {
  text: string;
  block: Span;
  items: readonly Item[];
  /** Indentation of the line the rule stands on, for a block without declarations. */
  indent: string;
}

const nameOf = (declaration: Declaration) => aliases[declaration.property] ?? declaration.property;

/** The declaration that decides a property within a block: the last valid one, important ones first. */
export function decidingDeclaration(items: readonly Item[], property: string): Declaration | null {
  let best: Declaration | null = null;
  for (const item of items) {
    if (item.kind !== "declaration" || !sets(item, property)) continue;
    if (!best || item.important || !best.important) best = item;
  }
  return best;
}

function sets(declaration: Declaration, property: string): boolean {
  const prepared = prepare(declaration.property, declaration.valueText);
  const name = nameOf(declaration);
  if (prepared.kind === "invalid") return false;
  return name === property || (shorthands.get(name)?.longhands.includes(property) ?? false);
}

/**
 * Sets a property in a block: where it is declared, else in a line of its own as others stand there.
 * @returns splices of the block's text
 */
export function setDeclaration(where: BlockText, property: string, value: string): Splice[] {
  const deciding = decidingDeclaration(where.items, property);
  if (deciding && nameOf(deciding) === property) return [{ ...deciding.value, insert: value }];
  if (deciding) {
    const inside = replaceInShorthand(deciding, property, value);
    if (inside)
      return [
        { start: deciding.value.start + inside.start, end: deciding.value.start + inside.end, insert: inside.insert },
      ];
    return [insertAfter(where, deciding, property, value, deciding.important)];
  }
  const invalid = where.items.findLast(
    (item): item is Declaration => item.kind === "declaration" && nameOf(item) === property,
  );
  if (invalid) return [{ ...invalid.value, insert: value }];
  const last = where.items.findLast((item): item is Declaration => item.kind === "declaration");
  return [last ? insertAfter(where, last, property, value, false) : insertFirst(where, property, value)];
}

/** Takes out every declaration that sets exactly this property. */
export function removeDeclaration(where: BlockText, property: string): Splice[] {
  const own = where.items.filter(
    (item): item is Declaration => item.kind === "declaration" && nameOf(item) === property,
  );
  if (own.length === 0) throw new EditError(`${property} is not set here on its own.`);
  return own.map((declaration) => {
    const end = declaration.semicolon === null ? declaration.end : declaration.semicolon + 1;
    return { start: startWithBlank(where, declaration.start), end, insert: "" };
  });
}

/** Where the white space before an offset starts, within the block. */
export function startWithBlank({ text, block }: BlockText, offset: number): number {
  let start = offset;
  while (start > block.start && /\s/.test(text[start - 1]!)) start -= 1;
  return start;
}

/** Puts a declaration into a comment. */
export function switchOff({ text }: BlockText, declaration: Declaration): Splice {
  const end = declaration.semicolon === null ? declaration.end : declaration.semicolon + 1;
  const inside = text.slice(declaration.start, end);
  if (inside.includes("*/"))
    throw new EditError("A declaration with a comment inside cannot be switched off; take the comment out first.");
  return { start: declaration.start, end, insert: `/* ${inside} */` };
}

/** Takes a declaration out of its comment. */
export function switchOn(where: BlockText, disabled: DisabledDeclaration): Splice[] {
  const { declaration } = disabled;
  const inside = where.text.slice(disabled.start + 2, disabled.end - 2).trim();
  const open = openEndOf(inside);
  if (open) throw new EditError(`It cannot be switched on: it leaves ${open.what} open.`);
  const at = where.items.indexOf(disabled);
  const before = where.items.slice(0, at).findLast((item): item is Declaration => item.kind === "declaration");
  const followed = where.items.slice(at + 1).some((item) => item.kind === "declaration");
  const splices: Splice[] = [
    {
      start: disabled.start,
      end: disabled.end,
      insert: declaration.semicolon === null && followed ? `${inside};` : inside,
    },
  ];
  if (before && before.semicolon === null) splices.unshift({ start: before.end, end: before.end, insert: ";" });
  return splices;
}

function insertAfter(
  where: BlockText,
  after: Declaration,
  property: string,
  value: string,
  important: boolean,
): Splice {
  const { text } = where;
  const gap = text.slice(startWithBlank(where, after.start), after.start);
  const lead = gap.includes("\n") || gap.includes("\r") ? gap.slice(lastLineEnd(gap)) : gap;
  const body = write(where, after, property, value) + (important ? " !important" : "");
  // What is open at the block's end would swallow what is put behind it.
  const open = after === where.items.findLast((item) => item.kind !== "skipped") ? openEndOf(inBlock(where)) : null;
  if (open) return { start: where.block.end, end: where.block.end, insert: `${open.closers};${lead}${body}` };
  if (after.semicolon !== null)
    return { start: after.semicolon + 1, end: after.semicolon + 1, insert: `${lead}${body};` };
  return { start: after.end, end: after.end, insert: `;${lead}${body}` };
}

const inBlock = ({ text, block }: BlockText) => text.slice(block.start, block.end);

/** Where the last line end of a piece of white space starts, counting CRLF as one. */
function lastLineEnd(gap: string): number {
  const at = Math.max(gap.lastIndexOf("\n"), gap.lastIndexOf("\r"));
  return gap[at] === "\n" && gap[at - 1] === "\r" ? at - 1 : at;
}

function insertFirst(where: BlockText, property: string, value: string): Splice {
  const { text, block, indent } = where;
  const inside = text.slice(block.start, block.end);
  const first = where.items.find((item) => item.kind !== "skipped");
  if (inside.trim() === "" && !/[\r\n]/.test(inside)) {
    const spaced = /\s/.test(inside) || /\s/.test(text[block.start - 2] ?? "");
    return { start: block.start, end: block.end, insert: spaced ? ` ${property}: ${value}; ` : `${property}:${value}` };
  }
  const inner = first ? leadOf(text, first.start) : `${lineEndOf(text)}${indent}${indentUnit(text)}`;
  return { start: block.start, end: block.start, insert: `${inner}${property}: ${value};` };
}

function leadOf(text: string, offset: number): string {
  let start = offset;
  while (start > 0 && /\s/.test(text[start - 1]!)) start -= 1;
  return text.slice(start, offset);
}

/** A declaration in the letter case and with the spacing round the colon of a neighbour. */
export function write({ text }: BlockText, neighbour: Declaration, property: string, value: string): string {
  const name = text.slice(neighbour.name.start, neighbour.name.end);
  const colon = text.slice(neighbour.name.end, neighbour.value.start);
  const upper = name === name.toUpperCase() && /[A-Z]/.test(name) && !property.startsWith("--");
  return `${upper ? property.toUpperCase() : property}${/^\s*:\s*$/.test(colon) ? colon : ": "}${value}`;
}

/** Whether a sheet is written without line breaks and blanks. */
export function isMinified(text: string): boolean {
  return (
    text.length > 0 &&
    !/\{\s*[\r\n]/.test(text) &&
    /[{;]\S/.test(text) &&
    !/:\s/.test(text.replace(/\/\*[\s\S]*?\*\//g, ""))
  );
}

const firstIndent = new RegExp(`\\{[^\\S\\r\\n]*(?:${lineEnd.source})([ \\t]+)\\S`);

/** One step of a sheet's indentation; two blanks when it has none. */
export const indentUnit = (text: string): string => firstIndent.exec(text)?.[1] ?? "  ";
