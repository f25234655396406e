/** Edits: what they change, what they reach, what they do to contrast. */
import {
  alikeOf,
  changeSite,
  combine,
  definedProperties,
  editsOn,
  judgeChange,
  judgeSteps,
  nameColor,
  outlineAfter,
  planOnPage,
  planSteps,
  planWithFiles,
  retag,
  rulePlaces,
  selectorReachSteps,
  trialContrasts,
  type FileChange,
  type Judged,
  type Conditions,
  type Edit,
  type Plan,
  type Site,
  type TextChange,
} from "@/core";
import { site, turns, giveUp, asLatest, knownLayouts } from "../open";
import { attempt, changesOf } from "../attempt";
import type { EditsAnswers, PlanResult } from "../protocol/edits";

/** What a plan does to contrast. */
function judged({ changes, reach }: Plan, conditions: Conditions): Judged {
  return judgeChange(site, changeSite(site, changes), changes, reach.places, conditions, knownLayouts(conditions));
}

/** A plan that is counted over the site, as the site is when it is asked for. */
function* judgedPlan(from: Site, edit: Edit, conditions: Conditions): Generator<void, PlanResult> {
  const known = knownLayouts(conditions);
  const plan = yield* planSteps(from, edit, conditions);
  const judged = yield* judgeSteps(
    from,
    changeSite(from, plan.changes),
    plan.changes,
    plan.reach.places,
    conditions,
    known,
  );
  return { plan, judged, problem: null };
}

/** What is changed once sheets were put in or taken out. */
function* movedPlan(
  from: Site,
  changes: readonly TextChange[],
  files: readonly FileChange[],
  conditions: Conditions,
): Generator<void, PlanResult> {
  return { plan: yield* planWithFiles(from, changes, files, conditions), judged: null, problem: null };
}

export const editsAnswers = {
  plan: async (edit, conditions, page) => {
    giveUp("reach");
    const { made: plan, problem } = attempt(() => planOnPage(site, edit, conditions, page));
    return { plan, judged: plan && judged(plan, conditions), problem };
  },

  reach: async (edit, conditions, files = []) => {
    const wanted = asLatest("reach");
    const moves = edit.kind === "text" && files.some(({ path }) => path.endsWith(".css"));
    const steps = moves ? movedPlan(site, edit.changes, files, conditions) : judgedPlan(site, edit, conditions);
    // The first step makes the changes, and says why it cannot.
    const { problem } = attempt(() => steps.next());
    return problem === null ? turns.inSlices(steps, wanted) : { plan: null, judged: null, problem };
  },

  combine: async (edits) => changesOf(() => combine(site, edits)),

  editsOn: async (texts, conditions) => {
    const { made, problem } = attempt(() =>
      texts.flatMap(({ ref, declarations }) => editsOn(site, ref, declarations, conditions)),
    );
    return { edits: made ?? [], problem };
  },

  retag: async (ref, to, all) => {
    const { changes, problem } = changesOf(() => retag(site, all ? alikeOf(site, ref) : [ref], to));
    return { changes, outline: outlineAfter(site, changes), problem };
  },

  nameColor: async (spots, name) => changesOf(() => nameColor(site, spots, name, definedProperties(site))),

  trialContrasts: async (picked, candidates, conditions) =>
    trialContrasts(site, picked, candidates, conditions, knownLayouts(conditions)),

  selectorReach: async (path, selectors, conditions) =>
    turns.inSlices(selectorReachSteps(site, path, selectors, conditions), asLatest("selectors")),

  rulePlaces: async (path, selectors) => rulePlaces(site, path, selectors),
} satisfies EditsAnswers;
