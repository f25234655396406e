/** The core in its worker, started anew should it end: what was asked is asked once more. */
import { releaseProxy, wrap, type Remote } from "comlink";
import type { StoredFile } from "@/core";
import type { Engine } from "./protocol";
import { UnlessEnded } from "./unlessEnded";

/** The worker ended twice over the same question, or cannot be started. */
export class EngineError extends Error {
  constructor() {
    super(
      "The part of Hevret that reckons stopped and could not be started anew. Your files are as they were: export them.",
    );
  }
}

export interface EngineOwner {
  /** The site's files as they are now, for a worker that starts anew. */
  files(): StoredFile[];
  /** The worker ended and another took its place. */
  restarted(): void;
}

class Ended extends Error {}

/** One worker, from its start to its end. */
class Run {
  readonly engine: Remote<Engine>;
  readonly answers = new UnlessEnded();
  private readonly worker: Worker;

  constructor() {
    const name = `hevret-core ${crypto.randomUUID()}`;
    this.worker = new Worker(new URL("./worker.ts", import.meta.url), { type: "module", name });
    this.engine = wrap<Engine>(this.worker);
    this.worker.addEventListener("error", () => this.stop());
    this.watch(name).catch(() => this.stop());
  }

  /** The worker holds a lock as long as it lives, however it ends (Web Locks API, 3.4). */
  private async watch(name: string): Promise<void> {
    await this.answers.of(this.engine.started()).catch(() => undefined);
    await navigator.locks?.request(name, () => this.stop());
  }

  /** Settled once it has ended. */
  async over(): Promise<void> {
    await this.answers.of(new Promise(() => undefined)).catch(() => undefined);
  }

  stop(): void {
    this.worker.terminate();
    this.answers.end(new Ended());
  }

  release(): void {
    this.engine[releaseProxy]();
    this.stop();
  }
}

/** A worker that is started before a site is opened, so that it is there when it is. */
let spare: Run | null = null;

/** @param files a small site, to be worked through meanwhile */
export function prepareEngine(files: StoredFile[]): void {
  if (spare) return;
  spare = new Run();
  // It is for nobody but the worker.
  spare.engine.warm(files).catch(() => undefined);
}

function nextRun(): Run {
  const run = spare ?? new Run();
  spare = null;
  return run;
}

/** So often, within so many milliseconds, a worker is started anew; what ends it is the site then. */
const patience = { times: 3, within: 60_000 };

/** What has taken place with the files that a new worker is given. */
const takenIn = new Set<PropertyKey>(["commit", "open"]);

/** A worker with the core in it, and the way to end it. */
export function startEngine(owner: EngineOwner): { engine: Remote<Engine>; stop(): void } {
  let stopped = false;
  let starting: Promise<void> | null = null;
  let opened = false;
  let restarts: number[] = [];
  /** A run that is started anew as soon as it ends, even where nobody asks. */
  const start = (): Run => {
    const next = nextRun();
    next
      .over()
      .then(() => (opened && !stopped && !starting ? again(next, owner.files) : undefined))
      .catch(() => undefined);
    return next;
  };
  let run = start();
  const again = (ended: Run, files: () => StoredFile[]): Promise<void> => {
    if (run !== ended) return starting ?? Promise.resolve();
    const now = performance.now();
    restarts = [...restarts.filter((time) => now - time < patience.within), now];
    if (restarts.length > patience.times) return Promise.reject(new Ended());
    run = start();
    starting = run.answers
      .of(run.engine.open(files()))
      .then(() => owner.restarted())
      .finally(() => {
        starting = null;
      });
    return starting;
  };
  const ask = async (name: PropertyKey, asking: unknown[]): Promise<unknown> => {
    const call = (on: Run) =>
      on.answers.of((on.engine as unknown as Record<PropertyKey, (...all: unknown[]) => unknown>)[name]!(...asking));
    const first = run;
    try {
      const answer = await call(first);
      if (name === "open") opened = true;
      return answer;
    } catch (error) {
      if (!(error instanceof Ended)) throw error;
      // What nobody waits for any more is never answered.
      if (stopped) return new Promise(() => undefined);
      try {
        await again(first, name === "open" ? () => asking[0] as StoredFile[] : owner.files);
        return takenIn.has(name) ? undefined : await call(run);
      } catch (secondError) {
        throw secondError instanceof Ended ? new EngineError() : secondError;
      }
    }
  };
  const engine = new Proxy({} as Remote<Engine>, {
    // It is no promise, whoever asks.
    get: (_, name) => (name === "then" ? undefined : (...asking: unknown[]) => ask(name, asking)),
  });
  const stop = () => {
    stopped = true;
    run.release();
  };
  return { engine, stop };
}
