/** Font stacks and font files. All of it is plain data. */
import type { Conditions, StackUse } from "@/core";
import type { WrittenChanges } from "./edits";

export interface StacksAnswers {
  stacks(conditions: Conditions): Promise<StackUse[]>;
  /** A fallback with the measures of a stack's first member, from a local face. */
  matchFallback(stack: string, fallback: string, conditions: Conditions): Promise<WrittenChanges>;
  /** Reads a font file; the problem when it is none. */
  checkFont(bytes: Uint8Array): Promise<{ family: string; style: string; problem: string | null }>;
  /** The changes that declare a font file which is to be put into the site. */
  declareFont(path: string, bytes: Uint8Array, family: string): Promise<WrittenChanges>;
  /** Another stack wherever one is written. */
  restack(stack: string, instead: string): Promise<WrittenChanges>;
  nameStack(stack: string, name: string): Promise<WrittenChanges>;
}
