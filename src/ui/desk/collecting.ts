/** What many pages that are looked at out of sight leave behind. */
import { collect } from "@/engine/collect";
import type { useEngine } from "../workspace/context";
import { whenCalm } from "./calm";

/** Elements that are laid out and painted, two or three times each, before what that took is collected. */
const many = 1_000;

/** Collects it once pages of so many elements were looked at, in the window and in the worker. */
export class Collecting {
  private left = many;

  /** @param current false once the look is given up: nothing is collected then */
  constructor(
    private readonly engine: Pick<ReturnType<typeof useEngine>, "collect">,
    private readonly current: () => boolean,
  ) {}

  /** @param elements of the page that was looked at last */
  async after(elements: number): Promise<void> {
    this.left -= elements;
    if (this.left <= 0) await this.now();
  }

  /** Once nobody touches anything: what is touched meanwhile would wait. */
  async now(): Promise<void> {
    this.left = many;
    await whenCalm(this.current);
    if (!this.current()) return;
    collect();
    await this.engine.collect();
  }
}
