/** One replacement in a text file; offsets in UTF-16 units of the text before the change. */
export interface TextChange {
  path: string;
  start: number;
  end: number;
  insert: string;
}

/**
 * The text after all changes. Changes of one path must not overlap; they may come in any order,
 * and insertions at one offset are made in the order given.
 * @throws RangeError when a change lies outside the text or overlaps another.
 */
export function applyChanges(text: string, changes: readonly TextChange[]): string {
  const ordered = changes.map((change, order) => ({ change, order }));
  ordered.sort((a, b) => a.change.start - b.change.start || a.change.end - b.change.end || a.order - b.order);
  let at = 0;
  let result = "";
  for (const { change } of ordered) {
    if (change.start < at || change.end < change.start || change.end > text.length) {
      throw new RangeError(`A change from ${change.start} to ${change.end} does not fit the text of ${change.path}.`);
    }
    result += text.slice(at, change.start) + change.insert;
    at = change.end;
  }
  return result + text.slice(at);
}

/** The changes that lead from the changed text back to the text before. */
export function invertChanges(text: string, changes: readonly TextChange[]): TextChange[] {
  const ordered = [...changes].sort((a, b) => a.start - b.start || a.end - b.end);
  let shift = 0;
  return ordered.map(({ path, start, end, insert }) => {
    const inverse = { path, start: start + shift, end: start + shift + insert.length, insert: text.slice(start, end) };
    shift += insert.length - (end - start);
    return inverse;
  });
}

/** The one change that turns `before` into `after`, with the longest common ends left out; null when equal. */
export function changeBetween(path: string, before: string, after: string): TextChange | null {
  if (before === after) return null;
  const shortest = Math.min(before.length, after.length);
  let start = 0;
  while (start < shortest && before.charCodeAt(start) === after.charCodeAt(start)) start += 1;
  let tail = 0;
  while (
    tail < shortest - start &&
    before.charCodeAt(before.length - 1 - tail) === after.charCodeAt(after.length - 1 - tail)
  ) {
    tail += 1;
  }
  return { path, start, end: before.length - tail, insert: after.slice(start, after.length - tail) };
}

/**
 * What was changed here, as changes of a text that was changed elsewhere meanwhile; both come from `base`.
 * Null where both changed the same place.
 */
export function rebased(path: string, base: string, here: string, there: string): TextChange[] | null {
  const own = changeBetween(path, base, here);
  const other = changeBetween(path, base, there);
  if (!own) return [];
  if (!other) return [own];
  if (here === there) return [];
  if (own.end < other.start) return [own];
  if (own.start <= other.end) return null;
  const by = other.insert.length - (other.end - other.start);
  return [{ ...own, start: own.start + by, end: own.end + by }];
}
