/** Ends what moves on the page, so that it is looked at as it comes to rest (CSS Transitions 1, CSS Animations 1). */
export function settle(document: Document): void {
  for (const animation of document.getAnimations()) {
    if (animation.effect?.getComputedTiming().endTime === Infinity) continue;
    try {
      animation.finish();
    } catch {
      // An animation that cannot be finished has no rate to run at: it rests already.
    }
  }
}
