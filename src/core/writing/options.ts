/** How one can go on writing at a place of a file: a kind of place an entry. */
import { atRuleOptions } from "./atRules";
import { withContrast } from "./contrast";
import { hereAt, type Here } from "./here";
import { attributeOptions, attributeValueOptions, tagOptions } from "./markup";
import { mediaOptions } from "./media";
import { ranked, type WritingOptions } from "./ranked";
import { propertyOptions } from "./properties";
import { selectorOptions } from "./selectors";
import type { Asked, WritingOption } from "./types";
import { valueOptions } from "./values";

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
