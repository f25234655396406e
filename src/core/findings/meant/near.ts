import { editDistance } from "../../source/path";

/** Words at most so many letters away from another, the nearest first; never the word itself. */
export function nearestWords(word: string, from: Iterable<string>, most: number): string[] {
  const near: { one: string; distance: number }[] = [];
  for (const one of from) {
    if (Math.abs(one.length - word.length) > most) continue;
    const distance = editDistance(word, one);
    if (distance > 0 && distance <= most) near.push({ one, distance });
  }
  return near.sort((a, b) => a.distance - b.distance).map(({ one }) => one);
}
