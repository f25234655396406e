/** Ways to set a finding right, each computed before it is offered. */
import { defaultConditions, type Conditions } from "../cascade/conditions";
import { styledPage } from "../cascade/styledPages";
import { planSteps } from "../edits/plan";
import type { Plan } from "../edits/types";
import type { ElementRef } from "../text/refs";
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
    fixes.push({ label, ...(yield* planSteps(site, { kind: "text", changes }, conditions)) });
  return fixes;
}

/** The best way alone, without what it reaches; null where there is none. */
export function firstWay(site: Site, finding: Finding, conditions: Conditions, layouts: Layouts = {}): Way | null {
  return finished(waySteps(site, finding, conditions, layouts, 1))[0] ?? null;
}

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
  return { site, conditions, layouts, pages };
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
