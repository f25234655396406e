/** What many pages that are looked at out of sight leave behind. */
import { collect } from "@/engine/collect";
import { whenCalm } from "./calm";

/**
 * Elements that are looked at before what that took is collected. In the window this is after all but small pages: they
 * and their pictures are documents, which are let go only at the second time, and what a browser once made room for stays
 * in pieces. In the worker all is marked that is known of the site, and little is left behind.
 */
const inWindow = 100;
const inWorker = 1_000;

/** Collects it once pages of so many elements were looked at, in the window and in the worker. */
export class Collecting {
  private inWindow = inWindow;
  private inWorker = inWorker;

  /** @param current false once the look is given up: nothing is collected then */
  constructor(
    private readonly engine: { collect(): PromiseLike<void> },
    private readonly current: () => boolean,
  ) {}

  /** @param elements of the page that was looked at last */
  async after(elements: number): Promise<void> {
    this.inWindow -= elements;
    this.inWorker -= elements;
    if (this.inWindow <= 0) await this.now(this.inWorker <= 0);
  }

  /** Once nobody touches anything: what is touched meanwhile would wait. */
  async now(alsoInWorker: boolean): Promise<void> {
    await whenCalm(this.current);
    if (!this.current()) return;
    this.inWindow = inWindow;
    collect();
    if (!alsoInWorker) return;
    this.inWorker = inWorker;
    await this.engine.collect();
  }
}
