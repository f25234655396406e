/** What is counted over all pages of a site. */
import {
  colorSpotSteps,
  computedValue,
  findingSteps,
  isPlace,
  pagesOf,
  sheetsOf,
  styledPage,
  textStyleKey,
  type Conditions,
  type KnownPage,
  type Layouts,
  type Site,
  type Stresses,
} from "@/core";
import type { SiteSummary } from "./protocol";
import { titleOf } from "./views";

/** How many pages are done. */
export interface Progress {
  done: number;
  of: number;
}

/** In steps between which others are let in; what an edit cannot have changed is not looked at again. */
export function* summarySteps(
  site: Site,
  conditions: Conditions,
  layouts: Layouts,
  stresses: Stresses = {},
): Generator<Progress, SiteSummary> {
  const files = pagesOf(site);
  const pages: KnownPage[] = [];
  const counted: CountedPage[] = [];
  for (const file of files) {
    const page = styledPage(site, file, conditions);
    pages.push(page);
    counted.push(countedOn(page));
    yield { done: pages.length, of: files.length };
  }
  const done = { done: files.length, of: files.length };
  const spots = yield* saying(done, colorSpotSteps(site));
  const findings = yield* saying(done, findingSteps({ site, pages, conditions, layouts, stresses }));
  return {
    pages: counted.map(({ title, places }, at) => ({
      path: files[at]!.path,
      title,
      places,
      sheets: [...pages[at]!.sources],
    })),
    sheets: sheetsOf(site).map(({ path }) => path),
    textStyles: new Set(counted.flatMap(({ keys }) => keys)).size,
    stacks: new Set(counted.flatMap(({ stacks }) => stacks)).size,
    colors: new Set(spots.map(({ value }) => value)).size,
    findings,
  };
}

/** Steps that all say the same. */
function* saying<Result>(progress: Progress, steps: Generator<unknown, Result>): Generator<Progress, Result> {
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value;
    yield progress;
  }
}

interface CountedPage {
  title: string;
  places: number;
  keys: string[];
  stacks: string[];
}

const known = new WeakMap<KnownPage["styles"], CountedPage>();

function countedOn(page: KnownPage): CountedPage {
  let counted = known.get(page.styles);
  if (!counted) {
    const places = page.styles.filter(isPlace);
    counted = {
      title: titleOf(page.file),
      places: places.length,
      keys: [...new Set(places.map(textStyleKey))],
      stacks: [...new Set(places.map((style) => computedValue(style, "font-family")))],
    };
    known.set(page.styles, counted);
  }
  return counted;
}
