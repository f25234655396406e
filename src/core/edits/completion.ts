/** What can be typed next in a value field, from the property's grammar. */
import { definitionSyntax, lexer, type DSNode } from "css-tree";
import { namedColors } from "../color/names";
import { wideKeywords } from "../cascade/wide";
import { invalidReason } from "../cascade/declarations";
import { genericFamilies } from "../cascade/properties/font";

const deepest = 8;
const cache = new Map<string, string[]>();

/** Keywords the property's grammar knows, in its order; CSS-wide ones last. */
export function keywordsFor(property: string): string[] {
  let words = cache.get(property);
  if (!words) {
    const found = new Set<string>();
    const definition = lexer.getProperty(property);
    if (definition?.syntax) collect(definition.syntax, found, 0);
    // The grammar has generic families that no browser knows by these names.
    const own = property === "font-family" ? genericFamilies : found;
    words = [...own, ...wideKeywords].filter((word) => !word.startsWith("-"));
    cache.set(property, words);
  }
  return words;
}

function collect(node: DSNode, into: Set<string>, depth: number): void {
  if (depth > deepest) return;
  definitionSyntax.walk(node, (one) => {
    if (one.type === "Keyword") into.add(one.name);
    else if (one.type === "Type" && one.name === "named-color") for (const name of namedColors.keys()) into.add(name);
    else if (one.type === "Type") {
      const type = lexer.getType(one.name);
      if (type?.syntax) collect(type.syntax, into, depth + 1);
    } else if (one.type === "Property") {
      const other = lexer.getProperty(one.name);
      if (other?.syntax) collect(other.syntax, into, depth + 1);
    }
  });
}

/** At most `most` ways to finish a value; each is a whole value that the grammar takes. */
export function completions(property: string, typed: string, most = 12): string[] {
  const match = /^(.*?)([-a-z]*)$/is.exec(typed)!;
  const [, before, word] = match as unknown as [string, string, string];
  if (word === "" && before !== "") return [];
  const lower = word.toLowerCase();
  return keywordsFor(property)
    .filter((keyword) => keyword.startsWith(lower) && keyword !== lower)
    .map((keyword) => before + keyword)
    .filter((value) => invalidReason(property, value) === null)
    .slice(0, most);
}
