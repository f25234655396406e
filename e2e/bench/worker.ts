/** The core in a worker, timed step by step. Milliseconds. */
import {
  applyPlan,
  computedValue,
  defaultConditions,
  openSite,
  pagesOf,
  planEdit,
  reportedLonghands,
  styledPage,
  type Site,
  type SiteFile,
} from "../../src/core";

export interface Timing {
  elements: number;
  /** Taking the files in, the very first analysis in the worker, the whole of new files once the code is warm, after one declaration. */
  read: number;
  first: number;
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

function median(values: number[]): number {
  return values.sort((a, b) => a - b)[values.length >> 1]!;
}

function time(work: () => void): number {
  const start = performance.now();
  work();
  return performance.now() - start;
}

self.onmessage = ({
  data,
}: MessageEvent<{ files: SiteFile[]; rule: { path: string; start: number }; values: string[] }>) => {
  const { files, rule, values } = data;
  let site: Site | null = null;
  let elements = 0;
  const read = time(() => {
    site = openSite(files);
  });
  const first = time(() => {
    elements = analyse(site!);
  });
  const full = median(
    values.map(() => {
      const fresh = openSite(files);
      return time(() => analyse(fresh));
    }),
  );
  const rounds = values.map((value) => {
    const plan = planEdit(site!, {
      kind: "declare",
      target: { kind: "rule", ...rule },
      property: "letter-spacing",
      value,
    });
    // Applied anew, so that nothing made while planning is used again.
    const changed = applyPlan(site!, plan);
    const again = time(() => analyse(changed));
    site = changed;
    return again;
  });
  self.postMessage({ elements, read, first, full, again: median(rounds) } satisfies Timing);
};
