/** Changing one longhand inside a shorthand's value. */
import { prepare } from "../cascade/declarations";
import { valueSpan } from "../cascade/explain";
import type { Declaration } from "../source/css/syntax";

/**
 * The change to a shorthand's value that gives one longhand a new value and leaves the others as they are;
 * null when there is none, because the shorthand leaves the longhand out or would read the result otherwise.
 * Offsets are into the value's text.
 */
export function replaceInShorthand(
  declaration: Declaration,
  longhand: string,
  value: string,
): { start: number; end: number; insert: string } | null {
  const span = valueSpan(declaration, longhand);
  if (!span) return null;
  const text = declaration.valueText;
  const before = prepare(declaration.property, text);
  const after = prepare(declaration.property, text.slice(0, span.start) + value + text.slice(span.end));
  const alone = prepare(longhand, value);
  if (before.kind !== "longhands" || after.kind !== "longhands" || alone.kind !== "longhands") return null;
  const wanted = JSON.stringify(plain(alone.entries[0]![1]));
  for (const [at, [name, given]] of after.entries.entries()) {
    const expected = name === longhand ? wanted : JSON.stringify(plain(before.entries[at]![1]));
    if (JSON.stringify(plain(given)) !== expected) return null;
  }
  return { ...span, insert: value };
}

/** Without the offsets components carry, which shift with the text. */
export function plain(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(plain);
  if (value === null || typeof value !== "object") return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([key]) => key !== "start" && key !== "end" && key !== "spaced")
      .map(([key, one]) => [key, plain(one)]),
  );
}
