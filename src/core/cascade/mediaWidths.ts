/** Widths of the window at which a page's media conditions begin or cease to hold (Media Queries 4, 4.1). */
import type { Conditions } from "./conditions";
import { matchesMedia } from "./media";
import { isEntry, rulesOf } from "./rules";
import type { StyledPage } from "./styles";

export interface MediaWidth {
  /** CSS px: at this width it is otherwise than at one less. */
  width: number;
  /** The conditions, as written, with whether they begin to hold there. */
  conditions: { text: string; begins: boolean }[];
}

/** Conditions of sheets, of links and imports, and of rules; narrowest first. */
export function mediaWidths({ rules: { sheets }, conditions }: Pick<StyledPage, "rules" | "conditions">): MediaWidth[] {
  const texts = new Set<string>();
  for (const { items, media } of sheets) {
    for (const text of media) texts.add(text);
    for (const step of rulesOf(items).steps)
      if (isEntry(step)) for (const text of step.conditions.media) texts.add(text);
  }
  const found = new Map<number, MediaWidth>();
  for (const text of texts) {
    for (const width of turnsOf(text, conditions)) {
      const at = found.get(width) ?? { width, conditions: [] };
      at.conditions.push({ text: text.replace(/\s+/g, " ").trim(), begins: holdsAt(text, width, conditions) });
      found.set(width, at);
    }
  }
  return [...found.values()].sort((a, b) => a.width - b.width);
}

const holdsAt = (text: string, width: number, conditions: Conditions) => matchesMedia(text, { ...conditions, width });

/** Px a unit comes to in a condition; those that follow a font follow its initial value. */
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

/** Looked for near every length that is named: on which side of it a condition turns, it says itself. */
function turnsOf(text: string, conditions: Conditions): number[] {
  const near = [...text.matchAll(/(\d*\.?\d+)(px|r?em|in|cm|mm|pt|pc)\b/gi)].flatMap(([, number, unit]) => {
    const at = Math.floor(Number(number) * units[unit!.toLowerCase()]!);
    return [at, at + 1];
  });
  return [...new Set(near)].filter(
    (width) => width > 0 && holdsAt(text, width, conditions) !== holdsAt(text, width - 1, conditions),
  );
}
