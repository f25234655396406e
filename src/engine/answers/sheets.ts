/** Style sheets, and the design tokens that they are held against. */
import {
  attributeGroupSteps,
  planRuleEdit,
  planSheetEdit,
  readTokens,
  replaceByTokens,
  sheetOutlineSteps,
  sheetTable,
  strayingSteps,
} from "@/core";
import { site, turns, asLatest } from "../open";
import { attempt, changesOf, filesOf } from "../attempt";
import type { SheetsAnswers } from "../protocol/sheets";

export const sheetsAnswers = {
  sheets: async () => sheetTable(site),

  outline: async (path) => (await turns.inSlices(sheetOutlineSteps(site, path), () => true))!,

  planSheets: async (edit) => {
    return filesOf(() =>
      "sheet" in edit ? planSheetEdit(site, edit) : { changes: planRuleEdit(site, edit), files: [] },
    );
  },

  attributeGroups: async (page, sheet) =>
    turns.inSlices(attributeGroupSteps(site, page, sheet), asLatest("attributeGroups")),

  heldAgainst: async (text) => {
    const { made, problem } = attempt(() => readTokens(text));
    if (!made) return { problem: problem! };
    const held = await turns.inSlices(strayingSteps(site, made.tokens), asLatest("heldAgainst"));
    return held && { tokens: made.tokens.length, problems: made.problems, others: made.others, held };
  },

  replaceByTokens: async (text, wanted, how) =>
    changesOf(() => replaceByTokens(site, readTokens(text).tokens, wanted, how)),
} satisfies SheetsAnswers;
