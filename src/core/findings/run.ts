/** Runs the checks: what each finds, stamped, gathered by its cause, and sorted. */
import type { TextFile, Site } from "../source/site";
import type { KnownPage } from "../cascade/styledPages";
import { append } from "../source/groups";
import { eachInSteps, finished } from "../source/steps";
import type { Layouts } from "../text/textStyles";
import { blocksOf, filesOf } from "./blocks";
import { causeAt } from "./cause";
import { checks } from "./checks";
import { groups, type Check, type CheckContext, type Finding, type Found } from "./types";

export type Asked = Omit<CheckContext, "layouts" | "stresses"> & Partial<CheckContext>;

/** The findings of a site, in one piece. */
export function findingsFor(context: Asked): Finding[] {
  return finished(findingSteps(context));
}

/** The findings of a site, in steps between which others are let in; what cannot have changed is not looked at again. */
export function* findingSteps(asked: Asked): Generator<void, Finding[]> {
  const context: CheckContext = { layouts: {}, stresses: {}, ...asked };
  const findings: Finding[] = [];
  for (const check of checks)
    for (const { finding } of gathered(check, yield* foundBy(check, context), context.site)) findings.push(finding);
  return findings.sort(inOrder);
}

/** What one check finds. */
export function* foundBy(check: Check, context: CheckContext): Generator<void, Found[]> {
  const found: Found[] = [];
  if (looksInFiles(check)) {
    for (const file of filesOf(context.site)) {
      append(found, yield* foundIn(file, check, context.site));
      yield;
    }
  }
  if (check.onPage) {
    for (const page of context.pages) {
      append(found, foundOn(page, check, context.layouts));
      yield;
    }
  }
  if (check.onSite) append(found, yield* check.onSite(context));
  return found;
}

/** Whether a check looks at files, each by itself. */
export const looksInFiles = ({ inFile, inDeclaration }: Check): boolean => Boolean(inFile ?? inDeclaration);

const inFiles = new WeakMap<TextFile, Map<Check, Found[]>>();

/** What a check finds in a file, looked for once for the same text. */
function* foundIn(file: TextFile, check: Check, site: Site): Generator<void, Found[]> {
  let known = inFiles.get(file);
  if (!known) inFiles.set(file, (known = new Map()));
  const before = known.get(check);
  if (before) return before;
  const found: Found[] = [];
  const inFile = check.inFile?.(file, site) ?? [];
  append(found, Array.isArray(inFile) ? inFile : yield* inFile);
  if (check.inDeclaration) append(found, yield* inDeclarations(file, check.inDeclaration, site));
  const told = bounded(found);
  known.set(check, told);
  return told;
}

function* inDeclarations(
  file: TextFile,
  look: NonNullable<Check["inDeclaration"]>,
  site: Site,
): Generator<void, Found[]> {
  const found: Found[] = [];
  for (const block of blocksOf(site, file))
    yield* eachInSteps(block.items, (item) => {
      if (item.kind === "declaration") append(found, look(item, block));
    });
  return found;
}

/** So many findings of one check in one file are told. */
const mostInFile = 1000;

/** Of more than can be told, how many more there are is told in the place of the rest. */
function bounded(found: Found[]): Found[] {
  const more = found.length - mostInFile;
  if (more <= 0) return found;
  const { level, because, path, line, column } = found[mostInFile]!;
  const message = `${more} more of the kind that stands here ${more === 1 ? "was" : "were"} found in ${path}.`;
  return [...found.slice(0, mostInFile), { level, because, path, line, column, message }];
}

interface OnPage {
  layout: Layouts[string] | undefined;
  found: Found[];
}

/** By pages, each of which is the same as long as none of its files changes: what is found says where things stand. */
const onPages = new WeakMap<KnownPage, Map<Check, OnPage>>();

function foundOn(page: KnownPage, check: Check, layouts: Layouts): Found[] {
  let known = onPages.get(page);
  if (!known) onPages.set(page, (known = new Map()));
  const layout = layouts[page.file.path];
  let kept = known.get(check);
  if (!kept || kept.layout !== layout) known.set(check, (kept = { layout, found: check.onPage!(page, layouts) }));
  return kept.found;
}

/** Equal for what is one finding: the same said of the same spot. */
export const keyOf = ({ path, line, column, message }: Pick<Finding, "path" | "line" | "column" | "message">) =>
  `${path}:${line}:${column} ${message}`;

/** One finding for one cause: what was found on several pages for the same reason has the places of all. */
export function gathered(
  { name, group }: Check,
  all: readonly Found[],
  site: Site,
): { finding: Finding; found: Found }[] {
  const gatheredBy = new Map<string, { finding: Finding; found: Found }>();
  for (const found of all) {
    const { level, message, because, places = [] } = found;
    const cause = found.spot ? causeAt(site, found.spot) : null;
    const { path, line, column } = cause ?? found;
    // What comes from no declaration is one finding for a page, told where it is met first.
    const spot = found.kind !== undefined && !cause ? path : `${path}:${line}:${column}`;
    const key = `${spot} ${found.kind ?? message}`;
    const known = gatheredBy.get(key);
    if (known) {
      for (const place of places) known.finding.places.push(place);
      if (levelRank[level] < levelRank[known.finding.level]) known.finding.level = level;
      if ((found.rank ?? 0) < (known.found.rank ?? 0)) {
        known.found = found;
        known.finding.message = message;
        known.finding.because = because;
      }
      continue;
    }
    const causes = found.causes?.slice(0, mostCauses) ?? (cause ? [cause] : []);
    const finding: Finding = {
      ...(found.under ? { under: found.under } : {}),
      ...(found.spot ? { property: found.spot.property } : {}),
      check: name,
      group: found.group ?? group,
      level,
      message,
      because,
      path,
      line,
      column,
      causes,
      places: [...places],
    };
    gatheredBy.set(key, { finding, found });
  }
  return [...gatheredBy.values()];
}

/** So many causes of one finding are told; how many there are stands in its words. */
const mostCauses = 100;

const groupRank = new Map<string, number>(groups.map(({ id }, at) => [id, at]));
const levelRank = { error: 0, warning: 1, note: 2 };

/** What costs most first; then as the files stand. */
function inOrder(a: Finding, b: Finding): number {
  return (
    levelRank[a.level] - levelRank[b.level] ||
    groupRank.get(a.group)! - groupRank.get(b.group)! ||
    Number(a.path > b.path) - Number(a.path < b.path) ||
    a.line - b.line ||
    a.column - b.column
  );
}
