/** The core in a worker, timed step by step. Milliseconds. */
import { summarySteps } from "../../src/engine/summary";
import { warmSteps } from "../../src/engine/warm";
import { siteToWarmOn } from "../../src/store/warming";
import {
  applyPlan,
  changeSite,
  computedValue,
  defaultConditions,
  openSite,
  pagesOf,
  planEdit,
  planOnPage,
  reportedLonghands,
  slipAtOnce,
  styledPage,
  textFile,
  type Site,
  type SiteFile,
} from "../../src/core";

export interface Timing {
  elements: number;
  /**
   * Taking the files in, the very first analysis in the worker, the whole of new files in the next five, and in five more
   * once the code is warm, after one declaration.
   */
  read: number;
  first: number;
  next: number;
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

interface Pages {
  files: SiteFile[];
  rule: { path: string; start: number };
  values: string[];
}

type Asked = Pages | { site: SiteFile[] } | { ready: SiteFile[] };

self.onmessage = ({ data }: MessageEvent<Asked>) => {
  if ("ready" in data) self.postMessage(readyTiming(data.ready));
  else self.postMessage("site" in data ? siteTiming(data.site) : pagesTiming(data));
};

/** The first analysis in a worker that has worked through what the application's do before a site is opened. */
function readyTiming(files: SiteFile[]): number {
  for (const steps = warmSteps(siteToWarmOn().files); !steps.next().done;);
  const site = openSite(files);
  return time(() => analyse(site));
}

export interface SiteTiming {
  elements: number;
  /** Styling all pages once, counting all, counting again after one declaration, and the longest step of counting. */
  style: number;
  count: number;
  again: number;
  longest: number;
  /** A slip, and an edit planned for its page and for all pages; medians. */
  slip: number;
  first: number;
  whole: number;
}

/** The edits that are planned: one text, a class, the ink of all, a name, a rule of its own. */
const edits: readonly (readonly [path: string, rule: string, property: string, value: string])[] = [
  ["css/base.css", ".lead {", "font-size", "1.4em"],
  ["css/base.css", "h2 {", "font-size", "1.8rem"],
  ["css/base.css", "body {", "color", "#112233"],
  ["css/base.css", ":root {", "--sea-700", "#234567"],
  ["css/parts.css", ".card__title", "font-weight", "600"],
];

function siteTiming(files: SiteFile[]): SiteTiming {
  const site = openSite(files);
  let elements = 0;
  const style = time(() => {
    for (const file of pagesOf(site)) elements += styledPage(site, file, defaultConditions).styles.length;
  });
  let longest = 0;
  const counted = (of: Site) => {
    let last = performance.now();
    for (const steps = summarySteps(of, defaultConditions, {}); !steps.next().done; last = performance.now())
      longest = Math.max(longest, performance.now() - last);
  };
  const count = time(() => counted(site));
  const page = pagesOf(site)[0]!.path;
  const { styles } = styledPage(site, pagesOf(site)[0]!, defaultConditions);
  const picks = styles.filter(({ element }) => /^(?:h[123]|td|p)$/.test(element.tag)).slice(0, 15);
  const slip = median(
    picks.map(({ element: { index } }) => time(() => slipAtOnce(site, { page, index }, defaultConditions))),
  );
  const plans = edits.map(([path, rule, property, value]) => {
    const start = textFile(site, path)!.text.indexOf(rule);
    const edit = { kind: "declare", target: { kind: "rule", path, start }, property, value } as const;
    return {
      first: time(() => planOnPage(site, edit, defaultConditions, page)),
      whole: time(() => planEdit(site, edit)),
    };
  });
  const [path, rule, , value] = edits[0]!;
  const start = textFile(site, path)!.text.indexOf(rule) + rule.length;
  const after = changeSite(site, [{ path, start, end: start, insert: ` font-size: ${value};` }]);
  const again = time(() => counted(after));
  return {
    elements,
    style,
    count,
    again,
    longest,
    slip,
    first: median(plans.map(({ first }) => first)),
    whole: median(plans.map(({ whole }) => whole)),
  };
}

/** Analyses of small pages after which browsers have made of the code what they will. */
const untilWarm = 15;

function pagesTiming({ files, rule, values }: Pages): Timing {
  let site: Site | null = null;
  let elements = 0;
  const read = time(() => {
    site = openSite(files);
  });
  const first = time(() => {
    elements = analyse(site!);
  });
  const anew = (times: number) =>
    Array.from({ length: times }, () => {
      const fresh = openSite(files);
      return time(() => analyse(fresh));
    });
  const next = median(anew(5));
  anew(untilWarm);
  const full = median(anew(5));
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
  return { elements, read, first, next, full, again: median(rounds) };
}
