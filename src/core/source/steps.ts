/** Work in steps, so that others can be let in between them. */

/** Carries out all steps in one piece. */
export function finished<Result>(steps: Generator<unknown, Result>): Result {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
