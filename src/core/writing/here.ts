/** What can be written at a place of a file. */
import { descriptorRules, sheetTexts } from "../source/declarations";
import { isKnownProperty } from "../cascade/declarations";
import { openTokenOf } from "../source/css/open";
import { closerOf, T, tokensOf } from "../source/css/tokens";
import { textFile, type Site } from "../source/site";

interface Word {
  /** Where the word that is being written starts, an offset of the file. */
  from: number;
  /** As much of it as stands before the cursor. */
  typed: string;
}

/** Offsets are UTF-16 units of the file's text. */
export type Here =
  /** The name of a property. @param rule start of the rule it stands in; null in a style attribute */
  | (Word & { kind: "property"; rule: number | null })
  /** @param before the value up to the word @param inside the function it stands in */
  | (Word & { kind: "value"; property: string; before: string; inside: string | null; rule: number | null })
  | (Word & { kind: "selector" })
  | (Word & { kind: "at-rule" })
  /** A condition of `@media`. @param feature whose value is written; null where a name is @param inside parentheses @param before all of it up to the word */
  | (Word & { kind: "media"; feature: string | null; inside: boolean; before: string })
  | (Word & { kind: "tag" })
  | (Word & { kind: "attribute"; tag: string })
  /** @param value the attribute's value up to the word */
  | (Word & { kind: "attribute value"; tag: string; attribute: string; before: string });

/** Null where nothing can be said: in comments, in words of a page, in strings. */
export function hereAt(site: Site, path: string, offset: number): Here | null {
  const file = textFile(site, path);
  if (!file) return null;
  const sheet = sheetTexts(site, file).find(
    ({ text, offset: start }) => start <= offset && offset <= start + text.length,
  );
  if (sheet) return inSheet(sheet.text.slice(0, offset - sheet.offset), sheet.offset);
  return file.kind === "html" ? inMarkup(file.text, offset) : null;
}

interface Open {
  closer: number;
  /** Of what stands before a brace, or of a function's name. */
  start: number;
  prelude: string;
}

/** @param text of the sheet up to the cursor @param base its offset in the file */
function inSheet(text: string, base: number): Here | null {
  const ended = statementAtEnd(text);
  if (!ended) return null;
  const { open, start } = ended;
  const statement = text.slice(start);
  const braces = open.filter(({ closer }) => closer === T.RightCurlyBracket);
  const rule = braces.findLast(({ prelude }) => !prelude.startsWith("@"));
  const around = braces.at(-1);
  const isDescriptor = around !== undefined && descriptorRules.has(/^@([-\w]*)/.exec(around.prelude)?.[1] ?? "");
  if (/^@[-\w]*$/.test(statement)) return { kind: "at-rule", from: base + start, typed: statement };
  if (statement.startsWith("@")) return mediaAt(statement, base + text.length);
  if (!rule && !isDescriptor) return selectorAt(text, start, base);
  return (
    declarationAt(text, start, base, open, isDescriptor ? null : base + rule!.start) ?? selectorAt(text, start, base)
  );
}

/** What is open at the end of a text, and where the statement there starts; null in comments, strings and addresses. */
function statementAtEnd(text: string): { open: Open[]; start: number } | null {
  const tokens = tokensOf(text);
  if (openTokenOf(text, tokens)) return null;
  const { types, starts, count } = tokens;
  const open: Open[] = [];
  let start = -1;
  for (let token = 0; token < count; token += 1) {
    const type = types[token]!;
    const [from, to] = [starts[token]!, starts[token + 1]!];
    const closer = closerOf(type);
    const inParentheses = open.length > 0 && open.at(-1)!.closer !== T.RightCurlyBracket;
    if (type === T.LeftCurlyBracket) {
      const prelude = start < 0 ? "" : text.slice(start, from).trim();
      open.push({ closer, start: start < 0 ? from : start, prelude });
      start = -1;
    } else if (type === T.RightCurlyBracket) {
      while (open.length && open.pop()!.closer !== type);
      start = -1;
    } else if (type === T.Semicolon && !inParentheses) start = -1;
    else {
      if (start < 0 && type !== T.WhiteSpace && type !== T.Comment) start = from;
      if (closer) open.push({ closer, start: from, prelude: text.slice(from, to - 1) });
      else if (type === open.at(-1)?.closer) open.pop();
    }
  }
  return { open, start: start < 0 ? text.length : start };
}

