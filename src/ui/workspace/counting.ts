/** What is counted over the site: nobody waits for it, and it is counted anew whenever it may be another. */
import { proxy } from "comlink";
import type { Kept } from "./kept";
import type { Desk } from "./state";
import { troubles } from "./troubles";

/** After so many surveyed pages what is counted over the site is counted anew. */
const countedEvery = 25;

/** Work that takes longer than this says how far it is, in milliseconds. */
const noticeable = 300;

export class Counting {
  constructor(
    private readonly desk: Desk,
    private readonly kept: Kept,
  ) {}

  async now(): Promise<void> {
    const { engine, get, set } = this.desk;
    const started = performance.now();
    const before = get().reading;
    if (before?.paused) set({ reading: { ...before, paused: false } });
    const report = proxy((done: number, of: number) => {
      // What was under way as it was paused is told afterwards.
      if (performance.now() - started < noticeable || get().reading?.paused) return;
      set({ reading: done < of ? { done, of, paused: false } : null });
    });
    const summary = await engine.summary(get().conditions, report);
    if (!summary) return;
    set({ summary, reading: null });
    await this.keepFound();
  }

  readonly later = (): void => {
    this.now().catch(this.desk.failed);
  };

  /** What was counted until then is kept. */
  readonly pause = (paused: boolean): void => {
    const { engine, get, set, failed } = this.desk;
    const { reading } = get();
    if (!reading) return;
    if (!paused) return this.later();
    set({ reading: { ...reading, paused } });
    engine.stopSummary().catch(failed);
  };

  /** The engine ended and was started anew. */
  readonly restarted = (): void => {
    const { set, renew } = this.desk;
    set({ reading: null, notice: "The part of Hevret that reckons stopped and was started anew. Nothing is lost." });
    renew();
    this.later();
  };

  keepFound(): Promise<void> {
    return this.kept.found(troubles(this.desk.get()).length);
  }

  /** So many of the pages that are not shown were laid out. */
  readonly surveyed = (done: number, of: number): void => {
    const { get, set, renew } = this.desk;
    if (done >= of && !get().survey) return;
    set({ survey: done < of ? { done, of, paused: get().survey?.paused ?? false } : null });
    if (done === 0 || (done < of && done % countedEvery !== 0)) return;
    renew();
    this.later();
  };
}
