/** Milliseconds after which it is begun, however busy the browser is. */
const patience = 3000;

/** Begins something nobody waits for when the browser has nothing else to do; gives the way to leave it. */
export function whenIdle(begin: () => Promise<void>): () => void {
  // What cannot be loaded now is loaded, and said, when it is needed.
  const start = () => void begin().catch(() => undefined);
  if (!("requestIdleCallback" in window)) {
    const timer = setTimeout(start, patience);
    return () => clearTimeout(timer);
  }
  const idle = requestIdleCallback(start, { timeout: patience });
  return () => cancelIdleCallback(idle);
}
