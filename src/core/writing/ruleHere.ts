/** What a rule does on a page: the texts it dresses, and which of its declarations are in force there. */
import { forEachInOrder } from "../cascade/blocks";
import { matchedBy } from "../cascade/matchedBy";
import type { SharedStyle, Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { ruleAround } from "../source/declarations";
import type { Declaration, StyleRule } from "../source/css/syntax";
import { positionAt } from "../source/lines";
import type { Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import type { ElementRef } from "../text/refs";

export interface RuleHere {
  /** The texts of the page that it matches, or that stand in what it matches. */
  places: ElementRef[];
  /** How many elements of the page it matches. */
  elements: number;
  declarations: DeclarationHere[];
}

export interface DeclarationHere {
  property: string;
  /** From 1. */
  line: number;
  /** On how many of the elements that the rule matches it is in force, with one longhand at least. */
  wins: number;
}

/** The rule around an offset of a file, on a page; null where there is none. */
export function ruleHere(site: Site, page: StyledPage, path: string, offset: number): RuleHere | null {
  const around = ruleAround(site, path, offset);
  if (!around) return null;
  const { sheet, rule } = around;
  const matchOn = matchedBy(rule)(page);
  const matched = new Set<Style>();
  const declarations = declarationsIn(rule);
  const wins = declarations.map(() => 0);
  for (const style of page.styles) {
    const match = matchOn(style);
    if (!match) continue;
    matched.add(style);
    const inForce = declarationsInForce(style);
    declarationsIn(match.rule.entry.rule).forEach((own, at) => (wins[at]! += Number(inForce.has(own))));
  }
  const isIn = (style: Style | null): boolean => style !== null && (matched.has(style) || isIn(style.parent));
  return {
    places: textsOf(page)
      .filter(isIn)
      .map((style) => refOf(page.file.path, style)),
    elements: matched.size,
    declarations: declarations.map(({ property, start }, at) => ({
      property,
      line: positionAt(sheet.file.text, sheet.offset + start).line,
      wins: wins[at]!,
    })),
  };
}

const declarationsIn = ({ items }: StyleRule): Declaration[] => items.filter((item) => item.kind === "declaration");

const known = new WeakMap<SharedStyle, ReadonlySet<Declaration>>();

/** The declarations that something comes of on an element: of a longhand, or as they are written (custom properties, what is not computed). */
function declarationsInForce({ shared, blocks }: Style): ReadonlySet<Declaration> {
  let found = known.get(shared);
  if (!found) {
    const asWritten = new Map<string, Declaration>();
    forEachInOrder(blocks, (_, { declaration, entries }) => {
      if (entries.length === 0) asWritten.set(declaration.property, declaration);
    });
    const winners = [...shared.winners.values()].map(({ declaration }) => declaration);
    known.set(shared, (found = new Set([...winners, ...asWritten.values()])));
  }
  return found;
}
