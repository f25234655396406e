/** What the core answers in its worker. It holds the site; the interface asks and shows. */
import { draftsAnswers } from "./answers/drafts";
import { editsAnswers } from "./answers/edits";
import { findingsAnswers } from "./answers/findings";
import { pagesAnswers } from "./answers/pages";
import { reportsAnswers } from "./answers/reports";
import { sheetsAnswers } from "./answers/sheets";
import { siteAnswers } from "./answers/site";
import { sourceAnswers } from "./answers/source";
import { stacksAnswers } from "./answers/stacks";
import { textsAnswers } from "./answers/texts";
import { turns } from "./open";
import type { Engine } from "./protocol";

/** What the interface asks; all but `started`, which is the worker's own. */
const answers: Omit<Engine, "started"> = {
  ...siteAnswers,
  ...pagesAnswers,
  ...textsAnswers,
  ...editsAnswers,
  ...stacksAnswers,
  ...sheetsAnswers,
  ...sourceAnswers,
  ...draftsAnswers,
  ...findingsAnswers,
  ...reportsAnswers,
};

/** What nobody waits for. */
const counting: readonly (keyof Engine)[] = [
  "collect",
  "siteFonts",
  "stressed",
  "summary",
  "stopSummary",
  "unlaidPages",
  "unstressedPages",
  "warm",
];

/** The same, where whatever somebody waits for goes before what is counted. */
export const engine = Object.fromEntries(
  Object.entries(answers).map(([name, answer]: [string, (...asking: never[]) => unknown]) => [
    name,
    counting.includes(name as keyof Engine) ? answer : (...asking: never[]) => turns.asking(() => answer(...asking)),
  ]),
) as unknown as typeof answers;
