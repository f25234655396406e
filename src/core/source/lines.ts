/** Where an offset lies: line and column, both from 1, the column in UTF-16 units. */
export interface Position {
  line: number;
  column: number;
}

const cache = new Map<string, Uint32Array>();
const cacheLimit = 64;

/** The line and column of an offset; CRLF, LF, CR and FF each end a line. */
export function positionAt(text: string, offset: number): Position {
  const starts = knownStarts(text);
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (starts[middle]! <= offset) low = middle;
    else high = middle - 1;
  }
  return { line: low + 1, column: offset - starts[low]! + 1 };
}

/** The offset of a line and column; beyond the text, its end. */
export function offsetAt(text: string, line: number, column: number): number {
  const start = knownStarts(text)[line - 1];
  return start === undefined ? text.length : Math.min(text.length, start + column - 1);
}

function knownStarts(text: string): Uint32Array {
  let starts = cache.get(text);
  if (!starts) {
    starts = lineStarts(text);
    if (cache.size >= cacheLimit) cache.delete(cache.keys().next().value!);
    cache.set(text, starts);
  }
  return starts;
}

function lineStarts(text: string): Uint32Array {
  const starts = [0];
  for (const match of text.matchAll(/\r\n|[\n\r\f]/g)) starts.push(match.index + match[0].length);
  return Uint32Array.from(starts);
}
