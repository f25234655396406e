/** Things that stand one under another, none over another. */
interface Standing {
  /** Where it would stand, and how tall it is with the room to the next, px. */
  top: number;
  height: number;
  /** From where on it says nothing any more, and is left out, px. */
  end?: number;
}

/** From the top down; what would lie over the one before it is moved down. */
export function spread<Thing extends Standing>(things: readonly Thing[]): Thing[] {
  let free = -Infinity;
  return [...things]
    .sort((a, b) => a.top - b.top)
    .flatMap((thing) => {
      const top = Math.max(thing.top, free);
      if (top >= (thing.end ?? Infinity)) return [];
      free = top + thing.height;
      return [{ ...thing, top }];
    });
}
