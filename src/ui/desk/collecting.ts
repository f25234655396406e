/** What many pages that are looked at out of sight leave behind. */
import { collect } from "@/engine/collect";
import { useEngine } from "../workspace/context";

/** Elements that are laid out and painted, two or three times each, before what that took is collected. */
const many = 1_000;

/** Collects it once pages of so many elements were looked at, in the window and in the worker. */
export class Collecting {
  private left = many;

  constructor(private readonly engine: Pick<ReturnType<typeof useEngine>, "collect">) {}

  /** @param elements of the page that was looked at last */
  async after(elements: number): Promise<void> {
    this.left -= elements;
    if (this.left <= 0) await this.now();
  }

  async now(): Promise<void> {
    this.left = many;
    collect();
    await this.engine.collect();
  }
}
