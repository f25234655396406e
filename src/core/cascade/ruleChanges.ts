/** What differs between two versions of the rules that a page has. */
import { append } from "../source/groups";
import { made, PairMap } from "../source/memo";
import type { PageRule, RuleIndex, RuleSet } from "./ruleSet";
import { indexOf } from "./ruleSet";
import type { RuleEntry } from "./rules";
import { statesAskedIn } from "./selectors/asked";
import type { Selector } from "./selectors/types";

let lastId = 0;

/**
 * Gives rules their ids: those of an earlier version, sheet by sheet, as far as both begin and end alike, whatever the
 * rules declare; new ones for what is between.
 */
export function takeOver(rules: readonly PageRule[], before: readonly PageRule[]): void {
  const older = bySheet(before);
  for (const [sheet, own] of bySheet(rules)) {
    const old = older.get(sheet) ?? [];
    const most = Math.min(own.length, old.length);
    let start = 0;
    while (start < most && isAlike(own[start]!, old[start]!)) {
      own[start]!.id = old[start]!.id;
      start += 1;
    }
    let ends = 0;
    while (ends < most - start && isAlike(own[own.length - 1 - ends]!, old[old.length - 1 - ends]!)) {
      own[own.length - 1 - ends]!.id = old[old.length - 1 - ends]!.id;
      ends += 1;
    }
    for (let at = start; at < own.length - ends; at += 1) own[at]!.id = lastId += 1;
  }
}

function bySheet(rules: readonly PageRule[]): Map<number, PageRule[]> {
  const sheets = new Map<number, PageRule[]>();
  for (const rule of rules) {
    const list = sheets.get(rule.sheet);
    if (list) list.push(rule);
    else sheets.set(rule.sheet, [rule]);
  }
  return sheets;
}

/** The same selectors under like conditions; lists of selectors that read alike are one. */
function isAlike(a: PageRule, b: PageRule): boolean {
  return (
    a.entry === b.entry || (a.entry.selectors === b.entry.selectors && a.layer === b.layer && isPlain(a) && isPlain(b))
  );
}

/** Whether only its selectors decide which elements a rule in force is for. */
function isPlain({ entry: { conditions } }: PageRule): boolean {
  return conditions.scopes.length === 0 && conditions.containers.length === 0;
}

export interface RuleChanges {
  /** Ids of rules that declare something else. */
  changed: ReadonlySet<number>;
  /** Ids of those that match what they matched no more, for all that is known. */
  gone: ReadonlySet<number>;
  /** Those that may match what they did not, for matching; null where there are none. */
  added: RuleIndex | null;
  /** Whether what pseudo-elements look like may be another. */
  pseudo: boolean;
}

const compared = new PairMap<RuleSet, RuleSet, RuleChanges | null>();

/** What changed from one set to another; null where so much did that nothing is known of what stays. */
export function changesBetween(before: RuleSet, after: RuleSet): RuleChanges | null {
  return compared.of(before, after, () => compare(before, after));
}

const statesKnown = new WeakMap<RuleSet, Map<string, RuleChanges>>();

/** What rules may match otherwise once other elements are in some states: all that ask for them. @param states their names */
export function changesByStates(set: RuleSet, states: ReadonlySet<string>): RuleChanges {
  const bySet = made(statesKnown, set, () => new Map());
  return made(bySet, [...states].sort().join(), () => {
    const asking = set.rules.filter((rule) => asksFor(rule, states));
    const again = asking.length ? [...new Set([...asking, ...contained(set)])] : [];
    return {
      changed: new Set(),
      gone: new Set(again.map(({ id }) => id)),
      added: again.length ? indexOf(again, set.quirks).index : null,
      pseudo: again.some(isForPseudo),
    };
  });
}

/** Rules that go by what containers have: that may be another wherever anything is (CSS Conditional 5, 5.5). */
const contained = ({ rules }: RuleSet) => rules.filter(({ entry }) => entry.conditions.containers.length > 0);

const isForPseudo = ({ entry: { selectors } }: PageRule) =>
  selectors.some(({ pseudoElement }) => pseudoElement !== null);

function asksFor({ entry: { selectors, conditions } }: PageRule, states: ReadonlySet<string>): boolean {
  const isAsked = (list: readonly Selector[] | null) => {
    if (list) for (const name of statesAskedIn(list)) if (states.has(name)) return true;
    return false;
  };
  return isAsked(selectors) || conditions.scopes.some(({ start, end }) => isAsked(start) || isAsked(end));
}

function compare(before: RuleSet, after: RuleSet): RuleChanges | null {
  if (!hasSameProperties(before, after)) return null;
  const changed = new Set<number>();
  const added: PageRule[] = [];
  const touched: PageRule[] = [];
  for (const rule of after.rules) {
    const old = before.byId.get(rule.id);
    if (!old) {
      added.push(rule);
      touched.push(rule);
      continue;
    }
    if (rule.layerRank !== old.layerRank || rule.origin !== old.origin) return null;
    if (rule.entry === old.entry || sameDeclarations(rule.entry, old.entry)) continue;
    changed.add(rule.id);
    touched.push(rule);
  }
  const removed = before.rules.filter(({ id }) => !after.byId.has(id));
  append(touched, removed);
  if (touched.length > after.rules.length / 4 || !touched.every(isPlain)) return null;
  const again = touched.length ? contained(after) : [];
  const come = [...added, ...again];
  return {
    changed,
    gone: new Set([...removed, ...again].map(({ id }) => id)),
    added: come.length ? indexOf(come, after.quirks).index : null,
    pseudo: [...touched, ...again].some(isForPseudo),
  };
}

function hasSameProperties({ registered: before }: RuleSet, { registered: after }: RuleSet): boolean {
  return (
    before.size === after.size &&
    [...after].every(([name, { syntax, inherits, initial }]) => {
      const old = before.get(name);
      return old?.syntax === syntax && old.inherits === inherits && old.initial === initial;
    })
  );
}

function sameDeclarations(a: RuleEntry, b: RuleEntry): boolean {
  return (
    a.declarations.length === b.declarations.length &&
    a.declarations.every((one, at) => {
      const other = b.declarations[at]!;
      return one.valueText === other.valueText && one.property === other.property && one.important === other.important;
    })
  );
}
