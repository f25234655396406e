/** Edits made here that are not stored yet, and the texts as they are stored: what is written is never written blindly. */
import { applyChanges, invertChanges, rebased, type TextChange } from "@/core";

export interface PendingStep {
  label: string;
  changes: readonly TextChange[];
}

export class Pending {
  private steps: PendingStep[] = [];
  private stored = new Map<string, string>();

  /** The texts were read as they are stored. */
  read(texts: ReadonlyMap<string, string>): void {
    this.steps = [];
    this.stored = new Map(texts);
  }

  get isEmpty(): boolean {
    return this.steps.length === 0;
  }

  add(step: PendingStep): void {
    this.steps.push(step);
  }

  /** Writes one step after the other, oldest first; what cannot be written stays, and what writing threw is thrown. */
  async store(write: (step: PendingStep) => Promise<void>): Promise<void> {
    for (let next = this.steps[0]; next; next = this.steps[0]) {
      await write(next);
      this.steps.shift();
      this.moved(next.changes);
    }
  }

  /** Takes the last step away; the changes that take it back, null where nothing is pending. */
  takeBack(): TextChange[] | null {
    const step = this.steps.pop();
    if (!step) return null;
    return [...new Set(step.changes.map(({ path }) => path))].flatMap((path) =>
      invertChanges(
        this.textAfter(path),
        step.changes.filter((change) => change.path === path),
      ),
    );
  }

  /** A text with all that is pending. */
  private textAfter(path: string): string {
    const apply = (text: string, { changes }: PendingStep) =>
      applyChanges(
        text,
        changes.filter((change) => change.path === path),
      );
    return this.steps.reduce(apply, this.stored.get(path) ?? "");
  }

  /** What is stored was changed from here. */
  moved(changes: readonly TextChange[]): void {
    for (const path of new Set(changes.map((change) => change.path))) {
      const text = this.stored.get(path);
      const own = changes.filter((change) => change.path === path);
      if (text !== undefined) this.stored.set(path, applyChanges(text, own));
    }
  }

  /**
   * All that is pending, as one step upon texts that another window stored meanwhile.
   * Null where both changed the same place, or a file is gone.
   */
  upon(theirs: ReadonlyMap<string, string>): PendingStep | null {
    const changes: TextChange[] = [];
    for (const path of new Set(this.steps.flatMap((step) => step.changes.map((change) => change.path)))) {
      const [base, there] = [this.stored.get(path), theirs.get(path)];
      if (base === undefined || there === undefined) return null;
      const moved = rebased(path, base, this.textAfter(path), there);
      if (!moved) return null;
      changes.push(...moved);
    }
    return { label: this.steps.map(({ label }) => label).join("; "), changes };
  }
}
