/** Steps of margins and paddings: what a room snaps to, and one step brought to another. */
import type { Edit, Target } from "../edits/types";
import { sizeIn } from "../type/lengths";

/** A margin or padding as it is set somewhere. */
export interface StepUse {
  target: Target;
  /** A longhand: "margin-top". */
  property: string;
  /** "h2", or the style attribute. */
  selector: string;
  /** How many elements get it. */
  elements: number;
  /** What `em` and `rem` come to there, CSS px. */
  em: number;
  rem: number;
  /** The unit that it is written in, where that can be told. */
  unit: "px" | "em" | "rem";
}

export interface RhythmStep {
  /** CSS px; never 0. */
  px: number;
  elements: number;
  uses: StepUse[];
  /** The step so near that one would do, used more than this; null where there is none. */
  twin: number | null;
}

/** The nearest step on one of several, or on lines a grid apart; CSS px. */
export function nearestRoom(px: number, on: { steps: readonly number[] } | { grid: number }): number {
  if ("grid" in on) return Math.round(px / on.grid) * on.grid;
  return on.steps.reduce((a, b) => (Math.abs(b - px) < Math.abs(a - px) ? b : a), on.steps[0] ?? px);
}

/** What brings all uses of a step to another, each in the unit it is written in. */
export function roomEdits({ uses }: Pick<RhythmStep, "uses">, px: number): Edit[] {
  return uses.map(({ target, property, unit, em, rem }) => ({
    kind: "declare",
    target,
    property,
    value: px === 0 ? "0" : sizeIn(px, unit, { parent: em, root: rem, width: 0 }),
  }));
}
