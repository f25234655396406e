/** The pages whose values are recorded for unit tests: all of them are compared with the browser in every run. */
import type { SiteFile } from "../../src/core";
import { causePages } from "./causes";
import { formsPage } from "./forming";
import { hintingPage } from "./hinting";
import { longhandPage, mixedPage } from "./mixed";
import { nastyPages } from "./nasty";
import { pageText, randomPage } from "./random";
import { pseudoingPage } from "./pseudoing";
import { selectingPage } from "./selecting";
import { sheetingSite } from "./sheeting";
import { variablingPage } from "./variabling";

const seeds = { values: 30, selecting: 20, variables: 20, pseudos: 10, sheets: 20, hints: 10, forms: 20 };
/** Pages of shorthands, and of longhands, of random parts. */
const mixed = { shorthands: 3, longhands: 5 };

/** Random pages are recorded in both schemes, others in the light one. */
export const isRandom = (path: string): boolean => path.startsWith("random-");

/** Width of the window, CSS px. */
export const recordedWidth = 800;

const seeded = (count: number, name: string, textOf: (seed: number) => string): SiteFile[] =>
  Array.from({ length: count }, (_, at) => ({ path: `${name}-${at + 1}.html`, text: textOf(at + 1) }));

export const recordedFiles = (): SiteFile[] => [
  ...seeded(seeds.values, "random", (seed) => pageText(randomPage(seed))),
  ...seeded(seeds.selecting, "selecting", (seed) => pageText(selectingPage(seed))),
  ...seeded(seeds.variables, "variables", (seed) => pageText(variablingPage(seed))),
  ...seeded(seeds.pseudos, "pseudos", (seed) => pageText(pseudoingPage(seed))),
  ...seeded(seeds.hints, "hints", hintingPage),
  ...seeded(seeds.forms, "forms", formsPage),
  ...Array.from({ length: seeds.sheets }, (_, at) => sheetingSite(at + 1)).flat(),
  ...seeded(mixed.shorthands, "mixed", mixedPage),
  ...seeded(mixed.longhands, "longhands", longhandPage),
  ...causePages().map(({ path, text }) => ({ path: `cause-${path}`, text })),
  ...nastyPages(),
];
