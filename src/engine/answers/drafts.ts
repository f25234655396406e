/** Drafts of what a site has not: a dark scheme, more contrast, paper. */
import { definedProperties, draftedSite, draftSteps, writeDraft, writePaper } from "@/core";
import { site, turns, giveUp, asLatest, viewFor } from "../open";
import { filesOf } from "../attempt";
import type { DraftsAnswers } from "../protocol/drafts";

/** Steps that say which they are. */
function* numbered<Result>(steps: Generator<unknown, Result>): Generator<number, Result> {
  for (let at = 1; ; at += 1) {
    const step = steps.next();
    if (step.done) return step.value;
    yield at;
  }
}

export const draftsAnswers = {
  draft: async (asked, conditions, report) => {
    const steps = numbered(draftSteps(site, conditions, asked));
    return turns.inSlices(steps, asLatest("draft"), (looks) => void report?.(looks));
  },

  stopDraft: async () => {
    giveUp("draft");
  },

  writeDraft: async (draft, writing) => filesOf(() => writeDraft(site, draft, definedProperties(site), writing)),

  writePaper: async (asked, conditions) => filesOf(() => writePaper(site, conditions, asked)),

  draftView: async (draft, path, conditions) => viewFor(draftedSite(site, draft), path, conditions, { kept: false }),
} satisfies DraftsAnswers;
