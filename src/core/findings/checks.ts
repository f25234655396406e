/** The list of checks. A new check is a file and a line here. */
import { atRuleSlips } from "./atRules";
import { braces } from "./braces";
import { comments } from "./comments";
import { contrast } from "./contrast";
import { ignoredDeclarations } from "./declarations";
import { fonts } from "./fonts";
import { markup } from "./markup";
import { missingSheet } from "./missingSheet";
import { noSheet } from "./noSheet";
import { punctuation } from "./punctuation";
import { quotes } from "./quotes";
import { remoteParts } from "./remote";
import { invalidSelectors } from "./selectors";
import { sheetLinks } from "./links";
import { stackSlips } from "./stacks";
import { undefinedVariables } from "./variables";
import { unmatchedSelectors } from "./unmatched";
import type { Check } from "./types";

export const checks: readonly Check[] = [
  contrast,
  missingSheet,
  noSheet,
  sheetLinks,
  braces,
  comments,
  quotes,
  punctuation,
  ignoredDeclarations,
  invalidSelectors,
  unmatchedSelectors,
  atRuleSlips,
  stackSlips,
  undefinedVariables,
  markup,
  fonts,
  remoteParts,
];
