import type { ElementRef, Slip, SlipRowValue, Target } from "@/core";
import type { Shown } from "@/preview/frame";
import type { Draft } from "../useDraft";

/** What a chapter of the slip is given. */
export interface ChapterProps {
  row: SlipRowValue;
  slip: Slip;
  target: Target | null;
  draft: Draft;
  /** Places the rule that is written to reaches. */
  places: readonly ElementRef[];
  shown: Shown | null;
}
