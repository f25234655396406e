/** Looks again whenever a file changes. */
import { statSync, watch, type FSWatcher } from "node:fs";
import { dirname } from "node:path";

/** Milliseconds in which changes count as one: programs write files in several steps. */
const together = 150;

/** Runs once and then after every change, until it is told to stop. */
export async function whenChanged(
  paths: readonly string[],
  work: () => Promise<void>,
  stop: AbortSignal,
): Promise<void> {
  let changed: (() => void) | null = null;
  let pending = false;
  const tell = () => {
    pending = true;
    changed?.();
  };
  const watchers = paths.map((path): FSWatcher => {
    const isFolder = statSync(path).isDirectory();
    return watch(isFolder ? path : dirname(path), { recursive: isFolder }, tell);
  });
  stop.addEventListener("abort", tell);
  try {
    await work();
    while (!stop.aborted) {
      if (!pending) await new Promise<void>((resolve) => (changed = resolve));
      changed = null;
      if (stop.aborted) return;
      await new Promise((resolve) => setTimeout(resolve, together));
      pending = false;
      await work();
    }
  } finally {
    for (const watcher of watchers) watcher.close();
  }
}
