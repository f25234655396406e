/** What many pages that are looked at out of sight leave behind. */
import { collect, collectAll } from "@/engine/collect";
import { isNobodyThere, whenCalm } from "./calm";

/**
 * Elements that are looked at before what that took is collected. In the window this is after all but small pages: they
 * and their pictures are documents, which are let go only at the second time, and what a browser once made room for stays
 * in pieces. In the worker all is marked that is known of the site, and little is left behind.
 */
const inWindow = 100;
const inWorker = 1_000;
/** Elements after which all is collected, should nobody be there: window and worker stand still for it. */
const inAll = 7_000;

/** Collects it once pages of so many elements were looked at, in the window and in the worker. */
export class Collecting {
  private inWindow = inWindow;
  private inWorker = inWorker;
  private inAll = 0;

  /** @param current false once the look is given up: nothing is collected then */
  constructor(
    private readonly engine: { collect(all: boolean): PromiseLike<void> },
    private readonly current: () => boolean,
  ) {}

  /** @param elements of the page that was looked at last */
  async after(elements: number): Promise<void> {
    this.inWindow -= elements;
    this.inWorker -= elements;
    this.inAll -= elements;
    if (this.inWindow <= 0) await this.now(this.inWorker <= 0);
  }

  /** Once nobody touches anything: what is touched meanwhile would wait. */
  async now(alsoInWorker: boolean): Promise<void> {
    await whenCalm(this.current);
    if (!this.current()) return;
    const all = alsoInWorker && this.inAll <= 0 && isNobodyThere();
    if (all) this.inAll = inAll;
    this.inWindow = inWindow;
    (all ? collectAll : collect)();
    if (!alsoInWorker) return;
    this.inWorker = inWorker;
    await this.engine.collect(all);
  }
}
