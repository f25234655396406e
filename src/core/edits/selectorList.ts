/** The list of selectors of a rule, written anew. */
import { parseSelectorList, SelectorError } from "../cascade/selectors/parse";
import type { TextChange } from "../source/changes";
import type { StyleRule } from "../source/css/syntax";
import type { SheetText } from "../source/declarations";
import { lineEnd, lineLead } from "../source/lines";
import type { Site } from "../source/site";
import { ruleAt } from "./locate";
import { EditError } from "./types";
import { checkEmbeddable, checkSelfContained } from "./value";

/** @throws EditError, in plain words, where a text is no list of selectors (Selectors 4, 4.1) */
export function checkSelectors(selectors: string): void {
  try {
    parseSelectorList(selectors);
  } catch (error) {
    if (error instanceof SelectorError) throw new EditError(`"${selectors}" is not a selector. ${error.message}`);
    throw error;
  }
  checkSelfContained(selectors, "The selector");
}

const brokenList = new RegExp(`,[ \\t]*(${lineEnd.source})`);

/** Selectors as a list, on lines of their own where those of a rule are. */
export function joinedLike({ text }: SheetText, rule: StyleRule, selectors: readonly string[]): string {
  const broken = brokenList.exec(rule.preludeText);
  return selectors.join(broken ? `,${lineLead(text, rule.start) || broken[1]!}` : ", ");
}

/** Other selectors for the rule that starts at an offset of a file. @throws EditError */
export function setSelectors(site: Site, path: string, start: number, selectors: string): TextChange[] {
  const { sheet, rule } = ruleAt(site, path, start);
  const written = selectors.trim();
  checkSelectors(written);
  checkEmbeddable(written, sheet.file);
  const from = sheet.offset + rule.prelude.start;
  return [{ path, start: from, end: from + rule.preludeText.length, insert: written }];
}
