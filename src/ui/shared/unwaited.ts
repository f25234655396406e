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

/**
 * Work on something that may be taken away meanwhile, a frame for one: what fails once it is gone is nobody's concern.
 * (React tells of an unmount only after the nodes are gone.)
 */
export function unwaitedWhile(isThere: () => boolean, work: Promise<unknown>): void {
  unwaited(
    work.catch((error: unknown) => {
      if (isThere()) throw error;
    }),
  );
}
