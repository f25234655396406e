/** Work in steps, so that others can be let in between them. */

/** So many items are worked on between two steps: some take 2 ms, such as a misspelt value. */
const inOneStep = 100;

/** Works on one item after the other, with a step now and then. */
export function* eachInSteps<Item>(items: Iterable<Item>, work: (item: Item) => void): Generator<void, void> {
  let worked = 0;
  for (const item of items) {
    work(item);
    worked += 1;
    if (worked % inOneStep === 0) yield;
  }
}

/** Carries out all steps in one piece. */
export function finished<Result>(steps: Generator<unknown, Result>): Result {
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
