/** The list of checks, and the one way to run them. A new check is a file and a line here. */
import { contrast } from "./contrast";
import { ignoredDeclarations } from "./declarations";
import { missingSheet } from "./missingSheet";
import { noSheet } from "./noSheet";
import { remoteParts } from "./remote";
import { invalidSelectors } from "./selectors";
import type { Check, CheckContext, Finding } from "./types";

export const checks: readonly Check[] = [missingSheet, noSheet, ignoredDeclarations, invalidSelectors, contrast, remoteParts];

export function findingsFor(context: CheckContext): Finding[] {
  return checks.flatMap((check) => check.run(context));
}

export { declarationsIn, ignoredMessage, nearestProperty } from "./declarations";
export type { Finding, Level } from "./types";
