/** How one can go on writing at a place of a file: a kind of place an entry. */
import { atRuleOptions } from "./atRules";
import { withContrast } from "./contrast";
import { hereAt, type Here } from "./here";
import { attributeOptions, attributeValueOptions, tagOptions } from "./markup";
import { mediaOptions } from "./media";
import { propertyOptions } from "./properties";
import { selectorOptions } from "./selectors";
import type { Asked, WritingOption } from "./types";
import { valueOptions } from "./values";

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

type OptionsFor = { [Kind in Here["kind"]]: (asked: Asked, here: Here & { kind: Kind }) => WritingOption[] };

const optionsFor: OptionsFor = {
  property: propertyOptions,
  value: valueOptions,
  selector: selectorOptions,
  "at-rule": atRuleOptions,
  media: mediaOptions,
  tag: tagOptions,
  attribute: (_, here) => attributeOptions(here),
  "attribute value": attributeValueOptions,
};

/** More are not of use, but for the names of colours. */
const most = 240;

/** Null where nothing can be proposed. @param offset of the cursor, UTF-16 units of the file */
export function writingOptions(asked: Asked, offset: number): WritingOptions | null {
  const here = hereAt(asked.site, asked.path, offset);
  if (!here) return null;
  const all = (optionsFor[here.kind] as (asked: Asked, here: Here) => WritingOption[])(asked, here);
  const fit = ranked(all, here.typed);
  const options = fit.slice(0, most);
  // A value that is whole may be all that was meant.
  const isWhole = here.kind === "value" && all.some(({ text }) => text === here.typed);
  if (options.length === 0 || isWhole) return null;
  const judged = here.kind === "value" ? withContrast(asked, here, options) : options;
  const isAll = fit.length <= most && /^[.#:@]*[a-z]/i.test(here.typed);
  return { kind: here.kind, from: here.from, to: offset, typed: here.typed, options: judged, isAll };
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
function ranked(options: readonly WritingOption[], typed: string): WritingOption[] {
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
