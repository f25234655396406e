/** The list of checks, and the one way to run them. A new check is a file and a line here. */
import { pagesOf, sheetsOf, type Site, type TextFile } from "../source/site";
import type { KnownPage } from "../cascade/styledPages";
import { finished } from "../source/steps";
import type { Layouts } from "../text/textStyles";
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

const checks: readonly Check[] = [
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

type Asked = Omit<CheckContext, "layouts"> & Partial<CheckContext>;

/** The findings of a site, in one piece. */
export function findingsFor(context: Asked): Finding[] {
  return finished(findingSteps(context));
}

/** The findings of a site, in steps between which others are let in; what cannot have changed is not looked at again. */
export function* findingSteps(asked: Asked): Generator<void, Finding[]> {
  const context: CheckContext = { layouts: {}, ...asked };
  const files = [...sheetsOf(context.site), ...pagesOf(context.site)];
  const findings: Finding[] = [];
  for (const check of checks) {
    if (check.inFile) {
      for (const file of files) {
        findings.push(...findingsIn(file, check, context.site));
        yield;
      }
    }
    if (check.onPage) {
      for (const page of context.pages) {
        findings.push(...findingsOn(page, check, context.layouts));
        yield;
      }
    }
    if (check.onSite) findings.push(...(yield* check.onSite(context)));
  }
  return findings;
}

const inFiles = new WeakMap<TextFile, Map<Check, Finding[]>>();

function findingsIn(file: TextFile, check: Check, site: Site): Finding[] {
  let known = inFiles.get(file);
  if (!known) inFiles.set(file, (known = new Map()));
  let findings = known.get(check);
  if (!findings) known.set(check, (findings = check.inFile!(file, site)));
  return findings;
}

interface OnPage {
  layout: Layouts[string] | undefined;
  findings: Finding[];
}

/** By the styles of pages, which are the same list as long as nothing comes out differently. */
const onPages = new WeakMap<KnownPage["styles"], Map<Check, OnPage>>();

function findingsOn(page: KnownPage, check: Check, layouts: Layouts): Finding[] {
  let known = onPages.get(page.styles);
  if (!known) onPages.set(page.styles, (known = new Map()));
  const layout = layouts[page.file.path];
  let kept = known.get(check);
  if (!kept || kept.layout !== layout) known.set(check, (kept = { layout, findings: check.onPage!(page, layouts) }));
  return kept.findings;
}

export { ignoredMessage, nearestProperty } from "./declarations";
export type { Finding, Level } from "./types";
