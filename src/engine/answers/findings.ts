/** Ways to set right what checks found. */
import {
  allRightSteps,
  changeSite,
  conditionsUnder,
  fixSteps,
  lookOf,
  type Conditions,
  type Finding,
  type Layouts,
  type Site,
} from "@/core";
import { site, turns, asLatest, knownLayouts, knownStresses, measuredNow } from "../open";
import type { FindingsAnswers, FindingView } from "../protocol/findings";

/** How often each that shows ways to set a finding right has asked for some. */
const askers = new Map<string, number>();

/** The ways to set a finding right, with the first of its texts as it is and as it would be. */
function* findingView(from: Site, finding: Finding, conditions: Conditions): Generator<void, FindingView> {
  const known = knownLayouts(conditions);
  const stresses = knownStresses(from, conditions);
  const fixes = yield* fixSteps(from, finding, conditions, { layouts: known, stresses });
  const [place] = finding.places;
  const then = conditionsUnder(finding, conditions);
  const look = (of: Site, layouts: Layouts) =>
    place ? lookOf(of, place, then, then === conditions ? layouts : {}) : null;
  return {
    now: look(from, known),
    fixes: fixes.map((fix) => ({ ...fix, then: look(changeSite(from, fix.changes), {}) })),
  };
}

export const findingsAnswers = {
  fixes: async (finding, conditions, asker) => {
    const mine = (askers.get(asker) ?? 0) + 1;
    askers.set(asker, mine);
    return turns.inSlices(findingView(site, finding, conditions), () => askers.get(asker) === mine);
  },

  setAllRight: async (findings, conditions) =>
    turns.inSlices(allRightSteps(site, findings, conditions, measuredNow(conditions)), asLatest("allRight")),
} satisfies FindingsAnswers;
