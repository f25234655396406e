/** Proposals in the order in which they are offered; windows narrow them by themselves. */
import type { Here } from "./here";
import type { WritingOption } from "./types";

export interface WritingOptions {
  kind: Here["kind"];
  /** What is replaced, as offsets of the file. */
  from: number;
  to: number;
  /** What of the word was typed. */
  typed: string;
  options: WritingOption[];
  /** Whether these are all that go on as was typed, so that those that go on as more is typed are among them. */
  isAll: boolean;
}

/**
 * What is left of proposals when more of their word was typed. Null where that cannot be told from them alone: they were
 * not all, it is another word, none is left, or the value is whole.
 */
export function narrowed(found: WritingOptions, typed: string): WritingOptions | null {
  const goesOn = found.isAll && typed.startsWith(found.typed) && /^[-\w]*$/.test(typed.slice(found.typed.length));
  const options = goesOn ? ranked(found.options, typed) : [];
  const isWhole = found.kind === "value" && options.some(({ text }) => text === typed);
  return options.length === 0 || isWhole ? null : { ...found, to: found.from + typed.length, typed, options };
}

/** Those that go on as was typed, then those that have it in a later part of them; each in the order they had. */
export function ranked(options: readonly WritingOption[], typed: string): WritingOption[] {
  const word = typed.toLowerCase();
  const rank = ({ text }: WritingOption): number => {
    const lower = text.toLowerCase();
    if (lower === word) return -1;
    if (lower.startsWith(word)) return 0;
    const bare = word.replace(/^[.#:@]+/, "");
    return bare !== "" && lower.split(/[-\s.#:(,]+/).some((part) => part.startsWith(bare)) ? 1 : 2;
  };
  const ranks = options.map((option) => ({ option, rank: rank(option) })).filter(({ rank: own }) => own < 2);
  return ranks.sort((a, b) => a.rank - b.rank).map(({ option }) => option);
}
