/** Selectors that cannot match on a page, told by the names in them alone. */
import { ident } from "css-tree/utils";
import { closerOf, T, tokensOf } from "../source/css/tokens";
import type { HtmlDocument } from "../source/html/document";
import type { SheetRewriting } from "../source/html/safe";

/** Classes and ids of a page as selectors write them, `.x` and `#x`; null in quirks mode, where case does not count. */
export function namesOf({ mode, elements }: HtmlDocument): ReadonlySet<string> | null {
  if (mode === "quirks") return null;
  const names = new Set<string>();
  for (const { classes, id } of elements) {
    for (const name of classes) names.add(`.${name}`);
    if (id) names.add(`#${id}`);
  }
  return names;
}

/** The same rewriting, without rules that can match nothing on the page: large sites have thousands of them. */
export function withoutIdle(rewriting: SheetRewriting, document: HtmlDocument): SheetRewriting {
  const names = namesOf(document);
  return {
    media: rewriting.media,
    selectors: (text, nests) => (!nests && names && matchesNone(text, names) ? null : rewriting.selectors(text, nests)),
  };
}

/** Whether each selector of a list asks, outside of any brackets, for a class or an id that is not among the names. */
export function matchesNone(selectors: string, names: ReadonlySet<string>): boolean {
  const { count, types, starts } = tokensOf(selectors);
  let depth = 0;
  let missing = false;
  for (let token = 0; token < count; token += 1) {
    const type = types[token]!;
    const raw = () => selectors.slice(starts[token]!, starts[token + 1]!);
    if (closerOf(type)) depth += 1;
    else if (type === T.RightParenthesis || type === T.RightSquareBracket) depth -= 1;
    else if (depth > 0) continue;
    else if (type === T.Comma) {
      if (!missing) return false;
      missing = false;
    } else if (type === T.Hash) missing ||= !names.has(`#${ident.decode(raw().slice(1))}`);
    else if (type === T.Ident && token > 0 && types[token - 1] === T.Delim && selectors[starts[token - 1]!] === ".")
      missing ||= !names.has(`.${ident.decode(raw())}`);
  }
  return missing;
}
