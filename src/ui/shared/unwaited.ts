/** Work that nobody waits for: what it throws is said all the same. */

type Listener = (error: unknown) => void;

const listeners = new Set<Listener>();

/** Tells of what fails while nobody waits for it. @returns what ends it */
export function onFailure(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

export function unwaited(work: Promise<unknown>): void {
  work.catch((error: unknown) => {
    if (listeners.size === 0) reportError(error);
    for (const listener of listeners) listener(error);
  });
}
