/** Things by what they have in common, in the order in which each is met first. */
export function groupBy<Thing, Key>(things: Iterable<Thing>, keyOf: (thing: Thing) => Key): Map<Key, Thing[]> {
  const groups = new Map<Key, Thing[]>();
  for (const thing of things) {
    const key = keyOf(thing);
    const group = groups.get(key);
    if (group) group.push(thing);
    else groups.set(key, [thing]);
  }
  return groups;
}

/** Puts things at the end of a list, however many: as arguments of one call, some hundred thousand exhaust the stack. */
export function append<Thing>(list: Thing[], more: Iterable<Thing>): void {
  for (const thing of more) list.push(thing);
}
