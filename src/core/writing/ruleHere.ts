/** What a rule does on a page: the texts it dresses, and which of its declarations are in force there. */
import { forEachInOrder } from "../cascade/blocks";
import { ruleNow } from "../cascade/explain";
import type { Style } from "../cascade/style";
import type { StyledPage } from "../cascade/styles";
import { ruleAround } from "../source/declarations";
import type { Declaration, StyleRule } from "../source/css/syntax";
import { positionAt } from "../source/lines";
import { textFile, type Site } from "../source/site";
import { refOf, textsOf } from "../text/pageTexts";
import type { ElementRef } from "../text/refs";

export interface RuleHere {
  /** Of the rule, offsets of the file. */
  start: number;
  end: number;
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
  const text = textFile(site, path)?.text;
  if (!around || text === undefined) return null;
  const { sheet, rule } = around;
  const matched = new Set(page.styles.filter((style) => matchOf(page, style, path, sheet.offset + rule.start)));
  const isIn = (style: Style | null): boolean => style !== null && (matched.has(style) || isIn(style.parent));
  const declarations = rule.items.filter((item) => item.kind === "declaration");
  return {
    start: sheet.offset + rule.start,
    end: sheet.offset + rule.end,
    places: textsOf(page)
      .filter(isIn)
      .map((style) => refOf(page.file.path, style)),
    elements: matched.size,
    declarations: declarations.map((declaration, at) => ({
      property: declaration.property,
      line: positionAt(text, sheet.offset + declaration.start).line,
      wins: [...matched].filter((style) => winsOn(page, style, path, sheet.offset + rule.start, at)).length,
    })),
  };
}

/** The rule as the style knows it, which may be an earlier reading of the same; null where it does not apply to the element. */
function matchOf(page: StyledPage, style: Style, path: string, start: number): StyleRule | null {
  for (const { match } of style.blocks) {
    if (!match) continue;
    const { sheet, entry } = ruleNow(page, match);
    if (sheet?.path === path && sheet.offset + entry.rule.start === start) return match.rule.entry.rule;
  }
  return null;
}

function winsOn(page: StyledPage, style: Style, path: string, start: number, at: number): boolean {
  const declarations = matchOf(page, style, path, start)!.items.filter((item) => item.kind === "declaration");
  const own = declarations[at];
  if (!own) return false;
  if ([...style.shared.winners.values()].some(({ declaration }) => declaration === own)) return true;
  return lastUncomputed(style, own.property) === own;
}

/** The declaration of a property that is in force as it is written: a custom property, or one that is not computed. */
function lastUncomputed(style: Style, property: string): Declaration | null {
  let last: Declaration | null = null;
  forEachInOrder(style.blocks, (_, { declaration, entries }) => {
    if (entries.length === 0 && declaration.property === property) last = declaration;
  });
  return last;
}
