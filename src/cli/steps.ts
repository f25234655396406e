/** Long work, with how far it is on stderr. */

/** Milliseconds before anything is said, and between two lines. */
const saidEvery = 2000;

/** Carries out steps; those that say how far they are are told from time to time. */
export function withProgress<Result>(
  steps: Generator<{ done: number; of: number } | void, Result>,
  name: string,
  now: () => number = () => performance.now(),
): Result {
  let said = now();
  let far: { done: number; of: number } | null = null;
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    far = step.value ?? far;
    if (now() - said < saidEvery) continue;
    said = now();
    const words =
      !far || far.done < far.of ? `${far?.done ?? 0} of ${far?.of ?? "all"} pages read` : "looking for what is wrong";
    process.stderr.write(`${name}: ${words}…\n`);
  }
}
