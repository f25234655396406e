/** What is handed over, and what differs between two versions. */
import { changeSite, changesInWords, comparedSteps, reports, siteOf, withFiles } from "@/core";
import { site, turns, asLatest, knownLayouts, knownStresses } from "../open";
import type { ComparedSide, ReportsAnswers } from "../protocol/reports";

/** How often reports were stopped; several may be made at a time. */
let stoppedReports = 0;

export const reportsAnswers = {
  reports: async () => reports.map(({ id, group, label, hint }) => ({ id, group, label, hint })),

  report: async (id, about, conditions) => {
    const report = reports.find((one) => one.id === id);
    if (!report) throw new RangeError(`There is no report ${id}.`);
    const stresses = knownStresses(site, conditions);
    const steps = report.make({ ...about, site, conditions, layouts: knownLayouts(conditions), stresses });
    const since = stoppedReports;
    const text = await turns.inSlices(steps, () => since === stoppedReports);
    return text === null ? null : { file: report.file, type: report.type, text };
  },

  stopReports: async () => {
    stoppedReports += 1;
  },

  compare: async (before, after, conditions) => {
    const sideOf = ({ changes, files, page }: ComparedSide) => ({
      site: changeSite(withFiles(site, files), changes),
      page,
    });
    return turns.inSlices(comparedSteps(sideOf(before), sideOf(after), conditions), asLatest("compare"));
  },

  changesInWords: async (before, conditions) =>
    turns.inSlices(changesInWords(siteOf(before), site, conditions), asLatest("changesInWords")),
} satisfies ReportsAnswers;
