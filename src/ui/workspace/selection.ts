/** What is picked on the page: a text with its slip, words in it, a place in the source, and what a choice reaches. */
import type { ElementRef, Slip } from "@/core";
import type { Desk, PickedWords, SourcePlace } from "./state";

export function createSelection({ engine, get, set, failed }: Desk) {
  /** Only the slip asked for last is shown. */
  let asked = 0;
  /** Whether something was picked since the slip came that is shown. */
  let isAnother = false;

  const refresh = async (): Promise<void> => {
    const { picked, conditions } = get();
    const mine = (asked += 1);
    const slip = picked ? await engine.slip(picked, conditions) : null;
    if (mine !== asked) return;
    // Until its own slip is there, what is picked leaves that of the pick before as it is.
    set({ slip, slips: get().slips + (isAnother ? 1 : 0), picked: slip ? picked : null });
    isAnother = false;
    if (slip) countTargets(slip, () => mine === asked).catch(failed);
  };

  /** Nobody waits for what the ways to write reach on other pages. */
  const countTargets = async (slip: Slip, wanted: () => boolean): Promise<void> => {
    if (slip.targets.every(({ reach }) => reach.whole)) return;
    const targets = await engine.targets(slip.ref, get().conditions);
    if (targets && wanted() && get().slip === slip) set({ slip: { ...slip, targets } });
  };

  return {
    refresh,
    /** Lays the pen on a text; its slip follows. */
    mark: (picked: ElementRef | null) => {
      isAnother = true;
      set({ picked, reach: null, source: null, words: null });
    },
    showReach: (reach: readonly ElementRef[] | null) => set({ reach }),
    showSource: (source: SourcePlace) => set({ source }),
    pickWords: (words: PickedWords | null) => set({ words }),
  };
}
