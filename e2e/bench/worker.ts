/** The core in a worker, timed step by step. Milliseconds. */
import { applyPlan, computedValue, defaultConditions, openSite, pagesOf, planEdit, reportedLonghands, styledPage, type Site, type SiteFile } from "../../src/core";

export interface Timing {
  elements: number;
  /** Reading the files, the whole analysis from nothing, the analysis after one declaration changed. */
  read: number;
  full: number;
  again: number;
}

/** Every element's reported longhands as text: what is compared with the browser's own work. */
function analyse(site: Site): number {
  let elements = 0;
  for (const file of pagesOf(site)) {
    for (const style of styledPage(site, file, defaultConditions).styles) {
      for (const name of reportedLonghands) computedValue(style, name);
      elements += 1;
    }
  }
  return elements;
}

function time(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

self.onmessage = ({ data }: MessageEvent<{ files: SiteFile[]; rule: { path: string; start: number }; values: string[] }>) => {
  const { files, rule, values } = data;
  let site: Site | null = null;
  let elements = 0;
  const read = time(() => {
    site = openSite(files);
  });
  const full = time(() => {
    elements = analyse(site!);
  });
  const rounds = values.map((value) => {
    const plan = planEdit(site!, { kind: "declare", target: { kind: "rule", ...rule }, property: "letter-spacing", value });
    // Applied anew, so that nothing made while planning is used again.
    const changed = applyPlan(site!, plan);
    const again = time(() => analyse(changed));
    site = changed;
    return again;
  });
  self.postMessage({ elements, read, full, again: rounds.sort((a, b) => a - b)[rounds.length >> 1] } as Timing);
};
