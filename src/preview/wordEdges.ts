/** Where words of a text begin and end. Offsets are UTF-16 units. */

type Edges = [start: number, end: number];

const inWord = (character: string | undefined) =>
  character !== undefined && /[\p{L}\p{N}\p{M}'\u2019_-]/u.test(character);

/** A part of a text made whole words, without blanks around them; empty where it has none. */
export function wholeWords(text: string, from: number, to: number): Edges {
  let [start, end] = from <= to ? [from, to] : [to, from];
  while (start > 0 && inWord(text[start - 1]) && inWord(text[start])) start -= 1;
  while (end < text.length && inWord(text[end]) && inWord(text[end - 1])) end += 1;
  while (start < end && /\s/.test(text[start]!)) start += 1;
  while (end > start && /\s/.test(text[end - 1]!)) end -= 1;
  return [start, end];
}

const wordsIn = (text: string): Edges[] =>
  [...text.matchAll(/[^\s]+/g)].map((match) => [match.index, match.index + match[0].length]);

/** The first word of a text, with what stands beside it without a blank; null where it has none. */
export const firstWord = (text: string): Edges | null => wordsIn(text)[0] ?? null;

/** Some words of a text with one more or less at the end, or at the start; at least one, at most all. */
export function stepped(text: string, words: { start: number; end: number }, end: "start" | "end", by: 1 | -1): Edges {
  const bounds = wordsIn(text);
  const first = bounds.findIndex(([, to]) => to > words.start);
  const last = bounds.findLastIndex(([from]) => from < words.end);
  const nextFirst = end === "start" ? Math.min(last, Math.max(0, first + by)) : first;
  const nextLast = end === "end" ? Math.max(first, Math.min(bounds.length - 1, last + by)) : last;
  return [bounds[nextFirst]![0], bounds[nextLast]![1]];
}
