/** The pages whose values are recorded for unit tests: all of them are compared with the browser in every run. */
import type { SiteFile } from "../../src/core";
import { causePages } from "./causes";
import { mixedPage } from "./mixed";
import { nastyPages } from "./nasty";
import { pageText, randomPage } from "./random";

const seeds = 30;
/** Pages of shorthands. */
const mixed = 3;

/** Random pages are recorded in both schemes, others in the light one. */
export const isRandom = (path: string): boolean => path.startsWith("random-");

/** Width of the window, CSS px. */
export const recordedWidth = 800;

export const recordedFiles = (): SiteFile[] => [
  ...Array.from({ length: seeds }, (_, at) => ({ path: `random-${at + 1}.html`, text: pageText(randomPage(at + 1)) })),
  ...Array.from({ length: mixed }, (_, at) => ({ path: `mixed-${at + 1}.html`, text: mixedPage(at + 1) })),
  ...causePages().map(({ path, text }) => ({ path: `cause-${path}`, text })),
  ...nastyPages(),
];
