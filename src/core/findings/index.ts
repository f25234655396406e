/** The list of checks, and the one way to run them. A new check is a file and a line here. */
import { brokenText } from "./brokenText";
import { contrast } from "./contrast";
import { ignoredDeclarations } from "./declarations";
import { fonts } from "./fonts";
import { missingSheet } from "./missingSheet";
import { noSheet } from "./noSheet";
import { remoteParts } from "./remote";
import { invalidSelectors } from "./selectors";
import { unmatchedSelectors } from "./unmatched";
import type { Check, CheckContext, Finding } from "./types";

export const checks: readonly Check[] = [
  missingSheet,
  noSheet,
  brokenText,
  ignoredDeclarations,
  invalidSelectors,
  unmatchedSelectors,
  contrast,
  fonts,
  remoteParts,
];

export function findingsFor(context: Omit<CheckContext, "layouts"> & Partial<CheckContext>): Finding[] {
  return checks.flatMap((check) => check.run({ layouts: {}, ...context }));
}

export { ignoredMessage, nearestProperty } from "./declarations";
export type { Finding, Level } from "./types";
