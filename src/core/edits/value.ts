/** Values as they are asked to be written: nothing in them may end or open anything outside of their declaration. */
import { openEndOf } from "../source/css/open";
import { closerOf, T, tokensOf } from "../source/css/tokens";
import { holdsText } from "../source/encoding";
import type { TextFile } from "../source/site";
import { EditError } from "./types";

/** @throws EditError, in plain words, when the text would reach beyond itself. @param what names it: "The value" */
export function checkSelfContained(text: string, what: string): void {
  const open = openEndOf(text);
  if (open) throw new EditError(`${what} ${text.trim()} does not end: it leaves ${open.what} open.`);
  const { types, starts, count } = tokensOf(text);
  const brackets: number[] = [];
  for (let token = 0; token < count; token += 1) {
    const type = types[token]!;
    const raw = text.slice(starts[token]!, starts[token + 1]!);
    const closer = closerOf(type);
    if (closer) brackets.push(closer);
    else if (type === brackets.at(-1)) brackets.pop();
    else if (type === T.RightCurlyBracket || type === T.RightParenthesis || type === T.RightSquareBracket)
      throw new EditError(`${what} ${text.trim()} closes with ${raw} what it has not opened.`);
    else if (type === T.Semicolon && brackets.length === 0)
      throw new EditError(`${what} ${text.trim()} goes on behind a semicolon: write one declaration at a time.`);
    else if (type === T.BadString) throw new EditError(`${what} has a string that breaks off at the end of a line.`);
    else if (type === T.BadUrl) throw new EditError(`${what} has an address that is not closed.`);
  }
}

/** Text that ends a sheet embedded in a page, or hides the rest of it. @throws EditError */
export function checkEmbeddable(text: string, file: TextFile): void {
  const found = file.kind === "html" ? /<\/style|<!--/i.exec(text)?.[0] : null;
  if (found) throw new EditError(`${found} cannot stand in a page's own styles: it would end them.`);
}

/**
 * The value in characters that the file's encoding holds and readers will read as such: what is not is escaped
 * (CSS Syntax 3, 4.3.7).
 */
export function writable(value: string, file: TextFile): string {
  if (/^[\u0000-\u007f]*$/.test(value) || holdsText(value, file)) return value;
  return value.replace(/[^\u0000-\u007f]/gu, (character) => `\\${character.codePointAt(0)!.toString(16)} `);
}

/** @throws EditError, in plain words, where a name cannot stand in a selector without escapes (CSS Syntax 3, 4.3.11) */
export function checkName(name: string, what: "class" | "id"): void {
  if (/^-?[_a-z\u0080-\uffff][-_\w\u0080-\uffff]*$/i.test(name)) return;
  throw new EditError(
    `"${name}" cannot be ${what === "id" ? "an id" : "a class"} in a selector: start with a letter, then letters, digits, - and _.`,
  );
}
