/** Drafts of what a site has not: a dark scheme, more contrast, paper. */
import { definedProperties, draftedSite, draftSteps, writeDraft, writePaper } from "@/core";
import { site, turns, giveUp, asLatest, viewFor } from "../open";
import { filesOf } from "../attempt";
import type { DraftsAnswers } from "../protocol/drafts";

/** How far a draft is is told once in so many looks. */
const looksBetween = 10;

export const draftsAnswers = {
  draft: async (asked, conditions, report) => {
    let looks = 0;
    const told = () => void ((looks += 1) % looksBetween === 0 && report?.(looks));
    return turns.inSlices(draftSteps(site, conditions, asked), asLatest("draft"), told);
  },

  stopDraft: async () => {
    giveUp("draft");
  },

  writeDraft: async (draft, writing) => filesOf(() => writeDraft(site, draft, definedProperties(site), writing)),

  writePaper: async (asked, conditions) => filesOf(() => writePaper(site, conditions, asked)),

  draftView: async (draft, path, conditions) => viewFor(draftedSite(site, draft), path, conditions, { kept: false }),
} satisfies DraftsAnswers;
