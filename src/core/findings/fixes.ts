/** Ways to set a finding right, each computed before it is offered. */
import { append } from "../source/groups";
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { planSteps } from "../edits/plan";
import { differenceSteps } from "../edits/proof";
import type { Plan } from "../edits/types";
import { refKey } from "../text/refs";
import type { TextChange } from "../source/changes";
import { changeSite, pagesOf, type Site } from "../source/site";
import { finished } from "../source/steps";
import { checks } from "./checks";
import { foundBy, gathered, keyOf, looksInFiles } from "./run";
import type { Check, CheckContext, Finding, Found, Way } from "./types";

/** A way to set a finding right, with what it reaches. */
export interface Fix extends Plan {
  label: string;
  /** Whether what it does to boxes shows only once the page is laid out. */
  byLayout: boolean;
}

/**
 * The ways to set a finding right, best first; none where none is known, and none where the finding is not there (any
 * more). Each was carried out on the side: the finding is gone then, and no other error has come.
 */
export function fixesFor(
  site: Site,
  finding: Finding,
  conditions: Partial<Conditions> = {},
  measured: Partial<Measured> = {},
): Fix[] {
  return finished(fixSteps(site, finding, { ...defaultConditions, ...conditions }, { ...unmeasured, ...measured }));
}

/** What is known of pages as they are laid out. */
export type Measured = Pick<CheckContext, "layouts" | "stresses">;

/** What is known where nothing was laid out, and of pages with a change that is not written. */
const unmeasured: Measured = { layouts: {}, stresses: {} };

/** The same in steps, a page each. */
export function* fixSteps(
  site: Site,
  finding: Finding,
  conditions: Conditions,
  measured: Measured,
): Generator<void, Fix[]> {
  const fixes: Fix[] = [];
  const start = yield* startSteps(site, finding.check, conditions, measured);
  if (!start) return fixes;
  for (const { label, changes, proof } of yield* waySteps(finding, start, mostWays)) {
    const plan = yield* planSteps(site, { kind: "text", changes }, conditionsUnder(finding, conditions));
    const byLayout = proof === "layout";
    fixes.push({ label, byLayout, ...plan, warnings: byLayout ? [...plan.warnings, asLaidOut] : plan.warnings });
  }
  return fixes;
}

const asLaidOut = "Whether it is enough shows once it is written and the page is laid out.";

/** So many ways to set one finding right are offered. */
const mostWays = 6;

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
  measured: Measured = unmeasured,
): Generator<void, AllRight> {
  const all: AllRight = { changes: [], count: 0 };
  const starts = new Map<string, Start | null>();
  for (const finding of findings) {
    let start = starts.get(finding.check);
    if (start === undefined)
      starts.set(finding.check, (start = yield* startSteps(site, finding.check, conditions, measured)));
    const [way] = start ? yield* waySteps(finding, start, 1) : [];
    if (!way || way.changes.some((change) => all.changes.some((other) => meet(change, other)))) continue;
    append(all.changes, way.changes);
    all.count += 1;
  }
  return all;
}

const meet = (a: TextChange, b: TextChange) => a.path === b.path && a.start <= b.end && b.start <= a.end;

/** A site as it is before one of the findings of a check is set right. */
interface Start {
  check: Check;
  context: CheckContext;
  /** As the check finds it where nothing is known of layouts, which do not hold for what is changed. */
  bare: State;
  found: readonly { finding: Finding; found: Found }[];
}

function* startSteps(
  site: Site,
  name: string,
  conditions: Conditions,
  measured: Measured,
): Generator<void, Start | null> {
  const check = checks.find((one) => one.name === name);
  if (!check) return null;
  const context = yield* contextSteps(site, conditions, measured);
  const found = gathered(check, yield* foundBy(check, context), site);
  return { check, context, found, bare: yield* stateOf(check, { ...context, ...unmeasured }) };
}

function* waySteps(finding: Finding, { check, context, bare, found }: Start, most: number): Generator<void, Way[]> {
  const own = found.find((one) => keyOf(one.finding) === keyOf(finding))?.found;
  const ways: Way[] = [];
  const seen = new Set<string>();
  for (const way of own?.ways?.(context) ?? []) {
    const key = JSON.stringify(way.changes);
    if (ways.length >= most || way.changes.length === 0 || seen.has(key)) continue;
    seen.add(key);
    const after = yield* contextSteps(changeSite(context.site, way.changes), context.conditions, unmeasured);
    if (!helps(finding, bare, yield* stateOf(check, after))) continue;
    if (way.proof === "nothing" && (yield* differs(context, after.site, way))) continue;
    ways.push(way);
  }
  return ways;
}

/** Whether any text comes out differently by a way that is to leave all as it is. */
function* differs({ site, conditions }: CheckContext, after: Site, { changes }: Way): Generator<void, boolean> {
  return (yield* differenceSteps(site, after, changes, conditions, true)).length > 0;
}

function* contextSteps(site: Site, conditions: Conditions, measured: Measured): Generator<void, CheckContext> {
  const pages: CheckContext["pages"][number][] = [];
  for (const file of pagesOf(site)) {
    pages.push(styledPage(site, file, conditions));
    yield;
  }
  return { site, conditions, pages, ...measured };
}

/** What one check finds, and the number of errors that it and the checks of files find. */
interface State {
  own: readonly Found[];
  errors: number;
}

function* stateOf(check: Check, context: CheckContext): Generator<void, State> {
  const own = yield* foundBy(check, context);
  let errors = errorsIn(own);
  // That a text which gets its ink at last cannot be read well is a finding of its own.
  for (const other of checks)
    if (looksInFiles(other) && other !== check) errors += errorsIn(yield* foundBy(other, context));
  return { own, errors };
}

const errorsIn = (found: readonly Found[]) => found.filter(({ level }) => level === "error").length;

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
