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
  let at = 0;
  let result = "";
  for (const change of inOrder(changes)) {
    if (change.start < at || change.end < change.start || change.end > text.length) {
      throw new RangeError(`A change from ${change.start} to ${change.end} does not fit the text of ${change.path}.`);
    }
    result += text.slice(at, change.start) + change.insert;
    at = change.end;
  }
  return result + text.slice(at);
}

/** As they stand in the text; insertions at one offset as they were given. */
const inOrder = <Change extends Omit<TextChange, "path">>(changes: readonly Change[]): Change[] =>
  [...changes].sort((a, b) => a.start - b.start || a.end - b.end);

/** The changes that lead from the changed text back to the text before. */
export function invertChanges(text: string, changes: readonly TextChange[]): TextChange[] {
  let shift = 0;
  return inOrder(changes).map(({ path, start, end, insert }) => {
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

/** A part of a text that is kept, by its offsets, or one that was put in. */
type Piece = { start: number; end: number } | { insert: string };

/** Changes that are made one after the other, as changes of the text before the first of them. */
export class ComposedChanges {
  private pieces: Piece[];

  /** @param length of the text, UTF-16 units */
  constructor(private readonly length: number) {
    this.pieces = length ? [{ start: 0, end: length }] : [];
  }

  /** @param changes of the text as it is after those before, not overlapping */
  add(changes: readonly Omit<TextChange, "path">[]): void {
    for (const { start, end, insert } of inOrder(changes).reverse()) {
      const [before, rest] = splitAt(this.pieces, start);
      const [, after] = splitAt(rest, end - start);
      this.pieces = [...before, ...(insert ? [{ insert }] : []), ...after];
    }
  }

  /** In the order of the text. */
  all(path: string): TextChange[] {
    const changes: TextChange[] = [];
    let at = 0;
    let insert = "";
    for (const piece of [...this.pieces, { start: this.length, end: this.length }]) {
      if ("insert" in piece) insert += piece.insert;
      else {
        if (insert || piece.start > at) changes.push({ path, start: at, end: piece.start, insert });
        at = piece.end;
        insert = "";
      }
    }
    return changes;
  }
}

const lengthOf = (piece: Piece) => ("insert" in piece ? piece.insert.length : piece.end - piece.start);

/** Those before an offset of what they make up, and those after it; one that it lies in is parted. */
function splitAt(pieces: readonly Piece[], offset: number): [before: Piece[], after: Piece[]] {
  let at = 0;
  for (const [index, piece] of pieces.entries()) {
    const own = offset - at;
    if (own <= 0) return [pieces.slice(0, index), pieces.slice(index)];
    if (own < lengthOf(piece)) {
      const [one, other]: [Piece, Piece] =
        "insert" in piece
          ? [{ insert: piece.insert.slice(0, own) }, { insert: piece.insert.slice(own) }]
          : [
              { start: piece.start, end: piece.start + own },
              { start: piece.start + own, end: piece.end },
            ];
      return [
        [...pieces.slice(0, index), one],
        [other, ...pieces.slice(index + 1)],
      ];
    }
    at += lengthOf(piece);
  }
  return [[...pieces], []];
}
