import { editDistance } from "../../source/path";

interface Word {
  text: string;
  /** A bit for each letter, digit and other sign that is in it. */
  signs: number;
}

/** Words by their length. */
type Lexicon = readonly (readonly Word[] | undefined)[];

const lexicons = new WeakMap<object, Lexicon>();

function signsOf(word: string): number {
  let signs = 0;
  for (let at = 0; at < word.length; at += 1) signs |= 1 << (word.charCodeAt(at) & 31);
  return signs;
}

function bits(value: number): number {
  let count = 0;
  for (let rest = value; rest; rest &= rest - 1) count += 1;
  return count;
}

function lexiconOf(words: readonly string[] | ReadonlySet<string>): Lexicon {
  let lexicon = lexicons.get(words);
  if (!lexicon) {
    const byLength: Word[][] = [];
    for (const text of words) (byLength[text.length] ??= []).push({ text, signs: signsOf(text) });
    lexicons.set(words, (lexicon = byLength));
  }
  return lexicon;
}

/** Words at most so many letters away from another, the nearest first; never the word itself. */
export function nearestWords(word: string, from: readonly string[] | ReadonlySet<string>, most: number): string[] {
  const lexicon = lexiconOf(from);
  const signs = signsOf(word);
  const near: { text: string; distance: number }[] = [];
  for (let length = Math.max(1, word.length - most); length <= word.length + most; length += 1) {
    for (const other of lexicon[length] ?? []) {
      // A letter replaced changes two bits at most, one put in or left out one.
      if (bits(signs ^ other.signs) > 2 * most) continue;
      const distance = editDistance(word, other.text);
      if (distance > 0 && distance <= most) near.push({ text: other.text, distance });
    }
  }
  return near.sort((a, b) => a.distance - b.distance).map(({ text }) => text);
}
