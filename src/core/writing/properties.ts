/** Names of properties: those the site uses first, then those of the slip, then all others. */
import { lexer } from "css-tree";
import { longhands } from "../cascade/properties";
import { shorthands } from "../cascade/properties/shorthands";
import { slipRows } from "../slip/rows";
import { declarationsOfSite, ruleAround } from "../source/declarations";
import type { Here } from "./here";
import { counted, plain, times, type Asked, type WritingOption } from "./types";

/** css-tree's table of grammars, which its types leave out. */
const grammar = lexer as typeof lexer & { properties: Readonly<Record<string, unknown>> };

const known: readonly string[] = [
  ...new Set([
    ...slipRows.map(({ property }) => property),
    ...[...longhands.map(({ name }) => name), ...shorthands.keys(), ...Object.keys(grammar.properties)].sort(),
  ]),
].filter((name) => /^[a-z]/.test(name));

/** Properties, those that the site sets most first; those that the rule has already last. */
export function propertyOptions({ site, path }: Asked, here: Here & { kind: "property" }): WritingOption[] {
  const used = counted([...declarationsOfSite(site)].map(({ declaration }) => declaration.property));
  const counts = new Map(used);
  const rule = here.rule === null ? null : ruleAround(site, path, here.rule)?.rule;
  const set = new Set(rule?.items.flatMap((item) => (item.kind === "declaration" ? [item.property] : [])));
  const names = [...new Set([...used.map(([name]) => name), ...known])];
  const order = (name: string) => Number(set.has(name));
  return names
    .sort((a, b) => order(a) - order(b))
    .map((name) => plain(name, set.has(name) ? "already set in this rule" : times(counts.get(name) ?? 0)));
}
