/** Widths of the window at which a page's media conditions begin or cease to hold (Media Queries 4, 4.1). */
import { sheetsOfPage } from "../source/html/sheets";
import type { Site, TextFile } from "../source/site";
import type { Conditions } from "./conditions";
import { matchesMedia } from "./media";
import { isEntry, rulesOf } from "./rules";

export interface MediaWidth {
  /** CSS px: at this width it is otherwise than at one less. */
  width: number;
  /** The conditions, as written, with whether they begin to hold there. */
  conditions: { text: string; begins: boolean }[];
}

/** Conditions of sheets, of links and imports, and of rules; narrowest first. @param conditions of which the width does not count */
export function mediaWidths(site: Site, file: TextFile, conditions: Conditions): MediaWidth[] {
  const texts = new Set<string>();
  for (const { items, media } of sheetsOfPage(site, file).owners.flatMap((owner) => owner.sheets)) {
    for (const text of media) texts.add(text);
    for (const step of rulesOf(items).steps)
      if (isEntry(step)) for (const text of step.conditions.media) texts.add(text);
  }
  const found = new Map<number, MediaWidth>();
  for (const text of texts) {
    const holds = (width: number) => matchesMedia(text, { ...conditions, width });
    for (const width of turnsOf(text, holds)) {
      const at = found.get(width) ?? { width, conditions: [] };
      at.conditions.push({ text: text.replace(/\s+/g, " ").trim(), begins: holds(width) });
      found.set(width, at);
    }
  }
  return [...found.values()].sort((a, b) => a.width - b.width);
}

/** Px a length comes to in a condition; those that follow a font follow its initial value. */
const units: Readonly<Record<string, number>> = {
  px: 1,
  em: 16,
  rem: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  pt: 96 / 72,
  pc: 16,
};
/** Widths looked at where no length is named: px between them, and the widest. */
const every = 40;
const widest = 4000;

/**
 * Looked at near every length that is named, and at steps between for what is reckoned or follows the height; where two
 * that stand next to each other differ, the turn is found by halving.
 */
function turnsOf(text: string, holds: (width: number) => boolean): number[] {
  const named = [...text.matchAll(/(\d*\.?\d+)(px|r?em|in|cm|mm|pt|pc)\b/gi)].flatMap(([, number, unit]) => {
    const at = Math.floor(Number(number) * units[unit!.toLowerCase()]!);
    return [at - 1, at, at + 1];
  });
  const steps = Array.from({ length: widest / every + 1 }, (_, at) => at * every);
  const probes = [...new Set([...named.filter((width) => width > 0), ...steps])].sort((a, b) => a - b);
  return probes.slice(1).flatMap((to, at) => {
    let [low, high] = [probes[at]!, to];
    const before = holds(low);
    if (before === holds(high)) return [];
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (holds(middle) === before) low = middle;
      else high = middle;
    }
    return [high];
  });
}
