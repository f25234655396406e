/** Whose turn it is in the worker: what somebody waits for goes before what is counted over the site. */

/** Milliseconds after which work in steps lets others in. */
const longestSlice = 20;
/** Milliseconds without a question before something is counted, and how long counting waits for them at the most. */
const quiet = { after: 400, most: 3000 };

const breath = (milliseconds = 0) => new Promise((resolve) => setTimeout(resolve, milliseconds));

export class Turns {
  /** When something was asked that somebody waits for. */
  private asked = -Infinity;
  /** Questions that are being answered. */
  private open = 0;

  constructor(private readonly now: () => number = () => performance.now()) {}

  /** Answers a question that somebody waits for. */
  async asking<Answer>(answer: () => Answer): Promise<Awaited<Answer>> {
    this.asked = this.now();
    this.open += 1;
    try {
      return await answer();
    } finally {
      this.open -= 1;
    }
  }

  /**
   * Carries out steps that somebody waits for; null as soon as they are not wanted any more.
   * @param told how far it is, once for each slice, where that is another step than before
   */
  async inSlices<Step, Result>(
    steps: Generator<Step, Result>,
    wanted: () => boolean,
    told: (step: Step) => void = () => undefined,
  ): Promise<Result | null> {
    return this.slices(steps, wanted, () => breath(), told);
  }

  /**
   * Carries out steps while nothing is asked; null as soon as they are not wanted any more.
   * @param told as in slices
   */
  async whileQuiet<Step, Result>(
    steps: Generator<Step, Result>,
    wanted: () => boolean,
    told: (step: Step) => void = () => undefined,
  ): Promise<Result | null> {
    await this.nothingAsked(wanted, quiet.after);
    if (!wanted()) return null;
    return this.slices(steps, wanted, () => this.nothingAsked(wanted, 0), told);
  }

  private async slices<Step, Result>(
    steps: Generator<Step, Result>,
    wanted: () => boolean,
    letIn: () => Promise<unknown>,
    told: (step: Step) => void = () => undefined,
  ): Promise<Result | null> {
    let started = this.now();
    let last: Step | null = null;
    for (;;) {
      const step = steps.next();
      if (step.done) return step.value;
      if (this.now() - started < longestSlice) continue;
      // Whoever is told hears of it between slices only, and has to be answered, too.
      if (step.value !== last) told(step.value);
      last = step.value;
      await letIn();
      if (!wanted()) return null;
      started = this.now();
    }
  }

  private async nothingAsked(wanted: () => boolean, since: number): Promise<void> {
    await breath();
    const started = this.now();
    while (wanted() && this.now() - started < quiet.most) {
      if (this.open === 0 && this.now() - this.asked >= since) return;
      await breath(quiet.after / 10);
    }
  }
}
