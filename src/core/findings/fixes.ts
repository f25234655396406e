/** Ways to set a finding right, each computed before it is offered. */
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { planSteps } from "../edits/plan";
import type { Plan } from "../edits/types";
import type { ElementRef } from "../text/refs";
import type { TextChange } from "../source/changes";
import { changeSite, pagesOf, type Site } from "../source/site";
import { finished } from "../source/steps";
import type { Layouts } from "../text/textStyles";
import { checks } from "./checks";
import { foundBy, gathered, keyOf } from "./run";
import type { Check, CheckContext, Finding, Found, Way } from "./types";

/** A way to set a finding right, with what it reaches. */
export interface Fix extends Plan {
  label: string;
}

/**
 * The ways to set a finding right, best first; none where none is known, and none where the finding is not there (any
 * more). Each was carried out on the side: the finding is gone then, and no other error has come.
 */
export function fixesFor(
  site: Site,
  finding: Finding,
  conditions: Partial<Conditions> = {},
  layouts: Layouts = {},
): Fix[] {
  return finished(fixSteps(site, finding, { ...defaultConditions, ...conditions }, layouts));
}

/** The same in steps, a page each. */
export function* fixSteps(
  site: Site,
  finding: Finding,
  conditions: Conditions,
  layouts: Layouts,
): Generator<void, Fix[]> {
  const fixes: Fix[] = [];
  for (const { label, changes } of yield* waySteps(site, finding, conditions, layouts))
    fixes.push({ label, ...(yield* planSteps(site, { kind: "text", changes }, conditionsUnder(finding, conditions))) });
  return fixes;
}

/** The conditions that a finding is about: those looked at, or others that it names. */
export function conditionsUnder({ under }: Finding, conditions: Conditions): Conditions {
  if (!under) return conditions;
  const { scheme = conditions.scheme, states = [] } = under;
  return { ...conditions, scheme, forced: {}, forcedEverywhere: states };
}

/** Findings set right together, each with its first way. */
export interface AllRight {
  changes: TextChange[];
  /** How many of them are set right. */
  count: number;
}

/** The same in one piece. */
export function allRight(site: Site, findings: readonly Finding[], conditions: Partial<Conditions> = {}): AllRight {
  return finished(allRightSteps(site, findings, { ...defaultConditions, ...conditions }));
}

/** What sets several findings right at once; one whose way meets that of another is left for later. */
export function* allRightSteps(
  site: Site,
  findings: readonly Finding[],
  conditions: Conditions,
  layouts: Layouts = {},
): Generator<void, AllRight> {
  const all: AllRight = { changes: [], count: 0 };
  for (const finding of findings) {
    const [way] = yield* waySteps(site, finding, conditions, layouts, 1);
    if (!way || way.changes.some((change) => all.changes.some((other) => meet(change, other)))) continue;
    all.changes.push(...way.changes);
    all.count += 1;
  }
  return all;
}

const meet = (a: TextChange, b: TextChange) => a.path === b.path && a.start <= b.end && b.start <= a.end;

function* waySteps(
  site: Site,
  finding: Finding,
  conditions: Conditions,
  layouts: Layouts,
  most = 6,
): Generator<void, Way[]> {
  const check = checks.find(({ name }) => name === finding.check);
  if (!check) return [];
  const context = yield* contextSteps(site, conditions, layouts);
  const all = gathered(check, yield* foundBy(check, context), site);
  const found = all.find((one) => keyOf(one.finding) === keyOf(finding))?.found;
  const before = found?.ways ? yield* stateOf(check, { ...context, layouts: {} }) : null;
  const ways: Way[] = [];
  const seen = new Set<string>();
  for (const way of found?.ways?.(context) ?? []) {
    const key = JSON.stringify(way.changes);
    if (ways.length >= most || way.changes.length === 0 || seen.has(key)) continue;
    seen.add(key);
    // What is known of pages as they are laid out does not hold for others.
    const after = yield* contextSteps(changeSite(site, way.changes), conditions, {});
    if (helps(finding, before!, yield* stateOf(check, after))) ways.push(way);
  }
  return ways;
}

function* contextSteps(site: Site, conditions: Conditions, layouts: Layouts): Generator<void, CheckContext> {
  const pages: CheckContext["pages"][number][] = [];
  for (const file of pagesOf(site)) {
    pages.push(styledPage(site, file, conditions));
    yield;
  }
  return { site, conditions, layouts, stresses: {}, pages };
}

/** What one check finds, and the number of errors that are found in files. */
interface State {
  own: readonly Found[];
  errors: number;
}

function* stateOf(check: Check, context: CheckContext): Generator<void, State> {
  let errors = 0;
  for (const other of checks) {
    // That a text which gets its ink at last cannot be read well is a finding of its own.
    if (!other.inFile && other !== check) continue;
    errors += (yield* foundBy(other, context)).filter(({ level }) => level === "error").length;
  }
  return { own: yield* foundBy(check, context), errors };
}

/** Whether a finding is gone, and nothing is worse than before. */
function helps(finding: Finding, before: State, after: State): boolean {
  if (after.errors > before.errors - (finding.level === "error" ? 1 : 0)) return false;
  if (finding.places.length) {
    const still = new Set(after.own.flatMap(({ level, places = [] }) => (level === "note" ? [] : places.map(refKey))));
    const once = after.own.filter(({ message }) => message === finding.message).flatMap(({ places = [] }) => places);
    for (const place of once) still.add(refKey(place));
    return !finding.places.some((place) => still.has(refKey(place)));
  }
  const count = ({ own }: State) => own.filter(({ message }) => message === finding.message).length;
  return count(after) < Math.max(1, count(before));
}

const refKey = ({ page, index, pseudo }: ElementRef) => `${page} ${index} ${pseudo ?? ""}`;
