/** What is picked on the page: a text with its slip, words in it, a place in the source, and what a choice reaches. */
import type { ElementRef } from "@/core";
import type { Desk, PickedWords, SourcePlace } from "./state";

export function createSelection({ engine, get, set }: Desk) {
  /** Only the slip asked for last is shown. */
  let asked = 0;

  const refresh = async (): Promise<void> => {
    const { picked, conditions } = get();
    const mine = (asked += 1);
    const slip = picked ? await engine.slip(picked, conditions) : null;
    if (mine === asked) set({ slip, picked: slip ? picked : null });
  };

  return {
    refresh,
    /** Lays the pen on a text; its slip follows. */
    mark: (picked: ElementRef | null) => set({ picked, reach: null, source: null, words: null }),
    showReach: (reach: readonly ElementRef[] | null) => set({ reach }),
    showSource: (source: SourcePlace) => set({ source }),
    pickWords: (words: PickedWords | null) => set({ words }),
  };
}

export type Selection = ReturnType<typeof createSelection>;
