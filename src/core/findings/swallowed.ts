/** Declarations whose value has taken in the one that follows, for want of a semicolon. */
import { isKnownProperty } from "../cascade/declarations";
import type { Declaration } from "../source/css/syntax";
import type { Block } from "./blocks";

/** A value that has taken in the next line. */
const hasTakenLine = ({ property, valueText }: Declaration) =>
  !property.startsWith("--") && /[\w)%"'][ \t]*[\r\n]+\s*[-a-z]+\s*:/i.test(valueText);

/** A property at the start of what a value has taken in. */
const taken = /(?<=[\s,:])([-a-z]{3,})\s*:(?!:)/gi;

/** The value of a declaration with all that it has taken in. */
export const writtenIn = ({ text }: Pick<Block, "text">, { value, end }: Declaration): string =>
  text.slice(value.start, Math.max(value.end, end));

/** The property that a value has taken in, and where it begins in what is written; null where it has taken in none. */
export function swallowed(block: Block, declaration: Declaration): { name: string; index: number } | null {
  const written = writtenIn(block, declaration);
  if (!written.includes(":")) return null;
  const ofOwn = declaration.property.startsWith("--");
  const outside = written.replace(/"[^"\r\n]*"|'[^'\r\n]*'|\([^()]*\)|\/\*[\s\S]*?\*\//g, (whole) =>
    " ".repeat(whole.length),
  );
  for (const { 1: name, index } of outside.matchAll(taken)) {
    const before = outside.slice(0, index);
    // With a semicolon before it, it is a mark or a parenthesis left open that has taken it in.
    if (before.includes(";")) return null;
    const onNewLine = /[\r\n]\s*$/.test(before);
    if (ofOwn && !onNewLine) continue;
    if (isKnownProperty(name!.toLowerCase()) || (onNewLine && hasTakenLine(declaration))) return { name: name!, index };
  }
  return null;
}
