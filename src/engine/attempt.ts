/** What can be refused for a reason that somebody can read. */
import { EditError, TokensError, type FileChange, type TextChange } from "@/core";
import type { WrittenChanges, WrittenFiles } from "./protocol";

/** What was made, or why it cannot be. */
export function attempt<Made>(make: () => Made): { made: Made | null; problem: string | null } {
  try {
    return { made: make(), problem: null };
  } catch (error) {
    const isKnown = error instanceof EditError || error instanceof RangeError || error instanceof TokensError;
    if (isKnown) return { made: null, problem: error.message };
    throw error;
  }
}

export function changesOf(make: () => TextChange[]): WrittenChanges {
  const { made, problem } = attempt(make);
  return { changes: made ?? [], problem };
}

export function filesOf(make: () => { changes: TextChange[]; files: FileChange[] }): WrittenFiles {
  const { made, problem } = attempt(make);
  return { changes: made?.changes ?? [], files: made?.files ?? [], problem };
}
