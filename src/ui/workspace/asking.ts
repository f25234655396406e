/**
 * One way to ask the engine about the site that is open. Who asks the same of the same site shares the answer; an answer
 * about a page, conditions or files that are others by the time it comes is dropped.
 */
import type { Remote } from "comlink";
import type { Engine } from "@/engine/protocol";

/** What is asked again whenever the site is another, and told from what it is asked with alone. */
export type Question =
  | "asked"
  | "grounds"
  | "heldAgainst"
  | "inks"
  | "margins"
  | "linkLooks"
  | "mediaWidths"
  | "palette"
  | "placeNames"
  | "reports"
  | "rhythm"
  | "rulePlaces"
  | "selectorReach"
  | "outline"
  | "setting"
  | "sheets"
  | "siteColors"
  | "siteFonts"
  | "sizesAt"
  | "stacks"
  | "styleTable"
  | "trialContrasts"
  | "veils";

/** What answers are about. */
export interface About {
  page: unknown;
  conditions: unknown;
  files: unknown;
}

/** Answers kept at a time. */
const mostKept = 200;

export class Asking {
  private answers = new Map<string, Promise<unknown>>();
  private edition = -1;

  constructor(
    private readonly engine: Remote<Engine>,
    private readonly about: () => About,
  ) {}

  /** An answer about what is open now; null when that is another by the time it comes. */
  async current<Answer>(ask: (engine: Remote<Engine>) => Promise<Answer>): Promise<Answer | null> {
    const before = this.about();
    const answer = await ask(this.engine);
    const now = this.about();
    const isStill = now.page === before.page && now.conditions === before.conditions && now.files === before.files;
    return isStill ? answer : null;
  }

  /** The answer to a question, the same for all who ask it of one edition of the site. What fails is asked again. */
  shared<Name extends Question>(
    name: Name,
    args: Parameters<Engine[Name]>,
    edition: number,
  ): Promise<Awaited<ReturnType<Engine[Name]>>> {
    if (edition !== this.edition) this.answers = new Map();
    this.edition = edition;
    const answers = this.answers;
    const key = `${name} ${JSON.stringify(args)}`;
    let answer = answers.get(key);
    if (!answer) {
      if (answers.size >= mostKept) answers.clear();
      const ask = this.engine[name] as unknown as (...all: unknown[]) => Promise<unknown>;
      answer = ask(...args);
      answers.set(key, answer);
      answer.catch(() => answers.delete(key));
    }
    return answer as Promise<Awaited<ReturnType<Engine[Name]>>>;
  }
}