function declarationAt(
  text: string,
  start: number,
  base: number,
  open: readonly Open[],
  rule: number | null,
): Here | null {
  const statement = text.slice(start);
  if (/^[-\w]*$/.test(statement)) return { kind: "property", from: base + start, typed: statement, rule };
  const [head, name] = /^([-\w\u0080-\uffff]+)\s*:/.exec(statement) ?? [];
  if (head === undefined || !name || !(name.startsWith("--") || isKnownProperty(name.toLowerCase()))) return null;
  const value = statement.slice(head.length);
  const typed = /[-#\w.%]*$/.exec(value)![0];
  const innermost = open.at(-1);
  return {
    kind: "value",
    property: name.startsWith("--") ? name : name.toLowerCase(),
    from: base + text.length - typed.length,
    typed,
    before: value.slice(0, value.length - typed.length).trimStart(),
    inside: innermost?.closer === T.RightParenthesis ? innermost.prelude.toLowerCase() : null,
    rule,
  };
}

/** @param end of what is written, an offset of the file */
function mediaAt(statement: string, end: number): Here | null {
  const prelude = /^@media(?![-\w])(.*)$/is.exec(statement)?.[1];
  if (prelude === undefined) return null;
  const typed = /[-\w.%]*$/.exec(prelude)![0];
  const before = prelude.slice(0, prelude.length - typed.length);
  const inner = before.slice(before.lastIndexOf("(") + 1);
  const inside = before.includes("(") && !inner.includes(")");
  const feature = inside ? (/^\s*([a-z-][-\w]*)\s*(?::|[<>]=?|=)\s*$/i.exec(inner)?.[1]!.toLowerCase() ?? null) : null;
  // What else stands in the parenthesis is said from the other side: `(400px < wi`.
  return { kind: "media", from: end - typed.length, typed, feature, inside, before: before.trim() };
}

function selectorAt(text: string, start: number, base: number): Here {
  const typed = /(?:::?|[.#])?[-\w\u0080-\uffff]*$/.exec(text.slice(start))![0];
  return { kind: "selector", from: base + text.length - typed.length, typed };
}

const attributePattern = /\s+([^\s=>"'/]+)(?:\s*=\s*("[^"]*"?|'[^']*'?|[^\s>"']*))?/gy;

function inMarkup(text: string, offset: number): Here | null {
  const start = text.lastIndexOf("<", offset - 1);
  if (start < 0) return null;
  const written = text.slice(start, offset);
  const [, tagTyped] = /^<\/?([a-z][-\w]*)?$/i.exec(written) ?? [null, null];
  if (tagTyped !== null) return { kind: "tag", from: offset - (tagTyped ?? "").length, typed: tagTyped ?? "" };
  const [opening, tag] = /^<([a-z][-\w]*)(?=\s)/i.exec(written) ?? [];
  return opening === undefined ? null : inTag(written, opening.length, tag!.toLowerCase(), start);
}

/** @param written of a start tag, up to the cursor @param base its offset in the file */
function inTag(written: string, at: number, tag: string, base: number): Here | null {
  attributePattern.lastIndex = at;
  let end = at;
  for (let found = attributePattern.exec(written); found; found = attributePattern.exec(written)) {
    end = attributePattern.lastIndex;
    const [, name, value] = found as unknown as [string, string, string | undefined];
    if (end < written.length) continue;
    if (value === undefined) return { kind: "attribute", tag, from: base + end - name.length, typed: name };
    const quote = /^["']/.exec(value)?.[0] ?? "";
    if (quote && value.length > 1 && value.endsWith(quote)) return null;
    return inValue(tag, name.toLowerCase(), value.slice(quote.length), base + end);
  }
  return /^\s+$/.test(written.slice(end)) ? { kind: "attribute", tag, from: base + written.length, typed: "" } : null;
}

function inValue(tag: string, attribute: string, value: string, end: number): Here | null {
  if (attribute === "style") {
    const ended = statementAtEnd(value);
    return ended && declarationAt(value, ended.start, end - value.length, ended.open, null);
  }
  const typed = /[^\s]*$/.exec(value)![0];
  const before = value.slice(0, value.length - typed.length);
  return { kind: "attribute value", tag, attribute, from: end - typed.length, typed, before };
}
